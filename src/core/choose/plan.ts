/** The fewest rigs that span the views wanted, on one body, and what is left open. */
import type { Job } from '../kit/records';
import { gapsBetween, logWidth, withinSpan, type Window } from '../maths';
import { SAME_VIEW } from '../optics';
import type { Candidate } from './candidate';
import { joined } from './covered';

interface PlanStep {
  candidate: Candidate;
  /** The views it is taken for, 36x24 mm. */
  views: Window;
}

export interface Plan {
  bodyId: string;
  steps: PlanStep[];
  /** Views nothing that passes on this body serves, mm. */
  gaps: Window[];
  /** For each gap, what would close most of it, were it had another way; null where nothing would. */
  closers: (Candidate | null)[];
}

interface Piece {
  candidate: Candidate;
  window: Window;
}

const piecesOf = (candidates: readonly Candidate[]): Piece[] =>
  candidates.flatMap((candidate) => candidate.views.map((window) => ({ candidate, window })));

/** Gear a plan has to carry besides what it carries already. */
const newGear = ({ candidate }: Piece, carried: ReadonlySet<string>): number =>
  [candidate.lensId, ...candidate.partIds].filter((id) => !carried.has(id)).length;

/**
 * Of the pieces that go on from where the plan stands, the one that reaches farthest; of equals the one that adds
 * least gear. For windows on a line that is the fewest there can be.
 */
function nextPiece(pieces: readonly Piece[], at: number, carried: ReadonlySet<string>) {
  let best: Piece | null = null;
  for (const piece of pieces) {
    if (piece.window.from > at * SAME_VIEW || piece.window.to <= at * SAME_VIEW) continue;
    const reaches = best === null ? Infinity : piece.window.to / best.window.to;
    const isFarther = best === null || reaches > SAME_VIEW;
    const isAsFar = best !== null && reaches > 1 / SAME_VIEW;
    if (isFarther || (isAsFar && best && newGear(piece, carried) < newGear(best, carried)))
      best = piece;
  }
  return best;
}

function planOn(bodyId: string, passing: readonly Candidate[], job: Job): Omit<Plan, 'closers'> {
  const pieces = piecesOf(passing);
  const steps: PlanStep[] = [];
  const carried = new Set<string>();
  let at = job.viewFromMm;
  const isSingle = job.viewToMm / job.viewFromMm < SAME_VIEW;
  while (at < job.viewToMm / SAME_VIEW || (isSingle && steps.length === 0)) {
    const piece = isSingle
      ? (pieces.find(
          ({ window }) => window.from <= at * SAME_VIEW && window.to >= at / SAME_VIEW,
        ) ?? null)
      : nextPiece(pieces, at, carried);
    if (piece) {
      steps.push({
        candidate: piece.candidate,
        views: { from: at, to: Math.min(piece.window.to, job.viewToMm) },
      });
      for (const id of [piece.candidate.lensId, ...piece.candidate.partIds]) carried.add(id);
      at = piece.window.to;
      if (isSingle) break;
      continue;
    }
    // Nothing goes on from here: the next window that begins after it, if any.
    const starts = pieces.map(({ window }) => window.from).filter((from) => from > at * SAME_VIEW);
    if (starts.length === 0) break;
    at = Math.min(...starts);
  }
  const span = { from: job.viewFromMm, to: job.viewToMm };
  const served = joined(steps.map((s) => s.views));
  const gaps =
    isSingle && steps.length === 0
      ? [span]
      : gapsBetween(served, span).filter((gap) => gap.to / gap.from > SAME_VIEW);
  return { bodyId, steps, gaps };
}

/**
 * Of what passes on other bodies, and of misses for how they are had or for what they weigh or cost, the one that
 * closes most of a gap.
 */
function closerOf(gap: Window, others: readonly Candidate[], bodyId: string): Candidate | null {
  const shareOf = (c: Candidate) => {
    const within = withinSpan(c.views, gap).filter(
      ({ from, to }) => to > from || (from > gap.from && to < gap.to),
    );
    // A single view closes a little.
    return logWidth(within.map(({ from, to }) => ({ from, to: to * (1 + 1e-9) })));
  };
  const CLOSES = ['source', 'mass', 'price', 'range'];
  const closing = others.filter(
    (c) => c.fails.every((f) => CLOSES.includes(f.code)) && shareOf(c) > 0,
  );
  return (
    closing.toSorted(
      (a, b) =>
        Number(b.bodyId === bodyId) - Number(a.bodyId === bodyId) || shareOf(b) - shareOf(a),
    )[0] ?? null
  );
}

/** The plan of the body that leaves least open with the fewest rigs; null where nothing passes. */
export function coveragePlan(
  passing: readonly Candidate[],
  near: readonly Candidate[],
  job: Job,
): Plan | null {
  const bodies = [...new Set(passing.map((c) => c.bodyId))];
  const plans = bodies.map((bodyId) =>
    planOn(
      bodyId,
      passing.filter((c) => c.bodyId === bodyId),
      job,
    ),
  );
  const [best] = plans.toSorted(
    (a, b) =>
      Math.round(100 * logWidth(a.gaps)) - Math.round(100 * logWidth(b.gaps)) ||
      a.steps.length - b.steps.length,
  );
  if (!best) return null;
  return {
    ...best,
    closers: best.gaps.map((gap) =>
      closerOf(gap, [...near, ...passing.filter((c) => c.bodyId !== best.bodyId)], best.bodyId),
    ),
  };
}
