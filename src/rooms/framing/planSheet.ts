/** Where things lie on the plan, to scale. */
import type { Framing } from './useFraming';

/** Room beside what is drawn, px. */
export const MARGIN = { left: 44, right: 24, foot: 26, top: 16 };
/** How far past the lamps the plan goes, m. */
const BEHIND_M = 1.2;

export interface Sheet {
  width: number;
  height: number;
  pxPerM: number;
  /** Where the miller stands, px. */
  x0: number;
  y0: number;
}

/** The plan as large as its place, from the farthest camera to past the lamps. */
export function layOut(framing: Framing, width: number, height: number): Sheet {
  const { framed, scene } = framing;
  const farthest = Math.max(...framed.map((f) => f.shot.distanceM));
  const length = farthest + scene.lampsM + BEHIND_M;
  const inner = Math.max(80, width - MARGIN.left - MARGIN.right);
  const pxPerM = inner / length;
  return {
    width,
    height,
    pxPerM,
    x0: MARGIN.left + farthest * pxPerM,
    y0: (height - MARGIN.foot + MARGIN.top) / 2,
  };
}
