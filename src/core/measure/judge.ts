/** Whether a frame is fit to measure: an even, bright, unclipped field. */
import { medianOf } from '../maths';
import { naturalFalloff } from '../halo';
import type { HaloFit } from './fit';
import type { LightGrid } from './light';

/** What can be wrong with a frame. */
export type FrameWarning =
  | 'tooSmall'
  | 'tooDark'
  | 'clipped'
  | 'tilted'
  | 'uneven'
  | 'structure'
  | 'notFlat'
  | 'litOutside'
  | 'noFalloff'
  | 'sensorShape'
  | 'toneAssumed'
  | 'edgeOutside'
  | 'oneSided'
  | 'straightEdge'
  | 'softEdge'
  | 'oneFrame'
  | 'moved';

/** Each as a sentence a photographer understands, with what to do about it. */
export const WARNING_WORDS: Record<FrameWarning, string> = {
  tooSmall: 'The frame has too few pixels to be measured: at least 64 each way.',
  tooDark: 'The frame is too dark to be measured. Expose the middle to about two thirds.',
  clipped: 'Parts of the frame are clipped to white. Expose less.',
  tilted: 'The wall is much brighter on one side. Light it more evenly or turn the camera.',
  uneven: 'The wall is uneven beyond a plain slope: shade, a spot of light or a seam.',
  structure: 'Something stands in the picture: structure, a shadow or large dirt.',
  notFlat: 'This is no frame of an even field.',
  litOutside:
    'There is light outside the circle: this looks like something bright before a dark ground, not like an even wall seen through a lens.',
  noFalloff:
    'Inside the circle the light does not fall off at all, as it does through every lens: is it a bright thing before a dark ground?',
  sensorShape:
    'The frame’s shape is not that of the mode: it was cropped, or taken in another mode. Choose the mode it was taken in, or give the body one of that shape.',
  toneAssumed:
    'The tone response was assumed. A wrong one moves the edge by a tenth of its softness; two frames a known step apart would tell it.',
  edgeOutside:
    'The edge of the halo lies outside the frame, or is too soft to place: a lens learns its falloff and a lower bound from it, the edge stays an estimate.',
  oneSided:
    'The edge shows on one side of the frame only: the centre is not known to a millimetre.',
  straightEdge:
    'Opposite sides of the edge are straight: a rectangular opening cuts the light, as in a reducer or a mirror box, and no circle tells it. Measure the opening and tell it of the part it is in. A figure told here spans from the nearest side to the farthest corner seen.',
  softEdge: 'The edge is so soft that falloff and rim cannot be told apart: the interval is wide.',
  oneFrame: 'One frame says little of other apertures. Add one at f/8 to f/11 and one wide open.',
  moved: 'The halo’s centre moved between the frames: lock the stabiliser and the tripod.',
};

/** Light of the middle below which nothing is measured, share of full scale. */
const TOO_DARK = 0.012;
/** Share of the bright cells that may be clipped before the frame is refused. */
const MOST_CLIPPED_CELLS = 0.2;
const ANY_CLIPPED_CELLS = 0.003;
const TILTED = 0.16;
const FAR_TILTED = 0.45;
/** Spread of residuals, roots of light: an even wall stays below the first by far. */
const UNEVEN = 0.004;
const NOT_FLAT = 0.02;
/** A cell off by more than this, roots of light, is something in the picture; some specks are allowed. */
const OFF = 0.04;
const OFF_CELLS = 0.02;
/** Only where there is some light: roots below this are left out of that. */
const LIT = 0.4;
const NOT_FLAT_CELLS = 0.15;
/**
 * Where black lies in the frame: stray light beyond this share of the middle's comes from no lens. A halo that does not
 * fall off toward its edge by so much is doubted, and with even less light outside it is none. Assumptions; a white plate
 * before black cloth has 3 % and no falloff.
 */
const LIT_OUTSIDE = 0.025;
const LEAST_FALLOFF = 0.005;
const SLIGHTLY_LIT = 0.004;

/** Median spread of pixels within a cell, share of their mean. */
const GRAINY = 0.12;

export interface Verdict {
  refused: boolean;
  warnings: FrameWarning[];
}

/** What can be said before anything is fitted. */
export function judgeLight(grid: LightGrid, middle: number, grain: number): Verdict {
  const warnings: FrameWarning[] = [];
  if (middle < TOO_DARK) return { refused: true, warnings: ['tooDark'] };
  let bright = 0;
  let clipped = 0;
  for (let k = 0; k < grid.light.length; k += 1) {
    if ((grid.light[k] as number) < 0.5 * middle) continue;
    bright += 1;
    if ((grid.clipped[k] as number) > 0.01) clipped += 1;
  }
  const share = clipped / Math.max(1, bright);
  if (share > ANY_CLIPPED_CELLS) warnings.push('clipped');
  if (grain > GRAINY) warnings.push('structure');
  return { refused: share > MOST_CLIPPED_CELLS || grain > 3 * GRAINY, warnings };
}

/** Whether what lies round a circle, and how it is lit within, speak against a halo. */
function judgeCircle({ halfLightMm, exitPupilMm, walls }: HaloFit): Verdict {
  const [wall] = walls;
  if (!wall?.isBlackSeen) return { refused: false, warnings: [] };
  const falloff = exitPupilMm === null ? 0 : 1 - naturalFalloff(halfLightMm, exitPupilMm);
  const isFlat = falloff < LEAST_FALLOFF;
  const refused = wall.floor > (isFlat ? SLIGHTLY_LIT : LIT_OUTSIDE);
  if (refused) return { refused, warnings: ['litOutside'] };
  return { refused, warnings: isFlat ? ['noFalloff'] : [] };
}

/** What a fit of one frame shows of its wall. */
export function judgeFit(fit: HaloFit): Verdict {
  const { fields, walls, misses } = fit;
  const [field, wall, left] = [fields[0], walls[0], misses[0]];
  if (!field || !wall || !left) return { refused: false, warnings: [] };
  const spread = 1.4826 * medianOf(left.map(Math.abs));
  // Lit by what the model or the frame says: a shadow is dark where there should be light.
  const lit = left.filter((miss, k) => (field.root[k] as number) + Math.max(0, -miss) > LIT);
  const off = lit.filter((m) => Math.abs(m) > OFF).length / Math.max(1, lit.length);
  const { share } = wall;
  const circle = judgeCircle(fit);
  const warnings: FrameWarning[] = [...circle.warnings];
  if (share > TILTED) warnings.push('tilted');
  if (spread > UNEVEN) warnings.push('uneven');
  if (off > OFF_CELLS) warnings.push('structure');
  const isUneven = spread > NOT_FLAT || off > NOT_FLAT_CELLS;
  if (isUneven && !(share > FAR_TILTED)) warnings.push('notFlat');
  return { refused: isUneven || share > FAR_TILTED || circle.refused, warnings };
}
