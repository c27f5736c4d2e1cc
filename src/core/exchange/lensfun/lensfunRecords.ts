/** Entries of the Lensfun database as records of a kit; vignetting calibrations as falloff samples. */
import { lightAt, type Halo } from '../../halo';
import {
  type Body,
  bodyOf,
  freshMode,
  FARTHEST_PUPIL_MM,
  type HaloSample,
  type Lens,
  lensSchema,
  markingIn,
  type Marking,
  type Mount,
  haloSampleOf,
} from '../../kit/records';
import { readEngraving, quickLens } from '../../kit';
import { diagonalMm, FULL_FRAME } from '../../optics';
import { grouped, medianOf } from '../../maths';
import { frameOfCrop, type LensfunCamera, type LensfunLens, type Vignetting } from './lensfun';
import { LENSFUN_LICENCE } from './lensfunLicence';
import { mm, stopsWords } from '../../words';

/** Places along the radius where model and calibration are compared, shares of the corner's radius. */
const PLACES = [0.45, 0.7, 0.88, 1] as const;
/** Below this light, stops, a polynomial is no longer to be believed. */
const DARKEST_STOPS = 6;

const lightOf = ({ k }: Vignetting, r: number): number =>
  1 + k[0] * r ** 2 + k[1] * r ** 4 + k[2] * r ** 6;

/** Darkness of a calibration at share `r` of the corner's radius, stops. */
export const calibratedStops = (v: Vignetting, r: number): number =>
  Math.min(DARKEST_STOPS, -Math.log2(Math.max(2 ** -DARKEST_STOPS, lightOf(v, r))));

/** Exit-pupil distance that natural falloff (1 + r²/L²)^-2 asks for, mm. */
function pupilFrom(v: Vignetting, cornerMm: number): number {
  const seen = PLACES.slice(1).flatMap((r) => {
    const stops = calibratedStops(v, r);
    return stops > 0.02 ? [(r * cornerMm) / Math.sqrt(2 ** (stops / 2) - 1)] : [];
  });
  if (seen.length < 3) return FARTHEST_PUPIL_MM;
  return Math.min(FARTHEST_PUPIL_MM, Math.max(5, medianOf(seen)));
}

interface Fitted {
  edgeRadiusMm: number;
  /** Softness times f-number, mm. */
  softnessN: number;
  exitPupilMm: number;
  /** Root mean square of what is left, stops. */
  residualStops: number;
}

const haloOf = (R: number, softnessN: number, fNumber: number, exitPupilMm: number): Halo => {
  const softnessMm = Math.min(R, softnessN / fNumber);
  return {
    rims: [
      { side: 'front', edgeRadiusMm: R, softnessMm },
      { side: 'rear', edgeRadiusMm: R, softnessMm },
    ],
    exitPupilMm,
    // From f/4 on all points of the pupil see the corner at nearly the same slant.
    coneTangent: fNumber < 4 ? 1 / (2 * fNumber) : 0,
    centre: { xMm: 0, yMm: 0 },
  };
};

/** Edge, softness and exit pupil tried, as logarithms. */
type Guess = [logR: number, logS: number, logL: number];

/** Where the search begins: an edge near the corner or well outside, softness times f-number in shares of it. */
const STARTS = [
  [1.08, 0.24],
  [1.25, 0.8],
] as const;
/** A fit that misses by less, stops, need not be begun again elsewhere. */
const GOOD_ENOUGH_STOPS = 0.1;
const MOST_STEPS = 30;

/** The least of a function of three, by steps along each axis that shrink when none helps. */
function patternSearch(f: (guess: Guess) => number, start: Guess): { at: Guess; least: number } {
  const at: Guess = [...start];
  let least = f(at);
  let step = 0.3;
  for (let i = 0; i < MOST_STEPS && step > 0.01; i += 1) {
    let helped = false;
    for (const axis of [0, 1, 2] as const) {
      const here = at[axis];
      for (const by of [step, -step]) {
        at[axis] = here + by;
        const value = f(at);
        if (value < least) {
          least = value;
          helped = true;
          break;
        }
        at[axis] = here;
      }
    }
    if (!helped) step /= 2;
  }
  return { at, least };
}

/** Two equal rims and natural falloff that darken as the calibrations do. */
function fitRims(
  calibrations: readonly Vignetting[],
  cornerMm: number,
  firstPupilMm: number,
): Fitted {
  const targets = calibrations.map((v) => PLACES.map((r) => calibratedStops(v, r)));
  const miss = ([logR, logS, logL]: Guess): number => {
    let sum = 0;
    for (const [i, v] of calibrations.entries()) {
      const halo = haloOf(Math.exp(logR), Math.exp(logS), v.fNumber, Math.exp(logL));
      for (const [j, r] of PLACES.entries()) {
        const { light } = lightAt(halo, r * cornerMm);
        const stops = Math.min(DARKEST_STOPS, -Math.log2(Math.max(2 ** -DARKEST_STOPS, light)));
        sum += (stops - (targets[i]?.[j] ?? 0)) ** 2;
      }
    }
    return sum;
  };
  const rms = (least: number) => Math.sqrt(least / (calibrations.length * PLACES.length));
  let best: { at: Guess; least: number } | null = null;
  for (const [edge, softness] of STARTS) {
    if (best && rms(best.least) < GOOD_ENOUGH_STOPS) break;
    const found = patternSearch(miss, [
      Math.log(cornerMm * edge),
      Math.log(cornerMm * softness),
      Math.log(firstPupilMm),
    ]);
    if (!best || found.least < best.least) best = found;
  }
  const { at, least } = best ?? { at: [0, 0, 0], least: Infinity };
  return {
    edgeRadiusMm: Math.exp(at[0]),
    softnessN: Math.exp(at[1]),
    exitPupilMm: Math.min(FARTHEST_PUPIL_MM, Math.max(5, Math.exp(at[2]))),
    residualStops: rms(least),
  };
}

/** Edges known from darkness inside the frame only; from the corner's own half light they are known better. */
const SIGMA_SHARE_UNSEEN = 0.06;
const SIGMA_SEEN_MM = 0.5;

/** A lens holds no more samples; no lens was ever calibrated at as many focal lengths. */
const MOST_SAMPLES = lensSchema.properties.halo.maxItems ?? 0;

/** At most so many of a list, the first and last among them. */
function evenly<T>(all: readonly T[], most: number): T[] {
  if (all.length <= most) return [...all];
  return Array.from({ length: most }, (_, i) =>
    Math.round((i * (all.length - 1)) / (most - 1)),
  ).flatMap((at) => all.slice(at, at + 1));
}

/** Calibrations at the farthest distance there is, the widest aperture first. */
function farthest(calibrations: readonly Vignetting[]): Vignetting[] {
  const far = calibrations.reduce((most, { distanceM }) => Math.max(most, distanceM), 0);
  return calibrations
    .filter(({ distanceM }) => distanceM === far)
    .sort((a, b) => a.fNumber - b.fNumber);
}

/** One falloff sample for each focal length that was calibrated, from the widest aperture and one near f/8. */
function samplesOf(lens: LensfunLens, newId: (focalMm: number) => string): HaloSample[] {
  const cornerMm = diagonalMm(FULL_FRAME) / 2 / lens.cropFactor;
  const byFocal = grouped(lens.vignetting, (v) => v.focalMm);
  const focals = [...byFocal.keys()].sort((a, b) => a - b);
  return evenly(focals, MOST_SAMPLES).flatMap((focalMm): HaloSample[] => {
    const here = farthest(byFocal.get(focalMm) ?? []);
    const [open] = here;
    const closed = here.reduce<Vignetting | undefined>(
      (nearest, v) =>
        !nearest || Math.abs(Math.log(v.fNumber / 8)) < Math.abs(Math.log(nearest.fNumber / 8))
          ? v
          : nearest,
      undefined,
    );
    if (!open || !closed || focalMm < 1) return [];
    const pair = open === closed ? [open] : [open, closed];
    const fitted = fitRims(pair, cornerMm, pupilFrom(closed, cornerMm));
    const { edgeRadiusMm, softnessN, exitPupilMm, residualStops } = fitted;
    const rim = { edgeRadiusMm, softnessMm: Math.min(edgeRadiusMm, softnessN / open.fNumber) };
    const seen = edgeRadiusMm < cornerMm;
    return [
      haloSampleOf({
        id: newId(focalMm),
        focalMm,
        fNumber: open.fNumber,
        focusM: null,
        front: rim,
        meaning: 'half light',
        rear: { ...rim },
        exitPupilMm,
        centreXMm: 0,
        centreYMm: 0,
        edgeSigmaMm: seen ? SIGMA_SEEN_MM : edgeRadiusMm * SIGMA_SHARE_UNSEEN,
        evidence: { kind: 'published', date: '', frames: 0, source: LENSFUN_LICENCE },
        note: `From vignetting calibrations, seen to r ${mm(cornerMm)}; the model misses them by ${stopsWords(residualStops, 2)}.${seen ? '' : ' The edge lies outside what was seen.'}`,
      }),
    ];
  });
}

/** The mount of the kit that goes by a name of the database, or the name itself where none does. */
function mountIdFor(name: string, mounts: readonly Mount[]): string {
  const sought = name.trim().toLowerCase();
  const known = mounts.find(
    (m) => m.name.toLowerCase() === sought || m.aliases.some((a) => a.toLowerCase() === sought),
  );
  return known?.id ?? name.trim().slice(0, 80);
}

interface Kit {
  mounts: readonly Mount[];
  markings: readonly Marking[];
}

/** A model's name without its maker's before it. */
export const ownName = (maker: string, model: string): string =>
  maker && model.toLowerCase().startsWith(`${maker.toLowerCase()} `)
    ? model.slice(maker.length + 1)
    : model;

const clampF = (v: number): number => Math.min(128, Math.max(0.5, v));

interface Speeds {
  focalMinMm: number;
  focalMaxMm: number;
  open: number;
}

const least = (values: readonly number[]): number | null =>
  values.length > 0 ? Math.min(...values) : null;
const most = (values: readonly number[]): number | null =>
  values.length > 0 ? Math.max(...values) : null;

/** Focal lengths and speed: as told, as engraved in the name, or as calibrated; null where nothing says. */
function speedsOf(entry: LensfunLens): Speeds | null {
  const engraved = readEngraving(entry.model, []);
  const focals = entry.calibratedFocalsMm;
  const focalMinMm = entry.focalMinMm ?? engraved.focalMinMm ?? least(focals);
  const focalMaxMm = entry.focalMaxMm ?? engraved.focalMaxMm ?? most(focals);
  const open =
    entry.openFNumber ?? engraved.openFNumberWide ?? least(entry.vignetting.map((v) => v.fNumber));
  if (focalMinMm === null || focalMaxMm === null || open === null) return null;
  const can = focalMinMm >= 1 && focalMaxMm <= 5000 && focalMaxMm >= focalMinMm;
  return can ? { focalMinMm, focalMaxMm, open } : null;
}

/** An entry as a lens of the kit; null where it does not say its focal length or aperture. */
export function lensRecord(entry: LensfunLens, kit: Kit, id: string): Lens | null {
  const speeds = speedsOf(entry);
  if (!speeds) return null;
  const { focalMinMm, focalMaxMm, open } = speeds;
  const marking = markingIn(entry.model, kit.markings);
  const lens = quickLens(
    {
      name: ownName(entry.maker, entry.model).slice(0, 200),
      maker: entry.maker.slice(0, 120),
      mountId: mountIdFor(entry.mounts[0] ?? 'unknown mount', kit.mounts),
      focalMinMm,
      focalMaxMm,
      openFNumberWide: clampF(open),
      openFNumberLong: clampF(openAtLongEnd(entry, open, focalMaxMm)),
      designFormat: marking?.designFormat ?? frameOfCrop(entry.cropFactor, entry.aspect),
    },
    id,
  );
  return {
    ...lens,
    licence: LENSFUN_LICENCE,
    estimated: marking ? lens.estimated : [...lens.estimated, 'designFormat'],
    halo: samplesOf(entry, (focalMm) => `${id}-${focalMm}`.slice(0, 80)),
  };
}

/** The widest aperture calibrated at the long end, where it was; else that of the whole lens. */
function openAtLongEnd(entry: LensfunLens, open: number, focalMaxMm: number): number {
  const there = entry.vignetting.filter((v) => v.focalMm === focalMaxMm).map((v) => v.fNumber);
  return there.length > 0 ? Math.max(open, Math.min(...there)) : open;
}

/** An entry as a body of the kit, with one mode over its whole sensor; pixels are assumed, and said so. */
export function bodyRecord(entry: LensfunCamera, mounts: readonly Mount[], id: string): Body {
  const frame = frameOfCrop(entry.cropFactor, 1.5);
  return bodyOf({
    id,
    name: ownName(entry.maker, entry.model).slice(0, 200),
    maker: entry.maker.slice(0, 120),
    mountId: mountIdFor(entry.mount || 'unknown mount', mounts),
    modes: [
      {
        ...freshMode('stills'),
        name: 'Stills, pixels and 3:2 assumed',
        widthMm: Math.max(0.5, frame.widthMm),
        heightMm: Math.max(0.5, frame.heightMm),
      },
    ],
    licence: LENSFUN_LICENCE,
    note: `The database says a crop factor of ${entry.cropFactor} and nothing of pixels: the size of the read-out follows from it at 3:2, the pixels are to be filled in.`,
  });
}
