/** Where the pieces of a rig stand along the optical axis, to scale; 0 mm is the sensor, + toward the scene. */
import { fullName, isFront, type Part } from '../../kit/records';
import type { Report } from '../report';
import type { Rig, Strike } from '../../rig';
import { trainOf } from '../train';
import { mm } from '../../words';

export interface Piece {
  kind: 'lens' | 'adapter' | 'glass' | 'body';
  name: string;
  fact: string;
  /** Scene-side and sensor-side ends, mm from the sensor. */
  fromMm: number;
  toMm: number;
}

/** What stands out behind the lens's flange, and what it may meet. */
export interface RearGlass {
  fromMm: number;
  toMm: number;
  /** Where whatever stands in its way begins to be in its way; null where not known. */
  limitMm: number | null;
  state: Strike['state'];
}

export interface TrainLayout {
  pieces: Piece[];
  /** Length drawn, from the front of the train to the sensor, mm. */
  frontMm: number;
  /** The lens's own flange, mm from the sensor. */
  flangeMm: number;
  /** Joints whose mounts do not join, mm from the sensor. */
  brokenJointsMm: number[];
  /** Null where the rear glass was never measured, or ends before the flange. */
  rearGlass: RearGlass | null;
  /** Where a far subject comes into focus, mm before the sensor; null where it is on it or not known. */
  infinityMm: number | null;
  /** True where the lens is longer than what is drawn of it. */
  lensCut: boolean;
  sensorHalfWidthMm: number;
  /** Half-width of the light that reaches the sensor, at places from the sensor to the front, mm. */
  beam: { atMm: number; halfMm: number }[];
}

const UNKNOWN_LENS_MM = 60;
/** A long lens is cut so that the part behind it stays readable. */
const MOST_LENS_SHARE = 2.4;
const UNKNOWN_REGISTER_MM = 20;
/** Thinner than this no box can be drawn, mm. */
const THINNEST_MM = 0.5;

/** The parts behind the lens, sensor to scene. */
const rearParts = (rig: Rig) => rig.parts.filter((p) => !isFront(p)).reverse();

function pieceOf(part: Part, toMm: number): Piece {
  const glass = part.factor !== 1;
  return {
    kind: glass ? 'glass' : 'adapter',
    name: part.name,
    fact: `${glass ? `×${part.factor} · ` : ''}${mm(part.thicknessMm)}`,
    fromMm: toMm + Math.max(THINNEST_MM, part.thicknessMm),
    toMm,
  };
}

/** Pieces set one before the other from `startMm` on, given sensor to scene, answered scene to sensor. */
function stacked(parts: readonly Part[], startMm: number): Piece[] {
  let at = startMm;
  return parts
    .map((part) => {
      const piece = pieceOf(part, at);
      at = piece.fromMm;
      return piece;
    })
    .reverse();
}

function rearGlassOf(rig: Rig, { fit }: Report, pieces: readonly Piece[], flangeMm: number) {
  const deep = rig.lens.rearProtrusionMm;
  const { strike } = fit;
  if (deep === null || deep <= 0 || !strike) return null;
  const behind = rig.parts
    .slice(0, strike.partIndex ?? rig.parts.length)
    .filter((p) => !isFront(p));
  const faceMm = pieces[1 + behind.length]?.fromMm ?? flangeMm;
  return {
    fromMm: flangeMm,
    toMm: flangeMm - deep,
    limitMm: strike.clearMm === null ? null : faceMm - strike.clearMm,
    state: strike.state,
  };
}

export function layTrain(rig: Rig, report: Report): TrainLayout {
  const register = rig.mounts.get(rig.body.mountId)?.registerMm ?? UNKNOWN_REGISTER_MM;
  const body: Piece = {
    kind: 'body',
    name: fullName(rig.body),
    fact: `${mm(register, 2)} register`,
    fromMm: register,
    toMm: 0,
  };
  const behind = stacked(rearParts(rig), register);
  const flangeMm = behind[0]?.fromMm ?? register;
  const length = rig.lens.lengthMm ?? UNKNOWN_LENS_MM;
  const drawn = Math.min(length, Math.max(40, flangeMm * MOST_LENS_SHARE));
  const lens: Piece = {
    kind: 'lens',
    name: fullName(rig.lens),
    fact: rig.lens.lengthMm === null ? 'length not known' : `${mm(length, 0)} long`,
    fromMm: flangeMm + drawn,
    toMm: flangeMm,
  };
  const before = stacked(rig.parts.filter(isFront).reverse(), lens.fromMm);
  const frontMm = before[0]?.fromMm ?? lens.fromMm;
  const fromLens = [lens, ...behind, body];
  const { longMm, reachesInfinity } = report.fit.register;
  return {
    pieces: [...before, ...fromLens],
    frontMm,
    flangeMm,
    brokenJointsMm: report.fit.joints.map(({ index }) => fromLens[index]?.toMm ?? flangeMm),
    rearGlass: rearGlassOf(rig, report, fromLens, flangeMm),
    infinityMm: reachesInfinity === false ? longMm : null,
    lensCut: drawn < length,
    sensorHalfWidthMm: rig.mode.widthMm / 2,
    beam: traceBeam(rig, report, frontMm),
  };
}

/**
 * The edge of the light that fills the whole sensor through the whole pupil, followed from the sensor
 * toward the scene; each converter bends it as a thin lens at its own place.
 */
function traceBeam(rig: Rig, report: Report, frontMm: number): TrainLayout['beam'] {
  const { exitPupilMm, coneTangent } = report.halo.model;
  const half = rig.mode.widthMm / 2;
  const beam = [{ atMm: 0, halfMm: half }];
  let slope = coneTangent - (exitPupilMm === null ? 0 : half / exitPupilMm);
  let imageMm = 0;
  const bend = (atMm: number) => {
    const last = beam.at(-1) ?? { atMm: 0, halfMm: half };
    const halfMm = last.halfMm + slope * (atMm - last.atMm);
    beam.push({ atMm, halfMm: Math.max(0, halfMm) });
    return halfMm;
  };
  for (const { thin } of trainOf(rig.parts, rig.mounts).links.toReversed()) {
    if (!thin || imageMm + thin.backMm >= frontMm) continue;
    slope -= bend(imageMm + thin.backMm) / thin.focalMm;
    imageMm += thin.backMm - thin.frontMm;
  }
  bend(frontMm);
  return beam;
}
