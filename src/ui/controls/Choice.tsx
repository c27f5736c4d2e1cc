'use client';
import { ChevronDown } from 'lucide-react';
import { Label, Select, SelectValue } from 'react-aria-components';
import styled from 'styled-components';
import { oneLine } from '../theme/type';
import { fieldLook, labelLook, Trigger, type ChoiceLook, type Look } from './choiceLook';
import { OptionList } from './OptionList';
import {
  chooseOr,
  manyOf,
  withOtherwise,
  type ManyOptions,
  type OptionGroup,
  type Otherwise,
} from './options';
import { SearchedChoice } from './SearchedChoice';
import { Sheet } from './surfaces';
import { WholeName } from './WholeName';

interface ChoiceProps extends ChoiceLook {
  label: string;
  groups: readonly OptionGroup[] | ManyOptions;
  chosen: string | null;
  onChoose: (id: string) => void;
  /** Shown while nothing is chosen. */
  placeholder?: string;
  otherwise?: Otherwise;
}

const Field = styled(Select)<Look>`
  ${fieldLook}
`;

const FieldLabel = styled(Label)<{ $bare: boolean }>`
  ${labelLook}
`;

const Value = styled(SelectValue)`
  ${oneLine}
  min-width: 0;
  &[data-placeholder] {
    color: var(--amber);
  }
`;

type FewProps = Omit<ChoiceProps, 'groups'> & { groups: readonly OptionGroup[] };

function FewChoice(props: FewProps) {
  const { label, groups, chosen, onChoose, placeholder = 'choose' } = props;
  const { stacked = false, bare = false, inForm = false, otherwise } = props;
  const whole = groups.flatMap((g) => g.options).find((o) => o.id === chosen)?.label ?? placeholder;
  return (
    <Field
      value={chosen}
      onChange={(key) => {
        if (key !== null) chooseOr(String(key), onChoose, otherwise);
      }}
      placeholder={placeholder}
      $stacked={stacked}
      $bare={bare}
      $inForm={inForm}
    >
      <FieldLabel $bare={bare}>{label}</FieldLabel>
      <WholeName words={whole}>
        {(nameRef) => (
          <Trigger $stacked={stacked} $inForm={inForm}>
            <Value ref={nameRef}>
              {({ selectedText, defaultChildren }) => selectedText || defaultChildren}
            </Value>
            <ChevronDown size={13} aria-hidden="true" />
          </Trigger>
        )}
      </WholeName>
      <Sheet>
        <OptionList groups={withOtherwise(groups, otherwise)} />
      </Sheet>
    </Field>
  );
}

/**
 * One of several, by mouse, finger or keyboard. Typing jumps to what one types where they are few, and searches
 * where they are many.
 */
export function Choice({ groups, ...rest }: ChoiceProps) {
  const many = manyOf(groups);
  if (many) return <SearchedChoice {...rest} many={many} />;
  return <FewChoice {...rest} groups={'labelOf' in groups ? [] : groups} />;
}
