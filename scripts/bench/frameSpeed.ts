/** A frame of 24 MP: how long its analysis takes against its decoding, and the memory of both. */
import sharp from 'sharp';
import { expose } from '../../src/core/bench-camera/expose';
import { measureFrame } from '../../src/core/measure/measureFrame';
import { medianOf } from '../../src/core/optics/median';
import { randomOf } from '../../src/core/optics/random';
import { decodePicture } from '../../src/node/picture';
import { drawRig, exposureOf, HELD_OUT, mapOf } from '../../tests/support/frames';

/** As many as a queue may hold. */
const RUNS = 30;
const F_NUMBER = 8;

const random = randomOf(HELD_OUT);
const rig = drawRig(random, 0.6, 0.95);
const { widthMm, heightMm } = rig.sensor;
const height = Math.round(Math.sqrt((24e6 * heightMm) / widthMm));
const width = Math.round((height * widthMm) / heightMm);
/** A colour JPEG as the simulated camera takes it. */
const file = await (async () => {
  const exposure = { heightPx: height, widthPx: width, depth: 8, channels: 3 } as const;
  const { data } = expose(mapOf(rig, F_NUMBER), exposureOf(rig, random, exposure));
  const raw = { width, height, channels: 3 } as const;
  return sharp(data as Uint8Array, { raw })
    .jpeg({ quality: 92 })
    .toBuffer();
})();

const times: { decode: number; analyse: number }[] = [];
let memory = 0;
for (let i = 0; i < RUNS; i += 1) {
  const began = performance.now();
  const image = await decodePicture(file);
  const decoded = performance.now();
  measureFrame(image, { sensor: rig.sensor, tone: { kind: 'srgb' }, fNumber: F_NUMBER });
  times.push({ decode: decoded - began, analyse: performance.now() - decoded });
  memory = Math.max(memory, process.memoryUsage().rss);
}
console.log(
  JSON.stringify({
    decodeMs: medianOf(times.map((t) => t.decode)),
    analyseMs: medianOf(times.map((t) => t.analyse)),
    firstAnalyseMs: times[0]?.analyse,
    memoryMb: memory / 1e6,
  }),
);
