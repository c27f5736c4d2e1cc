/** Lenses nobody built: what was read or typed must be another figure. */
import { diagonalMm, type FrameSize } from '../optics';

/** The widest front anybody polishes, mm; common practice, no source. */
const WIDEST_PUPIL_MM = 250;
/** Nothing faster is engraved on a lens for pictures; common practice, no source. */
const FASTEST_BUILT = 0.7;
/** How fast lenses shorter than a share of the diagonal are built at most; common practice, no source. */
const FASTEST_SHORT = [
  { below: 0.12, fNumber: 3.5 },
  { below: 0.2, fNumber: 2.5 },
  { below: 0.32, fNumber: 1.3 },
] as const;

interface SpeedFacts {
  focalMinMm: number;
  focalMaxMm: number;
  openFNumberWide: number;
  openFNumberLong: number;
  designFormat: FrameSize;
}

/** Why no such lens can have been meant; null where one could exist. */
export function nonsenseIn(facts: SpeedFacts): string | null {
  const { focalMinMm, focalMaxMm, openFNumberWide, openFNumberLong, designFormat } = facts;
  const said = `${focalMinMm === focalMaxMm ? focalMinMm : `${focalMinMm}–${focalMaxMm}`} mm f/${openFNumberWide}`;
  const wrong = 'Is one of the figures something else, such as the filter or the magnification?';
  if (openFNumberWide < FASTEST_BUILT)
    return `No lens is as fast as f/${openFNumberWide}. ${wrong}`;
  if (focalMaxMm / openFNumberLong > WIDEST_PUPIL_MM)
    return `${said} would be ${Math.round(focalMaxMm / openFNumberLong)} mm wide in front. ${wrong}`;
  const share = focalMinMm / diagonalMm(designFormat);
  const limit = FASTEST_SHORT.find(({ below }) => share < below);
  if (limit && openFNumberWide < limit.fNumber)
    return `A lens of ${said} is not built for ${designFormat.widthMm}×${designFormat.heightMm}. ${wrong}`;
  return null;
}
