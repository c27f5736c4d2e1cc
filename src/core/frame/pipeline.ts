/** From the sensor area that is read to the picture that is delivered. */
import type { Mode, StabilisationCrop } from '../kit/records';
import type { FrameSize } from '../optics';

export interface DeliveredFrame extends FrameSize {
  /** Pixels of the file that fall in it, and none that the sensor did not give: what detail, compare and choice count. */
  widthPx: number;
  heightPx: number;
  megapixels: number;
  /** Pixels of the sensor that lie in it. */
  readPx: Pixels;
  /** Pixels of the file that fall in it, those the body made up among them. */
  recordedPx: Pixels;
  /** Linear crop by stabilisation, digital zoom and scale-up in post together, >= 1. */
  linearCrop: number;
  /**
   * Pixels read for each recorded one, along a side; below 1 the body makes up what it did not read. Null where not every
   * pixel counts, or nobody knows.
   */
  oversampling: number | null;
}

/** Pixels along the sides of a frame. */
export interface Pixels {
  across: number;
  down: number;
}

/** The crop in force: the measured figure wins over the nominal one. */
export const cropInForce = (crop: StabilisationCrop): number => crop.measured ?? crop.nominal;

/** The largest frame of `aspect` (width/height) inside `frame`, concentric; null keeps it whole. */
export function fitAspect(frame: FrameSize, aspect: number | null): FrameSize {
  const { widthMm, heightMm } = frame;
  if (aspect === null) return { widthMm, heightMm };
  return widthMm / heightMm > aspect
    ? { widthMm: heightMm * aspect, heightMm }
    : { widthMm, heightMm: widthMm / aspect };
}

interface CropChoice {
  /** Delivered aspect after desqueeze; null for the whole read-out. */
  aspect: number | null;
  digitalZoom: number;
  cropId: string | null;
  /** Scale-up in post, >= 1. */
  postScale: number;
  /** Anamorphic squeeze of the lens; the frame on the sensor is narrower by it. */
  squeeze: number;
}

/** Linear crop of a choice in a mode: stabilisation crop times digital zoom (1.1 x 1.2 = 1.32). */
export function linearCropOf(mode: Mode, cropId: string | null, digitalZoom: number): number {
  if (cropId === null) return digitalZoom;
  const crop = mode.crops.find((c) => c.id === cropId);
  return crop ? cropInForce(crop) * digitalZoom : digitalZoom;
}

/**
 * Read-out area -> stabilisation crop -> digital zoom -> delivery aspect, fitted inside -> scale-up in
 * post. A delivered aspect A means A/squeeze on the sensor.
 */
export function deliveredFrame(mode: Mode, choice: CropChoice): DeliveredFrame {
  const linearCrop = linearCropOf(mode, choice.cropId, choice.digitalZoom);
  const crop = linearCrop * choice.postScale;
  const { widthMm, heightMm } = fitAspect(
    { widthMm: mode.widthMm / crop, heightMm: mode.heightMm / crop },
    choice.aspect === null ? null : choice.aspect / choice.squeeze,
  );
  const readPx = {
    across: (mode.widthPx * widthMm) / mode.widthMm,
    down: (mode.heightPx * heightMm) / mode.heightMm,
  };
  // Scale-up in post cuts the recorded picture; the body's own crops may spread the same pixels over less.
  const perRead = recordedForEachRead(mode, linearCrop);
  const recordedPx = { across: readPx.across * perRead, down: readPx.down * perRead };
  const counted = Math.min(1, perRead);
  const [widthPx, heightPx] = [readPx.across * counted, readPx.down * counted];
  return {
    widthMm,
    heightMm,
    widthPx,
    heightPx,
    megapixels: (widthPx * heightPx) / 1e6,
    readPx,
    recordedPx,
    linearCrop: crop,
    oversampling: isEveryPixelRead(mode) ? 1 / perRead : null,
  };
}

/** Whether each pixel of the area is known to count in the file. */
const isEveryPixelRead = ({ recordedWidthPx, sampling }: Mode): boolean =>
  recordedWidthPx === null || sampling === 'every pixel';

/**
 * Pixels recorded for each one read, along a side, with the body's crops in force. Video keeps its pixels and spreads them
 * over less of the sensor; stills lose those that are cut off (common practice, no source).
 */
function recordedForEachRead({ use, widthPx, recordedWidthPx }: Mode, linearCrop: number): number {
  const whole = (recordedWidthPx ?? widthPx) / widthPx;
  return use === 'video' ? whole * linearCrop : whole;
}

/** What a mode writes: the area of the sensor its picture shows, and its pixels, both whole. */
export interface RecordedFrame extends FrameSize {
  widthPx: number;
  heightPx: number;
}

/** The picture as it is recorded, with the body's crops in force and nothing else cut. */
export function recordedFrame(mode: Mode, linearCrop: number): RecordedFrame {
  const widthPx = (mode.widthPx / linearCrop) * recordedForEachRead(mode, linearCrop);
  return {
    widthMm: mode.widthMm / linearCrop,
    heightMm: mode.heightMm / linearCrop,
    widthPx: Math.round(widthPx),
    heightPx: Math.round((widthPx * mode.heightPx) / mode.widthPx),
  };
}

/** Megapixels of the part of a delivered frame that a clean frame within it takes. */
export const cleanMegapixels = (delivered: DeliveredFrame, clean: FrameSize): number =>
  (delivered.megapixels * clean.widthMm * clean.heightMm) /
  (delivered.widthMm * delivered.heightMm);
