/**
 * How well and how fast the halo is found in simulated frames: 200 of them up to 24 MP against their
 * truth, and the same frames through a general-purpose circle finder.
 */
import cvModule from '@techstark/opencv-js';
import sharp from 'sharp';
import { measureFrame } from '../../src/core/measure';
import type { PixelImage } from '../../src/core/measure/file';
import { medianOf } from '../../src/core/maths';
import { drawFrame, HELD_OUT, onFullFrame, type DrawnFrame } from '../../tests/support/frames';
import { summaryOf, type Trial } from '../../tests/support/trials';

const FRAMES = Number(process.env.FRAMES ?? 200);

/** A frame as 8 bits of grey, 1200 px across. */
const greyOf = async ({ data, depth, widthPx, heightPx, channels }: PixelImage) => {
  const values = depth === 8 ? data : Uint8Array.from(data, (v) => v >> 8);
  return sharp(values as Uint8Array, { raw: { width: widthPx, height: heightPx, channels } })
    .resize(1200)
    .greyscale()
    .raw()
    .toBuffer({ resolveWithObject: true });
};

/** Radius by the Hough transform of OpenCV, mm; null where it finds no circle. */
async function houghRadius(
  cv: typeof cvModule,
  { image, rig }: DrawnFrame,
): Promise<number | null> {
  const { data, info } = await greyOf(image);
  const grey = cv.matFromArray(info.height, info.width, cv.CV_8UC1, [...data]);
  const circles = new cv.Mat();
  const perMm = info.width / rig.sensor.widthMm;
  const half = Math.hypot(rig.sensor.widthMm, rig.sensor.heightMm) / 2;
  cv.HoughCircles(
    grey,
    circles,
    cv.HOUGH_GRADIENT as number,
    2,
    info.width,
    60,
    20,
    0.4 * half * perMm,
    1.1 * half * perMm,
  );
  const radius = circles.cols > 0 ? (circles.data32F[2] as number) / perMm : null;
  grey.delete();
  circles.delete();
  return radius;
}

const cv = cvModule;
// Not awaited itself: it has a `then` of its own that never ends.
await new Promise<void>((ready) => {
  cv.onRuntimeInitialized = () => ready();
});
const trials: Trial[] = [];
const hough: number[] = [];
const ours: number[] = [];
let missed = 0;
for (let i = 0; i < FRAMES; i += 1) {
  const frame = await drawFrame(HELD_OUT + i);
  const { measure } = measureFrame(frame.image, {
    sensor: frame.rig.sensor,
    tone: { kind: frame.exposure.tone },
    fNumber: frame.fNumber,
  });
  trials.push({ frame: { ...frame, image: { ...frame.image, data: new Uint8Array() } }, measure });
  const truth = frame.truth.halfLight;
  if (measure.halfLightRadiusMm === null || truth === null) continue;
  ours.push(Math.abs(onFullFrame(measure.halfLightRadiusMm.value - truth, frame.rig.sensor)));
  const radius = await houghRadius(cv, frame);
  if (radius === null) missed += 1;
  else hough.push(Math.abs(onFullFrame(radius - truth, frame.rig.sensor)));
}
const { all, slow, fast } = summaryOf(trials);
console.log(
  JSON.stringify({
    frames: FRAMES,
    measured: all.count,
    slowWithin: slow.halfWithin(0.1),
    fastWithin: fast.halfWithinOrHeld(0.3),
    held: all.held,
    centreQ95: all.centreQ95,
    minus1Q95: all.minus1Q95,
    minus2Q95: all.minus2Q95,
    boundOver: all.boundOver,
    refused: trials.filter((t) => t.measure.status === 'refused').length,
    ourMedian: medianOf(ours),
    houghMedian: medianOf(hough),
    houghMissed: missed,
  }),
);
