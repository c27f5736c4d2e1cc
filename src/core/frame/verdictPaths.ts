/** The outline of a frame of any size that tells its verdict by its shape. */
import type { VerdictKind } from './coverage';

export interface Box {
  x: number;
  y: number;
  w: number;
  h: number;
}

export interface Outline {
  d: string;
  isDotted?: boolean;
}

const whole = ({ x, y, w, h }: Box): string => `M${x} ${y}h${w}v${h}h${-w}Z`;

/** How far along its sides a corner reaches. */
const cornerOf = ({ w, h }: Box): number => Math.min(w, h) * 0.28;

/** Whole frame; soft dotted corners; cut corners; a frame about a disc. */
export function verdictPaths(kind: VerdictKind, box: Box): Outline[] {
  const { x, y, w, h } = box;
  const c = cornerOf(box);
  const [r, b] = [x + w, y + h];
  switch (kind) {
    case 'Clear':
      return [{ d: whole(box) }];
    case 'Shaded':
      return [
        {
          d: `M${x + c} ${y}H${r - c}M${r} ${y + c}V${b - c}M${r - c} ${b}H${x + c}M${x} ${b - c}V${y + c}`,
        },
        {
          d: `M${x} ${y + c}V${y}H${x + c}M${r - c} ${y}H${r}V${y + c}M${r} ${b - c}V${b}H${r - c}M${x + c} ${b}H${x}V${b - c}`,
          isDotted: true,
        },
      ];
    case 'Clipped':
      return [
        { d: whole(box) },
        {
          d: `M${x} ${y + c}L${x + c} ${y}M${r - c} ${y}L${r} ${y + c}M${r} ${b - c}L${r - c} ${b}M${x + c} ${b}L${x} ${b - c}`,
        },
      ];
    case 'Keyhole': {
      const radius = Math.min(w, h) * 0.3;
      const [cx, cy] = [x + w / 2, y + h / 2];
      return [
        { d: whole(box) },
        {
          d: `M${cx - radius} ${cy}a${radius} ${radius} 0 1 0 ${2 * radius} 0a${radius} ${radius} 0 1 0 ${-2 * radius} 0`,
        },
      ];
    }
  }
}
