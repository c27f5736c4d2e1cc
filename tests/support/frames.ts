/** Test frames of the simulated camera: rigs drawn at random, their truth known. */
import {
  type ShotSettings,
  expose,
  type Exposure,
  hiddenLens,
  lightMap,
  trueRadii,
  type LightMap,
  type RayLens,
  type TrueRadii,
} from '@/core/bench-camera';
import sharp from 'sharp';
import type { PixelImage } from '@/core/measure/file';
import { FULL_FRAME, diagonalMm, type FrameSize } from '@/core/optics';
import { randomOf, type Random } from '@/core/maths';

/** How a frame says it was taken, where no test minds. */
export const SHOT: ShotSettings = {
  focalMm: 35,
  fNumber: 8,
  exposureS: 0.01,
  iso: 100,
  takenAt: '2026-05-12 09:30:00',
  srgb: true,
};

export const FORMATS: readonly FrameSize[] = [
  { widthMm: 17.3, heightMm: 13 },
  { widthMm: 23.5, heightMm: 15.6 },
  { widthMm: 36, heightMm: 24 },
  { widthMm: 36.7, heightMm: 25.5 },
  { widthMm: 43.8, heightMm: 32.9 },
];
const SPEEDS = [1.4, 1.8, 2, 2.8, 3.5, 4];

export interface DrawnRig {
  lens: RayLens;
  sensor: FrameSize;
  centre: { xMm: number; yMm: number };
  openFNumber: number;
}

export const pick = <T>(random: Random, list: readonly T[]): T =>
  list[random.whole(0, list.length - 1)] as T;

/** A rig whose edge lies between two shares of half the sensor's diagonal. */
export function drawRig(random: Random, from: number, to: number): DrawnRig {
  const sensor = pick(random, FORMATS);
  const half = diagonalMm(sensor) / 2;
  const openFNumber = pick(random, SPEEDS);
  const edge = half * random.between(from, to);
  const soft = Math.min(edge * 0.45, (edge * random.between(0.08, 0.16) * 2) / openFNumber);
  const [away, turn] = [random.between(0, 1), random.between(0, 2 * Math.PI)];
  return {
    sensor,
    openFNumber,
    centre: { xMm: away * Math.cos(turn), yMm: away * Math.sin(turn) },
    lens: hiddenLens({
      frontEdgeMm: edge,
      frontSoftnessMm: soft,
      rearEdgeMm: edge * random.between(1, 1.15),
      rearSoftnessMm: Math.min(edge * 0.45, soft * random.between(0.8, 1.5)),
      exitPupilMm: half * random.between(1.8, 5),
      openFNumber,
      blades: random.whole(5, 11),
      pupilGrowth: random.between(-0.05, 0.12),
      pupilDrift: random.between(-0.03, 0.03),
      spherical: random.between(-0.05, 0.08),
      ...(random.chance(0.25)
        ? { throat: { edgeMm: edge * random.between(1.02, 1.2), softnessMm: soft * 0.7 } }
        : {}),
    }),
  };
}

export const mapOf = ({ lens, sensor }: DrawnRig, fNumber: number): LightMap => {
  const half = diagonalMm(sensor) / 2;
  return lightMap(lens, fNumber, half * 1.4, half / 360);
};

/** How a frame is taken where nothing is said: 2 MP, grey, 16 bits, sRGB, all flaws of a good frame. */
export function exposureOf(rig: DrawnRig, random: Random, more: Partial<Exposure> = {}): Exposure {
  const { sensor, centre } = rig;
  const megapixels = 2;
  const heightPx = Math.round(Math.sqrt((megapixels * 1e6 * sensor.heightMm) / sensor.widthMm));
  const [slope, turn] = [random.between(0, 0.1), random.between(0, 2 * Math.PI)];
  return {
    sensor,
    widthPx: Math.round((heightPx * sensor.widthMm) / sensor.heightMm),
    heightPx,
    level: random.between(0.3, 0.8),
    centre,
    gradient: { x: slope * Math.cos(turn), y: slope * Math.sin(turn) },
    noise: 0.005,
    readNoise: 0.001,
    dust: random.whole(0, 25),
    tone: 'srgb',
    depth: 16,
    channels: 1,
    seed: random.whole(1, 1e9),
    ...more,
  };
}

/** A frame through a real JPEG file and back. */
export async function throughJpeg(image: PixelImage, quality = 92): Promise<PixelImage> {
  const { widthPx: width, heightPx: height, channels } = image;
  const raw = { width, height, channels };
  const file = await sharp(image.data as Uint8Array, { raw })
    .jpeg({ quality })
    .toBuffer();
  const { data, info } = await sharp(file).raw().toBuffer({ resolveWithObject: true });
  return {
    widthPx: info.width,
    heightPx: info.height,
    channels: info.channels as 1 | 3,
    depth: 8,
    data: new Uint8Array(data.buffer, data.byteOffset, data.length),
  };
}

/** Figures in mm as they would be on 36x24, by the diagonal. */
export const onFullFrame = (mm: number, sensor: FrameSize): number =>
  (mm * diagonalMm(FULL_FRAME)) / diagonalMm(sensor);

export interface DrawnFrame {
  rig: DrawnRig;
  fNumber: number;
  image: PixelImage;
  truth: TrueRadii;
  exposure: Exposure;
}

/**
 * Frames from this number on are for checking: the method's constants were set while looking at frames 0 to
 * 119, and no check is made on those.
 */
export const HELD_OUT = 60_000;

/** A frame by its number: any format, 1 MP up, JPEG or 16 bits, f/1.4 to f/16. */
export async function drawFrame(number: number, mostMegapixels = 24): Promise<DrawnFrame> {
  const random = randomOf(1000 + number);
  const rig = drawRig(random, 0.6, 1.25);
  const steps = Math.floor(4 * Math.log2(16 / rig.openFNumber));
  const fNumber = rig.openFNumber * 2 ** (random.whole(0, steps) / 4);
  const map = mapOf(rig, fNumber);
  const megapixels = mostMegapixels ** random.next();
  const { widthMm, heightMm } = rig.sensor;
  const heightPx = Math.round(Math.sqrt((megapixels * 1e6 * heightMm) / widthMm));
  const jpeg = random.chance(0.5);
  const exposure = exposureOf(rig, random, {
    heightPx,
    widthPx: Math.round((heightPx * widthMm) / heightMm),
    depth: jpeg ? 8 : 16,
    tone: jpeg || random.chance(0.5) ? 'srgb' : 'linear',
    channels: jpeg && megapixels < 6 ? 3 : 1,
  });
  const taken = expose(map, exposure);
  const image = jpeg ? await throughJpeg(taken) : taken;
  return { rig, fNumber, image, truth: trueRadii(map), exposure };
}
