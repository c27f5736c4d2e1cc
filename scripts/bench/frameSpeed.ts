/** A frame of 24 MP: how long its analysis takes against its decoding, and the memory of both. */
import { measureFrame } from '../../src/core/measure';
import { medianOf } from '../../src/core/maths';
import { decodePicture } from '../../src/node/picture';
import { F_NUMBER, sensor, wallJpeg } from './wallFrame';

/** As many as a queue may hold. */
const RUNS = 30;

const file = await wallJpeg();
const times: { decode: number; analyse: number }[] = [];
let memory = 0;
for (let i = 0; i < RUNS; i += 1) {
  const began = performance.now();
  const image = await decodePicture(file);
  const decoded = performance.now();
  measureFrame(image, { sensor, tone: { kind: 'srgb' }, fNumber: F_NUMBER });
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
