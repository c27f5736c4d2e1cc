/** The coverage curve: the circle of accepted corners over zoom or aperture, and the circle each mode needs. */
import { type EvidenceKind, openFNumberAt } from '../kit/records';
import { swayedRadiusMm } from '../halo';
import { clamp, NINETY_SIGMAS } from '../maths';
import { evaluate } from '../rig/report';
import { turned, type Rig } from '../rig';
import { apertureControl } from '../rig/train';
import { zoomPlaces } from './zoomWindows';

export type CurveAxis = 'focal' | 'aperture';

interface CurvePoint {
  /** Focal length, mm, or f-number. */
  at: number;
  /** Diameter within which corners are accepted, mm. */
  acceptedMm: number;
  /** The same, nine times of ten between these. */
  lowMm: number;
  highMm: number;
  /** Diameter at half light through the rims, mm. */
  halfMm: number;
}

export interface CurveMark {
  at: number;
  acceptedMm: number;
  kind: EvidenceKind;
}

/** A circle that frames need to stand in, mm. */
export interface NeededCircle {
  names: string[];
  diameterMm: number;
  /** Whether it is that of the rig as it is set. */
  isOwn: boolean;
}

export interface CoverageCurve {
  along: CurveAxis;
  points: CurvePoint[];
  marks: CurveMark[];
  needed: NeededCircle[];
}

function pointOf(rig: Rig, at: number): CurvePoint {
  const { coverage, halo } = evaluate(rig);
  const { acceptedRadiusMm } = coverage;
  const acceptedMm = 2 * acceptedRadiusMm;
  const diameterAt = (z: number) => 2 * swayedRadiusMm(acceptedRadiusMm, halo.evidence, z);
  return {
    at,
    acceptedMm,
    lowMm: diameterAt(-NINETY_SIGMAS),
    highMm: diameterAt(NINETY_SIGMAS),
    halfMm: 2 * coverage.radiiMm.half,
  };
}

const PLACES = 36;
/** Circles nearer than this, as a share, are one line. */
const SAME_CIRCLE = 0.012;

function neededBy(rig: Rig): NeededCircle[] {
  const moving = rig.settings.stabiliser && rig.body.sensorTravel !== null;
  const diameter = (of: Rig) => 2 * evaluate(of).coverage.worstCornerRadiusMm;
  const own = rig.mode.name;
  const all: NeededCircle[] = [
    { names: [moving ? `${own}, travel` : own], diameterMm: diameter(rig), isOwn: true },
    ...(moving
      ? [
          {
            names: [`${own}, locked`],
            diameterMm: diameter(turned(rig, { stabiliser: false })),
            isOwn: false,
          },
        ]
      : []),
    ...rig.body.modes
      .filter((mode) => mode.id !== rig.mode.id)
      .map((mode) => ({
        names: [mode.name],
        diameterMm: diameter(turned({ ...rig, mode }, {})),
        isOwn: false,
      })),
  ];
  return all.reduce<NeededCircle[]>((lines, next) => {
    const same = lines.find((l) => Math.abs(l.diameterMm / next.diameterMm - 1) < SAME_CIRCLE);
    if (!same) return [...lines, next];
    return lines.map((l) => (l === same ? { ...l, names: [...l.names, ...next.names] } : l));
  }, []);
}

/** Places along the curve, rising: over the zoom with its samples among them, or over the apertures. */
function placesAlong(rig: Rig, along: CurveAxis): number[] {
  const { lens, parts, settings } = rig;
  if (along === 'focal') {
    const { focalMinMm: from, focalMaxMm: to } = lens;
    const focals = zoomPlaces(rig, { from, to }, PLACES).map((x) => clamp(Math.exp(x), from, to));
    return [...new Set(focals)];
  }
  const open = openFNumberAt(lens, settings.focalMm);
  if (apertureControl(lens, parts) === 'nothing') return [open];
  const closed = Math.max(open, lens.closedFNumber);
  return Array.from({ length: PLACES + 1 }, (_, i) => open * (closed / open) ** (i / PLACES));
}

/** Where samples stand along the curve: those of the lens, near the setting of the other axis. */
function marksAlong(rig: Rig, along: CurveAxis): CurveMark[] {
  const { lens, settings } = rig;
  const near = (a: number, b: number) => Math.abs(Math.log(a / b)) < NEAR_SETTING;
  return lens.halo.flatMap(({ focalMm, fNumber, evidence }) => {
    const isHere =
      along === 'focal'
        ? focalMm >= lens.focalMinMm && focalMm <= lens.focalMaxMm
        : near(focalMm, settings.focalMm);
    const at = along === 'focal' ? focalMm : fNumber;
    const set = along === 'focal' ? { focalMm } : { fNumber };
    const { acceptedMm } = pointOf(turned(rig, set), at);
    return isHere ? [{ at, acceptedMm, kind: evidence.kind }] : [];
  });
}

/** Nearer than this, as a logarithm, a sample speaks for the setting in hand. */
const NEAR_SETTING = 0.03;

/** The curve along zoom or aperture, all else as the rig is set. */
export const coverageCurve = (rig: Rig, along: CurveAxis): CoverageCurve => ({
  along,
  points: placesAlong(rig, along).map((at) =>
    pointOf(turned(rig, along === 'focal' ? { focalMm: at } : { fNumber: at }), at),
  ),
  marks: marksAlong(rig, along),
  needed: neededBy(rig),
});
