'use client';
import { memo } from 'react';
import styled from 'styled-components';
import type { Part } from '@/core/kit/records';
import type { Rig } from '@/core/rig';
import type { Way } from '@/core/rig/search';
import { Fold } from '@/ui/controls/Fold';
import { VerdictMark } from '@/ui/marks/VerdictMark';
import { useWays, type Search } from './useWays';

/**
 * Room for five to seven ways in full words; more are reached by scrolling, and none leave the room as it is. The entries are
 * plain elements styled from here: they change several times a second while a ring is turned.
 */
const List = styled.ul`
  height: 178px;
  overflow-y: auto;
  button {
    display: grid;
    grid-template-columns: auto minmax(0, 1fr);
    align-items: center;
    column-gap: 9px;
    width: 100%;
    padding: 3px 6px 3px 2px;
    border: 0;
    border-bottom: 1px solid var(--line);
    background: none;
    text-align: left;
    cursor: pointer;
  }
  button:hover,
  button:focus-visible {
    background: var(--raised);
    color: var(--amber);
  }
  /* The price stands beside the words where both fit on a line, else below them. */
  .way {
    display: flex;
    flex-wrap: wrap;
    justify-content: space-between;
    column-gap: 10px;
  }
  .price {
    color: var(--muted);
    font-size: 12px;
  }
`;

const None = styled.li`
  color: var(--muted);
  padding: 6px 0;
`;

/** Every way ends so. */
const AFTER = { kind: 'Clear', or: null } as const;

interface WayHandlers {
  /** Shows a way on the stage; null takes the preview back. */
  onPreview: (way: Way | null) => void;
  onApply: (way: Way) => void;
}

const WayEntry = memo(function WayEntry({ way, onPreview, onApply }: WayHandlers & { way: Way }) {
  return (
    <li>
      <button
        type="button"
        title={way.words}
        onMouseEnter={() => onPreview(way)}
        onFocus={() => onPreview(way)}
        onBlur={() => onPreview(null)}
        onClick={() => {
          onPreview(null);
          onApply(way);
        }}
      >
        <VerdictMark face={AFTER} size={19} />
        <span className="way">
          <span>{way.words}</span>
          <span className="price">{way.costWords}</span>
        </span>
      </button>
    </li>
  );
});

interface WayListProps extends WayHandlers {
  ways: readonly Way[];
  /** What is said where there are none. */
  none: string;
}

/** Drawn anew only when other ways are found. */
const WayList = memo(function WayList({ ways, none, onPreview, onApply }: WayListProps) {
  return (
    <List onMouseLeave={() => onPreview(null)} tabIndex={-1}>
      {ways.map((way, i) => (
        // By place: the list is re-ranked while a ring is turned, and entries stay where they are.
        <WayEntry key={i} way={way} onPreview={onPreview} onApply={onApply} />
      ))}
      {ways.length === 0 && <None>{none}</None>}
    </List>
  );
});

/** Why no ways are told, in a sentence and in the few words of the heading. */
const NONE = {
  torn: ['First it has to go together.', 'fit first'],
  clear: ['Nothing needs mending.', 'none needed'],
  looking: ['Looking for ways…', 'looking'],
  lost: ['The search broke off; it begins again with the next turn of a ring.', 'broke off'],
  none: ['No single change or pair of changes mends this.', 'none found'],
} as const;

function whyNone(found: Search, clear: boolean, torn: boolean): keyof typeof NONE {
  if (torn) return 'torn';
  if (clear) return 'clear';
  return typeof found === 'string' ? found : 'none';
}

interface WaysOutProps extends WayHandlers {
  rig: Rig;
  /** Parts at hand. */
  kit: readonly Part[];
  startsOpen: boolean;
  /** True where nothing needs mending. */
  clear: boolean;
  /** True where the rig does not go together: that comes first. */
  torn: boolean;
}

const NO_WAYS: readonly Way[] = [];

/** Changes that mend the verdict, each with its price: look at one by pointing at it, take it by pressing. */
export function WaysOut({ rig, kit, startsOpen, clear, torn, onPreview, onApply }: WaysOutProps) {
  const found = useWays(rig, kit);
  const ways = clear || torn || typeof found === 'string' ? NO_WAYS : found;
  const [sentence, words] = NONE[whyNone(found, clear, torn)];
  return (
    <Fold title="Ways out" summary={ways[0]?.words ?? words} startsOpen={startsOpen}>
      <WayList ways={ways} none={sentence} onPreview={onPreview} onApply={onApply} />
    </Fold>
  );
}
