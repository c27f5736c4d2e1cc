/** Where the pieces of a rig stand along the optical axis, to scale; 0 mm is the sensor, + toward the scene. */
import { fullName } from '@/core/kit/body';
import type { Report } from '@/core/rig/evaluate';
import type { Rig } from '@/core/rig/rig';

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
  /** Exit pupil as seen from the sensor: distance and half-width, mm; null where it cannot be drawn. */
  pupil: { distanceMm: number; halfWidthMm: number } | null;
}

const UNKNOWN_LENS_MM = 60;
/** A long lens is cut so that the part behind it stays readable. */
const MOST_LENS_SHARE = 1.5;
const UNKNOWN_REGISTER_MM = 20;

export function layTrain(rig: Rig, report: Report): TrainLayout {
  const register = rig.mounts.get(rig.body.mountId)?.registerMm ?? UNKNOWN_REGISTER_MM;
  const pieces: Piece[] = [];
  let at = register;
  for (const part of [...rig.parts].reverse()) {
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
  const { exitPupilMm, coneTangent } = report.halo.model;
  return {
    pieces,
    frontMm: at + drawn,
    lensCut: drawn < length,
    sensorHalfWidthMm: rig.mode.widthMm / 2,
    pupil:
      exitPupilMm !== null && exitPupilMm > 0
        ? { distanceMm: exitPupilMm, halfWidthMm: Math.abs(exitPupilMm) * coneTangent }
        : null,
  };
}
