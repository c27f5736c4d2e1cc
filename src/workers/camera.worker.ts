/** A thin door to the simulated camera: settings in, real files out. */
import { expose } from 'comlink';
import {
  pngFile,
  jpegFile,
  expose as takeFrame,
  practiceRig,
  type PracticeShot,
  lightMap,
  trueRadii,
} from '@/core/bench-camera';
import type { PixelImage } from '@/core/measure/file';

async function encodeJpeg({ widthPx, heightPx, data }: PixelImage): Promise<Uint8Array> {
  const canvas = new OffscreenCanvas(widthPx, heightPx);
  const context = canvas.getContext('2d');
  if (!context) throw new Error('no canvas');
  const pixels = context.createImageData(widthPx, heightPx);
  for (let i = 0, k = 0; k < data.length; i += 4, k += 3) {
    pixels.data[i] = data[k] ?? 0;
    pixels.data[i + 1] = data[k + 1] ?? 0;
    pixels.data[i + 2] = data[k + 2] ?? 0;
    pixels.data[i + 3] = 255;
  }
  context.putImageData(pixels, 0, 0);
  const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.93 });
  return new Uint8Array(await blob.arrayBuffer());
}

const cameraDoor = {
  /** Takes one frame and hands it over as a file. */
  async take(shot: PracticeShot): Promise<File> {
    const { lens, exposure, settings, reachMm } = practiceRig(shot);
    const image = takeFrame(lightMap(lens, shot.fNumber, reachMm), exposure);
    const bytes =
      shot.file === 'png' ? pngFile(image, settings) : await jpegFile(image, settings, encodeJpeg);
    const name = `practice-${shot.focalMm}mm-f${shot.fNumber}.${shot.file === 'png' ? 'png' : 'jpg'}`;
    return new File([bytes], name, { type: shot.file === 'png' ? 'image/png' : 'image/jpeg' });
  },
  /** Half-light radius of the hidden halo at a shot's aperture, mm; null where it lies off the sensor. */
  hiddenHalfLight(shot: PracticeShot): number | null {
    const { lens, reachMm } = practiceRig(shot);
    return trueRadii(lightMap(lens, shot.fNumber, reachMm)).halfLight;
  },
};

export type CameraDoor = typeof cameraDoor;

expose(cameraDoor);
