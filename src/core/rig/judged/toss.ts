/** Whether a verdict is a coin's toss, and between what. */
import {
  judgeAt,
  keyholeRadiusMm,
  VERDICT_KINDS,
  worstCornerUnder,
  type Travel,
  type VerdictKind,
} from '../../frame';
import { swayed, type Halo, type HaloUnsure } from '../../halo';
import { HERMITE_3 } from '../../maths';
import type { FrameSize } from '../../optics';
import { chanceOfDark, onOtherSide, riskOf } from './risk';

/** From this chance of a better or a worse verdict on, both are named: nobody should act on one of them. A rule of this program. */
export const TOSS_SHARE = 0.25;

/** What a verdict is about: the part of a situation that decides it. */
export interface Asked {
  halo: Halo;
  delivered: FrameSize;
  travel: Travel;
  limitStops: number;
}

/**
 * Standard deviations to the dark side and to the light. Edge and falloff both leave less than half the share that makes a
 * toss beyond them: 12 % beyond 1.2, 6 % beyond 1.6, nothing to speak of beyond 3.
 */
type Ends = readonly [dark: number, light: number];
const ENDS = [
  [-1.2, 3],
  [-1.6, 1.6],
  [-3, 1.2],
] as const satisfies readonly Ends[];
/** Softness is asked at these places only. */
const SOFTNESS_SIGMAS = [HERMITE_3[0].z, HERMITE_3[2].z];
/** 1/L² stays positive however unsure it is. */
const LEAST_FALLOFF = 0.05;

/**
 * The halo with its edges, softness and natural falloff so many standard deviations off, for whoever asks about a corner;
 * a wider edge goes with less falloff.
 */
function swayedHalo(
  { rims, exitPupilMm, coneTangent, centre }: Halo,
  unsure: HaloUnsure,
  cornerMm: number,
  lighter: number,
  softer: number,
): Halo {
  const { softnessSigma, falloffSigma } = unsure;
  const falloff = Math.max(LEAST_FALLOFF, 1 - lighter * falloffSigma);
  return {
    rims: swayed(rims, unsure, cornerMm, lighter, Math.exp(softer * softnessSigma)),
    exitPupilMm: exitPupilMm === null ? null : exitPupilMm / Math.sqrt(falloff),
    coneTangent,
    centre,
  };
}

/**
 * Whether the verdict is the same at the ends of what is likely, so that the chance of another one stays below the
 * share that makes a toss. Quick; where it says no, only the whole sum tells.
 */
export function isSettled(asked: Asked, kind: VerdictKind, unsure: HaloUnsure): boolean {
  if (unsure.unlikeShare > TOSS_SHARE) return false;
  const { delivered, travel, limitStops } = asked;
  const { halo, cornerMm } = worstCornerUnder(asked.halo, delivered, travel);
  const keyholeMm = () => keyholeRadiusMm(delivered, halo.centre);
  const other = unsure.isSideUnknown ? onOtherSide(halo.rims) : null;
  const halos = other ? [halo, { ...halo, rims: other }] : [halo];
  const holdsAt = (lighter: number): boolean =>
    halos.every((one) =>
      SOFTNESS_SIGMAS.every((softer) => {
        const end = swayedHalo(one, unsure, cornerMm, lighter, softer);
        return judgeAt(end, cornerMm, limitStops, keyholeMm).kind === kind;
      }),
    );
  // Nothing is better than Clear and nothing worse than Keyhole: the other end needs no asking.
  if (kind === 'Clear') return holdsAt(ENDS[0][0]);
  if (kind === 'Keyhole') return holdsAt(ENDS[2][1]);
  return ENDS.some(([dark, light]) => holdsAt(dark) && holdsAt(light));
}

/** How likely the worst corner is darker than accepted or hard, 0..1. */
export const riskIn = (
  { halo, delivered, travel, limitStops }: Asked,
  unsure: HaloUnsure,
): number => riskOf(halo, delivered, travel, limitStops, unsure);

/** The likeliest of some verdicts, where together they are as likely as makes a toss; null else. */
function likeliest(
  kinds: readonly VerdictKind[],
  chances: Readonly<Record<VerdictKind, number>>,
): { kind: VerdictKind; together: number } | null {
  const together = kinds.reduce((sum, kind) => sum + chances[kind], 0);
  const [first, ...others] = kinds;
  if (first === undefined || together <= TOSS_SHARE) return null;
  const kind = others.reduce(
    (best, other) => (chances[other] > chances[best] ? other : best),
    first,
  );
  return { kind, together };
}

/**
 * The verdict that may as well hold as the expected one: the likeliest of the worse, or of the better, where these are
 * together as likely as one in four. Null where neither are. `risk` is that of riskIn where it is known.
 */
export function otherVerdict(
  asked: Asked,
  kind: VerdictKind,
  unsure: HaloUnsure,
  risk?: number,
): VerdictKind | null {
  if (isSettled(asked, kind, unsure)) return null;
  const notClear = risk ?? riskIn(asked, unsure);
  if (kind === 'Clear' && notClear <= TOSS_SHARE) return null;
  const { delivered, travel } = asked;
  const { halo, cornerMm } = worstCornerUnder(asked.halo, delivered, travel);
  const keyholeMm = keyholeRadiusMm(delivered, halo.centre);
  const hard = Math.min(notClear, chanceOfDark(halo, cornerMm, 0, unsure));
  const keyhole = hard > 0 ? Math.min(hard, chanceOfDark(halo, keyholeMm, 0, unsure)) : 0;
  const chances: Record<VerdictKind, number> = {
    Clear: 1 - notClear,
    Shaded: notClear - hard,
    Clipped: hard - keyhole,
    Keyhole: keyhole,
  };
  const here = VERDICT_KINDS.indexOf(kind);
  const better = likeliest(VERDICT_KINDS.slice(0, here), chances);
  const worse = likeliest(VERDICT_KINDS.slice(here + 1), chances);
  if (better && worse) return worse.together >= better.together ? worse.kind : better.kind;
  return (better ?? worse)?.kind ?? null;
}
