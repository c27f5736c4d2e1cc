/**
 * Figures as they are shown, on screens, on paper and in the terminal: one home for digits, units and
 * signs. A minus is a true minus, and no figure is ever "-0".
 */

/** A number to so many decimals. */
export function fixed(value: number, digits: number): string {
  const text = Math.abs(value).toFixed(digits);
  return value < 0 && Number(text) !== 0 ? `−${text}` : text;
}

/** The same without zeros at its end: "1.5", "2". */
export const short = (value: number, digits: number): string =>
  String(Number(Math.abs(value).toFixed(digits))).replace(/^/, value < 0 ? '−' : '');

/** With its sign always said; nothing is said of a zero. */
export function signed(value: number, digits: number): string {
  const text = fixed(value, digits);
  return value > 0 && Number(text) !== 0 ? `+${text}` : text;
}

export const mm = (value: number, digits = 1): string => `${fixed(value, digits)} mm`;

/** Diameter of a circle of some radius, beside one that has its unit: "43.3". */
export const diameterFigure = (radiusMm: number, digits: number): string =>
  fixed(radiusMm * 2, digits);

/** Diameter of a circle of some radius: "⌀ 43.3 mm". */
export const diameterMm = (radiusMm: number, digits = 1): string => `⌀ ${mm(radiusMm * 2, digits)}`;

/** Where a place lies from another: "3.0 mm right, 1.0 mm up"; "in the middle" where it is there. */
export function placeWords({ xMm, yMm }: { xMm: number; yMm: number }): string {
  const along = (value: number, back: string, on: string): string[] => {
    const figure = fixed(Math.abs(value), 1);
    return Number(figure) === 0 ? [] : [`${figure} mm ${value < 0 ? back : on}`];
  };
  return (
    [...along(xMm, 'left', 'right'), ...along(yMm, 'up', 'down')].join(', ') || 'in the middle'
  );
}

/** A frame's sides: "36.0 × 24.0 mm". */
export const sizeMm = (frame: { widthMm: number; heightMm: number }, digits = 1): string =>
  `${fixed(frame.widthMm, digits)} × ${mm(frame.heightMm, digits)}`;

/** Up to one it is a stop or a part of one, beyond it stops. */
const unitOfStops = (figure: string): string => {
  const size = Number(figure.replace(/[+−]/, ''));
  return size > 0 && size <= 1 ? 'stop' : 'stops';
};

/** Light in stops: "0.7 stop", "1.0 stop", "2.1 stops". */
export const stopsWords = (value: number, digits = 1): string => {
  const figure = fixed(value, digits);
  return `${figure} ${unitOfStops(figure)}`;
};

/** Light gained or lost: "+0.99 stop", "−2.0 stops". */
export const signedStops = (value: number, digits = 1): string => {
  const figure = signed(value, digits);
  return `${figure} ${unitOfStops(figure)}`;
};

/** How far a frame moves: "1.6 mm any way", "1.4 mm across and 1.1 mm down", both, or "not at all". */
export function travelWords(travel: { xMm: number; yMm: number; discMm: number }): string {
  const box =
    travel.xMm > 0 || travel.yMm > 0 ? [`${mm(travel.xMm)} across and ${mm(travel.yMm)} down`] : [];
  const disc = travel.discMm > 0 ? [`${mm(travel.discMm)} any way`] : [];
  return [...box, ...disc].join(', and ') || 'not at all';
}

/** A distance, finer where it is near; null is infinity. */
export const metres = (value: number | null): string =>
  value === null ? '∞' : `${fixed(value, value < 10 ? 2 : 1)} m`;

/** A short way: "0.4 mm", "4 mm", "2.3 cm", "38 cm", "1.20 m". */
function shortWay(ways: number): string {
  if (ways >= 1) return metres(ways);
  if (ways >= 0.1) return `${fixed(ways * 100, 0)} cm`;
  if (ways >= 0.01) return `${short(ways * 100, 1)} cm`;
  return `${short(ways * 1000, ways < 0.001 ? 2 : 1)} mm`;
}

/** An end of what is in focus so near the subject that rounding would tell it falsely: share of its way to there. */
const EATEN_SHARE = 0.25;

/**
 * What is in focus, all from the sensor: "1.60 m to 2.10 m"; where rounding would eat the ways to its ends, by these:
 * "−2.1 cm / +2.2 cm about 1.80 m".
 */
export function inFocusWords({
  nearM,
  focusM,
  farM,
}: {
  nearM: number;
  focusM: number | null;
  farM: number | null;
}): string {
  const plain = `${metres(nearM)} to ${metres(farM)}`;
  if (focusM === null) return plain;
  const step = focusM < 10 ? 0.005 : 0.05;
  const before = focusM - nearM;
  const behind = farM === null ? Infinity : farM - focusM;
  if (Math.min(before, behind) * EATEN_SHARE >= step) return plain;
  const far = farM === null ? 'without end' : `+${shortWay(behind)}`;
  return `−${shortWay(before)} / ${far} about ${metres(focusM)}`;
}

/** A share as percent: 0.125 is "12.5 %". */
export const percent = (share: number, digits = 1): string => `${fixed(share * 100, digits)} %`;

export const fWords = (value: number, digits = 2): string => `f/${fixed(value, digits)}`;
export const tWords = (value: number, digits = 2): string => `T${fixed(value, digits)}`;

/** A factor: "× 1.41". */
export const times = (value: number, digits = 2): string => `× ${fixed(value, digits)}`;

/** A scale-up as it is dialled in, never less than what is needed: "15.1 %". */
export const scaleUpWords = (scale: number): string =>
  `${fixed(Math.ceil((scale - 1) * 1000 - 1e-6) / 10, 1)} %`;

export const megapixels = (value: number): string => `${fixed(value, 1)} MP`;

/** Line pairs a mm, whole: no finer figure can be measured. */
export const lpMm = (value: number): string => `${fixed(value, 0)} lp/mm`;

/** Duration of a piece of work: "0.28 s". */
export const secondsTaken = (ms: number, digits: number): string => `${fixed(ms / 1000, digits)} s`;

/** The size of a file: "340 KB", "1.2 MB". */
export const bytesWords = (bytes: number): string => {
  if (bytes < 1e6) return `${fixed(bytes / 1000, 0)} KB`;
  return bytes < 1e9 ? `${fixed(bytes / 1e6, 1)} MB` : `${fixed(bytes / 1e9, 1)} GB`;
};

/** A shutter time as people say it: "1/250 s", "2 s". */
export const shutterWords = (seconds: number): string =>
  seconds >= 0.4 ? `${short(seconds, 1)} s` : `1/${Math.round(1 / seconds)} s`;

/** The longest shutter time people say that is not longer than a limit: of 1/8.4 s it is "1/9 s". */
export const shutterLimitWords = (seconds: number): string =>
  seconds >= 0.4
    ? `${short(Math.floor(seconds * 10 + 1e-6) / 10, 1)} s`
    : `1/${Math.ceil(1 / seconds - 1e-6)} s`;

/** "1 frame", "3 frames": a count with its word, which takes an s. */
export const counted = (count: number, word: string): string =>
  `${count} ${word}${count === 1 ? '' : 's'}`;
