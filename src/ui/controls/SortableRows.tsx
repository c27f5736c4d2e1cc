'use client';
import { GripVertical } from 'lucide-react';
import {
  useEffect,
  useRef,
  useState,
  type KeyboardEvent,
  type PointerEvent,
  type RefObject,
} from 'react';
import styled from 'styled-components';

const List = styled.ol`
  display: grid;
  gap: 5px;
  min-width: 0;
`;

const Row = styled.li<{ $held: boolean; $dropAt: 'above' | 'below' | null }>`
  position: relative;
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  align-items: center;
  gap: 2px;
  ${(p) => p.$held && 'z-index: 2; opacity: 0.85;'}
  ${(p) =>
    p.$dropAt &&
    `&::after { content: ''; position: absolute; left: 0; right: 0; height: 2px; background: var(--amber);
      ${p.$dropAt === 'above' ? 'top: -4px' : 'bottom: -4px'}; }`}
`;

const Grip = styled.button`
  display: grid;
  place-items: center;
  width: 22px;
  height: 30px;
  padding: 0;
  border: 0;
  background: none;
  color: var(--muted);
  cursor: grab;
  touch-action: none;
  &:hover {
    color: var(--amber);
  }
  &:active {
    cursor: grabbing;
  }
`;

const Spoken = styled.span`
  position: absolute;
  width: 1px;
  height: 1px;
  overflow: hidden;
  clip-path: inset(50%);
`;

interface SortableItem {
  /** The same item keeps its key wherever it stands. */
  key: string;
  name: string;
  row: React.ReactNode;
}

interface Held {
  from: number;
  startY: number;
  dy: number;
  to: number;
}

interface SortableRowsProps {
  label: string;
  items: readonly SortableItem[];
  onMove: (from: number, to: number) => void;
}

/** Carrying a row by its grip: where it is, and where it would be put down. */
function useCarrying(
  list: RefObject<HTMLOListElement | null>,
  onMove: (from: number, to: number) => void,
) {
  const [held, setHeld] = useState<Held | null>(null);
  /** How many of the other rows have their middle above the pointer. */
  const placeAt = (clientY: number, from: number): number =>
    [...(list.current?.children ?? [])].filter((row, i) => {
      const box = row.getBoundingClientRect();
      return i !== from && box.top + box.height / 2 < clientY;
    }).length;
  const leave = () => setHeld(null);
  const grip = (index: number) => ({
    onPointerDown: (event: PointerEvent) => {
      if (event.button !== 0) return;
      event.currentTarget.setPointerCapture(event.pointerId);
      setHeld({ from: index, startY: event.clientY, dy: 0, to: index });
    },
    onPointerMove: ({ clientY }: PointerEvent) => {
      if (!held) return;
      setHeld({ ...held, dy: clientY - held.startY, to: placeAt(clientY, held.from) });
    },
    onPointerUp: () => {
      if (held) onMove(held.from, held.to);
      leave();
    },
    onPointerCancel: leave,
  });
  return { held, grip, leave };
}

/** Where the line that says "here" stands at row `i`. */
function dropLine(held: Held | null, i: number): 'above' | 'below' | null {
  if (!held || held.to !== i || held.to === held.from) return null;
  return held.to < held.from ? 'above' : 'below';
}

/** Rows that change places: drag one by its grip, or take the grip and press the up and down arrows. */
export function SortableRows({ label, items, onMove }: SortableRowsProps) {
  const list = useRef<HTMLOListElement>(null);
  const [said, setSaid] = useState('');
  const follow = useRef<string | null>(null);

  // The grip that was moved by keyboard keeps the focus where it went.
  useEffect(() => {
    if (follow.current === null) return;
    const grip = `[data-grip="${CSS.escape(follow.current)}"]`;
    list.current?.querySelector<HTMLElement>(grip)?.focus();
    follow.current = null;
  }, [items]);

  const move = (from: number, to: number) => {
    const item = items[from];
    if (!item || to === from || to < 0 || to >= items.length) return;
    setSaid(`${item.name} is now ${to + 1} of ${items.length}.`);
    onMove(from, to);
  };
  const { held, grip, leave } = useCarrying(list, move);
  const onKey = (event: KeyboardEvent, index: number) => {
    if (event.key === 'Escape') leave();
    const step = event.key === 'ArrowUp' ? -1 : event.key === 'ArrowDown' ? 1 : 0;
    if (step === 0) return;
    event.preventDefault();
    follow.current = items[index]?.key ?? null;
    move(index, index + step);
  };

  return (
    <>
      <List ref={list} aria-label={label}>
        {items.map((item, i) => (
          <Row
            key={item.key}
            $held={held?.from === i}
            $dropAt={dropLine(held, i)}
            style={held?.from === i ? { transform: `translateY(${held.dy}px)` } : undefined}
          >
            <Grip
              type="button"
              data-grip={item.key}
              title="Drag it, or press the up and down arrows, to move it"
              aria-label={`Move ${item.name}, ${i + 1} of ${items.length}`}
              onKeyDown={(event) => onKey(event, i)}
              {...grip(i)}
            >
              <GripVertical size={14} aria-hidden="true" />
            </Grip>
            {item.row}
          </Row>
        ))}
      </List>
      <Spoken role="status">{said}</Spoken>
    </>
  );
}
