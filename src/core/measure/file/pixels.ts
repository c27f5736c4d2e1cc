/** A decoded frame, as any decoder gives it. */
import type { FrameSize } from '../../optics';

export interface PixelImage {
  widthPx: number;
  heightPx: number;
  /** Values a pixel: 1 grey, 2 grey and alpha, 3 colour, 4 colour and alpha. */
  channels: 1 | 2 | 3 | 4;
  /** Bits a value: 255 or 65,535 is full scale. */
  depth: 8 | 16;
  data: Uint8Array | Uint8ClampedArray | Uint16Array;
}

/** How a sensor lies in an image: its own size, or turned on its side where the image stands upright. */
export function sensorAsShot(sensor: FrameSize, image: PixelImage): FrameSize {
  const turned = image.heightPx > image.widthPx !== sensor.heightMm > sensor.widthMm;
  return turned ? { widthMm: sensor.heightMm, heightMm: sensor.widthMm } : sensor;
}
