/** How a halo covers a frame: corners, margins, shares, clean frames, and the verdict. */
import {
  haloProfile,
  haloRadii,
  HARD_TRANSMISSION,
  type HaloProfile,
  type HaloRadii,
  darknessStops,
  lightAt,
  transmissionAt,
  type Halo,
} from '../halo';
import { keptIn, whereFalling } from '../maths';
import type { FrameSize, Offset } from '../optics';
import {
  areaShare,
  cornerRadii,
  NO_TRAVEL,
  worstCornerRadius,
  type Travel,
  cornersOver,
  type PerCorner,
} from './geometry';

/** Best first. */
export const VERDICT_KINDS = ['Clear', 'Shaded', 'Clipped', 'Keyhole'] as const;
export type VerdictKind = (typeof VERDICT_KINDS)[number];

/** The better of two verdicts. */
export const betterVerdict = (a: VerdictKind, b: VerdictKind): VerdictKind =>
  VERDICT_KINDS.indexOf(a) <= VERDICT_KINDS.indexOf(b) ? a : b;

/** Below this share of the frame lit through the rims, the frame looks through a keyhole. */
export const KEYHOLE_SHARE = 0.85;

/** What a verdict's face shows. */
export interface VerdictFace {
  /** By what is expected. */
  kind: VerdictKind;
  /** The likeliest other one where it is a coin's toss; null where the first is likely enough to act on. */
  or: VerdictKind | null;
}

/** The two of a toss, the better first; twice the same where it is none. */
export const bothOf = ({ kind, or }: VerdictFace): [better: VerdictKind, worse: VerdictKind] =>
  or !== null && betterVerdict(kind, or) === or ? [or, kind] : [kind, or ?? kind];

/** A verdict in words: "Shaded", "Clear or Shaded". */
export const verdictWords = (face: VerdictFace): string => [...new Set(bothOf(face))].join(' or ');

/** Whether it is Clear, and no coin's toss. */
export const isSurelyClear = ({ kind, or }: VerdictFace): boolean =>
  kind === 'Clear' && or === null;

export interface Verdict {
  kind: VerdictKind;
  /** Darkness of the worst corner over the travel, stops, + is darker; null where no light comes. */
  worstCornerStops: number | null;
  /** Share the rims let through at that corner, 0..1. */
  worstCornerTransmission: number;
}

const keyholeRadii = new Map<string, number>();

/** Radius of the circle about a halo's centre that holds 85 % of a frame, mm. */
export function keyholeRadiusMm(frame: FrameSize, centre: Offset): number {
  const { widthMm, heightMm } = frame;
  return keptIn(keyholeRadii, `${widthMm} ${heightMm} ${centre.xMm} ${centre.yMm}`, () => {
    const farthest = worstCornerRadius(frame, centre, NO_TRAVEL);
    return whereFalling((r) => -areaShare(frame, centre, r), -KEYHOLE_SHARE, 0, farthest);
  });
}

/**
 * Verdict where the worst corner lies so far from the halo's centre. Keyhole: less than 85 % of the frame has more than
 * 1/8 through the rims, for which the circle that holds 85 % of it is already darker than that at its edge, `keyholeMm`.
 * Clipped: the worst corner has less than 1/8. Clear: no darker than `limitStops`. Shaded: darker, and can be lifted.
 * Rules of this program, see docs/optics.md "Verdict".
 */
export function judgeAt(
  halo: Halo,
  cornerMm: number,
  limitStops: number,
  keyholeMm: () => number,
): Verdict {
  const { transmission, light } = lightAt(halo, cornerMm);
  const worstCornerStops = darknessStops(light);
  let kind: VerdictKind;
  if (transmission < HARD_TRANSMISSION) {
    const isKeyhole = transmissionAt(halo.rims, keyholeMm()) < HARD_TRANSMISSION;
    kind = isKeyhole ? 'Keyhole' : 'Clipped';
  } else {
    kind = worstCornerStops !== null && worstCornerStops <= limitStops ? 'Clear' : 'Shaded';
  }
  return { kind, worstCornerStops, worstCornerTransmission: transmission };
}

/** Verdict on the worst corner over the travel. */
export const judge = (halo: Halo, frame: FrameSize, travel: Travel, limitStops: number): Verdict =>
  judgeAt(halo, worstCornerRadius(frame, halo.centre, travel), limitStops, () =>
    keyholeRadiusMm(frame, halo.centre),
  );

/** The least spare light that is returned, stops: below it the corner is black. */
const FAR_BELOW = -20;

/**
 * Light to spare at the worst corner over the travel before the verdict is no longer Clear, stops; negative
 * where it is not. Continuous along a ring, so that the place where it crosses zero can be searched for.
 */
export function spareStopsAt(
  halo: Halo,
  frame: FrameSize,
  travel: Travel,
  limitStops: number,
): number {
  const { transmission, light } = lightAt(halo, worstCornerRadius(frame, halo.centre, travel));
  if (light <= 0) return FAR_BELOW;
  const spare = Math.min(
    Math.log2(light) + limitStops,
    Math.log2(transmission / HARD_TRANSMISSION),
  );
  return Math.max(FAR_BELOW, spare);
}

/** Darkness at each corner, stops; null where no light comes. */
type CornerStops = [tl: number | null, tr: number | null, br: number | null, bl: number | null];

export interface Coverage {
  /** Standing still. */
  cornerStops: CornerStops;
  /** The darkest of them, stops; null where one gets no light. Over the travel it is the verdict's. */
  atRestStops: number | null;
  radiiMm: HaloRadii;
  /** Each radius less the worst corner radius over the travel, mm; negative falls short. */
  marginMm: HaloRadii;
  worstCornerRadiusMm: number;
}

/** Darkness at some distances from the halo's centre, one for each corner. */
function stopsAt(halo: Halo, [tl, tr, br, bl]: PerCorner): CornerStops {
  const stops = (r: number) => darknessStops(lightAt(halo, r).light);
  const first = stops(tl);
  // About a centred halo all corners are alike, and asked once.
  const at = (r: number) => (r === tl ? first : stops(r));
  return [first, at(tr), at(br), at(bl)];
}

/** The darkest of some corners, stops; null where one gets no light. */
export const darkestOf = (corners: CornerStops): number | null =>
  corners.reduce(
    (most: number | null, stops) =>
      most === null || stops === null ? null : Math.max(most, stops),
    0,
  );

/** Darkness at each corner of a frame that stands still. */
export const cornerStopsOf = (halo: Halo, frame: FrameSize): CornerStops =>
  stopsAt(halo, cornerRadii(frame, halo.centre));

/** Corner readings and margins of a halo over a frame. */
export function coverage(
  halo: Halo,
  frame: FrameSize,
  travel: Travel,
  profile: HaloProfile = haloProfile(halo),
): Coverage {
  const { atRest, worst } = cornersOver(frame, halo.centre, travel);
  const radiiMm = haloRadii(halo, profile);
  const cornerStops = stopsAt(halo, atRest);
  return {
    cornerStops,
    atRestStops: darkestOf(cornerStops),
    radiiMm,
    marginMm: {
      clear: radiiMm.clear - worst,
      half: radiiMm.half - worst,
      black: radiiMm.black - worst,
      minus1: radiiMm.minus1 - worst,
      minus2: radiiMm.minus2 - worst,
    },
    worstCornerRadiusMm: worst,
  };
}
