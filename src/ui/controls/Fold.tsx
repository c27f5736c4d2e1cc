'use client';
import { ChevronDown, ChevronUp } from 'lucide-react';
import { useState } from 'react';
import styled from 'styled-components';
import { engraved, oneLine } from '../theme/type';

const Group = styled.div<{ $folded: boolean }>`
  margin-top: ${(p) => (p.$folded ? 4 : 10)}px;
  h3 {
    font-size: 13px;
    color: var(--muted);
    font-weight: 650;
    border-bottom: 1px solid var(--line);
    padding-bottom: 3px;
  }
`;

const FoldButton = styled.button`
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) auto;
  align-items: baseline;
  gap: 10px;
  width: 100%;
  padding: 0;
  border: 0;
  background: none;
  text-align: left;
  cursor: pointer;
  color: var(--muted);
  font-weight: inherit;
  &:hover {
    color: var(--ink);
  }
  svg {
    align-self: center;
  }
`;

const Summary = styled.span`
  ${engraved}
  ${oneLine}
  color: var(--ink);
  text-align: right;
`;

/* The very same elements each time, so that they are drawn once. */
const UP = <ChevronUp size={13} aria-hidden="true" />;
const DOWN = <ChevronDown size={13} aria-hidden="true" />;

interface FoldProps {
  title: string;
  /** Said in the heading while it is folded; without one it always stands open. */
  summary?: string;
  startsOpen?: boolean;
  children: React.ReactNode;
}

/** A group under a heading; one with a summary can be folded. */
export function Fold({ title, summary, startsOpen = false, children }: FoldProps) {
  const [open, setOpen] = useState(startsOpen);
  const folds = summary !== undefined;
  const shown = !folds || open;
  return (
    <Group $folded={folds && !open}>
      <h3>
        {folds ? (
          <FoldButton type="button" aria-expanded={open} onClick={() => setOpen(!open)}>
            {title}
            <Summary> {open ? '' : summary}</Summary>
            {open ? UP : DOWN}
          </FoldButton>
        ) : (
          title
        )}
      </h3>
      {shown && children}
    </Group>
  );
}
