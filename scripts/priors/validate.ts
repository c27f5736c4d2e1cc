/** Whether the estimate holds for lenses it was not fitted to: every lens in turn is left out of the fit, a fold at a time. */
import { medianOf } from '../../src/core/maths';
import type { NativeFalloff } from './database';
import { fitPriors } from './fit';
import { DRAWS, forecast, heldShare, type Forecast } from './forecast';

const FOLDS = 5;

/** Forecasts of every lens by a fit that never saw it. */
export function crossValidated(lenses: readonly NativeFalloff[]): Forecast[] {
  return Array.from({ length: FOLDS }, (_, fold) => {
    const left = lenses.filter((l) => l.lens % FOLDS === fold);
    const fitted = fitPriors(lenses.filter((l) => l.lens % FOLDS !== fold));
    return left.flatMap((l) => [...forecast(fitted, l, 'open'), ...forecast(fitted, l, 'f/8')]);
  }).flat();
}

export interface Standing {
  cases: number;
  medianBias: number;
  /** Share of the corners inside the 90 % interval. */
  held: number;
  /** Brier scores of the risk at 1 and 2 stops, and of the base rate. */
  brier: { limit: number; ours: number; base: number }[];
}

export function standing(forecasts: readonly Forecast[]): Standing {
  const mean = (values: readonly number[]) => values.reduce((a, b) => a + b, 0) / values.length;
  return {
    cases: forecasts.length,
    medianBias: medianOf(forecasts.map((f) => f.seen - f.expected)),
    held: heldShare(forecasts),
    brier: [1, 2].map((limit) => {
      const darker = forecasts.map((f) => Number(f.seen > limit));
      const base = mean(darker);
      const risks = forecasts.map((f) => f.draws.filter((d) => d > limit).length / DRAWS);
      return {
        limit,
        ours: mean(risks.map((p, i) => (p - (darker[i] ?? 0)) ** 2)),
        base: mean(darker.map((d) => (base - d) ** 2)),
      };
    }),
  };
}
