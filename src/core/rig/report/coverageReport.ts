/** How the halo covers the delivered frame, by the outline of accepted corners that verdict, margin and ways out go by. */
import {
  coverage,
  type CircleCoverage,
  type Coverage,
  outlineCoverage,
  outlineShiftBudget,
  type ShiftBudget,
  worstCornerUnder,
} from '../../frame';
import { acceptedOutline, acceptedRadius, haloProfile } from '../../halo';
import type { Situation } from '../../rig';

/** Corner readings and margins, and what the circle of accepted corners does for the delivered frame. */
export type CoverageReport = Coverage &
  CircleCoverage & {
    /** Along the way to the worst corner: within it light is down by no more than the school's limit, and nothing hard, mm. */
    acceptedRadiusMm: number;
    /** That radius less the worst corner's over the travel, mm; not negative where the verdict is Clear. */
    acceptedMarginMm: number;
    /** Definition circle less the worst corner radius, mm; null where nobody judged it. */
    definitionMarginMm: number | null;
  };

/** What the outline of accepted corners tells, worked out once. */
interface Covered {
  coverage: CoverageReport;
  /** How far the frame may shift until a corner is no longer accepted, mm. */
  shiftBudget: ShiftBudget;
}

/**
 * `definitionMm` is the radius of good definition on the sensor; null where the owner has not judged it. `scaleUp` is the
 * least that makes the verdict Clear.
 */
export function coverageReport(
  { halo, delivered, travel, limitStops }: Situation,
  definitionMm: number | null,
  scaleUp: number | null,
): Covered {
  const worst = worstCornerUnder(halo, delivered, travel);
  const profile = haloProfile(worst.halo);
  const acceptedMm = acceptedRadius(worst.halo, limitStops, profile);
  const { cornerStops, atRestStops, radiiMm, marginMm, worstCornerRadiusMm } = coverage(
    halo,
    delivered,
    travel,
    worst,
    profile,
  );
  const accepted = acceptedOutline(halo, limitStops, acceptedMm);
  const { areaShare, cleanFrame } = outlineCoverage(delivered, halo.centre, accepted, travel);
  // Written out: spreading the two is many times slower.
  const report: CoverageReport = {
    cornerStops,
    atRestStops,
    radiiMm,
    marginMm,
    worstCornerRadiusMm,
    areaShare,
    cleanFrame,
    scaleUp,
    acceptedRadiusMm: acceptedMm,
    acceptedMarginMm: acceptedMm - worstCornerRadiusMm,
    definitionMarginMm: definitionMm === null ? null : definitionMm - worstCornerRadiusMm,
  };
  return {
    coverage: report,
    shiftBudget: outlineShiftBudget(delivered, halo.centre, accepted, travel),
  };
}
