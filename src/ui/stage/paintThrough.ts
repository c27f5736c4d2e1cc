/** Paints a picture in place of plain light: what the halo leaves of it, dimmed outside the delivered frame. */
import { pictureOf, type Scene, type Shot } from '@/core/framing';
import type { Halo } from '@/core/halo';
import { paintShade, paintThings, type Canvas, type Placing } from '../scene/paintScene';
import type { Theme } from '../theme/themeScript';
import { WELLS, type FrameMm } from './haloPaint';
import { toPx, type StageView } from './stageView';

/** What the light shows on the stage: nothing but itself, the scene, or a picture of one's own. */
export type Shown =
  | { kind: 'light' }
  | { kind: 'scene'; shot: Shot; scene: Scene }
  /** `widthMm` is how wide it falls on the sensor, desqueezed. */
  | { kind: 'picture'; image: ImageBitmap; widthMm: number; squeeze: number };

/** How much of what lies outside the delivered frame is shown. */
const OUTSIDE_ALPHA = 0.34;
/** So many times the frame's sides the stage can show about it. */
const ABOUT = 4;

function paintPicture(
  canvas: Canvas,
  shown: Extract<Shown, { kind: 'picture' }>,
  placing: Placing,
): void {
  const { context } = canvas;
  const { image, widthMm } = shown;
  const heightMm = (widthMm * image.height) / image.width;
  context.save();
  context.translate(placing.xPx, placing.yPx);
  context.scale(placing.scale / placing.squeeze, placing.scale);
  context.drawImage(image, -widthMm / 2, -heightMm / 2, widthMm, heightMm);
  context.restore();
}

/** Paints what is shown as the halo lights it. */
export function paintThrough(
  context: CanvasRenderingContext2D,
  shown: Exclude<Shown, { kind: 'light' }>,
  halo: Halo,
  frame: FrameMm,
  view: StageView,
  theme: Theme,
): void {
  const { widthPx, heightPx, pxPerMm } = view;
  const canvas: Canvas = { context, widthPx, heightPx };
  const { xPx, yPx } = toPx(view, { xMm: 0, yMm: 0 });
  const squeeze = shown.kind === 'scene' ? shown.shot.rig.lens.squeeze : shown.squeeze;
  const placing: Placing = { xPx, yPx, scale: pxPerMm, squeeze };
  context.fillStyle = WELLS[theme];
  context.fillRect(0, 0, widthPx, heightPx);
  if (shown.kind === 'scene')
    paintThings(canvas, pictureOf(shown.shot, shown.scene, ABOUT), placing, theme);
  else paintPicture(canvas, shown, placing);
  // The stage is the sensor itself: the halo lies on it as it is.
  const onSensor: Placing = { ...placing, squeeze: 1 };
  paintShade(
    canvas,
    {
      xMm: halo.centre.xMm,
      yMm: halo.centre.yMm,
      squeeze: 1,
      halo,
    },
    onSensor,
  );
  const corner = toPx(view, { xMm: -frame.widthMm / 2, yMm: -frame.heightMm / 2 });
  context.save();
  context.beginPath();
  context.rect(0, 0, widthPx, heightPx);
  context.rect(corner.xPx, corner.yPx, frame.widthMm * pxPerMm, frame.heightMm * pxPerMm);
  context.globalAlpha = 1 - OUTSIDE_ALPHA;
  context.fillStyle = WELLS[theme];
  context.fill('evenodd');
  context.restore();
}
