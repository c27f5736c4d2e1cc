/** The best trade-offs among what passes: nothing is wider, brighter and lighter at once. */
import type { Candidate } from './candidate';

export type TradeOffCost = 'massG' | 'price';

const widest = ({ views }: Candidate): number => views[0]?.from ?? Infinity;
const longest = ({ views }: Candidate): number => views.at(-1)?.to ?? 0;

/** Whether `a` is at least as good as `b` in all, and better in one. */
function beats(a: Candidate, b: Candidate, cost: TradeOffCost): boolean {
  const [costA, costB] = [a[cost] ?? Infinity, b[cost] ?? Infinity];
  const [lightA, lightB] = [a.tStop ?? Infinity, b.tStop ?? Infinity];
  if (widest(a) > widest(b) || longest(a) < longest(b) || lightA > lightB || costA > costB)
    return false;
  return widest(a) < widest(b) || longest(a) > longest(b) || lightA < lightB || costA < costB;
}

/** Those alike in all that counts here stand or fall together. */
const figuresOf = (c: Candidate, cost: TradeOffCost): string =>
  `${widest(c)}|${longest(c)}|${c.tStop ?? ''}|${c[cost] ?? ''}`;

/**
 * Those that no other beats in views, light and what they weigh or cost together. One whose mass or price is not
 * known is left out: it cannot be compared.
 */
export function tradeOffsOf(candidates: readonly Candidate[], cost: TradeOffCost): Candidate[] {
  const known = candidates.filter((c) => c[cost] !== null);
  const unlike = [...new Map(known.map((c) => [figuresOf(c, cost), c])).values()];
  const best = new Set(
    unlike
      .filter((c) => !unlike.some((other) => beats(other, c, cost)))
      .map((c) => figuresOf(c, cost)),
  );
  return known.filter((c) => best.has(figuresOf(c, cost)));
}
