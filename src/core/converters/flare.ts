/** Light that falls beside the picture. */
import { mm } from '../words/figures';
import type { ConverterColumn } from './columns';

/** A halo that ends this close past the corner lights nothing beside it, share of the corner's radius. */
const CLOSE_SHARE = 0.1;

/** How far the halo spills past the picture, and what that asks for. */
export function clearanceWords({ report }: ConverterColumn): string {
  const { radiiMm, worstCornerRadiusMm } = report.coverage;
  const spill = radiiMm.black - worstCornerRadiusMm;
  return spill > CLOSE_SHARE * worstCornerRadiusMm
    ? `${mm(spill, 0)} spill: hood it`
    : 'little spill';
}
