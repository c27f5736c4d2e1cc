/** How far a train carries the lens out beyond its register. */
import type { Train } from './train';

/**
 * Extension in force, mm at the lens: tubes by their thickness, a helicoid by how far it is run out. Behind a
 * converter of factor m it counts 1/m².
 */
export function extensionMm({ links }: Train, helicoidMm: number): number {
  let factor = 1;
  let extension = 0;
  for (const { part, imageShiftMm, factor: own } of links) {
    if (part.kind === 'extension tube')
      extension += Math.max(0, -(imageShiftMm ?? -part.thicknessMm)) / factor ** 2;
    else if (part.kind === 'helicoid')
      extension += Math.min(helicoidMm, part.helicoidMm) / factor ** 2;
    factor *= own;
  }
  return extension;
}
