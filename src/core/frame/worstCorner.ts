/** The worst corner of a frame under a halo, over all that moves. */
import { darknessStops, haloToward, isRound, lightAtPlace, type Halo } from '../halo';
import type { FrameSize, Offset } from '../optics';
import { worstCornerRadius, type Travel } from './geometry';

export interface WorstCorner {
  /** How far it lies from the halo's middle, mm. */
  cornerMm: number;
  /** The halo as told along the way to it. */
  halo: Halo;
}

/**
 * Where the corner farthest out can get to: within its box outright, and from there within the disc straight away from the
 * middle or along either side. Light falls with either distance, so that the worst place is about one of them.
 */
function farthestPlaces(frame: FrameSize, centre: Offset, { xMm, yMm, discMm }: Travel): Offset[] {
  const x = frame.widthMm / 2 + Math.abs(centre.xMm) + xMm;
  const y = frame.heightMm / 2 + Math.abs(centre.yMm) + yMm;
  if (discMm === 0) return [{ xMm: x, yMm: y }];
  const out = 1 + discMm / Math.hypot(x, y);
  return [
    { xMm: x * out, yMm: y * out },
    { xMm: x + discMm, yMm: y },
    { xMm: x, yMm: y + discMm },
  ];
}

/** How dark a place is; one without any light is darkest. */
const darkness = (halo: Halo, place: Offset): number =>
  darknessStops(lightAtPlace(halo, place).light) ?? Infinity;

/** The worst corner over the travel: the farthest one, or where ways differ the darkest. */
export function worstCornerUnder(halo: Halo, frame: FrameSize, travel: Travel): WorstCorner {
  if (isRound(halo)) return { cornerMm: worstCornerRadius(frame, halo.centre, travel), halo };
  const worst = farthestPlaces(frame, halo.centre, travel).reduce((worst, place) =>
    darkness(halo, place) > darkness(halo, worst) ? place : worst,
  );
  return { cornerMm: Math.hypot(worst.xMm, worst.yMm), halo: haloToward(halo, worst) };
}
