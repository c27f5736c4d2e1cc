/** One rig before the scene: where it stands, what it is focused on, and where a point of the scene falls. */
import { clamp, whereBeginning } from '../maths';
import type { Halo } from '../halo';
import {
  blurDiscMm,
  countedFrom,
  desqueezed,
  type FrameSize,
  type Offset,
  type Subject,
} from '../optics';
import { evaluate, type Report, inFocus } from '../rig/report';
import { deliveredOf, readOutFromAxis, turned, type Rig, situationOf } from '../rig';
import { convertersShiftMm, frontFactor, trainOf } from '../rig/train';
import type { Spot } from './scene';

export interface Shot {
  rig: Rig;
  report: Report;
  /** The halo on the sensor, as the rig is focused. */
  halo: Halo;
  subject: Subject & { distanceMm: number };
  /** From the sensor to the miller, m. */
  distanceM: number;
  /** Where it was asked to stand and cannot focus from; null where it can. */
  askedM: number | null;
  /** The delivered picture, desqueezed, mm on the sensor. */
  picture: FrameSize;
  /** What it shows at the miller, m. */
  field: { widthM: number; heightM: number };
}

/** Two places of a camera count as one where their distances differ by less than this share. */
const SAME_PLACE = 0.02;

interface Sharp {
  rig: Rig;
  subject: Subject & { distanceMm: number };
  /** From the sensor, m. */
  distanceM: number;
}

/** A distance is met within this share of it; so many turns of the ring are tried. */
const MET_SHARE = 1e-6;
const MOST_TURNS = 8;

const dioptresOf = (distanceM: number | null): number => (distanceM === null ? 0 : 1 / distanceM);

/** Places of a ring that are tried, one after the other. */
const LOOKED_AT = 16;
/** Halvings that find a place between two of them. */
const LOOKED_CLOSER = 40;

/** The first turn of a ring, dioptres from 0 to `most`, at which what is off by `offAt` is met; null where none is. */
function lookedOver(
  offAt: (dioptres: number) => number,
  isMet: (off: number) => boolean,
  most: number,
): number | null {
  let [before, off] = [0, offAt(0)];
  if (isMet(off)) return 0;
  for (let i = 1; i <= LOOKED_AT; i += 1) {
    const here = (most * i) / LOOKED_AT;
    const next = offAt(here);
    if (isMet(next)) return here;
    if (Math.sign(next) !== Math.sign(off)) {
      const isPast = (d: number) => Math.sign(offAt(d)) === Math.sign(next);
      return whereBeginning(isPast, before, here, LOOKED_CLOSER);
    }
    [before, off] = [here, next];
  }
  return null;
}

/**
 * A rig focused so that the subject stands so far from the sensor, and what it has in focus then: tubes, which bring the
 * subject nearer than the ring says, and closest focus counted. Before a front converter of factor A it is A² nearer.
 */
function sharpAt(unfocused: Rig, distanceM: number): Sharp {
  const { parts, mounts } = unfocused;
  // Engraved distances count from where the lens alone has its picture; a converter has the sensor elsewhere.
  const engravedM = distanceM + convertersShiftMm(trainOf(parts, mounts)) / 1000;
  const power = frontFactor(parts) ** 2;
  const focused = (dioptres: number) => {
    const rig = turned(unfocused, { focusM: dioptres > 0 ? 1 / dioptres : null });
    return { rig, ...inFocus(situationOf(rig)) };
  };
  const isMet = (off: number): boolean => Math.abs(off) * distanceM < MET_SHARE;
  const offOf = ({ subjectM }: { subjectM: number | null }) => 1 / distanceM - dioptresOf(subjectM);
  // As it is set already, where that is right: some lenses show a distance at two turns of the ring.
  let dioptres = dioptresOf(unfocused.settings.focusM);
  let found = focused(dioptres);
  if (!isMet(offOf(found))) {
    dioptres = power / engravedM;
    found = focused(dioptres);
  }
  // What a tube adds is nearly the same in dioptres wherever the ring stands: a secant meets the distance in a few turns.
  let slope = power;
  for (let turn = 0; turn < MOST_TURNS; turn += 1) {
    const off = offOf(found);
    const next = clamp(dioptres + slope * off, 0, 1 / unfocused.lens.closestFocusM);
    if (isMet(off) || next === dioptres) break;
    const after = focused(next);
    const gained = dioptresOf(after.subjectM) - dioptresOf(found.subjectM);
    if (gained !== 0) slope = (next - dioptres) / gained;
    [dioptres, found] = [next, after];
  }
  // Where that leads nowhere, as with lenses whose focal length changes much, all of the ring is looked over.
  if (!isMet(offOf(found))) {
    const offAt = (d: number): number => offOf(focused(d));
    const elsewhere = lookedOver(offAt, isMet, 1 / unfocused.lens.closestFocusM);
    if (elsewhere !== null) found = focused(elsewhere);
  }
  const { rig, subject, subjectM } = found;
  return {
    rig,
    subject: { ...subject, distanceMm: subject.distanceMm ?? distanceM * 1000 },
    distanceM: subjectM ?? distanceM,
  };
}

/** A rig that stands `distanceM` from the miller, sensor to eyes, and is focused on him. */
export function shotAt(rig: Rig, distanceM: number): Shot {
  const { rig: focused, subject, distanceM: found } = sharpAt(rig, distanceM);
  const report = evaluate(focused);
  const picture = desqueezed(deliveredOf(focused), rig.lens.squeeze);
  const metresOf = (sideMm: number) => sideMm / subject.magnification / 1000;
  const isThere = Math.abs(found / distanceM - 1) <= SAME_PLACE;
  return {
    rig: focused,
    report,
    halo: report.halo.model,
    subject,
    distanceM: found,
    askedM: isThere ? null : distanceM,
    picture,
    field: { widthM: metresOf(picture.widthMm), heightM: metresOf(picture.heightMm) },
  };
}

/** Height of a thing of one metre at the miller as a share of the picture's height. */
const sizeOf = (rig: Rig, distanceM: number): number => {
  const { rig: focused, subject } = sharpAt(rig, distanceM);
  return (subject.magnification * 1000) / deliveredOf(focused).heightMm;
};

/** Halvings that place a camera within a millimetre. */
const HALVINGS = 32;
/** The farthest a camera stands, m. */
export const FARTHEST_M = 2000;

/**
 * Where a rig must stand to show the miller as large as another shot does, m from the sensor: f′·C/(u − f) equal,
 * by the picture's height. Null where it cannot focus so near, or would stand too far.
 */
export function equalSizeM(rig: Rig, shot: Shot): number | null {
  const wanted = (shot.subject.magnification * 1000) / shot.picture.heightMm;
  const nearest = rig.lens.closestFocusM * frontFactor(rig.parts) ** 2;
  const isAsSmall = (logM: number) => sizeOf(rig, Math.exp(logM)) <= wanted;
  const [near, far] = [Math.log(nearest), Math.log(FARTHEST_M)];
  // A hair of slack where it stands at its closest focus.
  if (sizeOf(rig, nearest) < wanted * 0.999 || !isAsSmall(far)) return null;
  return Math.exp(whereBeginning(isAsSmall, near, far, HALVINGS));
}

/** Where a point of the scene falls in the upright picture, mm from its middle, and how wide it blurs, mm. */
export interface Seen {
  xMm: number;
  yMm: number;
  /** Diameter of its blur disc across and down; an anamorphic makes upright ovals. */
  blurWidthMm: number;
  blurHeightMm: number;
  /** From the entrance pupil, m. */
  depthM: number;
}

/** Nearer than this share of the way to the subject nothing is drawn. */
const TOO_NEAR = 0.02;

/** Where the lens's axis meets the upright picture, mm from its middle: off it where the rig is shifted or reads off it. */
function axisIn(rig: Rig): Offset {
  const { xMm, yMm } = countedFrom(ON_AXIS, readOutFromAxis(rig));
  return { xMm: xMm * rig.lens.squeeze, yMm };
}
const ON_AXIS: Offset = { xMm: 0, yMm: 0 };

/**
 * Central projection from the entrance pupil: x′ = m u X/Z. Where the axis meets the picture at a, off its middle, the
 * camera stands so far aside that the miller is in the middle all the same: x′ = m u X/Z + a (1 − u/Z), and what is far
 * runs to the axis. Null for what stands beside or behind the camera. The squeeze of an anamorphic narrows its entrance
 * pupil across: common practice, no source.
 */
export function seenAt({ subject, rig }: Shot, { xM, yM, zM }: Spot): Seen | null {
  const { distanceMm, magnification } = subject;
  const depthMm = distanceMm + zM * 1000;
  if (depthMm < TOO_NEAR * distanceMm) return null;
  const scale = (magnification * distanceMm) / depthMm;
  const axis = axisIn(rig);
  const aside = 1 - distanceMm / depthMm;
  const blurMm = blurDiscMm(subject, zM * 1000);
  return {
    xMm: scale * xM * 1000 + axis.xMm * aside,
    yMm: scale * yM * 1000 + axis.yMm * aside,
    blurWidthMm: blurMm / rig.lens.squeeze,
    blurHeightMm: blurMm,
    depthM: depthMm / 1000,
  };
}
