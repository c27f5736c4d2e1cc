/** Views served, their share of what is wanted, and what several crops of one combination serve together. */
import type { Job } from '../kit/records';
import { logWidth, type Window } from '../maths';
import { SAME_VIEW } from '../optics';
import type { Candidate, Risk } from './candidate';
import { joined } from './covered';

/** Share of the octaves wanted that some views are, 0..1; a single view is all of it where it is there. */
export function shareOf(views: readonly Window[], { viewFromMm, viewToMm }: Job): number {
  const wanted = Math.log(viewToMm / viewFromMm);
  if (wanted < 1e-6) return views.length > 0 ? 1 : 0;
  return Math.min(1, logWidth(views) / wanted);
}

/** More than this of the range is all of it. */
const WHOLE_SHARE = 0.998;

/** Whether it serves all the views there are. */
export const servesAll = (candidate: Pick<Candidate, 'share'> | null): boolean =>
  (candidate?.share ?? 0) >= WHOLE_SHARE;

/** The greater of two risks. */
export const riskier = (a: Risk | null, b: Risk): Risk => (a === null || b.risk > a.risk ? b : a);

/** A window of views, and the crop that serves it. */
interface Piece {
  candidate: Candidate;
  window: Window;
}

/** The fewest pieces that span all there is to span, each for the views it is taken for. */
function fewest(pieces: readonly Piece[]): Piece[] {
  const used: Piece[] = [];
  let at = 0;
  for (;;) {
    const begun = at;
    const goOn = pieces.filter(
      ({ window }) => window.from <= begun * SAME_VIEW && window.to > begun * SAME_VIEW,
    );
    const later = pieces.filter(({ window }) => window.from > begun * SAME_VIEW);
    const start = Math.min(...later.map(({ window }) => window.from));
    const next =
      goOn.length > 0 ? goOn : later.filter(({ window }) => window.from <= start * SAME_VIEW);
    const [farthest] = next.toSorted((a, b) => b.window.to - a.window.to);
    if (!farthest) return used;
    const { candidate, window } = farthest;
    used.push({ candidate, window: { from: Math.max(begun, window.from), to: window.to } });
    at = window.to;
  }
}

/** What several crops of one combination serve together, with the fewest of them. */
export function together(served: readonly Candidate[], job: Job): Candidate | null {
  const used = fewest(
    served.flatMap((candidate) => candidate.views.map((window) => ({ candidate, window }))),
  );
  const [widest, ...more] = used;
  if (!widest) return null;
  const rigs = used.map(({ candidate }) => candidate);
  const views = joined(used.map(({ window }) => window));
  return {
    ...widest.candidate,
    views,
    share: shareOf(views, job),
    crops: used.map(({ candidate: { cropId, digitalZoom }, window }) => ({
      cropId,
      digitalZoom,
      views: [window],
    })),
    unknowns: [...new Set(rigs.flatMap((c) => c.unknowns))],
    scale: Math.max(...rigs.map((c) => c.scale)),
    risk: more.reduce<Risk | null>(
      (most, { candidate: { risk } }) => (risk ? riskier(most, risk) : most),
      widest.candidate.risk,
    ),
  };
}
