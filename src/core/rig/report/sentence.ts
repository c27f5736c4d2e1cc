/** The verdict in one plain sentence, as a colleague at the bench would say it. */
import type { Coverage, Verdict } from '../../frame/coverage';
import type { Travel } from '../../frame/geometry';
import type { FitProblem } from '../mechanicalFit';
import { isBlack } from '../../words/corners';
import { mm, stopsWords } from '../../words/figures';

interface FrameFacts {
  travel: Travel;
}

const NUMBER_WORDS = ['No', 'One', 'Two', 'Three', 'All four'] as const;

function cornersWhere(
  values: readonly (number | null)[],
  test: (v: number | null) => boolean,
): string {
  const count = values.filter(test).length;
  const word = NUMBER_WORDS[count] ?? 'All four';
  return `${word} ${count === 1 ? 'corner' : 'corners'}`;
}

/** One sentence for the verdict; says so where only the stabiliser's travel brings the trouble. */
export function verdictSentence(
  verdict: Verdict,
  coverage: Coverage,
  frame: FrameFacts,
  limitStops: number,
): string {
  const moving = frame.travel.xMm > 0 || frame.travel.yMm > 0;
  const worst = verdict.worstCornerStops;
  const whileMoving = moving ? ' with the stabiliser at its end' : '';
  switch (verdict.kind) {
    case 'Keyhole':
      return `The halo ends well inside the frame, ${mm(-coverage.marginMm.half)} short of the corners.`;
    case 'Clipped': {
      const black = coverage.cornerStops.filter(isBlack).length;
      const one = black === 1;
      if (black > 0) {
        return `${cornersWhere(coverage.cornerStops, isBlack)} ${one ? 'goes' : 'go'} black, up to ${mm(
          Math.max(0.1, coverage.worstCornerRadiusMm - coverage.radiiMm.half),
        )} inside the frame.`;
      }
      return `A hard edge cuts the corners${whileMoving}; that cannot be lifted.`;
    }
    case 'Shaded':
      return `The darkest corner is ${stopsWords(worst ?? 0)} down${whileMoving}, soft enough to lift; you accept ${stopsWords(limitStops)}.`;
    case 'Clear':
      return `Covered: the darkest corner is ${stopsWords(worst ?? 0)} down${whileMoving}.`;
  }
}

/** Fit comes before coverage: what is wrong with it, then what the coverage would be. */
export const ifJoined = ({ sentence }: FitProblem, covers: string): string =>
  `${sentence} If it went together: ${covers.charAt(0).toLowerCase()}${covers.slice(1)}`;
