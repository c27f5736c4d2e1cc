/** A thin door to measuring: files in, figures and pictures out, one after another. */
import { expose } from 'comlink';
import type { HaloSample } from '@/core/kit/records';
import { problemText } from '@/core/words';
import {
  decodeFrame,
  tooLarge,
  type FrameSettings,
  type PictureDecoder,
  type PixelImage,
  type CameraTold,
} from '@/core/measure/file';
import {
  frameView,
  type FrameView,
  measureFile,
  type FileOptions,
  isToneAssumed,
  measureGrid,
  type FrameMeasure,
  samplesOf,
  type SampleFacts,
  type SampleFrame,
  withToneDoubt,
} from '@/core/measure';
import { type LightGrid, type Tone, toneFromFrames } from '@/core/measure/light';
import { decodePicture } from './decodePicture';
import { bytesOf } from './readFile';

export interface FrameAnswer {
  measure: FrameMeasure;
  settings: FrameSettings;
  camera: CameraTold;
  widthPx: number;
  heightPx: number;
  tone: 'srgb' | 'linear' | 'curve';
  preview: boolean;
  simulated: boolean;
  view: FrameView | null;
  grid: LightGrid | null;
  /** Time its decoding took, where the browser decodes it, and all else; ms. */
  decodeMs: number | null;
  measureMs: number;
}

export interface FrameRefusal {
  sentence: string;
}

const measureDoor = {
  /** Measures one file; a file that cannot be read is told in a sentence. */
  async measure(file: File, options: FileOptions): Promise<FrameAnswer | FrameRefusal> {
    const began = performance.now();
    // Before it is read: so much need not fit in memory.
    const large = tooLarge(file.name, file.size);
    if (large) return { sentence: large };
    const held = await bytesOf(file);
    if (!held.ok) return { sentence: problemText(held.problems) };
    const spent: { decodeMs: number | null } = { decodeMs: null };
    const timed: PictureDecoder = async (picture) => {
      const start = performance.now();
      const image = await decodePicture(picture);
      spent.decodeMs = performance.now() - start;
      return image;
    };
    const read = await measureFile(held.value, file.name, options, timed);
    if (!read.ok) return { sentence: problemText(read.problems) };
    const { measure, evidence, settings, camera, tone, preview, simulated, widthPx, heightPx } =
      read.value;
    return {
      measure,
      settings,
      camera,
      widthPx,
      heightPx,
      tone: tone.kind,
      preview,
      simulated,
      view: evidence ? frameView(evidence) : null,
      grid: evidence?.grid ?? null,
      ...spent,
      measureMs: performance.now() - began - (spent.decodeMs ?? 0),
    };
  },
  /** Samples from frames of one setting. */
  samples(frames: readonly SampleFrame[], facts: Omit<SampleFacts, 'fNumber'>): HaloSample[] {
    const sorted = [...frames].sort((a, b) => a.fNumber - b.fNumber);
    return samplesOf(sorted, facts);
  },
  /** The tone response from two frames of one wall some stops apart; a sentence where they do not tell. */
  async tone(files: readonly File[], stepStops: number): Promise<Tone | FrameRefusal> {
    const images: PixelImage[] = [];
    for (const file of files) {
      const bytes = await bytesOf(file);
      if (!bytes.ok) return { sentence: problemText(bytes.problems) };
      const read = await decodeFrame(bytes.value, file.name, decodePicture);
      if (!read.ok) return { sentence: problemText(read.problems) };
      images.push(read.value.image);
    }
    const [a, b] = images;
    if (!a || !b || images.length > 2)
      return { sentence: 'Choose two frames, no more and no less.' };
    const tone = toneFromFrames(a, b, stepStops);
    return tone.ok ? tone.value : { sentence: problemText(tone.problems) };
  },
  /** The light of an old frame measured by the method of today; the log does not tell which camera was simulated. */
  again(grid: LightGrid, fNumber: number, tone: Tone['kind']): FrameMeasure {
    const { measure } = measureGrid(grid, { fNumber });
    return isToneAssumed(tone, false) ? withToneDoubt(measure, true) : measure;
  },
};

export type MeasureDoor = typeof measureDoor;

expose(measureDoor);
