/** Where the pieces of a rig stand along the optical axis, to scale; 0 mm is the sensor, + toward the scene. */
import { fullName } from '@/core/kit/body';
import type { Report } from '@/core/rig/evaluate';
import type { Rig } from '@/core/rig/rig';
import { converterOfShift } from '@/core/optics/converter';
import { imageShiftMm } from '@/core/rig/train';
import { isFront } from '@/core/kit/part';

export interface Piece {
  kind: 'lens' | 'adapter' | 'glass' | 'body';
  name: string;
  fact: string;
  /** Scene-side and sensor-side ends, mm from the sensor. */
  fromMm: number;
  toMm: number;
}

export interface TrainLayout {
  pieces: Piece[];
  /** Length drawn, from the front of the lens to behind the sensor, mm. */
  frontMm: number;
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

/** The parts behind the lens, sensor to scene. */
const rearParts = (rig: Rig) => rig.parts.filter((p) => !isFront(p)).reverse();

export function layTrain(rig: Rig, report: Report): TrainLayout {
  const register = rig.mounts.get(rig.body.mountId)?.registerMm ?? UNKNOWN_REGISTER_MM;
  const pieces: Piece[] = [];
  let at = register;
  for (const part of rearParts(rig)) {
    pieces.unshift({
      kind: part.factor === 1 ? 'adapter' : 'glass',
      name: fullName(part),
      fact: `${part.factor === 1 ? '' : `×${part.factor} · `}${part.thicknessMm.toFixed(1)} mm`,
      fromMm: at + part.thicknessMm,
      toMm: at,
    });
    at += part.thicknessMm;
  }
  const length = rig.lens.lengthMm ?? UNKNOWN_LENS_MM;
  const drawn = Math.min(length, Math.max(40, at * MOST_LENS_SHARE));
  pieces.unshift({
    kind: 'lens',
    name: fullName(rig.lens),
    fact:
      rig.lens.lengthMm === null ? 'length not known' : `${rig.lens.lengthMm.toFixed(0)} mm long`,
    fromMm: at + drawn,
    toMm: at,
  });
  pieces.push({
    kind: 'body',
    name: fullName(rig.body),
    fact: `${register.toFixed(2)} mm register`,
    fromMm: register,
    toMm: 0,
  });
  const frontMm = at + drawn;
  return {
    pieces,
    frontMm,
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
  for (const part of rearParts(rig)) {
    const shift = imageShiftMm(part, rig.mounts);
    const thin = shift === null ? null : converterOfShift(part.factor, shift);
    if (!thin || imageMm + thin.backMm >= frontMm) continue;
    slope -= bend(imageMm + thin.backMm) / thin.focalMm;
    imageMm += thin.backMm - thin.frontMm;
  }
  bend(frontMm);
  return beam;
}
