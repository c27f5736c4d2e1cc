/**
 * The corners of native lenses, from the Lensfun database as Debian packages it (liblensfun-data-v1, data under
 * CC BY-SA 3.0): 36x24 lenses calibrated on 36x24, far away. Read where it is installed; of its data nothing
 * is kept here, only what is fitted to it.
 */
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { readLensfun, calibratedStops } from '../../src/core/exchange/lensfun';

const FOLDER = '/usr/share/lensfun/version_1';

/** What one lens loses at one focal length. */
export interface NativeFalloff {
  /** Number of the lens; its focal lengths share it. */
  lens: number;
  focalMm: number;
  focalMinMm: number;
  focalMaxMm: number;
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

export function nativeFalloffs(): NativeFalloff[] {
  const entries = readdirSync(FOLDER)
    .filter((name) => name.endsWith('.xml'))
    .sort()
    .flatMap((name) => {
      const read = readLensfun(readFileSync(join(FOLDER, name), 'utf8'), name);
      if (!read.ok) throw new Error(read.problems[0]?.sentence);
      return read.value.lenses;
    })
    .filter(({ cropFactor }) => Math.abs(cropFactor - 1) < 0.02);
  return entries.flatMap((entry, lens) => {
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
      return [{ lens, focalMm, focalMinMm, focalMaxMm, openFNumber, apertures }];
    });
  });
}
