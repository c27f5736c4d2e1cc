/** Lenses for the simulated camera, told by how they behave instead of where their rims stand. */
import type { Opening, RayLens } from './rays';

interface HiddenLens {
  /** Radius on the sensor at which each rim stops half the iris, mm, and how soft that is wide open. */
  frontEdgeMm: number;
  frontSoftnessMm: number;
  rearEdgeMm: number;
  rearSoftnessMm: number;
  exitPupilMm: number;
  openFNumber: number;
  blades: number;
  pupilGrowth: number;
  pupilDrift: number;
  spherical: number;
  /** A third rim, behind the iris, where there is one. */
  throat?: { edgeMm: number; softnessMm: number };
}

/** Millimetres between iris and the group before it, and from there to the front rim. */
const GROUP_AHEAD_MM = 6;
const FRONT_AHEAD_MM = 45;

function rearOpening(edgeMm: number, softnessMm: number, lens: HiddenLens): Opening {
  const iris = lens.exitPupilMm / (2 * lens.openFNumber);
  const zMm = lens.exitPupilMm / (1 + iris / softnessMm);
  return { zMm, radiusMm: (edgeMm * (lens.exitPupilMm - zMm)) / lens.exitPupilMm };
}

/** Places rims and group so that, errors of the group and pupil apart, they do what is told. */
export function hiddenLens(lens: HiddenLens): RayLens {
  const L = lens.exitPupilMm;
  const iris = L / (2 * lens.openFNumber);
  const groupZ = L + GROUP_AHEAD_MM;
  /* Paraxially a ray from p through q of the pupil meets the front rim at
     y = q (1 + (g + d)/L - (1 + g/L) d/F) - p ((g + d)/L - (g/L) d/F), g the group's lead, d the rim's
     beyond it. Softness is iris times the first factor over the second. */
  const g = GROUP_AHEAD_MM;
  const d = FRONT_AHEAD_MM;
  const ratio = lens.frontSoftnessMm / iris;
  const perFocal =
    (1 + (g + d) / L - (ratio * (g + d)) / L) / (d * (1 + g / L) - (ratio * d * g) / L);
  const second = (g + d) / L - (g / L) * d * perFocal;
  const openings: Opening[] = [
    { zMm: groupZ + d, radiusMm: lens.frontEdgeMm * second },
    rearOpening(lens.rearEdgeMm, lens.rearSoftnessMm, lens),
  ];
  if (lens.throat) openings.push(rearOpening(lens.throat.edgeMm, lens.throat.softnessMm, lens));
  return {
    exitPupilMm: L,
    openFNumber: lens.openFNumber,
    blades: lens.blades,
    pupilGrowth: lens.pupilGrowth,
    pupilDrift: lens.pupilDrift,
    groups: [{ zMm: groupZ, focalMm: 1 / perFocal, spherical: lens.spherical }],
    openings,
  };
}
