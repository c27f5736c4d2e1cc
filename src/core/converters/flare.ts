/** Light that falls beside the picture. */
import { mm } from '../words';
import type { ConverterColumn } from './columns';

/** A halo that ends this close past the corner lights nothing beside it, share of the corner's radius. */
const CLOSE_SHARE = 0.1;

/** How far the halo spills past the picture, mm; null where so little that it lights nothing. */
export function spillMm({ report }: ConverterColumn): number | null {
  const { radiiMm, worstCornerRadiusMm } = report.coverage;
  const spill = radiiMm.black - worstCornerRadiusMm;
  return spill > CLOSE_SHARE * worstCornerRadiusMm ? spill : null;
}

/** The same in words, with what it asks for. */
export function clearanceWords(column: ConverterColumn): string {
  const spill = spillMm(column);
  return spill === null ? 'little spill' : `${mm(spill, 0)} spill: hood it`;
}
