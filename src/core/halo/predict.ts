/**
 * The halo of a bare lens at a zoom, aperture and focus setting, from its samples or, without any, from
 * what is usual for its kind.
 */
import { openFNumberAt, type Lens } from '../kit/records';
import { workingFNumber } from '../optics';
import { keptIn, pchip, type Curve } from '../maths';
import type { LensAt, Setting } from './focus';
import { atAperture, closeUpRatio, marksOf, type Mark } from './marks';
import { haloOfShares, priorFor, usualExitPupilMm } from './priors';
import type { Rim } from './rim';
import type { Halo } from './rims';

interface Curves {
  frontEdge: Curve;
  frontSoftnessN: Curve;
  rearEdge: Curve;
  rearSoftnessN: Curve;
  hasRear: boolean;
  exitPupil: Curve;
  centreX: Curve;
  centreY: Curve;
}

/** Exit-pupil distance at a mark, mm: as told there, or what is usual of the kind of lens. */
function exitPupilAt(lens: Lens, { knots, focalMm }: Mark): number {
  const told = knots.find((k) => k.sample.exitPupilMm !== null)?.sample.exitPupilMm;
  return told ?? usualExitPupilMm(lens, focalMm);
}

function buildCurves(lens: Lens, fNumber: number, magnification: number): Curves {
  const marks = marksOf(lens);
  const logFocals = marks.map((m) => m.logFocal);
  const figures = marks.map((mark) => ({
    ...atAperture(mark.knots, fNumber),
    ratio: closeUpRatio(mark, magnification),
    exitPupil: exitPupilAt(lens, mark),
    centre: mark.knots[0]?.sample,
  }));
  type Figures = (typeof figures)[number];
  const curve = (of: (f: Figures) => number): Curve => pchip(logFocals, figures.map(of));
  return {
    frontEdge: curve((f) => f.frontEdge * f.ratio),
    frontSoftnessN: curve((f) => f.frontSoftnessN),
    rearEdge: curve((f) => f.rearEdge * f.ratio),
    rearSoftnessN: curve((f) => f.rearSoftnessN),
    hasRear: marks.some((m) => m.knots.some((k) => k.sample.rear !== null)),
    exitPupil: curve((f) => f.exitPupil),
    centreX: curve((f) => f.centre?.centreXMm ?? 0),
    centreY: curve((f) => f.centre?.centreYMm ?? 0),
  };
}

/** Curves of a lens: the same at every aperture and distance, unless its samples tell them apart. */
interface Known {
  isOne: boolean;
  byAperture: Map<string, Curves>;
}

const cache = new WeakMap<Lens, Known>();

function curvesOf(lens: Lens, fNumber: number, magnification: number): Curves | null {
  const marks = marksOf(lens);
  if (marks.length === 0) return null;
  let known = cache.get(lens);
  if (!known) {
    const isOne = marks.every((m) => m.knots.length === 1 && m.close === null);
    known = { isOne, byAperture: new Map() };
    cache.set(lens, known);
  }
  const key = known.isOne ? '' : `${fNumber} ${magnification}`;
  return keptIn(known.byAperture, key, () => buildCurves(lens, fNumber, magnification));
}

function rim(side: Rim['side'], edgeRadiusMm: number, softnessMm: number): Rim {
  return { side, edgeRadiusMm, softnessMm: Math.min(softnessMm, edgeRadiusMm) };
}

/** The halo to expect where nothing is known but the kind of lens. */
function usualHalo(lens: Lens, { focalMm, fNumber }: Setting): Halo {
  return haloOfShares(
    priorFor(lens, focalMm),
    lens.designFormat,
    openFNumberAt(lens, focalMm),
    fNumber,
  );
}

/** The halo at a setting, but for its cone, as if the lens were focused far away. */
function farHalo(lens: Lens, setting: Setting, magnification: number): Omit<Halo, 'coneTangent'> {
  const { focalMm, fNumber } = setting;
  const curves = curvesOf(lens, fNumber, magnification);
  if (!curves) return usualHalo(lens, setting);
  const x = Math.log(focalMm);
  const rims = [rim('front', curves.frontEdge(x), curves.frontSoftnessN(x) / fNumber)];
  if (curves.hasRear) rims.push(rim('rear', curves.rearEdge(x), curves.rearSoftnessN(x) / fNumber));
  return {
    rims,
    exitPupilMm: curves.exitPupil(x),
    centre: { xMm: curves.centreX(x), yMm: curves.centreY(x) },
  };
}

/** A pupil behind the plane is not let come nearer to it than this share of its distance. */
const LEAST_GROWTH = 0.1;

/**
 * How much softer a rim falls once the lens is carried out by `outMm`. One behind the iris, z from the sensor,
 * w = z/(2 N (1 - z/L)), grows by 1 + e/z; one before it by less than the edge radius does, and is taken half
 * way. From the rays past pupil and rim.
 */
function softenedBy(
  { side, softnessMm }: Rim,
  fNumber: number,
  edgeScale: number,
  outMm: number,
  exitPupilMm: number | null,
): number {
  if (side === 'front' || softnessMm <= 0) return Math.sqrt(edgeScale);
  const slope = 2 * fNumber * softnessMm;
  const zMm = exitPupilMm === null ? slope : slope / (1 + slope / exitPupilMm);
  return zMm > 0 ? Math.max(edgeScale, 1 + outMm / zMm) : edgeScale;
}

/** A rim as it falls once the plane is `outMm` farther from it, its edge `scale` times as far out. */
const grown = (
  r: Rim,
  fNumber: number,
  scale: number,
  outMm: number,
  exitPupilMm: number | null,
): Rim => ({
  ...r,
  ...rim(
    r.side,
    r.edgeRadiusMm * scale,
    r.softnessMm * softenedBy(r, fNumber, scale, outMm, exitPupilMm),
  ),
});

/**
 * A halo as it falls `backMm` farther from a lens that stays where it is, seen at f-number `fNumber` before: all of it
 * grows by 1 + e/L, past the pupil at L, its cone becomes as much slower, and its rims soften as far as they stand from
 * the plane. The same where the pupil is too far away to matter. Source: rays past pupil and rim.
 */
export function haloFartherBack(halo: Halo, fNumber: number, backMm: number): Halo {
  const { exitPupilMm, coneTangent, centre } = halo;
  if (exitPupilMm === null || backMm === 0) return halo;
  const scale = Math.max(LEAST_GROWTH, 1 + backMm / exitPupilMm);
  return {
    rims: halo.rims.map((r) => grown(r, fNumber, scale, backMm, exitPupilMm)),
    exitPupilMm: exitPupilMm * scale,
    coneTangent: coneTangent / scale,
    centre: { xMm: centre.xMm * scale, yMm: centre.yMm * scale },
  };
}

/** Halo of the bare lens on its own image plane, without the evidence behind it. Fast. */
export function predictHalo({
  lens,
  setting,
  ownMagnification: magnification,
  pupil,
  edgeScale,
  outMm,
}: LensAt): Halo {
  const { fNumber } = setting;
  const { rims, exitPupilMm, centre } = farHalo(lens, setting, magnification);
  const coneTangent = 1 / (2 * workingFNumber(fNumber, magnification, pupil));
  if (edgeScale === 1) return { rims, exitPupilMm, coneTangent, centre };
  return {
    rims: rims.map((r) => grown(r, fNumber, edgeScale, outMm, exitPupilMm)),
    exitPupilMm: exitPupilMm === null ? null : exitPupilMm + outMm,
    coneTangent,
    centre,
  };
}
