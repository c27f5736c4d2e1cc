/** How well the edge of a halo is known, in words. */
import { edgeSpread } from '../../halo';
import type { Report } from '../report';
import { fixed, mm, signed } from '../../words';

/** "± 0.12 mm"; "−1.9 +3.4 mm" where it is as likely to lie much farther out as little farther in. */
export function edgeKnownWords(
  { halo: { model, evidence } }: Pick<Report, 'halo'>,
  digits = 2,
): string {
  const { inwardMm, outwardMm } = edgeSpread(model, evidence);
  return fixed(inwardMm, digits) === fixed(outwardMm, digits)
    ? `± ${mm(inwardMm, digits)}`
    : `${signed(-inwardMm, digits)} ${signed(outwardMm, digits)} mm`;
}
