/** What focusing and extension do to a halo, and how much less sure it is close up. */
import type { Lens } from '../kit/records';
import { extendedMagnification, pupilScale } from '../optics';
import { focusedAt } from './focused';
import { pupilMagnification } from './pupil';

export interface Setting {
  focalMm: number;
  fNumber: number;
  /** Engraved distance, m from the sensor; null is infinity. */
  focusM: number | null;
  /** How far tubes and helicoids carry the whole lens out, mm; 0 where left out. */
  extensionMm?: number;
  /** How much farther than that its picture is taken behind it, mm, for tubes behind a converter; 0 where left out. */
  behindMm?: number;
}

/**
 * A lens as it is set, with what follows from that alone. Halo, evidence, view and depth all start from it, so that
 * none of them works it out again.
 */
export interface LensAt {
  lens: Lens;
  setting: Setting;
  /** Focal length as the lens is focused, mm. */
  focusedFocalMm: number;
  /** Magnification of its own picture: by ring, extension and what stands out behind a converter. */
  magnification: number;
  /** The part of it for which the lens itself is set: by ring and extension. */
  ownMagnification: number;
  /** The part of it for which the whole lens moves out; where groups move inside only an extension counts. */
  movedMagnification: number;
  /** Exit pupil over entrance pupil. */
  pupil: number;
  /** Growth of the edge radius with focus: 1 + m/P by the part for which the lens moves. */
  edgeScale: number;
  /** How far the exit pupil has moved away from the sensor, mm: as far as the lens is carried out. */
  outMm: number;
}

/** The lens at a setting. */
export function lensAt(lens: Lens, setting: Setting): LensAt {
  const { focalMm, focusM, extensionMm = 0, behindMm = 0 } = setting;
  const { focalMm: focusedMm, magnification: atRing } = focusedAt(lens, focalMm, focusM);
  const moved = extendedMagnification(
    focalMm,
    extensionMm,
    lens.focusing === 'internal' ? 0 : atRing,
  );
  const pupil = pupilMagnification(lens, focalMm);
  return {
    lens,
    setting,
    focusedFocalMm: focusedMm,
    magnification: extendedMagnification(focalMm, extensionMm + behindMm, atRing),
    ownMagnification: extendedMagnification(focalMm, extensionMm, atRing),
    movedMagnification: moved,
    pupil,
    edgeScale: pupilScale(moved, pupil),
    outMm: moved * focalMm,
  };
}

/** Smaller magnifications are those of subjects thousands of kilometres away. */
const NEAR_NOTHING = 1e-8;

export interface Distances {
  /** From the subject to the lens, mm: f (1 + 1/m), thin lens; null at infinity. */
  subjectMm: number | null;
  /** From the lens to its image, mm: f (1 + m). */
  imageMm: number;
}

/** Where subject and image stand about the lens, tubes and helicoid counted. */
export function distancesOf({ focusedFocalMm: focalMm, magnification: m }: LensAt): Distances {
  return { subjectMm: m > NEAR_NOTHING ? focalMm * (1 + 1 / m) : null, imageMm: focalMm * (1 + m) };
}

/**
 * Growth per unit of magnification for lenses that focus inside, share of R: half of what a lens that moves
 * whole would grow. An assumption.
 */
const INTERNAL_EDGE_SIGMA = 0.5;
/**
 * Even where the whole lens moves and its pupil is known; growth per unit of magnification, share of R. Found
 * on lenses traced by rays (docs/optics.md, "Risk").
 */
const UNIT_EDGE_SIGMA = 0.12;
/** The softness follows no single rule with focus; growth per unit of magnification. An assumption. */
const SOFTNESS_SIGMA = 0.3;
/** The pupil of a lens that focuses inside wanders, its falloff with it; growth per unit of magnification. An assumption. */
const INTERNAL_FALLOFF_SIGMA = 1;
/** An exit pupil L is half as unsure as the falloff it makes, 1/L². */
export const PUPIL_SHARE_OF_FALLOFF = 0.5;
/** Below this magnification focusing changes nothing anyone sees. */
const FAR_MAGNIFICATION = 0.01;

export interface FocusDoubt {
  /** Standard deviation of the edge radius as a share of it. */
  edgeShare: number;
  /** Of the logarithm of the softness. */
  softness: number;
  /** Of natural falloff, as a share of it. */
  falloff: number;
  doubts: string[];
}

const NO_DOUBT: FocusDoubt = { edgeShare: 0, softness: 0, falloff: 0, doubts: [] };

/**
 * How much less sure a halo is at a setting than where it was known: `knownAt` are the magnifications at which
 * it was measured, 0 for infinity; `falloffSigma` is how unsure its falloff is, share of it.
 */
export function focusDoubt(
  { lens, ownMagnification: m, movedMagnification, pupil }: LensAt,
  knownAt: readonly number[],
  falloffSigma: number,
): FocusDoubt {
  const away = Math.min(...knownAt.map((known) => Math.abs(m - known)));
  if (!(away > FAR_MAGNIFICATION)) return NO_DOUBT;
  const doubts: string[] = [];
  let square = (UNIT_EDGE_SIGMA * away) ** 2;
  let falloff = 0;
  // Where a lens is known close up alone and asked about at infinity, how far it moves back counts.
  const moved = m > 0 ? away * (movedMagnification / m) : away;
  if (lens.pupilMagnification === null && moved > FAR_MAGNIFICATION) {
    // P goes with the exit pupil L, falloff with 1/L²: its logarithm is half as unsure.
    const share = moved / pupil;
    square += ((PUPIL_SHARE_OF_FALLOFF * falloffSigma * share) / (1 + share)) ** 2;
    doubts.push('its pupil magnification is not told: taken from its exit pupil');
  }
  if (lens.focusing !== 'unit') {
    square += (INTERNAL_EDGE_SIGMA * away) ** 2;
    falloff = INTERNAL_FALLOFF_SIGMA * away;
    doubts.push(
      lens.focusing === 'internal'
        ? 'focuses inside: how the halo changes close up is not known'
        : 'how it focuses is not known; taken as moving whole',
    );
  }
  return { edgeShare: Math.sqrt(square), softness: SOFTNESS_SIGMA * away, falloff, doubts };
}
