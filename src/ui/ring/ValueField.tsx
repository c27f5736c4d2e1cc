'use client';
import { useId, useState } from 'react';
import styled from 'styled-components';
import { engraved, PHONE } from '../theme/type';

interface ValueFieldProps {
  name: string;
  shown: string;
  read: (text: string) => number | null;
  /** The allowed range in words. */
  range: string;
  /** Whether it only shows its value. */
  isHeld?: boolean;
  onEnter: (value: number) => void;
}

const Field = styled.div`
  position: relative;
  padding-bottom: 6px;
  label {
    display: block;
    color: var(--muted);
    font-size: 12px;
  }
  input {
    ${engraved}
    width: 100%;
    font-size: 18px;
    line-height: 24px;
    padding: 0;
    border: 0;
    border-bottom: 1px solid transparent;
    background: none;
  }
  input:hover {
    border-bottom-color: var(--line);
  }
  input[aria-invalid='true'] {
    border-bottom-color: var(--clipped);
  }
  @media ${PHONE} {
    display: flex;
    align-items: baseline;
    gap: 10px;
    padding: 0;
    label {
      min-width: 60px;
    }
  }
`;

const Complaint = styled.p`
  position: absolute;
  left: 0;
  bottom: 100%;
  z-index: 5;
  width: max-content;
  max-width: 260px;
  padding: 6px 9px;
  background: var(--lifted);
  border: 1px solid var(--clipped);
  border-radius: var(--radius);
`;

/** The figure of a ring, for those who would rather type it. Enter takes it, Escape leaves it. */
export function ValueField({ name, shown, read, range, isHeld = false, onEnter }: ValueFieldProps) {
  const id = useId();
  const [typed, setTyped] = useState<string | null>(null);
  const [complaint, setComplaint] = useState('');

  const leave = () => {
    setTyped(null);
    setComplaint('');
  };
  const enter = (): boolean => {
    if (typed === null || typed === shown) {
      leave();
      return true;
    }
    const value = read(typed);
    if (value === null) {
      setComplaint(`${name} takes ${range}; “${typed.slice(0, 20)}” is not in it.`);
      return false;
    }
    leave();
    onEnter(value);
    return true;
  };

  return (
    <Field>
      <label htmlFor={id}>{name}</label>
      <input
        id={id}
        value={typed ?? shown}
        readOnly={isHeld}
        autoComplete="off"
        spellCheck={false}
        aria-invalid={complaint !== ''}
        aria-describedby={complaint ? `${id}-complaint` : undefined}
        onFocus={(event) => {
          setTyped(shown);
          event.currentTarget.select();
        }}
        onChange={(event) => {
          setTyped(event.target.value);
          setComplaint('');
        }}
        onBlur={() => {
          if (!enter()) leave();
        }}
        onKeyDown={(event) => {
          if (event.key === 'Enter') enter();
          if (event.key === 'Escape') leave();
        }}
      />
      {complaint && (
        <Complaint id={`${id}-complaint`} role="alert">
          {complaint}
        </Complaint>
      )}
    </Field>
  );
}
