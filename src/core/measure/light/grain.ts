/** How restless a frame is within small patches: an even field out of focus is not. */
import { medianOf } from '../../maths';
import type { PixelImage } from '../file';
import type { ToneTable } from './tone';

const PATCHES = 12;
const PATCH_PX = 16;

/** Median over patches of the spread of their pixels' light, share of the mean; dark patches left out. */
export function grainOf(image: PixelImage, tone: ToneTable): number {
  const { widthPx, heightPx, channels, data } = image;
  const green = channels >= 3 ? 1 : 0;
  const patches: { mean: number; spread: number }[] = [];
  for (let j = 0; j < PATCHES; j += 1) {
    for (let i = 0; i < PATCHES; i += 1) {
      const left = Math.floor(((i + 0.5) / PATCHES) * (widthPx - PATCH_PX));
      const top = Math.floor(((j + 0.5) / PATCHES) * (heightPx - PATCH_PX));
      let sum = 0;
      let squares = 0;
      for (let y = top; y < top + PATCH_PX; y += 1)
        for (let x = left; x < left + PATCH_PX; x += 1) {
          const light = tone[data[(y * widthPx + x) * channels + green] as number] as number;
          sum += light;
          squares += light * light;
        }
      const count = PATCH_PX * PATCH_PX;
      const mean = sum / count;
      patches.push({ mean, spread: Math.sqrt(Math.max(0, squares / count - mean * mean)) });
    }
  }
  const brightest = Math.max(...patches.map((p) => p.mean));
  return medianOf(
    patches.filter((p) => p.mean > 0.3 * brightest && p.mean > 0).map((p) => p.spread / p.mean),
  );
}
