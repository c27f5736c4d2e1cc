/** The verdict in one plain sentence, as a colleague at the bench would say it. */
import { type Verdict, isHardEdge } from '../../frame';
import { atEndWords, type FitProblem, type Situation } from '../../rig';
import type { Judged } from '../judged';
import type { CoverageReport } from './coverageReport';
import { isBlack, fixed, mm, stopsWords, darknessWords } from '../../words';
import { farthestCornerMm } from '../../optics';

const NUMBER_WORDS = ['No', 'One', 'Two', 'Three', 'All four'] as const;

function cornersWhere(
  values: readonly (number | null)[],
  test: (v: number | null) => boolean,
): string {
  const count = values.filter(test).length;
  const word = NUMBER_WORDS[count] ?? 'All four';
  return `${word} ${count === 1 ? 'corner' : 'corners'}`;
}

/** Stops of a corner beside those accepted: so many digits that the two do not read alike. */
function besideLimit(stops: number, limitStops: number): [string, string] {
  const digits = [1, 2, 3].find((d) => fixed(stops, d) !== fixed(limitStops, d)) ?? 3;
  return [stopsWords(stops, digits), stopsWords(limitStops, digits)];
}

/** Where the light is fine and the definition is not. */
const definitionWords = ({ definitionMarginMm: margin }: CoverageReport): string =>
  margin === null || margin >= 0 ? '' : ` Definition ends ${mm(-margin)} before the corners.`;

/** One sentence for the verdict; says so where only the stabiliser's travel brings the trouble. */
function verdictSentence(
  { rig, delivered, halo, limitStops }: Situation,
  verdict: Verdict,
  coverage: CoverageReport,
): string {
  const atEnd = atEndWords(rig);
  const worst = verdict.worstCornerStops;
  const whileMoving = atEnd === null ? '' : ` with ${atEnd}`;
  // What the halo's edge is short of is the frame at rest.
  const atRestMm = farthestCornerMm(delivered, halo.centre);
  switch (verdict.kind) {
    case 'Keyhole':
      return `The halo ends well inside the frame, ${mm(atRestMm - coverage.radiiMm.half)} short of the corners.`;
    case 'Clipped': {
      const black = coverage.cornerStops.filter(isBlack).length;
      if (black > 0) {
        return `${cornersWhere(coverage.cornerStops, isBlack)} ${black === 1 ? 'goes' : 'go'} black, up to ${mm(
          Math.max(0.1, coverage.worstCornerRadiusMm - coverage.radiiMm.black),
        )} inside the frame${whileMoving}.`;
      }
      if (isHardEdge(halo))
        return `A hard edge cuts the corners${whileMoving}; that cannot be lifted.`;
      return `The corners fade to ${darknessWords(worst)}${whileMoving}: no edge, but too dark to lift.`;
    }
    case 'Shaded': {
      const [down, limit] = besideLimit(worst ?? 0, limitStops);
      return `The darkest corner is ${down} down${whileMoving}, soft enough to lift; you accept ${limit}.`;
    }
    case 'Clear':
      return `Covered: the darkest corner is ${stopsWords(worst ?? 0)} down${whileMoving}.${definitionWords(coverage)}`;
  }
}

/** Fit comes before coverage: what is wrong with it, then what the coverage would be. */
export const ifJoined = ({ sentence }: FitProblem, covers: string): string =>
  `${sentence} If it went together: ${covers.charAt(0).toLowerCase()}${covers.slice(1)}`;

/** The verdict in a sentence. */
export function sentenceOf(
  situation: Situation,
  verdict: Judged,
  coverage: CoverageReport,
  problem: FitProblem | null,
): string {
  const { or } = verdict;
  const sure = verdictSentence(situation, verdict, coverage);
  const covers = or === null ? sure : `${sure} It may as well be ${or}.`;
  return problem ? ifJoined(problem, covers) : covers;
}
