/** The outline of a frame of any size that tells its verdict by its shape. */
import { bothOf, type VerdictFace, type VerdictKind } from './coverage';

export interface Box {
  x: number;
  y: number;
  w: number;
  h: number;
}

interface Stroke {
  d: string;
  isDotted?: boolean;
}

export interface Outline extends Stroke {
  /** The verdict it speaks of. */
  kind: VerdictKind;
}

/** How far along its sides a corner reaches. */
const cornerOf = ({ w, h }: Box): number => Math.min(w, h) * 0.28;

/** The two halves of a coin's toss stand apart by this share of the shorter side. */
const APART = 0.12;

/**
 * Half a frame, from its outer side to the middle: whole; with a soft dotted corner; with cut corners; about half a disc.
 * `out` is where the outer side stands, `way` +1 for the left half and -1 for the right.
 */
function halfPaths(kind: VerdictKind, box: Box, out: number, way: 1 | -1, half: number): Stroke[] {
  const { y, w, h } = box;
  const c = cornerOf(box);
  const b = y + h;
  const middle = out + way * half;
  const inner = out + way * c;
  const whole = `M${middle} ${y}H${out}V${b}H${middle}`;
  switch (kind) {
    case 'Clear':
      return [{ d: whole }];
    case 'Shaded':
      return [
        { d: `M${middle} ${y}H${inner}M${out} ${y + c}V${b - c}M${inner} ${b}H${middle}` },
        {
          d: `M${out} ${y + c}V${y}H${inner}M${inner} ${b}H${out}V${b - c}`,
          isDotted: true,
        },
      ];
    case 'Clipped':
      return [{ d: whole }, { d: `M${out} ${y + c}L${inner} ${y}M${inner} ${b}L${out} ${b - c}` }];
    case 'Keyhole': {
      const radius = Math.min(w, h) * 0.3;
      const cy = y + h / 2;
      const sweep = way === 1 ? 0 : 1;
      return [
        { d: whole },
        { d: `M${middle} ${cy - radius}a${radius} ${radius} 0 0 ${sweep} 0 ${2 * radius}` },
      ];
    }
  }
}

/**
 * Whole frame; soft dotted corners; cut corners; a frame about a disc. A coin's toss is a frame in two halves that stand
 * apart: the better verdict to the left, the worse to the right.
 */
export function verdictPaths(face: VerdictFace, box: Box): Outline[] {
  const [left, right] = bothOf(face);
  const apart = left === right ? 0 : Math.min(box.w, box.h) * APART;
  const half = (box.w - apart) / 2;
  return [
    ...halfPaths(left, box, box.x, 1, half).map((stroke) => ({ ...stroke, kind: left })),
    ...halfPaths(right, box, box.x + box.w, -1, half).map((stroke) => ({ ...stroke, kind: right })),
  ];
}
