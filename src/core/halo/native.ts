/**
 * What is normal: how dark the corners of full-frame lenses are on their own format, so that nobody chases
 * a defect every lens has. Our own statistics of the Lensfun database (CC BY-SA 3.0; 461 lenses with
 * vignetting data): quartiles wide open and at f/8, stops.
 */
import { isZoom, type Lens } from '../kit/records';
import { diagonalMm, FULL_FRAME } from '../optics';
import { fixed, stopsWords } from '../words';

type Quartiles = readonly [better: number, worse: number];

interface Kind {
  name: string;
  /** Up to this full-frame focal length, mm. */
  upToMm: number;
  open: Quartiles;
  f8: Quartiles;
}

const PRIMES: readonly Kind[] = [
  { name: 'primes under 24 mm', upToMm: 23.99, open: [2, 2.4], f8: [0.7, 1.3] },
  { name: 'primes of 24 to 35 mm', upToMm: 35.5, open: [1.9, 2.5], f8: [0.6, 1.2] },
  { name: 'primes of 36 to 70 mm', upToMm: 70.5, open: [1.8, 2.2], f8: [0.4, 0.7] },
  { name: 'primes of 71 to 135 mm', upToMm: 135.5, open: [1.2, 1.7], f8: [0.1, 0.3] },
  { name: 'primes over 135 mm', upToMm: Infinity, open: [1, 1.4], f8: [0.4, 0.6] },
];

const ZOOMS: readonly Kind[] = [
  { name: 'zooms under 24 mm', upToMm: 23.99, open: [1.7, 2], f8: [0.9, 1.4] },
  { name: 'zooms at 24 to 35 mm', upToMm: 35.5, open: [1.4, 1.8], f8: [0.6, 1] },
  { name: 'zooms at 36 to 70 mm', upToMm: 70.5, open: [1.1, 1.4], f8: [0.3, 0.6] },
  { name: 'zooms over 70 mm', upToMm: Infinity, open: [0.9, 1.5], f8: [0.2, 0.6] },
];

export interface NativeStanding {
  /** "primes of 36 to 70 mm". */
  kind: string;
  /** A quarter of such lenses are better than this on their own format, stops. */
  betterQuarter: number;
  /** Three quarters are better than this. */
  worseQuarter: number;
  sentence: string;
}

/** Between wide open and f/8 the figures run straight in stops of aperture. */
function between(kind: Kind, openFNumber: number, fNumber: number): Quartiles {
  const span = Math.log(8 / openFNumber);
  const share = span <= 0 ? 1 : Math.min(1, Math.max(0, Math.log(fNumber / openFNumber) / span));
  const mix = (i: 0 | 1) => kind.open[i] + (kind.f8[i] - kind.open[i]) * share;
  return [mix(0), mix(1)];
}

/** Where a corner `stops` down, at rest, stands among full-frame lenses of the kind at `focalMm` and `fNumber`. */
export function nativeStanding(
  lens: Lens,
  focalMm: number,
  openFNumber: number,
  fNumber: number,
  stops: number | null,
): NativeStanding {
  const full = (focalMm * diagonalMm(FULL_FRAME)) / diagonalMm(lens.designFormat);
  const kinds = isZoom(lens) ? ZOOMS : PRIMES;
  const kind = kinds.find((k) => full <= k.upToMm) ?? kinds[kinds.length - 1];
  if (!kind) throw new RangeError('no kinds of native lens');
  const [betterQuarter, worseQuarter] = between(kind, openFNumber, fNumber);
  return {
    kind: kind.name,
    betterQuarter,
    worseQuarter,
    sentence: words(kind.name, stops, betterQuarter, worseQuarter),
  };
}

function words(kind: string, stops: number | null, better: number, worse: number): string {
  const range = `${fixed(better, 1)} to ${stopsWords(worse)}`;
  if (stops === null || stops > worse + 0.05) {
    return `Three of four native ${kind} are better at this aperture, at rest (${range} is usual).`;
  }
  if (stops < better - 0.05) {
    return `Better than three of four native ${kind} at this aperture, at rest (${range} is usual).`;
  }
  return `Normal for native ${kind} at this aperture, at rest (${range} is usual).`;
}
