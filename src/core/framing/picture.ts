/** The scene as a rig pictures it: outlines in the picture, the farthest first, each with its blur. */
import { haloToward, type Halo } from '../halo';
import { catsEye } from './catsEye';
import { backgroundOf, lampsOf, peopleOf, type Ink, type Outline, type Scene } from './scene';
import { seenAt, type Seen, type Shot } from './shot';

interface PicturePoint {
  /** In the upright picture, mm from its middle on the sensor; desqueezed. */
  xMm: number;
  yMm: number;
}

export interface Shape {
  ink: Ink;
  points: readonly PicturePoint[];
  /** Diameter of the blur disc of its plane, mm; 0 for lamps, whose shape is their blur. */
  blurMm: number;
}

/** A lamp is a point of light; a sharp one still shows as large, mm as a share of the picture's height. */
const LEAST_LAMP = 0.004;

/** Where a point of the picture lies about the halo's centre, which is told as frames show it; squeezed again. */
function onSensor(shot: Shot, { xMm, yMm }: PicturePoint): { x: number; y: number } {
  const { centre } = shot.halo;
  return { x: xMm / shot.rig.lens.squeeze - centre.xMm, y: yMm - centre.yMm };
}

function lampShape(shot: Shot, seen: Seen, isBehind: boolean): PicturePoint[] {
  const { halo } = shot;
  const on = onSensor(shot, seen);
  const r = Math.hypot(on.x, on.y);
  const [ox, oy] = r > 0 ? [on.x / r, on.y / r] : [1, 0];
  const least = LEAST_LAMP * shot.picture.heightMm;
  const [halfWidth, halfHeight] = [
    Math.max(least, seen.blurWidthMm) / 2,
    Math.max(least, seen.blurHeightMm) / 2,
  ];
  const { rims } = haloToward(halo, { xMm: on.x, yMm: on.y });
  // The rims are told as in one quarter; in two of the others they lie the other way about.
  const isMirrored = on.x * on.y < 0;
  return catsEye(rims, r, { isBehind, isMirrored }).map(({ out, across }) => ({
    xMm: seen.xMm + halfWidth * (out * ox - across * oy),
    yMm: seen.yMm + halfHeight * (out * oy + across * ox),
  }));
}

/** Whether nothing of a lamp's disc can be in the picture, or within so many times its sides. */
const isOutside = ({ picture }: Shot, seen: Seen, times: number): boolean =>
  Math.abs(seen.xMm) - seen.blurWidthMm / 2 > (times * picture.widthMm) / 2 ||
  Math.abs(seen.yMm) - seen.blurHeightMm / 2 > (times * picture.heightMm) / 2;

function outlineShape(shot: Shot, { ink, points }: Outline): Shape[] {
  const seen = points.flatMap((spot) => seenAt(shot, spot) ?? []);
  return seen.length < points.length
    ? []
    : [{ ink, points: seen, blurMm: seen[0]?.blurHeightMm ?? 0 }];
}

/** Everything in the picture, and in what lies about it within so many times its sides, the farthest first. */
export function pictureOf(shot: Shot, scene: Scene, times = 1): Shape[] {
  const lamps = lampsOf(scene)
    .toSorted((a, b) => b.zM - a.zM)
    .flatMap((spot): Shape[] => {
      const seen = seenAt(shot, spot);
      if (!seen || isOutside(shot, seen, times)) return [];
      const points = lampShape(shot, seen, spot.zM > 0);
      return points.length > 0 ? [{ ink: 'lamp', points, blurMm: 0 }] : [];
    });
  return [
    ...backgroundOf(scene).flatMap((outline) => outlineShape(shot, outline)),
    ...lamps,
    ...peopleOf(scene).flatMap((outline) => outlineShape(shot, outline)),
  ];
}

/** The halo's light over the picture: where its middle lies, and what is left of it by distance. */
export interface Falloff {
  /** Middle of the halo in the upright picture, mm. */
  xMm: number;
  yMm: number;
  /** How much wider than on the sensor it is across. */
  squeeze: number;
  halo: Halo;
  /** Farthest corner of the picture from the middle, mm on the sensor. */
  reachMm: number;
}

export function falloffOf({ halo, picture, rig }: Pick<Shot, 'halo' | 'picture' | 'rig'>): Falloff {
  const { squeeze } = rig.lens;
  const { widthMm, heightMm } = picture;
  return {
    xMm: halo.centre.xMm * squeeze,
    yMm: halo.centre.yMm,
    squeeze,
    halo,
    reachMm: Math.hypot(
      widthMm / squeeze / 2 + Math.abs(halo.centre.xMm),
      heightMm / 2 + Math.abs(halo.centre.yMm),
    ),
  };
}
