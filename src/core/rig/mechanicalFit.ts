/** Whether a rig goes together: registers and infinity, what may strike what, what the contacts carry. */
import {
  fullName,
  type Body,
  isTold,
  type Electronics,
  isFront,
  magnifies,
  largestMode,
} from '../kit/records';
import { farthestFocusM, plateMarginalExtraMm, plateShiftMm, diagonalMm } from '../optics';
import { carriedBy, lostAt } from './contacts';
import { jointProblems, type JointProblem } from './joints';
import { metres, mm } from '../words';
import type { Rig } from './rig';
import { situationOf, type Situation } from './situation';
import {
  apertureControl,
  type ApertureControl,
  carriedOut,
  extensionOf,
  type Link,
  type Train,
  wayFromSensorMm,
} from './train';

export interface Strike {
  /** Place of what it could strike among the parts of the train; null for the body. */
  partIndex: number | null;
  /** What the rear glass could strike. */
  against: string;
  /** How deep rear glass stands into it, mm. */
  standsMm: number;
  /** Free depth there, mm; null where not known. */
  clearMm: number | null;
  state: 'clear' | 'close' | 'strikes' | 'not known';
}

interface RegisterFit {
  /** How much too long (+) or too short (-) the plain train holds the lens, mm; null without registers, or where nobody told the mounts. */
  errorMm: number | null;
  /** The same with tubes and helicoid run out: how far before the sensor infinity falls, mm. */
  longMm: number | null;
  reachesInfinity: boolean | null;
  /** Farthest distance in focus, m from the sensor; null at infinity or where not known. */
  farthestFocusM: number | null;
}

interface CoverGlass {
  /** How far it carries the focus back, mm; registers in air have it to be allowed for. */
  shiftMm: number;
  /** How much farther the marginal rays are carried at the f-number in use, mm: softness at the edges. */
  marginalExtraMm: number;
}

export interface FitReport {
  joints: JointProblem[];
  register: RegisterFit;
  /** Null where the rear protrusion was never measured. */
  strike: Strike | null;
  /** What the body's cover glass does to the focus; null where its glass is not known. */
  coverGlass: CoverGlass | null;
  /** What gets through the whole chain: the weakest link for each. */
  carried: Electronics;
  /** False where nobody told what contacts the lens has. */
  carriedKnown: boolean;
  /** What works the aperture. */
  aperture: ApertureControl;
  /** Parts that carry less than the lens offers, by name. */
  lostAt: string[];
}

/** Less room than this is close, mm: tolerances of mounts and caps add up; common practice, no source. */
const CLOSE_MM = 1;
/** Register errors below this are shimmed away or lost in the depth of focus, mm. */
const REGISTER_TOLERANCE_MM = 0.02;

const NO_REGISTERS: RegisterFit = {
  errorMm: null,
  longMm: null,
  reachesInfinity: null,
  farthestFocusM: null,
};

/** Whether somebody told which mounts lens and body have. */
export const areMountsTold = ({ body, lens }: Pick<Rig, 'body' | 'lens'>): boolean =>
  isTold(body, 'mountId') && isTold(lens, 'mountId');

/** How much longer a plain part is than the registers of its mounts leave it, mm; a tube is as long as it is made to be. */
function errorOf({ part, imageShiftMm: shift }: Link): number {
  if (isFront(part) || magnifies(part) || part.kind === 'extension tube') return 0;
  // A plate carries the image back, as if the part were that much thinner.
  const plate = part.plate ? plateShiftMm(part.plate.thicknessMm, part.plate.index) : 0;
  return -((shift ?? 0) + plate);
}

/** How the registers of lens, train and body agree. */
export function registerFit(rig: Rig, train: Train): RegisterFit {
  if (!areMountsTold(rig)) return NO_REGISTERS;
  const plain = train.links.filter(({ part }) => !isFront(part) && !magnifies(part));
  if (plain.some(({ imageShiftMm }) => imageShiftMm === null)) return NO_REGISTERS;
  const { focalMm, helicoidMm } = rig.settings;
  const extension = extensionOf(helicoidMm);
  const carried = carriedOut(train, (link) => extension(link) + errorOf(link));
  // Behind a converter what counts for the lens is more, or less, than what stands out.
  const atLens = carried.lensMm + carried.behindMm;
  const long = atLens * train.factor * carried.factor;
  const tooLong = long > REGISTER_TOLERANCE_MM;
  const wayMm = wayFromSensorMm(train, carried, focalMm, atLens / focalMm);
  return {
    errorMm: plain.reduce((sum, link) => sum + errorOf(link), 0),
    longMm: long,
    reachesInfinity: !tooLong,
    farthestFocusM: tooLong
      ? (farthestFocusM(focalMm, atLens) ?? 0) * train.frontFactor ** 2 + wayMm / 1000
      : null,
  };
}

const stateOf = (standsMm: number, clearMm: number | null): Strike['state'] => {
  if (clearMm === null) return standsMm > 0 ? 'not known' : 'clear';
  if (standsMm > clearMm) return 'strikes';
  return clearMm - standsMm < CLOSE_MM && standsMm > 0 ? 'close' : 'clear';
};

/** Free depth behind a body's flange, mm: until its bay or a swinging mirror; null where neither is known. */
function freeDepthMm({ clearDepthMm, mirrorDepthMm }: Body): number | null {
  if (clearDepthMm === null || mirrorDepthMm === null) return clearDepthMm ?? mirrorDepthMm;
  return Math.min(clearDepthMm, mirrorDepthMm);
}

/** Follows the rear glass back through the train until it ends or meets something. */
export function strikeOf(rig: Rig): Strike | null {
  if (rig.lens.rearProtrusionMm === null) return null;
  let stands = rig.lens.rearProtrusionMm;
  const strike = (partIndex: number | null, against: string, clearMm: number | null): Strike => ({
    partIndex,
    against,
    standsMm: Math.max(0, stands),
    clearMm,
    state: stateOf(stands, clearMm),
  });
  for (const [index, part] of rig.parts.entries()) {
    if (isFront(part)) continue;
    const glass = magnifies(part) || part.plate !== null;
    const passes = part.clearDepthMm === null || part.clearDepthMm >= part.thicknessMm;
    if (glass || (!passes && stands > (part.clearDepthMm ?? 0))) {
      return strike(index, fullName(part), part.clearDepthMm);
    }
    stands -= part.thicknessMm;
  }
  return strike(null, fullName(rig.body), freeDepthMm(rig.body));
}

/** What the cover glass does at the f-number behind the train. */
function coverGlassOf({ body }: Rig, fNumber: number): CoverGlass | null {
  if (!body.coverGlass) return null;
  const { thicknessMm, index } = body.coverGlass;
  return {
    shiftMm: plateShiftMm(thicknessMm, index),
    marginalExtraMm: plateMarginalExtraMm(thicknessMm, index, fNumber),
  };
}

/** Whether a rig goes together as it is set. */
export function fitIn({ rig, train, light }: Situation): FitReport {
  const { lens, parts } = rig;
  return {
    joints: jointProblems(rig),
    register: registerFit(rig, train),
    strike: strikeOf(rig),
    coverGlass: coverGlassOf(rig, light.fNumber),
    carried: carriedBy(rig),
    carriedKnown: isTold(lens, 'electronics'),
    aperture: apertureControl(lens, parts),
    lostAt: lostAt(rig),
  };
}

/** The same, where the situation of the rig is not at hand. */
export const fitOf = (rig: Rig): FitReport => fitIn(situationOf(rig));

export interface FitProblem {
  /** The headline, in two or three words. */
  words: string;
  sentence: string;
}

/** What stands before all coverage: mounts that do not join, glass that strikes, infinity lost; null for none. */
export function fitProblem({
  joints,
  strike,
  register,
}: Pick<FitReport, 'joints' | 'strike' | 'register'>): FitProblem | null {
  const [joint] = joints;
  if (joint) return { words: 'Does not join', sentence: joint.sentence };
  if (strike?.state === 'strikes' && strike.clearMm !== null)
    return {
      words: 'Glass strikes',
      sentence: `Rear glass stands ${mm(strike.standsMm)} deep; ${strike.against} leaves ${mm(strike.clearMm)}.`,
    };
  if (register.errorMm !== null && register.errorMm > REGISTER_TOLERANCE_MM)
    return {
      words: 'No infinity',
      sentence: `The adapters hold the lens ${mm(register.errorMm, 2)} too far out: in focus to ${metres(register.farthestFocusM)} only.`,
    };
  return null;
}

/** What stands before all coverage of a rig; null where it goes together. */
export const fitProblemOf = (rig: Rig): FitProblem | null => fitProblem(fitOf(rig));

/** A lens for a format smaller than this share of the sensor reaches farther back than lenses of the body's own do. */
const SMALL_FORMAT = 0.95;

/**
 * Whether glass that was never measured goes where something could be struck: behind any adapter, and straight on a body
 * with a larger sensor than the lens was made for, whose mirror or shutter it may reach.
 */
export function isStrikeUnknown(
  { parts, lens, body }: Pick<Rig, 'parts' | 'lens' | 'body'>,
  { strike }: Pick<FitReport, 'strike'>,
): boolean {
  if (strike !== null) return strike.state === 'not known';
  const largest = largestMode(body.modes);
  const isSmall =
    largest !== undefined && diagonalMm(lens.designFormat) < SMALL_FORMAT * diagonalMm(largest);
  return isSmall || parts.some((p) => !isFront(p));
}
