/** Whether a frame's file speaks of another camera than the one it is measured on. */
import type { Mode } from '../kit/records';
import { fixed } from '../words';
import type { CameraTold } from './file';

/** Sides of the picture as they were decoded, px. */
interface PictureSides {
  widthPx: number;
  heightPx: number;
}

/** Sizes that differ by less than these shares are one: cameras cut a few pixels off, and round their tags. */
const SAME_WIDTH = 0.06;
const SAME_PIXELS = 0.03;

const isAlike = (a: number, b: number, share: number): boolean => Math.abs(a / b - 1) <= share;

/**
 * What of a file speaks against the mode it is read as, a sentence each: the width of the sensor by its resolution tags,
 * and its pixels. `areaTold` says whether anybody told how large the mode is; `isWhole` whether the picture is all of the
 * file's, and no preview. A frame measured on the wrong camera makes a lens as much too wide as the sensors differ.
 */
export function cameraDoubts(
  told: CameraTold,
  { widthPx, heightPx }: PictureSides,
  mode: Mode,
  { areaTold, isWhole }: { areaTold: boolean; isWhole: boolean },
): string[] {
  const by = told.name ? ` It was written by ${told.name}.` : '';
  const doubts: string[] = [];
  const longMm = Math.max(mode.widthMm, mode.heightMm);
  if (told.sensorLongMm !== null && !isAlike(told.sensorLongMm, longMm, SAME_WIDTH))
    doubts.push(
      `The file tells of a sensor ${fixed(told.sensorLongMm, 1)} mm wide; ${mode.name} reads ${fixed(longMm, 1)} mm.${by}`,
    );
  const longPx = Math.max(widthPx, heightPx);
  const known = [mode.widthPx, mode.recordedWidthPx].flatMap((px) =>
    px === null ? [] : [Math.max(px, (px * mode.heightPx) / mode.widthPx)],
  );
  if (areaTold && isWhole && !known.some((px) => isAlike(longPx, px, SAME_PIXELS)))
    doubts.push(
      `The picture is ${longPx} pixels wide; ${mode.name} records ${Math.round(known.at(-1) ?? 0)}.${doubts.length > 0 ? '' : by}`,
    );
  return doubts;
}
