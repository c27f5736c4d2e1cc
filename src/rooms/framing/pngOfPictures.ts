import type { Scene } from '@/core/framing';
import { pngOfCanvas } from '@/ui/canvas';
import { paintScene } from '@/ui/scene/paintScene';
import type { Theme } from '@/ui/theme/themeScript';
import type { Framed } from './useFraming';

/** Height of a saved picture, px. */
const HEIGHT_PX = 900;
const GAP_PX = 24;

/** All pictures beside each other, as high as one another. */
export async function pngOfPictures(
  framed: readonly Framed[],
  scene: Scene,
  theme: Theme,
): Promise<Blob> {
  const widths = framed.map(({ shot }) =>
    Math.round((HEIGHT_PX * shot.picture.widthMm) / shot.picture.heightMm),
  );
  const whole = document.createElement('canvas');
  whole.width = widths.reduce((sum, w) => sum + w + GAP_PX, -GAP_PX);
  whole.height = HEIGHT_PX;
  const context = whole.getContext('2d');
  if (!context) throw new Error('This browser cannot draw the pictures.');
  let x = 0;
  for (const [i, { shot }] of framed.entries()) {
    const one = document.createElement('canvas');
    one.width = widths[i] ?? 1;
    one.height = HEIGHT_PX;
    const own = one.getContext('2d');
    if (!own) continue;
    paintScene({ context: own, widthPx: one.width, heightPx: one.height }, shot, scene, theme);
    context.drawImage(one, x, 0);
    x += one.width + GAP_PX;
  }
  return pngOfCanvas(whole);
}
