/** How the rows are sorted, filtered and grouped. */
import { candidateKey, carriedKey, type Candidate } from '@/core/choose';
import { grouped } from '@/core/maths';
import { wholeName, type Namer } from './names';

export const SORTS = [
  'best first',
  'widest view',
  'most light',
  'least risk',
  'lightest',
  'cheapest',
] as const;
export type Sort = (typeof SORTS)[number];
export const GROUPINGS = ['not grouped', 'by lens', 'by body'] as const;
type Grouping = (typeof GROUPINGS)[number];

export interface Listing {
  sort: Sort;
  grouping: Grouping;
  sought: string;
  /** Only these, by key; null for all. */
  only: ReadonlySet<string> | null;
}

const last = (value: number | null): number => value ?? Number.MAX_VALUE;
const FIGURES: Readonly<Record<Sort, ((c: Candidate) => number) | null>> = {
  'best first': null,
  'widest view': (c) => c.views[0]?.from ?? Number.MAX_VALUE,
  'most light': (c) => last(c.tStop),
  'least risk': (c) => last(c.risk && c.risk.risk),
  lightest: (c) => last(c.massG),
  cheapest: (c) => last(c.price),
};

export interface RowItem {
  kind: 'row';
  candidate: Candidate;
  /** Other modes of the same gear that stand behind this row, and whether they are shown. */
  behind: number;
  areShown: boolean;
  /** Whether it is one of those. */
  isBehind: boolean;
}

export type Item = { kind: 'heading'; id: string; words: string } | RowItem;

/** One row for the same gear, those of its other modes behind it: they differ in little that is carried or seen. */
function folded(candidates: readonly Candidate[], unfolded: ReadonlySet<string>): Item[] {
  return [...grouped(candidates, carriedKey)].flatMap(([key, members]) => {
    const areShown = unfolded.has(key);
    const row = (candidate: Candidate, i: number): RowItem => ({
      kind: 'row',
      candidate,
      behind: i === 0 ? members.length - 1 : 0,
      areShown,
      isBehind: i > 0,
    });
    return (areShown ? members : members.slice(0, 1)).map(row);
  });
}

/** The rows as they stand, the same gear in one, headings between them where they are grouped. */
export function listed(
  candidates: readonly Candidate[],
  { sort, grouping, sought, only }: Listing,
  nameOf: Namer,
  unfolded: ReadonlySet<string>,
): Item[] {
  const words = sought.toLowerCase().split(/\s+/).filter(Boolean);
  const passing = candidates.filter((c) => {
    if (only && !only.has(candidateKey(c))) return false;
    if (words.length === 0) return true;
    const name = wholeName(nameOf(c)).toLowerCase();
    return words.every((word) => name.includes(word));
  });
  const figure = FIGURES[sort];
  const sorted = figure ? passing.toSorted((a, b) => figure(a) - figure(b)) : passing;
  if (grouping === 'not grouped') return folded(sorted, unfolded);
  const keyOf = (c: Candidate) => (grouping === 'by lens' ? c.lensId : c.bodyId);
  return [...grouped(sorted, keyOf)].flatMap(([id, members]): Item[] => {
    const [first] = members;
    const named = first && nameOf(first);
    const name = grouping === 'by lens' ? named?.lens : named?.body;
    return [
      { kind: 'heading', id, words: `${name ?? id}, ${members.length}` },
      ...folded(members, unfolded),
    ];
  });
}
