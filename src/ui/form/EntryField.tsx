'use client';
import { useContext, useId, type ChangeEvent, type KeyboardEvent } from 'react';
import styled from 'styled-components';
import { engraved, FORM_COLUMNS } from '../theme/type';
import { FormName, useTyped } from './useTyped';

const FieldRow = styled.div`
  display: grid;
  grid-template-columns: ${FORM_COLUMNS};
  align-items: baseline;
  gap: 8px;
  min-height: 28px;
  > label,
  > span:first-child {
    color: var(--muted);
    font-size: 12px;
    overflow-wrap: anywhere;
  }
`;

const Entry = styled.input<{ $figure: boolean }>`
  ${(p) => p.$figure && engraved}
  width: 100%;
  padding: 3px 6px;
  font-family: inherit;
  resize: vertical;
  border: 0;
  border-bottom: 1px solid var(--line);
  background: none;
  &:hover {
    background: var(--raised);
  }
  &[aria-invalid='true'] {
    border-bottom-color: var(--clipped);
  }
  &::placeholder {
    color: var(--muted);
    opacity: 1;
  }
`;

const Complaint = styled.p`
  grid-column: 1 / -1;
  color: var(--clipped);
  font-size: 12px;
`;

const Mark = styled.em`
  font-style: normal;
  color: var(--shaded);
  font-size: 11px;
`;

interface EntryFieldProps {
  label: string;
  shown: string;
  placeholder?: string;
  /** True for figures, which are set as on a barrel. */
  figure?: boolean;
  long?: boolean;
  /** A quiet word after the label, such as "estimated". */
  mark?: string;
  /** Under this name what is typed and not taken yet outlasts a reload; by itself under its form's and its label. */
  keptAs?: string;
  /** What is wrong with a text; null where it can stand. */
  complain: (text: string) => string | null;
  onEnter: (text: string) => void;
}

/**
 * One line to type in. It says what is wrong while one types; Enter or leaving takes what can stand, Escape
 * goes back, and what cannot stand stays typed until it is mended.
 */
export function EntryField(props: EntryFieldProps) {
  const {
    label,
    shown,
    placeholder,
    figure = false,
    long = false,
    mark,
    complain,
    onEnter,
  } = props;
  const id = useId();
  const form = useContext(FormName);
  const [typed, setTyped] = useTyped(
    props.keptAs ?? (form === null ? undefined : `${form} ${label}`),
  );
  const complaint = typed === null || typed === shown ? null : complain(typed);
  const enter = () => {
    if (typed === null || complaint !== null) return;
    setTyped(null);
    if (typed !== shown) onEnter(typed);
  };
  return (
    <FieldRow>
      <label htmlFor={id}>
        {label} {mark && <Mark>{mark}</Mark>}
      </label>
      <Entry
        as={long ? 'textarea' : 'input'}
        id={id}
        $figure={figure}
        value={typed ?? shown}
        placeholder={placeholder}
        autoComplete="off"
        spellCheck={long}
        aria-invalid={complaint !== null}
        aria-describedby={complaint ? `${id}-complaint` : undefined}
        onChange={(event: ChangeEvent<HTMLInputElement>) => setTyped(event.target.value)}
        onBlur={enter}
        onKeyDown={(event: KeyboardEvent) => {
          if (event.key === 'Enter' && !long) enter();
          if (event.key === 'Escape') setTyped(null);
        }}
      />
      {complaint !== null && (
        <Complaint id={`${id}-complaint`} role="alert">
          {complaint}
        </Complaint>
      )}
    </FieldRow>
  );
}
