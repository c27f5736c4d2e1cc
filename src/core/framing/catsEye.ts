/**
 * The shape a point of light out of focus takes: the pupil as the rims leave it. Toward the corners front and
 * rear rims cut it from both sides, and the disc becomes a cat's eye.
 */
import type { Rim } from '../halo';

export interface UnitPoint {
  /** Along the radius, outward in the picture. */
  out: number;
  /** Across it. */
  across: number;
}

interface Disc {
  centre: number;
  radius: number;
}

const AROUND = 48;
const ROUND = Array.from({ length: AROUND }, (_, i) => {
  const angle = (i / AROUND) * 2 * Math.PI;
  return { dx: Math.cos(angle), dy: Math.sin(angle) };
});

/**
 * Pupil and rims as discs on the radius, in units of the pupil's radius, as they show in an upright picture. Seen
 * from an image point at r a front rim is centred at +r/w on the pupil, a rear one at −r/w. Rays of a point behind
 * the subject have crossed before they reach the sensor: its patch stands on its head, and the picture is turned
 * upright again; seen in the picture the front rim then cuts the outer side. Before the subject it is the other
 * way round.
 */
function discsAt(rims: readonly Rim[], rMm: number, isBehind: boolean): Disc[] {
  return [
    { centre: 0, radius: 1 },
    ...rims
      .filter((rim) => rim.softnessMm > 0)
      .map((rim): Disc => ({
        centre: centreAt(rim, rMm, isBehind),
        radius: rim.edgeRadiusMm / rim.softnessMm,
      })),
  ];
}

const centreAt = ({ side, softnessMm }: Rim, rMm: number, isBehind: boolean): number =>
  ((side === 'front') === isBehind ? -rMm : rMm) / softnessMm;

/**
 * Outline of the blur patch of a point of light, in radii of the whole disc; empty where no light comes through.
 * `rMm` is its distance on the sensor from the halo's centre, `isBehind` whether it stands behind the subject.
 */
export function catsEye(
  rims: readonly Rim[],
  rMm: number,
  { isBehind, isMirrored = false }: { isBehind: boolean; isMirrored?: boolean },
): UnitPoint[] {
  // A knife edge lets all through or nothing.
  if (rims.some((rim) => rim.softnessMm <= 0 && rMm > rim.edgeRadiusMm)) return [];
  const discs = discsAt(
    rims.filter(({ rectangle }) => !rectangle),
    rMm,
    isBehind,
  );
  let [left, right] = [-Infinity, Infinity];
  for (const { centre, radius } of discs) {
    left = Math.max(left, centre - radius);
    right = Math.min(right, centre + radius);
  }
  if (!(right > left)) return [];
  const middle = (left + right) / 2;
  const eye = ROUND.map(({ dx, dy }) => {
    // From the middle the nearest of all circles, in closed form: a ray from within a disc leaves it once.
    let reach = Infinity;
    for (const { centre, radius } of discs) {
      const away = middle - centre;
      const along = away * dx;
      const square = radius * radius - away * away;
      reach = Math.min(reach, Math.sqrt(Math.max(0, along * along + square)) - along);
    }
    return { out: middle + reach * dx, across: reach * dy };
  });
  return rims
    .flatMap((rim) => sidesOf(rim, rMm, isBehind, isMirrored))
    .reduce((left, side) => cutBy(left, side), eye);
}

/** A straight side of an opening: what lies so far along its way is inside. */
interface Side {
  out: number;
  across: number;
  upTo: number;
}

/** The four sides of a rectangular opening on the pupil, as discsAt has the round ones. */
function sidesOf(rim: Rim, rMm: number, isBehind: boolean, isMirrored: boolean): Side[] {
  const { rectangle, softnessMm, edgeRadiusMm } = rim;
  if (!rectangle || softnessMm <= 0) return [];
  const { halfWidth, halfHeight, alongX, alongY } = rectangle;
  const centre = centreAt(rim, rMm, isBehind);
  const radius = edgeRadiusMm / softnessMm;
  const turn = isMirrored ? -1 : 1;
  return [
    { out: alongX, across: -turn * alongY, half: radius * halfWidth },
    { out: alongY, across: turn * alongX, half: radius * halfHeight },
  ].flatMap(({ out, across, half }) => [
    { out, across, upTo: out * centre + half },
    { out: -out, across: -across, upTo: half - out * centre },
  ]);
}

/** What a straight side leaves of an outline (I. Sutherland, G. Hodgman, CACM 17, 1974). */
function cutBy(outline: readonly UnitPoint[], { out, across, upTo }: Side): UnitPoint[] {
  const beyond = (p: UnitPoint) => p.out * out + p.across * across - upTo;
  return outline.flatMap((to, i) => {
    const from = outline.at(i - 1) ?? to;
    const [before, here] = [beyond(from), beyond(to)];
    if (before <= 0 === here <= 0) return here <= 0 ? [to] : [];
    const share = before / (before - here);
    const crossing = {
      out: from.out + (to.out - from.out) * share,
      across: from.across + (to.across - from.across) * share,
    };
    return here <= 0 ? [crossing, to] : [crossing];
  });
}
