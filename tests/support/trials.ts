/** What measuring simulated frames came to, against their truth. */
import type { FrameMeasure } from '@/core/measure';
import { onFullFrame, type DrawnFrame } from './frames';

export interface Trial {
  frame: DrawnFrame;
  measure: FrameMeasure;
}

const off = ({ frame }: Trial, value: number | null | undefined, truth: number | null) =>
  value === null || value === undefined || truth === null
    ? null
    : onFullFrame(value - truth, frame.rig.sensor);

const halfOff = (t: Trial) => off(t, t.measure.halfLightRadiusMm?.value, t.frame.truth.halfLight);

const held = ({ frame, measure }: Trial): boolean => {
  const truth = frame.truth.halfLight ?? Infinity;
  const figure = measure.halfLightRadiusMm;
  return figure !== null && figure.low <= truth && truth <= figure.high;
};

const share = <T>(list: readonly T[], test: (item: T) => boolean): number =>
  list.filter(test).length / Math.max(1, list.length);

/** Size that 95 % of some differences stay below; those that are not there are left out. */
const q95 = (values: readonly (number | null)[]): number => {
  const sizes = values.filter((v) => v !== null).map(Math.abs);
  sizes.sort((a, b) => a - b);
  return sizes[Math.min(sizes.length - 1, Math.floor(0.95 * sizes.length))] ?? Number.NaN;
};

function figuresOf(trials: readonly Trial[]) {
  const centre = (t: Trial) => {
    const at = t.measure.centreMm;
    const { xMm, yMm } = t.frame.rig.centre;
    if (!at || t.measure.warnings.includes('oneSided')) return null;
    return onFullFrame(Math.hypot(at[0] - xMm, at[1] - yMm), t.frame.rig.sensor);
  };
  return {
    count: trials.length,
    halfWithin: (mm: number) =>
      share(
        trials,
        (t) =>
          Math.abs(halfOff(t) ?? 99) <= mm || (t.measure.warnings.includes('oneSided') && held(t)),
      ),
    halfWithinOrHeld: (mm: number) =>
      share(trials, (t) => Math.abs(halfOff(t) ?? 99) <= mm || held(t)),
    halfQ95: q95(trials.map(halfOff)),
    held: share(trials, held),
    centreQ95: q95(trials.map(centre)),
    minus1Q95: q95(trials.map((t) => off(t, t.measure.stopRadiiMm[1], t.frame.truth.minus1))),
    minus2Q95: q95(trials.map((t) => off(t, t.measure.stopRadiiMm[2], t.frame.truth.minus2))),
    clearQ95: q95(trials.map((t) => off(t, t.measure.clearRadiusMm, t.frame.truth.clear))),
    blackQ95: q95(trials.map((t) => off(t, t.measure.blackRadiusMm, t.frame.truth.black))),
  };
}

/** Figures of all measured frames, of those at f/5.6 and slower, and of the faster ones. */
export function summaryOf(trials: readonly Trial[]) {
  const measured = trials.filter((t) => t.measure.status === 'measured');
  const over = trials.map((t) => off(t, t.measure.lowerBoundMm, t.frame.truth.halfLight) ?? -99);
  return {
    all: { ...figuresOf(measured), boundOver: Math.max(...over) },
    slow: figuresOf(measured.filter((t) => t.frame.fNumber >= 5.6)),
    fast: figuresOf(measured.filter((t) => t.frame.fNumber < 5.6)),
  };
}
