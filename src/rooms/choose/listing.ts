/** How the rows are sorted, filtered and grouped. */
import { candidateKey, carriedKey, type Candidate } from '@/core/choose/candidate';
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

/** Other ways the same gear records, which stand behind its first row. */
export interface Behind {
  /** Names the gear. */
  key: string;
  count: number;
  areShown: boolean;
}

export type Item =
  | { kind: 'heading'; id: string; words: string }
  | { kind: 'row'; candidate: Candidate; behind: Behind | null; isBehind: boolean };

/** One row for the same gear, those of its other modes behind it: they differ in little that is carried or seen. */
function folded(candidates: readonly Candidate[], unfolded: ReadonlySet<string>): Item[] {
  const gear = new Map<string, Candidate[]>();
  for (const c of candidates) {
    const key = carriedKey(c);
    const known = gear.get(key);
    if (known) known.push(c);
    else gear.set(key, [c]);
  }
  return [...gear].flatMap(([key, [first, ...others]]) => {
    if (!first) return [];
    const areShown = unfolded.has(key);
    const behind = others.length > 0 ? { key, count: others.length, areShown } : null;
    const shown = areShown ? others : [];
    return [
      { kind: 'row', candidate: first, behind, isBehind: false },
      ...shown.map((candidate): Item => ({ kind: 'row', candidate, behind: null, isBehind: true })),
    ];
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
  const groups = new Map<string, Candidate[]>();
  for (const c of sorted) groups.set(keyOf(c), [...(groups.get(keyOf(c)) ?? []), c]);
  return [...groups].flatMap(([id, members]) => {
    const [first] = members;
    const named = first && nameOf(first);
    const name = grouping === 'by lens' ? named?.lens : named?.body;
    return [
      { kind: 'heading', id, words: `${name ?? id}, ${members.length}` },
      ...folded(members, unfolded),
    ];
  });
}
