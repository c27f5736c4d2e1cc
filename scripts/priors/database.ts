/**
 * The corners of native lenses, from the Lensfun database as Debian packages it (liblensfun-data-v1, data under
 * CC BY-SA 3.0): 36x24 lenses calibrated on 36x24 and 17.3x13 lenses on 17.3x13, far away. Of formats between, lenses
 * for a larger one are calibrated on smaller sensors too, and which those are is not told. Read where it is installed; of
 * its data nothing is kept here, only what is fitted to it.
 */
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { cropFactor, FULL_FRAME, type FrameSize } from '../../src/core/optics';
import { readLensfun, calibratedStops } from '../../src/core/exchange/lensfun';

const FOLDER = '/usr/share/lensfun/version_1';

/** What one lens loses at one focal length. */
export interface NativeFalloff {
  /** Number of the lens; its focal lengths share it. */
  lens: number;
  focalMm: number;
  focalMinMm: number;
  focalMaxMm: number;
  /** What it was made for, and calibrated on. */
  format: FrameSize;
  /** The widest aperture calibrated at this focal length. */
  openFNumber: number;
  apertures: readonly { fNumber: number; stops: readonly number[] }[];
}

/** Where the falloff is read, shares of the half-diagonal. */
export const READ_AT = [0.5, 0.7, 0.85, 1] as const;

const plausible = (stops: readonly number[]): boolean => {
  const corner = stops[stops.length - 1] ?? NaN;
  // A polynomial that brightens outward, or goes black, is a calibration gone wrong.
  return stops.every((s) => s > -0.3 && s < 5) && corner > -0.1;
};

const FOUR_THIRDS: FrameSize = { widthMm: 17.3, heightMm: 13 };

/** The format of a crop factor whose cameras take lenses for no other; null else. */
function formatOf(crop: number): FrameSize | null {
  return (
    [FULL_FRAME, FOUR_THIRDS].find((format) => Math.abs(crop / cropFactor(format) - 1) < 0.02) ??
    null
  );
}

export function nativeFalloffs(): NativeFalloff[] {
  const entries = readdirSync(FOLDER)
    .filter((name) => name.endsWith('.xml'))
    .sort()
    .flatMap((name) => {
      const read = readLensfun(readFileSync(join(FOLDER, name), 'utf8'), name);
      if (!read.ok) throw new Error(read.problems[0]?.sentence);
      return read.value.lenses;
    });
  return entries.flatMap((entry, lens) => {
    const format = formatOf(entry.cropFactor);
    if (!format) return [];
    const focals = [...new Set(entry.vignetting.map((v) => v.focalMm))].sort((a, b) => a - b);
    const focalMinMm = entry.focalMinMm ?? focals[0] ?? 0;
    const focalMaxMm = entry.focalMaxMm ?? focals[focals.length - 1] ?? 0;
    return focals.flatMap((focalMm) => {
      const here = entry.vignetting.filter((v) => v.focalMm === focalMm);
      const far = Math.max(...here.map((v) => v.distanceM));
      const apertures = here
        .filter((v) => v.distanceM === far)
        .map((v) => ({ fNumber: v.fNumber, stops: READ_AT.map((r) => calibratedStops(v, r)) }))
        .filter(({ stops }) => plausible(stops))
        .sort((a, b) => a.fNumber - b.fNumber);
      const openFNumber = apertures[0]?.fNumber;
      if (openFNumber === undefined || far < 1) return [];
      return [{ lens, focalMm, focalMinMm, focalMaxMm, format, openFNumber, apertures }];
    });
  });
}
