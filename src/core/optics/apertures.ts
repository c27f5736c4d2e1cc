/** f-numbers as engraved and as cameras print them (ISO 517 series), and the exact values behind them. */

type ApertureStep = 'full' | 'half' | 'third';

interface MarkedAperture {
  /** Exact f-number, 2^(n/2), 2^(n/4) or 2^(n/6). */
  exact: number;
  /** What is engraved or printed, best known spelling first. */
  marks: readonly string[];
}

const STEPS_PER_STOP: Record<ApertureStep, number> = { full: 1, half: 2, third: 3 };

/** First marked value is at Av -2 (f/0.5); marks follow ISO 517 and common camera displays. */
const FIRST_AV = -2;

const FULL_MARKS = '0.5 0.7 1 1.4 2 2.8 4 5.6 8 11 16 22 32 45 64 90 128'.split(' ');
const HALF_MARKS = '0.6 0.8 1.2 1.7 2.4 3.4 4.8 6.7 9.5 13 19 27 38 54 76 107'.split(' ');
/** The two thirds between full stops; a slash parts spellings that differ between cameras. */
const THIRD_MARKS =
  '0.56 0.63 0.8 0.9 1.1 1.2/1.3 1.6 1.8 2.2 2.5 3.2 3.5 4.5 5 6.3 7.1 9 10 13 14 18 20 25 29 36 40 51 57 72 80 102 114'.split(
    ' ',
  );

function buildSeries(step: ApertureStep): MarkedAperture[] {
  const per = STEPS_PER_STOP[step];
  const count = (FULL_MARKS.length - 1) * per + 1;
  return Array.from({ length: count }, (_, k) => {
    const stop = Math.floor(k / per);
    const part = k % per;
    const mark =
      part === 0
        ? FULL_MARKS[stop]
        : step === 'half'
          ? HALF_MARKS[stop]
          : THIRD_MARKS[stop * 2 + part - 1];
    return { exact: 2 ** ((FIRST_AV + k / per) / 2), marks: (mark ?? '').split('/') };
  });
}

const SERIES: Record<ApertureStep, readonly MarkedAperture[]> = {
  full: buildSeries('full'),
  half: buildSeries('half'),
  third: buildSeries('third'),
};

/**
 * Apertures nearer than this, as a ratio, are one: marked limits mean the exact ones behind them, so that f/5.6
 * admits 4 x 1.414 = 5.66 and f/11 11.3.
 */
export const MARK_SLACK = 1.03;

/** Whether an aperture is no more closed than one that is marked. */
export const isAsOpenAs = (n: number, marked: number): boolean => n <= marked * MARK_SLACK;

/** Marked apertures of a step that a lens has besides its widest: none of them one with it, none past its smallest. */
export const marksBetween = (
  step: ApertureStep,
  open: number,
  closed: number,
): readonly MarkedAperture[] =>
  SERIES[step].filter((m) => !isAsOpenAs(m.exact, open) && isAsOpenAs(m.exact, closed));

/** All marked values of a step, f/0.5 to f/128, in order. */
export const apertureSeries = (step: ApertureStep): readonly MarkedAperture[] => SERIES[step];

/** Aperture value of f-number `n` (> 0): 2 log2 n. */
export const apertureValue = (n: number): number => 2 * Math.log2(n);

/** The marked aperture nearest to `n` (> 0) in stops; outside f/0.5 to f/128 the end value. */
export function nearestMarked(n: number, step: ApertureStep): MarkedAperture {
  const series = SERIES[step];
  const k = Math.round((apertureValue(n) - FIRST_AV) * STEPS_PER_STOP[step]);
  const hit = series[Math.min(series.length - 1, Math.max(0, k))];
  if (!hit) throw new RangeError('aperture series is empty');
  return hit;
}

/** Apertures nearer to a mark than this, stops, stand on it. */
const ON_MARK_STOPS = 0.02;

/** An aperture as it is engraved, where it stands on a mark; else to two places: "2.8", "2.74". */
export function engravedAs(n: number): string {
  const { exact, marks } = nearestMarked(n, 'third');
  const isOnMark = Math.abs(apertureValue(n) - apertureValue(exact)) < ON_MARK_STOPS;
  return (isOnMark ? marks[0] : undefined) ?? String(Number(n.toFixed(2)));
}

/** The same as it is said: "f/2.8". */
export const engravedWords = (n: number): string => `f/${engravedAs(n)}`;

/** How a camera that works in third stops prints f-number `n`; more than one where cameras differ. */
export const printsAs = (n: number): string[] =>
  nearestMarked(n, 'third').marks.map((m) => `f/${m}`);

/** How cameras that work in whole, half and third stops print f-number `n`. */
export const printedNames = (n: number): Record<ApertureStep, string[]> => ({
  full: nearestMarked(n, 'full').marks.map((m) => `f/${m}`),
  half: nearestMarked(n, 'half').marks.map((m) => `f/${m}`),
  third: printsAs(n),
});
