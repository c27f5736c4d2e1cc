/**
 * How well and how fast the halo is found in simulated frames: 200 of them up to 24 MP against their
 * truth, the same frames through a general-purpose circle finder, and one of 24 MP against its decoding.
 */
import cvModule from '@techstark/opencv-js';
import sharp from 'sharp';
import { expose } from '../../src/core/bench-camera/expose';
import { measureFrame } from '../../src/core/measure/measureFrame';
import type { PixelImage } from '../../src/core/measure/pixels';
import { medianOf } from '../../src/core/optics/median';
import { randomOf } from '../../src/core/optics/random';
import { decodePicture } from '../../src/node/picture';
import {
  drawFrame,
  drawRig,
  exposureOf,
  HELD_OUT,
  mapOf,
  onFullFrame,
  type DrawnFrame,
} from '../../tests/support/frames';
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

const SPEED_RUNS = 15;

/** A colour JPEG of 24 MP as the simulated camera takes it, decoded and analysed again and again. */
async function speed() {
  const random = randomOf(HELD_OUT);
  const rig = drawRig(random, 0.6, 0.95);
  const { widthMm, heightMm } = rig.sensor;
  const height = Math.round(Math.sqrt((24e6 * heightMm) / widthMm));
  const width = Math.round((height * widthMm) / heightMm);
  const fNumber = 8;
  const exposure = exposureOf(rig, random, {
    heightPx: height,
    widthPx: width,
    depth: 8,
    channels: 3,
  });
  const taken = expose(mapOf(rig, fNumber), exposure);
  const file = await sharp(taken.data as Uint8Array, { raw: { width, height, channels: 3 } })
    .jpeg({ quality: 92 })
    .toBuffer();
  const times: { decode: number; analyse: number }[] = [];
  for (let i = 0; i < SPEED_RUNS; i += 1) {
    const began = performance.now();
    const image = await decodePicture(file);
    const decoded = performance.now();
    measureFrame(image, { sensor: rig.sensor, tone: { kind: 'srgb' }, fNumber });
    times.push({ decode: decoded - began, analyse: performance.now() - decoded });
  }
  return {
    decodeMs: medianOf(times.map((t) => t.decode)),
    analyseMs: medianOf(times.map((t) => t.analyse)),
    firstAnalyseMs: times[0]?.analyse ?? Number.NaN,
    memoryMb: process.memoryUsage().rss / 1e6,
  };
}

const cv = cvModule;
// Not awaited itself: it has a `then` of its own that never ends.
await new Promise<void>((ready) => {
  cv.onRuntimeInitialized = () => ready();
});
const figures = await speed();
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
    ...figures,
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
