/** Facts shared by several kinds of record. */
import type { FrameSize } from '../../optics/formats';
import { flag, label, number, record, type JsonSchema } from './schema';

export const ID: JsonSchema = label(80);
export const NAME: JsonSchema = label(200);
export const MAKER: JsonSchema = { type: 'string', maxLength: 120, default: '' };
export const NOTE: JsonSchema = { type: 'string', maxLength: 4000, default: '' };

/** Licence of the data a record was taken over from; empty for one's own. */
export const LICENCE: JsonSchema = { type: 'string', maxLength: 400, default: '' };
export const MASS_G = number(1, 100_000);
export const PRICE = number(0, 10_000_000);

export const F_NUMBER = number(0.5, 128);
export const FOCAL_MM = number(1, 5000);
export const FOCUS_M = number(0.01, 100_000);

export const frameSizeSchema = record<FrameSize>(
  'frame size, mm',
  { widthMm: number(0.5, 400), heightMm: number(0.5, 400) },
  ['widthMm', 'heightMm'],
);

/** What the electronic contacts carry. */
export interface Electronics {
  focus: boolean;
  aperture: boolean;
  metadata: boolean;
  stabiliser: boolean;
}

export const NO_ELECTRONICS: Electronics = {
  focus: false,
  aperture: false,
  metadata: false,
  stabiliser: false,
};

export const electronicsSchema = record<Electronics>(
  'what the contacts carry',
  {
    focus: flag(false),
    aperture: flag(false),
    metadata: flag(false),
    stabiliser: flag(false),
  },
  [],
  { default: {} },
);

/** A plane piece of glass in the light path. */
export interface Plate {
  thicknessMm: number;
  /** Refractive index; 1.52 for common glass. */
  index: number;
}

export const plateSchema = record<Plate>(
  'plane glass',
  { thicknessMm: number(0, 100), index: number(1, 3, { default: 1.52 }) },
  ['thicknessMm'],
);
