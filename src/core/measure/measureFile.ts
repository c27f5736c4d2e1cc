/** From a frame's file to its measurement: decoding, tone response, settings, figures. */
import { ok, type Result } from '../words';
import type { FrameSize } from '../optics';
import {
  decodeFrame,
  type DecodedFrame,
  type FrameSettings,
  type PictureDecoder,
  type PixelImage,
  type CameraTold,
} from './file';
import { measureFrame, type FrameEvidence } from './measureFrame';
import { type Figure, type FrameMeasure } from './measureGrid';
import type { Tone } from './light';
import { isToneAssumed, withToneDoubt } from './toneDoubt';

export interface FileOptions {
  sensor: FrameSize;
  /** 'auto' goes by what the file says, and where it says nothing by its depth. */
  tone: Tone | 'auto';
  /** Told by hand; otherwise the file's own is taken. */
  fNumber?: number | null;
  exitPupilMm?: number | null;
  /** The memory there is for decoding a picture, bytes; as much as there is where it is not told. */
  mostWorkBytes?: number;
}

export interface FileMeasure {
  measure: FrameMeasure;
  evidence: FrameEvidence | null;
  settings: FrameSettings;
  camera: CameraTold;
  tone: Tone;
  preview: boolean;
  /** True where the file says that the simulated camera took it. */
  simulated: boolean;
  widthPx: number;
  heightPx: number;
}

/*
 * sRGB values read as if they were linear are squeezed together, so that whatever fits leaves less. What a
 * linear frame leaves read as linear was found to be 0.18 to 0.31 of what it leaves read as sRGB, an sRGB
 * frame with its edge in sight 0.4 to 2.6 (simulated frames).
 */
const EVEN = 0.35;
const SURELY_LINEAR = 0.22;
const SURELY_SRGB = 0.7;

interface TonedMeasure {
  measure: FrameMeasure;
  evidence: FrameEvidence | null;
  tone: Tone;
}

/** What a fit leaves, robustly squared and added up; infinite where nothing was fitted. */
function missOf({ evidence }: TonedMeasure): number {
  const fit = evidence?.fit;
  return fit ? fit.cost * fit.scale ** 2 : Infinity;
}

/** A figure that holds under either tone. */
function eitherFigure(likely: Figure | null, other: Figure | null): Figure | null {
  if (!likely || !other) return likely;
  return {
    value: likely.value,
    low: Math.min(likely.low, other.low),
    high: Math.max(likely.high, other.high),
  };
}

/**
 * Measures under both usual tones where the file does not tell, and keeps the one the halo fits. Where
 * neither fits clearly better the interval spans both.
 */
function underEither(image: PixelImage, options: Omit<FileOptions, 'tone'>): TonedMeasure {
  const [linear, srgb] = (['linear', 'srgb'] as const).map((kind) => {
    const tone: Tone = { kind };
    return { ...measureFrame(image, { ...options, tone }), tone };
  }) as [TonedMeasure, TonedMeasure];
  const ratio = missOf(linear) / missOf(srgb);
  const [likely, other] = ratio > EVEN ? [srgb, linear] : [linear, srgb];
  const sure = ratio < SURELY_LINEAR || ratio > SURELY_SRGB;
  if (sure || likely.measure.status === 'refused') return likely;
  const { measure } = likely;
  return {
    ...likely,
    measure: {
      ...measure,
      halfLightRadiusMm: eitherFigure(measure.halfLightRadiusMm, other.measure.halfLightRadiusMm),
      lowerBoundMm: Math.min(measure.lowerBoundMm ?? 0, other.measure.lowerBoundMm ?? 0),
      warnings: [...measure.warnings, 'toneAssumed'],
    },
  };
}

function toned(
  { image, toldTone, simulated }: DecodedFrame,
  { tone, ...options }: FileOptions,
): TonedMeasure {
  if (tone === 'auto' && toldTone === null && image.depth === 16)
    return underEither(image, options);
  const chosen: Tone = tone === 'auto' ? { kind: toldTone ?? 'srgb' } : tone;
  const measured = { ...measureFrame(image, { ...options, tone: chosen }), tone: chosen };
  if (!isToneAssumed(chosen.kind, simulated)) return measured;
  const isTold = tone !== 'auto' || toldTone !== null;
  return { ...measured, measure: withToneDoubt(measured.measure, isTold) };
}

/** Reads and measures one file. */
export async function measureFile(
  bytes: Uint8Array,
  name: string,
  options: FileOptions,
  decodePicture: PictureDecoder,
): Promise<Result<FileMeasure>> {
  const decoded = await decodeFrame(bytes, name, decodePicture, options.mostWorkBytes);
  if (!decoded.ok) return decoded;
  const { image, settings, camera, preview, simulated } = decoded.value;
  const fNumber = options.fNumber ?? settings.fNumber;
  const measured = toned(decoded.value, { ...options, fNumber });
  const { widthPx, heightPx } = image;
  return ok({
    ...measured,
    settings: { ...settings, fNumber },
    camera,
    preview,
    simulated,
    widthPx,
    heightPx,
  });
}
