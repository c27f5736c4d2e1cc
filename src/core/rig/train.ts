/** The train of parts behind the lens: what it does to focal length, light and halo. */
import { FARTHEST_PUPIL_MM } from '../kit/records/haloSample';
import type { Mount } from '../kit/records/mount';
import { isFront, magnifies, type OwnRim, type Part } from '../kit/records/part';
import { diagonalMm } from '../optics/formats';
import { isTold } from '../kit/records/common';
import { transmissionOf, type Lens } from '../kit/records/lens';
import type { Halo, Rim } from '../halo/rims';
import { converterOfShift } from '../optics/converter';
import {
  customaryStopsTogether,
  glassLossStops,
  lightStopsOfFactor,
  stopsBetweenFNumbers,
  tStop,
} from '../optics/stops';

export interface TrainLight {
  /** Product of the factors of all parts. */
  factor: number;
  focalMm: number;
  /** f-number behind the train, not faster than its slowest part passes. */
  fNumber: number;
  /** True where a part could not pass the lens's own speed. */
  speedHeldBack: boolean;
  /** T-stop behind the train; null where the lens's is unknown. */
  tStop: number | null;
  /** Light gained (+) or lost (-) against the bare lens, stops, known glass losses included. */
  lightStops: number;
  /** Stops lost in the parts' glass; null where a glass part's transmission is unknown. */
  glassLossStops: number | null;
  /** What people commonly say of the factors, stops; null where there is no custom. */
  customaryStops: number | null;
}

/** f-number the lens itself works at in front of the train: N = N′/M. */
export const lensFNumberOf = ({ fNumber, factor }: TrainLight): number => fNumber / factor;

/** Product of the factors behind the lens. */
export const trainFactor = (parts: readonly Part[]): number =>
  parts.reduce((product, part) => (isFront(part) ? product : product * part.factor), 1);

/** Product of the factors of front converters. */
export const frontFactor = (parts: readonly Part[]): number =>
  parts.reduce((product, part) => (isFront(part) ? product * part.factor : product), 1);

/** Whether light is lost in a part's glass. */
const isGlass = (part: Part): boolean => part.factor !== 1 || part.plate !== null;

/** Glass loss of all parts, stops (<= 0); null where one with glass does not say. */
function partsLossStops(parts: readonly Part[]): number | null {
  let loss = 0;
  for (const part of parts) {
    if (part.transmission !== null) loss += glassLossStops(part.transmission);
    else if (isGlass(part)) return null;
  }
  return loss;
}

/** f-number behind the train for a lens at `lensFNumber`, not faster than its slowest part passes. */
export function fNumberBehind(parts: readonly Part[], lensFNumber: number): number {
  let fNumber = lensFNumber;
  for (const part of parts) {
    if (!isFront(part)) fNumber = Math.max(fNumber * part.factor, part.fastestFNumber ?? 0);
  }
  return fNumber;
}

/**
 * f' = M f, N' = M N, light change = -2 log2 M less glass losses, T' = N'/sqrt(all transmissions). A front
 * (afocal) converter multiplies the focal length alone.
 * A part's fastest output f-number holds N' back, and the light with it.
 */
export function trainLight(
  parts: readonly Part[],
  lens: Lens,
  focalMm: number,
  lensFNumber: number,
): TrainLight {
  const fNumber = fNumberBehind(parts, lensFNumber);
  const factor = trainFactor(parts);
  const heldStops = stopsBetweenFNumbers(fNumber, lensFNumber * factor);
  const loss = partsLossStops(parts);
  const lensTransmission = transmissionOf(lens);
  return {
    factor,
    focalMm: focalMm * factor * frontFactor(parts),
    fNumber,
    speedHeldBack: heldStops > 1e-9,
    tStop:
      lensTransmission === null || loss === null
        ? null
        : tStop(fNumber, lensTransmission * 2 ** loss),
    lightStops: lightStopsOfFactor(factor) - heldStops + (loss ?? 0),
    glassLossStops: loss,
    customaryStops: customaryStopsTogether(parts.filter(magnifies).map((p) => p.factor)),
  };
}

/** How far a part moves the image toward the lens, mm: registers less thickness; null without registers. */
export function imageShiftMm(part: Part, mounts: ReadonlyMap<string, Mount>): number | null {
  const front = mounts.get(part.frontMountId);
  const rear = mounts.get(part.rearMountId);
  return front && rear ? front.registerMm - rear.registerMm - part.thicknessMm : null;
}

/** Nearest an exit pupil may come to the sensor in the model, mm. */
const NEAREST_PUPIL_MM = 10;

/**
 * Exit-pupil distance from the new image behind a converter, mm. Without registers to tell where the
 * converter stands, the distance is kept.
 */
function pupilBehind(
  part: Part,
  pupilMm: number,
  mounts: ReadonlyMap<string, Mount>,
): number | null {
  const shift = imageShiftMm(part, mounts);
  const thin = shift === null ? null : converterOfShift(part.factor, shift);
  if (!thin) return pupilMm;
  const object = pupilMm - thin.frontMm;
  const denominator = object - thin.focalMm;
  if (Math.abs(denominator) < 1e-6) return null;
  const behind = thin.backMm - (thin.focalMm * object) / denominator;
  if (Math.abs(behind) > FARTHEST_PUPIL_MM) return null;
  return Math.abs(behind) < NEAREST_PUPIL_MM ? NEAREST_PUPIL_MM * (behind < 0 ? -1 : 1) : behind;
}

/** A hole between sensor and exit pupil: how far from the sensor, and its radius, mm. */
interface Hole {
  zMm: number;
  radiusMm: number;
}

/** Least share of the way to the exit pupil that is left beyond a hole; nearer to it none is a rim. */
const LEAST_PAST = 0.1;
const pastHole = (zMm: number, pupilMm: number | null): number =>
  pupilMm === null ? 1 : Math.max(LEAST_PAST, 1 - zMm / pupilMm);

/**
 * The rim a hole makes for a lens whose exit pupil stands `pupilMm` from the sensor, at f-number N:
 * R = h/(1 - z/L), w = z/(2 N (1 - z/L)). Rays from the rim of the pupil past the rim of the hole.
 */
function rimOfHole({ zMm, radiusMm }: Hole, fNumber: number, pupilMm: number | null): Rim {
  const past = pastHole(zMm, pupilMm);
  const edgeRadiusMm = radiusMm / past;
  return {
    side: 'rear',
    edgeRadiusMm,
    softnessMm: Math.min(edgeRadiusMm, zMm / (2 * fNumber * past)),
  };
}

/** The hole that a rim seen past an exit pupil must be: the same formulas the other way round. */
function holeOfRim({ edgeRadiusMm, softnessMm, fNumber }: OwnRim, pupilMm: number): Hole {
  const slope = 2 * fNumber * softnessMm;
  const zMm = slope / (1 + slope / pupilMm);
  return { zMm, radiusMm: edgeRadiusMm * pastHole(zMm, pupilMm) };
}

/** A converter's rear hole over the throat it stands in, and over half the format it was made for. */
const HOLE_SHARE_OF_THROAT = 0.42;
const EDGE_SHARE_OF_FORMAT = 1.12;
/** Softness of a rim nobody measured over its radius, at f/4. All three: common practice, no source. */
const ASSUMED_SOFTNESS_N = 0.4;

/**
 * The rim a converter must have though nobody measured it, edge radius behind it, mm: from the format it was
 * made for, and not wider than a hole in its rear mount's throat, seen past an exit pupil `pupilMm` from the
 * sensor. Null where neither format nor throat is known.
 */
export function assumedEdgeMm(
  part: Part,
  mounts: ReadonlyMap<string, Mount>,
  pupilMm: number | null,
): number | null {
  if (part.ownRim || !magnifies(part)) return null;
  const rear = mounts.get(part.rearMountId);
  const edges: number[] = [];
  if (part.designFormat) edges.push((EDGE_SHARE_OF_FORMAT * diagonalMm(part.designFormat)) / 2);
  if (rear && rear.throatMm !== null) {
    const hole = { zMm: rear.registerMm, radiusMm: HOLE_SHARE_OF_THROAT * rear.throatMm };
    edges.push(rimOfHole(hole, 1, pupilMm).edgeRadiusMm);
  }
  return edges.length > 0 ? Math.min(...edges) : null;
}

/** The part's own rim at f-number `fNumber` behind it: as measured, or as it must be. */
function ownRimOf(
  part: Part,
  fNumber: number,
  mounts: ReadonlyMap<string, Mount>,
  pupilMm: number | null,
): Rim | null {
  const { ownRim } = part;
  if (!ownRim) {
    const edge = assumedEdgeMm(part, mounts, pupilMm);
    return edge === null
      ? null
      : {
          side: 'rear',
          edgeRadiusMm: edge,
          softnessMm: Math.min(edge, (ASSUMED_SOFTNESS_N * edge) / fNumber),
        };
  }
  if (ownRim.exitPupilMm !== null && !isFront(part))
    return rimOfHole(holeOfRim(ownRim, ownRim.exitPupilMm), fNumber, pupilMm);
  const { edgeRadiusMm, softnessMm, fNumber: at } = ownRim;
  return {
    side: isFront(part) ? 'front' : 'rear',
    edgeRadiusMm,
    softnessMm: Math.min(edgeRadiusMm, (softnessMm * at) / fNumber),
  };
}

/** How far own rims scatter about what is known of them, share of the radius; common practice, no source. */
const RIM_SIGMA = { assumed: 0.1, 'pupil unknown': 0.06, measured: 0.02 } as const;

/** How a converter's own rim is known; null where the part has none. */
export function ownRimKnown(
  part: Part,
  mounts: ReadonlyMap<string, Mount>,
): { how: keyof typeof RIM_SIGMA; sigma: number } | null {
  const known = (how: keyof typeof RIM_SIGMA) => ({ how, sigma: RIM_SIGMA[how] });
  // Whether there is one to assume, no exit pupil changes.
  if (!part.ownRim) return assumedEdgeMm(part, mounts, null) === null ? null : known('assumed');
  if (isFront(part)) return known('measured');
  return known(part.ownRim.exitPupilMm === null ? 'pupil unknown' : 'measured');
}

/**
 * How far the train carries the lens out beyond its register, mm at the lens: extension tubes by their
 * thickness, a helicoid by how far it is run out. Behind a converter of factor m it counts 1/m².
 */
export function extensionMm(
  parts: readonly Part[],
  mounts: ReadonlyMap<string, Mount>,
  helicoidMm: number,
): number {
  let factor = 1;
  let extension = 0;
  for (const part of parts) {
    if (part.kind === 'extension tube') {
      extension += Math.max(0, -(imageShiftMm(part, mounts) ?? -part.thicknessMm)) / factor ** 2;
    } else if (part.kind === 'helicoid') {
      extension += Math.min(helicoidMm, part.helicoidMm) / factor ** 2;
    }
    if (!isFront(part)) factor *= part.factor;
  }
  return extension;
}

/** How far the rig's adapters can shift the lens, mm. */
export const shiftRangeMm = (parts: readonly Part[]): number =>
  parts.reduce((sum, part) => sum + part.shiftMm, 0);

const scaled = (rim: Rim, factor: number): Rim => ({
  side: rim.side,
  edgeRadiusMm: rim.edgeRadiusMm * factor,
  softnessMm: rim.softnessMm * factor,
});

/**
 * The bare lens's halo as it falls behind the train: R -> mR, w -> mw, pupil distance recomputed, each
 * part's own rim joined on its side and scaled by the parts behind it.
 */
export function haloBehind(
  parts: readonly Part[],
  halo: Halo,
  lensFNumber: number,
  mounts: ReadonlyMap<string, Mount>,
): Halo {
  if (parts.length === 0) return halo;
  let rims = halo.rims;
  let { exitPupilMm, coneTangent } = halo;
  let { xMm, yMm } = halo.centre;
  let fNumber = lensFNumber;
  for (const part of parts) {
    const m = isFront(part) ? 1 : part.factor;
    fNumber *= m;
    if (m !== 1) {
      rims = rims.map((rim) => scaled(rim, m));
      exitPupilMm = exitPupilMm === null ? null : pupilBehind(part, exitPupilMm, mounts);
      coneTangent /= m;
      xMm *= m;
      yMm *= m;
    }
    const own = ownRimOf(part, fNumber, mounts, exitPupilMm);
    if (own) rims = [...rims, own];
  }
  return { rims, exitPupilMm, coneTangent, centre: { xMm, yMm } };
}

/** What works the aperture: the body, a ring of its own, nothing, or nobody told. */
export type ApertureControl = 'body' | 'own ring' | 'nothing' | 'not known';

/** An aperture without a ring of its own is lost with the contacts that work it. */
export function apertureControl(lens: Lens, parts: readonly Part[]): ApertureControl {
  if (lens.apertureRing === 'own ring') return 'own ring';
  if (!isTold(lens, 'electronics')) return 'not known';
  // A lens without contacts is worked by hand.
  if (!lens.electronics.aperture) return 'own ring';
  if (parts.every((p) => isFront(p) || p.electronics.aperture)) return 'body';
  return lens.apertureRing === 'none' ? 'nothing' : 'not known';
}
