/** A train: the parts between scene and sensor, and what follows from them however lens and body are set. */
import { type Mount, isFront, magnifies, type Part } from '../../kit/records';
import {
  converterOfShift,
  type ThinConverter,
  customaryStopsTogether,
  glassLossStops,
  lightStopsOfFactor,
} from '../../optics';

export type Mounts = ReadonlyMap<string, Mount>;

/** A part in its place. */
export interface Link {
  part: Part;
  isFront: boolean;
  /** Factor on the picture behind the lens; 1 for what stands in front of it. */
  factor: number;
  /** How far it moves the image toward the lens, mm; null without registers. */
  imageShiftMm: number | null;
  /** The thin lens that does what it does; null where there is none, or registers do not tell its place. */
  thin: ThinConverter | null;
}

export interface Train {
  parts: readonly Part[];
  mounts: Mounts;
  links: readonly Link[];
  /** Product of the factors behind the lens. */
  factor: number;
  /** Product of the factors of front converters. */
  frontFactor: number;
  /** Fastest f-number it passes, behind it; 0 where nothing holds the light back. */
  fastestFNumber: number;
  /** Light gained (+) or lost (-) by the factor alone, stops. */
  factorStops: number;
  /** Glass loss of all parts, stops (<= 0); null where one with glass does not say. */
  glassLossStops: number | null;
  /** What people commonly say of the factors, stops; null where there is no custom. */
  customaryStops: number | null;
  /** How far its adapters can shift the lens, mm. */
  shiftRangeMm: number;
}

/** Product of the factors behind the lens. */
export const trainFactor = (parts: readonly Part[]): number =>
  parts.reduce((product, part) => (isFront(part) ? product : product * part.factor), 1);

/** Product of the factors of front converters. */
export const frontFactor = (parts: readonly Part[]): number =>
  parts.reduce((product, part) => (isFront(part) ? product * part.factor : product), 1);

/** How far the adapters of a train can shift the lens, mm. */
export const shiftRangeMm = (parts: readonly Part[]): number =>
  parts.reduce((sum, part) => sum + part.shiftMm, 0);

/** How far a part moves the image toward the lens, mm: registers less thickness; null without registers. */
export function imageShiftMm(part: Part, mounts: Mounts): number | null {
  const front = mounts.get(part.frontMountId);
  const rear = mounts.get(part.rearMountId);
  return front && rear ? front.registerMm - rear.registerMm - part.thicknessMm : null;
}

/** How far the converters of a train move the image toward the lens together, mm; one without registers is left out. */
export const convertersShiftMm = ({ links }: Pick<Train, 'links'>): number =>
  links.reduce(
    (sum, { factor, imageShiftMm: shift }) => sum + (factor === 1 ? 0 : (shift ?? 0)),
    0,
  );

/** Whether light is lost in a part's glass. */
const isGlass = (part: Part): boolean => part.factor !== 1 || part.plate !== null;

function partsLossStops(parts: readonly Part[]): number | null {
  let loss = 0;
  for (const part of parts) {
    if (part.transmission !== null) loss += glassLossStops(part.transmission);
    else if (isGlass(part)) return null;
  }
  return loss;
}

/** Behind all the parts, not faster than the slowest of them passes. */
const fastestBehind = (parts: readonly Part[]): number =>
  parts.reduce(
    (fNumber, part) =>
      isFront(part) ? fNumber : Math.max(fNumber * part.factor, part.fastestFNumber ?? 0),
    0,
  );

function linkOf(part: Part, mounts: Mounts): Link {
  const shift = imageShiftMm(part, mounts);
  const front = isFront(part);
  const factor = front ? 1 : part.factor;
  const thin = front || shift === null ? null : converterOfShift(factor, shift);
  return { part, isFront: front, factor, imageShiftMm: shift, thin };
}

function assembled(parts: readonly Part[], mounts: Mounts): Train {
  const factor = trainFactor(parts);
  return {
    parts,
    mounts,
    links: parts.map((part) => linkOf(part, mounts)),
    factor,
    frontFactor: frontFactor(parts),
    fastestFNumber: fastestBehind(parts),
    factorStops: lightStopsOfFactor(factor),
    glassLossStops: partsLossStops(parts),
    customaryStops: customaryStopsTogether(parts.filter(magnifies).map((p) => p.factor)),
    shiftRangeMm: shiftRangeMm(parts),
  };
}

const known = new WeakMap<readonly Part[], Train>();

/** The train of some parts, worked out once for as long as the same list of them is asked about. */
export function trainOf(parts: readonly Part[], mounts: Mounts): Train {
  const last = known.get(parts);
  if (last?.mounts === mounts) return last;
  const fresh = assembled(parts, mounts);
  known.set(parts, fresh);
  return fresh;
}
