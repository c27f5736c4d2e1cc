/** A frame of 24 MP as the simulated camera takes it: a colour JPEG. */
import sharp from 'sharp';
import { expose } from '../../src/core/bench-camera';
import { randomOf } from '../../src/core/maths';
import { drawRig, exposureOf, HELD_OUT, mapOf } from '../../tests/support/frames';

export const F_NUMBER = 8;

const random = randomOf(HELD_OUT);
const rig = drawRig(random, 0.6, 0.95);
export const { sensor } = rig;

export async function wallJpeg(): Promise<Buffer> {
  const height = Math.round(Math.sqrt((24e6 * sensor.heightMm) / sensor.widthMm));
  const width = Math.round((height * sensor.widthMm) / sensor.heightMm);
  const exposure = { heightPx: height, widthPx: width, depth: 8, channels: 3 } as const;
  const { data } = expose(mapOf(rig, F_NUMBER), exposureOf(rig, random, exposure));
  const raw = { width, height, channels: 3 } as const;
  return sharp(data as Uint8Array, { raw })
    .jpeg({ quality: 92 })
    .toBuffer();
}
