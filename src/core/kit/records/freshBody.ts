/** Bodies and modes of which little is known yet: what people would set first, and unknown for the rest. */
import type { Body, Mode } from './body';

/** A mode over the whole of a 36x24 sensor at 24 MP. */
export const FRESH_MODE: Omit<Mode, 'id'> = {
  name: 'Stills',
  use: 'stills',
  widthMm: 36,
  heightMm: 24,
  widthPx: 6000,
  heightPx: 4000,
  recordedWidthPx: null,
  framesPerSecond: null,
  crops: [],
  digitalZooms: [1],
};

/** A body as far as it is told; nothing else of it is known. */
export const bodyOf = (
  told: Pick<Body, 'id' | 'name' | 'mountId' | 'modes'> & Partial<Body>,
): Body => ({
  maker: '',
  sensorTravel: null,
  stabiliserStops: null,
  autofocusLimitFNumber: null,
  autofocusPoints: [],
  stabiliserFocalsMm: [],
  clearDepthMm: null,
  mirrorDepthMm: null,
  coverGlass: null,
  massG: null,
  price: null,
  priceNew: null,
  licence: '',
  note: '',
  ...told,
});
