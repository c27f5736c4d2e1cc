'use client';
import { type Job } from '@/core/kit/records';
import { contradictionOf } from '@/core/choose';
import { memo } from 'react';
import styled from 'styled-components';
import { Progress } from '@/ui/controls/Progress';
import { TextButton } from '@/ui/controls/Buttons';
import { Choice } from '@/ui/controls/Choice';
import { GROUPINGS, SORTS } from './listing';
import type { Search } from './useFound';
import type { ListInHand } from './useList';

const Bar = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0 8px;
  margin-top: 6px;
  padding-top: 4px;
  border-top: 1px solid var(--line);
  [aria-pressed='true'] {
    color: var(--amber);
  }
`;

const Find = styled.input`
  width: 110px;
  padding: 3px 6px;
  border: 0;
  border-bottom: 1px solid var(--line);
  background: none;
  &::placeholder {
    color: var(--muted);
    opacity: 1;
  }
`;

const Muted = styled.span`
  color: var(--muted);
`;

const Nothing = styled.div`
  padding: 20px 0;
  color: var(--muted);
  display: grid;
  gap: 6px;
`;

const FIRST_FAILED = {
  fit: 'do not go together',
  stabiliser: 'have no stabiliser',
  autofocus: 'have no autofocus that works',
  'frame rate': 'are too slow in frames a second',
  pixels: 'have too few pixels',
  view: 'see too wide or too narrow',
  light: 'are too slow',
  depth: 'have another depth',
  corners: 'have dark corners, or a coin’s toss at them',
  risk: 'are too great a risk',
  range: 'serve part of the views alone',
  mass: 'are too heavy',
  price: 'are too dear',
  source: 'are not to be had as asked',
} as const;

/** What most of them fail by, the commonest first. */
function failingWords({ failedBy }: Search['found']): string {
  return Object.entries(failedBy)
    .toSorted(([, a], [, b]) => (b ?? 0) - (a ?? 0))
    .slice(0, 4)
    .map(([code, n]) => `${n ?? 0} ${FIRST_FAILED[code as keyof typeof FIRST_FAILED]}`)
    .join(', ');
}

/** How many can do it: all of it, or part of the views. */
function canWords({ passed, whole }: Search['found']): string {
  const of = (n: number) => n.toLocaleString('en');
  if (whole === passed) return `${of(passed)} can do it`;
  return `${of(whole)} can do all of it, ${of(passed - whole)} part`;
}

/** How far the search is, and how to stop it. */
function SearchState({ search }: { search: Search }) {
  const { found, judged, total, state, stop, again } = search;
  const counted = total.toLocaleString('en');
  if (state === 'running')
    return (
      <>
        <Progress aria-label="Judged" value={judged} max={Math.max(1, total)} />
        <Muted>
          {judged.toLocaleString('en')} of {counted}
        </Muted>
        <TextButton onPress={stop}>Stop</TextButton>
      </>
    );
  if (state === 'lost')
    return (
      <span role="alert">
        The search broke off. <TextButton onPress={again}>Search again</TextButton>
      </span>
    );
  return (
    <Muted role="status" data-testid="choose-count">
      of {counted} combinations
      {found.passed > found.passing.length &&
        `; the best ${found.passing.length.toLocaleString('en')} are listed`}
      {state === 'stopped' && '; stopped before the end'}
      {state === 'stopped' && <TextButton onPress={again}>Go on from the start</TextButton>}
    </Muted>
  );
}

const options = (title: string, words: readonly string[]) => [
  { title, options: words.map((id) => ({ id, label: id })) },
];
const SORT_OPTIONS = options('Order', SORTS);
const GROUP_OPTIONS = options('Groups', GROUPINGS);

/** In what order, grouped how, by which words: it stands still while a search runs. */
const HowListed = memo(function HowListed(props: Pick<ListInHand, 'listing' | 'set' | 'find'>) {
  const { listing, set, find } = props;
  return (
    <>
      <Choice
        bare
        label="Order"
        groups={SORT_OPTIONS}
        chosen={listing.sort}
        onChoose={(id) => set({ sort: SORTS.find((s) => s === id) ?? 'best first' })}
      />
      <Choice
        bare
        label="Groups"
        groups={GROUP_OPTIONS}
        chosen={listing.grouping}
        onChoose={(id) => set({ grouping: GROUPINGS.find((g) => g === id) ?? 'not grouped' })}
      />
      <Find
        ref={find}
        aria-label="Search the rows"
        placeholder="search"
        value={listing.sought}
        onChange={(event) => set({ sought: event.target.value })}
      />
    </>
  );
});

interface ListBarProps {
  search: Search;
  list: ListInHand;
}

/** Which rows, in what order, and how far the search is. */
export function ListBar({ search, list }: ListBarProps) {
  const { listing, set, showsNear, turnNear, find } = list;
  return (
    <Bar>
      <TextButton aria-pressed={!showsNear} onPress={() => showsNear && turnNear()}>
        {canWords(search.found)}
      </TextButton>
      <TextButton aria-pressed={showsNear} onPress={() => !showsNear && turnNear()}>
        {search.found.near.length} near misses
      </TextButton>
      <HowListed listing={listing} set={set} find={find} />
      {listing.only && <TextButton onPress={() => set({ only: null })}>Show all rows</TextButton>}
      <SearchState search={search} />
    </Bar>
  );
}

const nothingWords = ({ listing, showsNear }: ListInHand): string => {
  if (listing.sought || listing.only) return 'No row has these words.';
  return showsNear
    ? 'Nothing misses by a single thing that could be mended.'
    : 'Nothing in this kit can do it as asked.';
};

/** Why there are no rows. */
export function NoRows({ search, list, job }: ListBarProps & { job: Job }) {
  if (search.state === 'running') return null;
  return (
    <Nothing>
      <p>{contradictionOf(job) ?? nothingWords(list)}</p>
      {!list.showsNear && <p>{failingWords(search.found)}.</p>}
      {!list.showsNear && search.found.near.length > 0 && (
        <p>
          <TextButton onPress={list.turnNear}>Look at the near misses</TextButton>
        </p>
      )}
    </Nothing>
  );
}
