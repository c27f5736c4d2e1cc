/** How a halo covers a frame: corners, margins, shares, clean frames, and the verdict. */
import {
  haloProfile,
  haloRadii,
  type HaloProfile,
  HARD_TRANSMISSION,
  type HaloRadii,
  darknessStops,
  lightAt,
  lightAtPlace,
  transmissionAt,
  type Halo,
} from '../halo';
import { keptIn, whereFalling } from '../maths';
import { isOffMiddle, type FrameSize, type Offset } from '../optics';
import {
  areaShare,
  cornerPlaces,
  NO_TRAVEL,
  worstCornerRadius,
  type Travel,
  type PerCorner,
} from './geometry';
import { type WorstCorner, worstCornerUnder } from './worstCorner';

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
export function judge(halo: Halo, frame: FrameSize, travel: Travel, limitStops: number): Verdict {
  const worst = worstCornerUnder(halo, frame, travel);
  return judgeAt(worst.halo, worst.cornerMm, limitStops, () => keyholeRadiusMm(frame, halo.centre));
}

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
  const worst = worstCornerUnder(halo, frame, travel);
  const { transmission, light } = lightAt(worst.halo, worst.cornerMm);
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
  /** Along the way to the worst corner. */
  radiiMm: HaloRadii;
  /** Each radius less the worst corner radius over the travel, mm; negative falls short. */
  marginMm: HaloRadii;
  worstCornerRadiusMm: number;
}

/** Darkness at the corners of a frame, each so far from the halo's middle. */
function stopsAt(halo: Halo, [tl, tr, br, bl]: PerCorner<Offset>): CornerStops {
  const stops = (corner: Offset) => darknessStops(lightAtPlace(halo, corner).light);
  const first = stops(tl);
  // About a centred halo all corners are alike, and asked once.
  if (!isOffMiddle(halo.centre)) return [first, first, first, first];
  return [first, stops(tr), stops(br), stops(bl)];
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
  stopsAt(halo, cornerPlaces(frame, halo.centre));

/** Corner readings and margins of a halo over a frame. */
export function coverage(
  halo: Halo,
  frame: FrameSize,
  travel: Travel,
  worst: WorstCorner = worstCornerUnder(halo, frame, travel),
  profile: HaloProfile = haloProfile(worst.halo),
): Coverage {
  const { cornerMm } = worst;
  const radiiMm = haloRadii(worst.halo, profile);
  const cornerStops = cornerStopsOf(halo, frame);
  return {
    cornerStops,
    atRestStops: darkestOf(cornerStops),
    radiiMm,
    marginMm: {
      clear: radiiMm.clear - cornerMm,
      half: radiiMm.half - cornerMm,
      black: radiiMm.black - cornerMm,
      minus1: radiiMm.minus1 - cornerMm,
      minus2: radiiMm.minus2 - cornerMm,
    },
    worstCornerRadiusMm: cornerMm,
  };
}
