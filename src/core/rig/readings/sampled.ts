/** How the pixels of the sensor become those of the file, in words. */
import type { DeliveredFrame } from '../../frame';
import type { Mode } from '../../kit/records';
import { fixed, times } from '../../words';

/** Ratios nearer to 1 than this are pixel for pixel. */
const SAME = 0.005;

const HOW: Readonly<Record<Mode['sampling'], string>> = {
  'every pixel': '',
  binned: 'binned',
  'line-skipped': 'lines skipped',
  'not known': 'how is not known',
};

/** "pixel for pixel", "× 1.56 oversampled", "9504 read across, binned". */
export function sampledWords(
  { sampling }: Pick<Mode, 'sampling'>,
  { oversampling, readPx }: Pick<DeliveredFrame, 'oversampling' | 'readPx'>,
): string {
  if (oversampling === null) return `${fixed(readPx.across, 0)} read across, ${HOW[sampling]}`;
  if (Math.abs(oversampling - 1) < SAME) return 'pixel for pixel';
  return `${times(oversampling)}${oversampling > 1 ? ' oversampled' : ': the body makes up pixels'}`;
}
