/** How the rows are sorted, filtered and grouped. */
import { candidateKey, type Candidate } from '@/core/choose/candidate';
import { wholeName, type Namer } from './names';

export const SORTS = ['best first', 'widest view', 'most light', 'lightest', 'cheapest'] as const;
export type Sort = (typeof SORTS)[number];
export const GROUPINGS = ['not grouped', 'by lens', 'by body'] as const;
export type Grouping = (typeof GROUPINGS)[number];

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
  lightest: (c) => last(c.massG),
  cheapest: (c) => last(c.price),
};

export type Item =
  { kind: 'heading'; id: string; words: string } | { kind: 'row'; candidate: Candidate };

/** The rows as they stand, headings between them where they are grouped. */
export function listed(
  candidates: readonly Candidate[],
  { sort, grouping, sought, only }: Listing,
  nameOf: Namer,
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
  const row = (candidate: Candidate): Item => ({ kind: 'row', candidate });
  if (grouping === 'not grouped') return sorted.map(row);
  const keyOf = (c: Candidate) => (grouping === 'by lens' ? c.lensId : c.bodyId);
  const groups = new Map<string, Candidate[]>();
  for (const c of sorted) groups.set(keyOf(c), [...(groups.get(keyOf(c)) ?? []), c]);
  return [...groups].flatMap(([id, members]) => {
    const [first] = members;
    const named = first && nameOf(first);
    const name = grouping === 'by lens' ? named?.lens : named?.body;
    return [
      { kind: 'heading', id, words: `${name ?? id}, ${members.length}` },
      ...members.map(row),
    ];
  });
}
