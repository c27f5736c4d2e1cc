/** What is foretold of the corner of a lens, and what was calibrated there. */
import { randomOf } from '../../src/core/maths';
import type { NativeFalloff } from './database';
import {
  expectedFigures,
  kindOf,
  modelStops,
  pupilOfFalloff,
  scatterOf,
  type Fitted,
  type LogFigures,
} from './model';

export type Which = 'open' | 'f/8';

type Aperture = NativeFalloff['apertures'][number];

/** The calibration at f/8, or at the widest aperture. */
export function apertureOf(lens: NativeFalloff, which: Which): Aperture | undefined {
  if (which === 'open') return lens.apertures[0];
  return lens.openFNumber < 7
    ? lens.apertures.find((a) => Math.abs(a.fNumber - 8) < 0.3)
    : undefined;
}

/** Darkness of the corner as calibrated, stops. */
export const cornerOf = ({ stops }: Aperture): number => stops[stops.length - 1] ?? NaN;

export interface Forecast {
  lens: NativeFalloff;
  which: Which;
  /** Darkness of the corner as calibrated, stops. */
  seen: number;
  expected: number;
  /** Chances of it, sorted, stops. */
  draws: number[];
}

export const DRAWS = 300;

/** Nothing where the lens was not calibrated there. */
export function forecast(fitted: Fitted, lens: NativeFalloff, which: Which): Forecast[] {
  const aperture = apertureOf(lens, which);
  if (!aperture) return [];
  const kind = kindOf(lens);
  const mean = expectedFigures(fitted, lens);
  const spread = scatterOf(fitted, lens);
  const { next } = randomOf(20261126);
  const normal = () => Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next());
  const draws = Array.from({ length: DRAWS }, () => {
    const figures: LogFigures = [
      mean[0] + spread[0] * normal(),
      mean[1] + pupilOfFalloff(spread[1] * normal()),
    ];
    return modelStops(kind, figures, aperture.fNumber, 1);
  }).sort((a, b) => a - b);
  const expected = modelStops(kind, mean, aperture.fNumber, 1);
  return [{ lens, which, seen: cornerOf(aperture), expected, draws }];
}

/** Share of corners a 90 % interval is to hold. */
export const HELD = 0.9;

/** Share of the corners inside their 90 % interval. */
export function heldShare(forecasts: readonly Forecast[]): number {
  const at = ({ draws }: Forecast, share: number) => draws[Math.floor(share * DRAWS)] ?? NaN;
  const inside = forecasts.filter((f) => f.seen >= at(f, 0.05) && f.seen <= at(f, 0.95));
  return inside.length / forecasts.length;
}
