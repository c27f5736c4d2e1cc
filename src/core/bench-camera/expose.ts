/** The simulated camera: light over the sensor becomes pixels, with all that goes wrong on the way. */
import type { PixelImage } from '../measure/file';
import type { FrameSize } from '../optics';
import { normalDeviates, randomOf } from '../maths';
import type { LightMap } from './rays';

export interface Exposure {
  sensor: FrameSize;
  widthPx: number;
  heightPx: number;
  /** Light in the middle as a share of full scale, before the tone curve, 0..1 and beyond. */
  level: number;
  /** Where the halo's centre lies against the middle of the sensor, mm. */
  centre: { xMm: number; yMm: number };
  /** Change of the wall's light over half the diagonal, shares, along x and along y. */
  gradient: { x: number; y: number };
  /** Noise of a pixel at full scale as a share of it; it falls with the root of the light. */
  noise: number;
  /** Noise of a pixel in the dark, share of full scale. */
  readNoise: number;
  /** Specks on the sensor. */
  dust: number;
  tone: 'srgb' | 'linear';
  depth: 8 | 16;
  channels: 1 | 3;
  seed: number;
}

/** Linear light as the sRGB tone curve writes it, 0..1 each (IEC 61966-2-1). */
export const srgbEncoded = (light: number): number =>
  light <= 0.0031308 ? 12.92 * light : 1.055 * light ** (1 / 2.4) - 0.055;

/** A wall is a little warmer than white: red, green, blue against green. */
const WALL_TINT = [1.04, 1, 0.9] as const;
const STEPS = 65_535;

/** Written value for each of 65,536 steps of light. */
function toneTable(tone: Exposure['tone'], depth: Exposure['depth']): Uint16Array {
  const full = depth === 8 ? 255 : 65_535;
  return Uint16Array.from({ length: STEPS + 1 }, (_, i) => {
    const light = i / STEPS;
    return Math.round(full * (tone === 'srgb' ? srgbEncoded(light) : light));
  });
}

interface Speck {
  x: number;
  y: number;
  radiusPx: number;
  depth: number;
}

function specks(exposure: Exposure): Speck[] {
  const random = randomOf(exposure.seed ^ 0x5eed);
  return Array.from({ length: exposure.dust }, () => ({
    x: random.next() * exposure.widthPx,
    y: random.next() * exposure.heightPx,
    radiusPx: exposure.widthPx * random.between(0.0008, 0.006),
    depth: random.between(0.05, 0.5),
  }));
}

/** Radii at which the light differs with the angle, as it does where an iris of blades is cut. */
const turningRadii = (map: LightMap): Uint8Array =>
  Uint8Array.from({ length: map.radii }, (_, k) => {
    const here = Array.from(
      { length: map.angles },
      (__, a) => map.light[a * map.radii + k] as number,
    );
    return Math.max(...here) - Math.min(...here) > 1e-4 ? 1 : 0;
  });

/** Light over the sensor before noise, by linear interpolation in the map. */
function lightOver(map: LightMap, exposure: Exposure): Float32Array {
  const { widthPx, heightPx, sensor, centre, gradient, level } = exposure;
  const pitchX = sensor.widthMm / widthPx;
  const pitchY = sensor.heightMm / heightPx;
  const half = Math.hypot(sensor.widthMm, sensor.heightMm) / 2;
  const out = new Float32Array(widthPx * heightPx);
  const last = map.radii - 2;
  const turning = turningRadii(map);
  for (let j = 0; j < heightPx; j += 1) {
    const y = (j + 0.5 - heightPx / 2) * pitchY;
    const dy = y - centre.yMm;
    for (let i = 0; i < widthPx; i += 1) {
      const x = (i + 0.5 - widthPx / 2) * pitchX;
      const dx = x - centre.xMm;
      const r = Math.sqrt(dx * dx + dy * dy) / map.stepMm;
      const k = Math.min(last, Math.floor(r));
      const f = Math.min(1, r - k);
      let base = k;
      let across = 0;
      let next = k;
      if (turning[k]) {
        const turn = (((Math.atan2(dy, dx) / map.periodRad) % 1) + 1) % 1;
        const a = turn * map.angles;
        const low = Math.floor(a) % map.angles;
        across = a - Math.floor(a);
        base = low * map.radii + k;
        next = ((low + 1) % map.angles) * map.radii + k;
      }
      const here = (map.light[base] as number) * (1 - f) + (map.light[base + 1] as number) * f;
      const beside = (map.light[next] as number) * (1 - f) + (map.light[next + 1] as number) * f;
      const wall = 1 + (gradient.x * x + gradient.y * y) / half;
      out[j * widthPx + i] = level * wall * (here + (beside - here) * across);
    }
  }
  return out;
}

function darken(light: Float32Array, exposure: Exposure): void {
  for (const speck of specks(exposure)) {
    const reach = Math.ceil(speck.radiusPx * 2);
    for (let j = -reach; j <= reach; j += 1) {
      for (let i = -reach; i <= reach; i += 1) {
        const x = Math.round(speck.x) + i;
        const y = Math.round(speck.y) + j;
        if (x < 0 || y < 0 || x >= exposure.widthPx || y >= exposure.heightPx) continue;
        const shade = speck.depth * Math.exp(-(i * i + j * j) / (speck.radiusPx * speck.radiusPx));
        const at = y * exposure.widthPx + x;
        light[at] = (light[at] as number) * (1 - shade);
      }
    }
  }
}

/** Takes one frame. The same exposure gives the same pixels. */
export function expose(map: LightMap, exposure: Exposure): PixelImage {
  const { widthPx, heightPx, channels, depth, noise, readNoise, seed } = exposure;
  const light = lightOver(map, exposure);
  darken(light, exposure);
  const table = toneTable(exposure.tone, depth);
  const deviates = normalDeviates();
  const count = widthPx * heightPx;
  const data = depth === 8 ? new Uint8Array(count * channels) : new Uint16Array(count * channels);
  let state = (seed * 2_654_435_761) >>> 0;
  for (let k = 0; k < count; k += 1) {
    const here = light[k] as number;
    for (let c = 0; c < channels; c += 1) {
      const value = channels === 3 ? here * (WALL_TINT[c] as number) : here;
      state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
      const sigma = Math.sqrt(noise * noise * value + readNoise * readNoise);
      const read = value + sigma * (deviates[state >>> 16] as number);
      const step = read <= 0 ? 0 : read >= 1 ? STEPS : (read * STEPS + 0.5) | 0;
      data[k * channels + c] = table[step] as number;
    }
  }
  return { widthPx, heightPx, channels, depth, data };
}
