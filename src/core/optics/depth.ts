/**
 * Depth of field; circles of confusion in mm. Formulas count from the lens; what is shown counts from the sensor and goes
 * through `depthFromSensor`.
 */
import { diagonalMm, FULL_FRAME, type FrameSize } from './formats';

/** Rules for the circle of confusion. Sources and their differences: docs/optics.md, "Depth of field". */
export const CIRCLE_RULES = [
  'diagonal/1500',
  'diagonal/1440',
  'diagonal/1730',
  'diagonal/1000',
  '0.03 by crop',
] as const;
export type CircleRule = (typeof CIRCLE_RULES)[number];

/** Circle of confusion of a frame, mm; the default rule is a 1500th of its diagonal. */
export function circleOfConfusionMm(frame: FrameSize, rule: CircleRule = 'diagonal/1500'): number {
  const diagonal = diagonalMm(frame);
  if (rule === '0.03 by crop') return (0.03 * diagonal) / diagonalMm(FULL_FRAME);
  return diagonal / Number(rule.slice('diagonal/'.length));
}

/** Hyperfocal distance, m: f²/(N c) + f. */
export const hyperfocalM = (focalMm: number, fNumber: number, circleMm: number): number =>
  (focalMm ** 2 / (fNumber * circleMm) + focalMm) / 1000;

export interface DepthOfField {
  nearM: number;
  /** Null: infinity. */
  farM: number | null;
  /** Null: endless. */
  depthM: number | null;
}

/** What a picture is focused on, whatever stands in the train. */
export interface Subject {
  /** From the entrance pupil, mm; null at infinity. */
  distanceMm: number | null;
  /** Size on the sensor over its own; 0 at infinity. */
  magnification: number;
  /** Diameter of the entrance pupil, mm: f'/N'. */
  entrancePupilMm: number;
  /** Focal length of the whole train, mm. */
  focalMm: number;
}

/**
 * Near and far limits: a point at D blurs to E m |D - s|/D on the sensor, E the entrance pupil, m the
 * magnification, s the subject's distance. The same as u f²/(f² ± N c (u - f)) for one thin lens, and good
 * for any train.
 */
export function depthAbout(subject: Subject, circleMm: number): DepthOfField {
  const { distanceMm, magnification, entrancePupilMm, focalMm } = subject;
  if (distanceMm === null || magnification <= 0) {
    return { nearM: (focalMm * entrancePupilMm) / circleMm / 1000, farM: null, depthM: null };
  }
  const k = (entrancePupilMm * magnification) / circleMm;
  const nearM = (distanceMm * k) / (k + 1) / 1000;
  const farM = k > 1 ? (distanceMm * k) / (k - 1) / 1000 : null;
  return { nearM, farM, depthM: farM === null ? null : farM - nearM };
}

/**
 * Near and far limits of one thin lens focused at `focusM` from itself (null: infinity): u f²/(f² ± N c (u - f)).
 * Focus nearer than the focal length has no picture; it is taken at a hundredth above it.
 */
export function depthOfField(
  focalMm: number,
  fNumber: number,
  circleMm: number,
  focusM: number | null,
): DepthOfField {
  const u = focusM === null ? null : Math.max(focusM * 1000, focalMm * 1.01);
  return depthAbout(
    {
      distanceMm: u,
      magnification: u === null ? 0 : focalMm / (u - focalMm),
      entrancePupilMm: focalMm / fNumber,
      focalMm,
    },
    circleMm,
  );
}

/** What a picture is focused on, and the way from the sensor to where its distance counts from, mm. */
export interface Placed {
  subject: Subject;
  wayMm: number;
}

/** What is in focus, counted from the sensor: nearM <= focusM <= farM. */
export interface InFocus extends DepthOfField {
  /** The subject, m; null at infinity. */
  focusM: number | null;
}

/** From the sensor to the subject, m; null at infinity. */
export const subjectFromSensorM = ({ subject, wayMm }: Placed): number | null =>
  subject.distanceMm === null ? null : (subject.distanceMm + wayMm) / 1000;

/** Near and far limits counted from the sensor, m. */
export function depthFromSensor(placed: Placed, circleMm: number): InFocus {
  const { nearM, farM, depthM } = depthAbout(placed.subject, circleMm);
  const wayM = placed.wayMm / 1000;
  return {
    nearM: nearM + wayM,
    focusM: subjectFromSensorM(placed),
    farM: farM === null ? null : farM + wayM,
    depthM,
  };
}

export interface DepthBasis {
  /** What is compared, in words. */
  basis: 'same place' | 'same framing' | 'larger format';
  /** Where the camera with the part focuses, m from the sensor. */
  focusM: number;
  withPart: InFocus;
  bareLens: InFocus;
  /** Depth with the part over depth without; null where either is endless. */
  ratio: number | null;
}

const ratioOf = (a: number | null, b: number | null): number | null =>
  a === null || b === null ? null : a / b;

/**
 * Depth of field with a converter of factor M against the bare lens, on the three bases people talk past each other on:
 * same place: the wider picture enlarged until the subject is as large as before;
 * same framing: `moved` until the subject is as large on the sensor as it is through the bare lens;
 * larger format: against the bare lens on a format 1/M as large, same place and view.
 * The subjects are the lens's own, close up too: behind the part the magnification is M times the lens's. Empty
 * at infinity, where nothing is framed.
 */
export function depthOnThreeBases(
  { bare, withPart, moved }: { bare: Placed; withPart: Placed; moved: Placed },
  factor: number,
  circleMm: number,
): DepthBasis[] {
  const basis = (
    name: DepthBasis['basis'],
    [part, partCircleMm]: [Placed, number],
    bareCircleMm: number,
  ): DepthBasis[] => {
    const through = depthFromSensor(part, partCircleMm);
    const { focusM } = through;
    if (focusM === null) return [];
    const without = depthFromSensor(bare, bareCircleMm);
    return [
      {
        basis: name,
        focusM,
        withPart: through,
        bareLens: without,
        ratio: ratioOf(through.depthM, without.depthM),
      },
    ];
  };
  return [
    ...basis('same place', [withPart, circleMm * factor], circleMm),
    ...basis('same framing', [moved, circleMm], circleMm),
    ...basis('larger format', [withPart, circleMm], circleMm / factor),
  ];
}
