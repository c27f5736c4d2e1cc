/** A report with the sensor somewhere in its travel. */
import { cornerStopsOf, CORNERS, darkestOf, type Travel } from '../../frame';
import type { Offset } from '../../optics';
import { seenFrom } from '../../rig';
import type { Report } from './evaluate';

/** The report as the stage shows it while the sensor stands `sensor` mm from its rest. */
export function wandered(report: Report, sensor: Offset): Report {
  const { model } = report.halo;
  // The frame moves one way; seen from it the halo moves the other.
  const moved = seenFrom(model, sensor);
  const cornerStops = cornerStopsOf(moved, report.frame.delivered);
  return {
    ...report,
    halo: { ...report.halo, model: moved },
    coverage: { ...report.coverage, cornerStops, atRestStops: darkestOf(cornerStops) },
  };
}

/**
 * A wandering path through a travel: where the sensor stands `seconds` after it set out, mm. It never
 * leaves the travel and comes close to its edge all round. For the eye; real movement depends on the hand.
 */
export function wanderAt(travel: Travel, seconds: number): Offset {
  const angle = seconds * 0.9 + 0.6 * Math.sin(seconds * 0.53);
  const reach = 0.62 + 0.38 * Math.sin(seconds * 1.37);
  const { xMm, yMm, discMm } = travel;
  return {
    xMm: (xMm + discMm) * reach * Math.cos(angle),
    yMm: (yMm + discMm) * reach * Math.sin(angle),
  };
}

/**
 * Where in its travel the sensor stands worst, mm from its rest: the corner that gets farthest from the
 * halo's centre is as far from it as it gets.
 */
export function worstStand(report: Report): Offset {
  const { delivered, travel } = report.frame;
  const { centre } = report.halo.model;
  const stands = CORNERS.map(([sx, sy]): { stand: Offset; radiusMm: number } => {
    const x = (sx * delivered.widthMm) / 2 - centre.xMm;
    const y = (sy * delivered.heightMm) / 2 - centre.yMm;
    // Into the corner of the box, and from there straight outward by the disc.
    const [boxX, boxY] = [Math.sign(x) * travel.xMm, Math.sign(y) * travel.yMm];
    const r = Math.hypot(x + boxX, y + boxY);
    const further = travel.discMm / r;
    const stand = { xMm: boxX + (x + boxX) * further, yMm: boxY + (y + boxY) * further };
    return { stand, radiusMm: r + travel.discMm };
  });
  return stands.reduce((worst, next) => (next.radiusMm > worst.radiusMm ? next : worst)).stand;
}
