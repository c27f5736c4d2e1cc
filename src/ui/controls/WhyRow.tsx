'use client';
import { memo, useLayoutEffect, useRef } from 'react';
import { Dialog, Heading } from 'react-aria-components';
import styled from 'styled-components';
import type { Why } from '@/core/rig/readings';
import { engraved, oneLine } from '../theme/type';
import { Sheet } from './surfaces';

const RowButton = styled.button`
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  align-items: baseline;
  gap: 12px;
  width: 100%;
  padding: 1px 0;
  border: 0;
  border-bottom: 1px solid var(--line);
  background: none;
  text-align: right;
  cursor: help;
  &:hover > span:first-child {
    color: var(--ink);
    text-decoration: underline dotted;
    text-underline-offset: 3px;
  }
`;

const Name = styled.span`
  color: var(--muted);
  text-align: left;
`;

const Figures = styled.span`
  ${oneLine}
`;

const Figure = styled.span`
  ${engraved}
  font-size: 15px;
`;

const Note = styled.span`
  margin-left: 8px;
  color: var(--muted);
  font-size: 12px;
  font-variant-numeric: tabular-nums;
`;

const Explanation = styled(Dialog)`
  padding: 14px 16px;
  outline: none;
  display: grid;
  gap: 8px;
  max-width: 380px;
`;

const Title = styled(Heading)`
  font-weight: 650;
  font-size: 15px;
`;

const Inputs = styled.dl`
  display: grid;
  grid-template-columns: auto auto;
  gap: 2px 14px;
  dt {
    color: var(--muted);
    overflow-wrap: anywhere;
  }
  dd {
    ${engraved}
    text-align: right;
  }
`;

const Evidence = styled.p`
  color: var(--muted);
  font-size: 12px;
`;

/** Formula, inputs and evidence of one figure. */
function WhySheet({ why }: { why: Why }) {
  return (
    <Explanation>
      <Title slot="title">{why.title}</Title>
      <p>{why.formula}</p>
      <Inputs>
        {why.inputs.map(([name, value], i) => (
          <div key={`${i}-${name}`} style={{ display: 'contents' }}>
            <dt>{name}</dt>
            <dd>{value}</dd>
          </div>
        ))}
      </Inputs>
      <Evidence>{why.evidence}</Evidence>
    </Explanation>
  );
}

interface WhyRowProps<R extends string> {
  name: string;
  figure: string;
  note?: string;
  /** Which reading it is. */
  reading: R;
  /** Asked with the reading and the element that was pressed; the same function from frame to frame. */
  onAsk: (reading: R, pressed: HTMLElement) => void;
}

function Row<R extends string>({ name, figure, note, reading, onAsk }: WhyRowProps<R>) {
  return (
    <RowButton
      type="button"
      aria-haspopup="dialog"
      onClick={(event) => onAsk(reading, event.currentTarget)}
    >
      <Name>{name}</Name>
      <Figures>
        <Figure>{figure}</Figure>
        {note && <Note> {note}</Note>}
      </Figures>
    </RowButton>
  );
}

/** A reading: name and figure; pressing it asks why. Drawn anew only when its words change. */
export const WhyRow = memo(Row) as typeof Row;

interface WhyPopoverProps {
  /** What was pressed; null while nothing is asked. */
  pressed: HTMLElement | null;
  /** Called only while open, so that nothing is explained before it is asked. */
  why: () => Why;
  onClose: () => void;
}

/** The one sheet on which all readings explain themselves. */
export function WhyPopover({ pressed, why, onClose }: WhyPopoverProps) {
  const trigger = useRef<HTMLElement | null>(null);
  useLayoutEffect(() => {
    trigger.current = pressed;
  }, [pressed]);
  if (!pressed) return null;
  return (
    <Sheet
      triggerRef={trigger}
      isOpen
      onOpenChange={(open) => {
        if (!open) onClose();
      }}
      placement="left top"
    >
      <WhySheet why={why()} />
    </Sheet>
  );
}
