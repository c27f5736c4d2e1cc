'use client';
import { ChevronDown } from 'lucide-react';
import { useMemo, useState } from 'react';
import {
  Autocomplete,
  Button,
  Dialog,
  DialogTrigger,
  Input,
  SearchField,
} from 'react-aria-components';
import styled from 'styled-components';
import { oneLine } from '../theme/type';
import { fieldLook, labelLook, Trigger, type ChoiceLook, type Look } from './choiceLook';
import { OptionList } from './OptionList';
import { searchOf, SHOWN_AT_ONCE, type ManyOptions, type Otherwise } from './options';
import { Sheet } from './surfaces';
import { WholeName } from './WholeName';

const Field = styled.div<Look>`
  ${fieldLook}
`;

const FieldLabel = styled.span<{ $bare: boolean }>`
  ${labelLook}
`;

const Value = styled.span<{ $none: boolean }>`
  ${oneLine}
  min-width: 0;
  color: ${(p) => (p.$none ? 'var(--amber)' : 'inherit')};
`;

const SearchInput = styled(Input)`
  display: block;
  width: calc(100% - 16px);
  margin: 8px;
  padding: 6px 8px;
  border: 1px solid var(--line);
  border-radius: var(--radius);
  background: var(--raised);
`;

const Found = styled.div`
  flex: 1;
  min-height: 0;
  overflow: auto;
  min-width: 260px;
`;

const More = styled.p`
  padding: 7px 12px;
  font-size: 12px;
  color: var(--muted);
`;

/* Stands below the list, in sight however long that is. */
const Foot = styled.p`
  display: flex;
  flex-wrap: wrap;
  gap: 2px 10px;
  padding: 7px 12px;
  border-top: 1px solid var(--line);
  font-size: 12px;
  color: var(--muted);
`;

const Act = styled(Button)`
  padding: 0;
  border: 0;
  background: none;
  color: var(--amber);
  font-weight: 600;
  cursor: pointer;
`;

/* The list scrolls, and what is sought stays in sight. */
const Place = styled(Sheet)`
  display: flex;
  overflow: hidden;
`;

const Plain = styled(Dialog)`
  display: flex;
  flex-direction: column;
  flex: 1;
  min-height: 0;
  outline: none;
`;

interface SearchProps {
  label: string;
  many: ManyOptions;
  chosen: string | null;
  onChoose: (id: string) => void;
  otherwise?: Otherwise;
}

/** A long list behind a search field; put together when it opens. */
function Search({ label, many, chosen, onChoose, otherwise }: SearchProps) {
  const [sought, setSought] = useState('');
  const search = useMemo(() => searchOf(many.groups()), [many]);
  const [most, setMost] = useState(SHOWN_AT_ONCE);
  const { groups, more } = useMemo(() => search(sought, most), [search, sought, most]);
  const seek = (words: string) => {
    setSought(words);
    setMost(SHOWN_AT_ONCE);
  };
  return (
    <Autocomplete inputValue={sought} onInputChange={seek}>
      <SearchField aria-label={`Search ${label.toLowerCase()}`} autoFocus>
        <SearchInput placeholder="search" />
      </SearchField>
      <Found>
        <OptionList
          aria-label={label}
          groups={groups}
          selectionMode="single"
          selectedKeys={chosen === null ? [] : [chosen]}
          onAction={(key) => onChoose(String(key))}
          onEnd={more > 0 ? () => setMost(most + SHOWN_AT_ONCE) : undefined}
        />
        {groups.length === 0 && <More role="status">Nothing here has these words.</More>}
        {more > 0 && (
          <More>and {more.toLocaleString('en')} more: a word or a figure narrows them.</More>
        )}
      </Found>
      {otherwise && (
        <Foot>
          {otherwise.question}
          <Act onPress={otherwise.act}>{otherwise.label}</Act>
        </Foot>
      )}
    </Autocomplete>
  );
}

interface SearchedChoiceProps extends SearchProps, ChoiceLook {
  placeholder?: string;
}

/** One of very many, found by what one remembers of it. */
export function SearchedChoice(props: SearchedChoiceProps) {
  const { label, many, chosen, onChoose, otherwise, placeholder = 'choose' } = props;
  const { stacked = false, bare = false, inForm = false } = props;
  const [isOpen, setOpen] = useState(false);
  const shown = chosen === null ? null : many.labelOf(chosen);
  return (
    <Field $stacked={stacked} $bare={bare} $inForm={inForm}>
      <FieldLabel $bare={bare}>{label}</FieldLabel>
      <DialogTrigger isOpen={isOpen} onOpenChange={setOpen}>
        <WholeName words={shown ?? placeholder}>
          {(nameRef) => (
            <Trigger
              $stacked={stacked}
              $inForm={inForm}
              aria-label={`${label}: ${shown ?? placeholder}`}
              aria-haspopup="dialog"
              onHoverStart={many.groups}
              onPressStart={many.groups}
            >
              <Value ref={nameRef} $none={shown === null}>
                {shown ?? placeholder}
              </Value>
              <ChevronDown size={13} aria-hidden="true" />
            </Trigger>
          )}
        </WholeName>
        <Place>
          <Plain aria-label={label}>
            <Search
              label={label}
              many={many}
              chosen={chosen}
              onChoose={(id) => {
                setOpen(false);
                if (id !== chosen) onChoose(id);
              }}
              otherwise={
                otherwise && {
                  ...otherwise,
                  act: () => {
                    setOpen(false);
                    otherwise.act();
                  },
                }
              }
            />
          </Plain>
        </Place>
      </DialogTrigger>
    </Field>
  );
}
