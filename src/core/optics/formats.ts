/** Picture formats by their size; no maker's names. Sizes in mm, sources in docs/optics.md. */

export interface FrameSize {
  widthMm: number;
  heightMm: number;
}

export interface NamedFormat extends FrameSize {
  id: string;
  name: string;
  /** What people call it, where that is not its name. */
  said?: string;
}

/** A format as people know it, with its size: "1.5 crop, 23.5×15.6". */
export const formatWords = ({ name, said, widthMm, heightMm }: NamedFormat): string =>
  said === undefined ? name : `${said}, ${widthMm}×${heightMm}`;

/** A place on the sensor plane from another, mm, x right, y down. */
export interface Offset {
  xMm: number;
  yMm: number;
}

/** Whether a place lies off the one it is counted from. */
export const isOffMiddle = ({ xMm, yMm }: Offset): boolean => xMm !== 0 || yMm !== 0;

/** The same place, counted from another one. */
export const countedFrom = (place: Offset, from: Offset): Offset => ({
  xMm: place.xMm - from.xMm,
  yMm: place.yMm - from.yMm,
});

/** Formats lenses are designed for and sensors come in. Sizes are nominal; single cameras differ by a few tenths. */
export const FORMATS: readonly NamedFormat[] = [
  { id: '8-standard', name: 'Standard 8 film', widthMm: 4.88, heightMm: 3.68 },
  { id: 'third-inch', name: '1/3 inch', widthMm: 4.8, heightMm: 3.6 },
  { id: '8-super', name: 'Super 8 film', widthMm: 5.79, heightMm: 4.01 },
  { id: 'half-inch', name: '1/2 inch', widthMm: 6.4, heightMm: 4.8 },
  { id: 'two-thirds-inch', name: '2/3 inch', widthMm: 8.8, heightMm: 6.6 },
  { id: '16', name: '16 mm film', widthMm: 10.26, heightMm: 7.49 },
  { id: '16-super', name: 'Super 16 film', said: 'super 16', widthMm: 12.52, heightMm: 7.42 },
  { id: 'one-inch', name: '1 inch', said: '1 inch', widthMm: 13.2, heightMm: 8.8 },
  { id: 'four-thirds-inch', name: '17.3×13', said: '2.0 crop', widthMm: 17.3, heightMm: 13 },
  { id: 'academy', name: '35 mm Academy gate', widthMm: 21.95, heightMm: 16 },
  { id: 'crop-1.6', name: '22.3×14.9', said: '1.6 crop', widthMm: 22.3, heightMm: 14.9 },
  { id: 'crop-1.5', name: '23.5×15.6', said: '1.5 crop', widthMm: 23.5, heightMm: 15.6 },
  {
    id: '35-full-gate',
    name: '35 mm full gate',
    said: 'super 35',
    widthMm: 24.89,
    heightMm: 18.67,
  },
  { id: 'half-frame', name: 'half frame 24×18', widthMm: 24, heightMm: 18 },
  { id: '36x24', name: '36×24', said: 'full frame', widthMm: 36, heightMm: 24 },
  {
    id: 'large-cine',
    name: 'large-format cine 36.7×25.5',
    said: 'large-format cine',
    widthMm: 36.7,
    heightMm: 25.5,
  },
  { id: '8-perf', name: '35 mm 8-perf horizontal', widthMm: 37.72, heightMm: 24.92 },
  { id: '44x33', name: '43.8×32.9', said: 'medium format 0.79', widthMm: 43.8, heightMm: 32.9 },
  { id: '65', name: '65 mm 5-perf', widthMm: 52.63, heightMm: 23.01 },
  { id: '53x40', name: '53.4×40', widthMm: 53.4, heightMm: 40 },
  { id: '645', name: '6×4.5', widthMm: 56, heightMm: 41.5 },
  { id: '6x6', name: '6×6', widthMm: 56, heightMm: 56 },
  { id: '6x7', name: '6×7', widthMm: 69.5, heightMm: 56 },
  { id: '6x9', name: '6×9', widthMm: 84, heightMm: 56 },
  { id: '4x5', name: '4×5 in sheet', widthMm: 120, heightMm: 95 },
];

/** The frame every equivalent is counted against. ISO 1007 nominal 36x24. */
export const FULL_FRAME: FrameSize = { widthMm: 36, heightMm: 24 };

/** Length of (x, y). Several times as fast as Math.hypot, whose care for huge numbers no frame needs. */
const lengthOf = (x: number, y: number): number => Math.sqrt(x * x + y * y);

/** Diagonal of a frame, mm. */
export const diagonalMm = ({ widthMm, heightMm }: FrameSize): number => lengthOf(widthMm, heightMm);

/** From a point off the middle by (xMm, yMm) to the farthest corner of a frame, mm. */
export const farthestCornerMm = ({ widthMm, heightMm }: FrameSize, { xMm, yMm }: Offset): number =>
  lengthOf(widthMm / 2 + Math.abs(xMm), heightMm / 2 + Math.abs(yMm));

/** Reads "36x24" or "36 × 24" as a frame size in mm; null when it is no such thing or out of 0.5..400 mm. */
export function parseFrame(text: string): FrameSize | null {
  const match = /^\s*(\d+(?:\.\d+)?)\s*[x×]\s*(\d+(?:\.\d+)?)\s*$/i.exec(text);
  if (!match) return null;
  const frame = { widthMm: Number(match[1]), heightMm: Number(match[2]) };
  const inRange = (v: number) => v >= 0.5 && v <= 400;
  return inRange(frame.widthMm) && inRange(frame.heightMm) ? frame : null;
}
