'use client';
import { useId, useState } from 'react';
import styled from 'styled-components';
import { engraved } from '../theme/type';

const Word = styled.span`
  position: relative;
  display: inline-flex;
  align-items: baseline;
  gap: 3px;
  white-space: nowrap;
`;

const Entry = styled.input`
  ${engraved}
  padding: 1px 2px;
  border: 0;
  border-bottom: 1px solid var(--line);
  background: none;
  text-align: center;
  color: var(--ink);
  &:hover,
  &:focus {
    border-bottom-color: var(--amber);
  }
  &[aria-invalid='true'] {
    border-bottom-color: var(--clipped);
  }
  &::placeholder {
    color: var(--muted);
    opacity: 1;
  }
`;

const Complaint = styled.span`
  position: absolute;
  top: 100%;
  left: 0;
  z-index: 5;
  padding: 3px 8px;
  background: var(--lifted);
  border: 1px solid var(--line);
  border-radius: var(--radius);
  color: var(--clipped);
  font-size: 12px;
`;

interface WordFieldProps {
  /** What it is, for who cannot see the sentence. */
  label: string;
  value: number | null;
  min: number;
  max: number;
  /** What stands there where nothing is asked; left out where something has to be. */
  anyWord?: string;
  /** Whole numbers alone. */
  isWhole?: boolean;
  before?: string;
  after?: string;
  onEnter: (value: number | null) => void;
}

/** A decimal comma is a point here. */
const numberOf = (text: string): number => Number(text.trim().replace(',', '.'));

/** Whether what was typed can be taken; null is nothing. */
const canStand = (
  number: number | null,
  { min, max, anyWord, isWhole = false }: WordFieldProps,
): boolean =>
  number === null
    ? anyWord !== undefined
    : number >= min && number <= max && (!isWhole || Number.isInteger(number));

/** A figure in a sentence, to be typed over. Enter or leaving takes it, Escape goes back. */
export function WordField(props: WordFieldProps) {
  const { label, value, min, max, anyWord, isWhole = false, before, after, onEnter } = props;
  const id = useId();
  const [typed, setTyped] = useState<string | null>(null);
  const shown = value === null ? '' : String(Number(value.toFixed(3)));
  const number = typed === null || typed.trim() === '' ? null : numberOf(typed);
  const mayStand = typed === null || canStand(number, props);
  const enter = () => {
    if (typed === null || !mayStand) return;
    setTyped(null);
    if (number !== value) onEnter(number);
  };
  const text = typed ?? shown;
  return (
    <Word>
      {before}
      <Entry
        aria-label={label}
        inputMode="decimal"
        autoComplete="off"
        size={Math.max(2, (text || (anyWord ?? '')).length)}
        value={text}
        placeholder={anyWord}
        aria-invalid={!mayStand}
        aria-describedby={mayStand ? undefined : id}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={enter}
        onKeyDown={(event) => {
          if (event.key === 'Enter') enter();
          if (event.key === 'Escape') setTyped(null);
        }}
      />
      {after}
      {!mayStand && (
        <Complaint id={id} role="alert">
          {isWhole ? 'a whole number' : 'a number'} from {min} to {max}
          {anyWord !== undefined && `, or nothing for ${anyWord}`}
        </Complaint>
      )}
    </Word>
  );
}
