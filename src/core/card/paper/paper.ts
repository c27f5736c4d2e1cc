/** Paper: pages of things drawn in mm from the top left, which screen, printer and PDF all draw alike. */

export const PAPERS = {
  A4: { name: 'A4', widthMm: 210, heightMm: 297 },
  letter: { name: 'Letter', widthMm: 215.9, heightMm: 279.4 },
  A6: { name: 'A6', widthMm: 105, heightMm: 148 },
} as const;
export type PaperSize = keyof typeof PAPERS;
export const PAPER_SIZES = Object.keys(PAPERS) as readonly PaperSize[];

/** Inks of the paper: black on white, legible by torch. */
export const INKS = { ink: '#000000', muted: '#4a4a4a', line: '#9a9a9a', fill: '#dcdcdc' } as const;

export type Weight = 'regular' | 'bold';

export interface TextItem {
  kind: 'text';
  x: number;
  /** Of the base line. */
  y: number;
  text: string;
  sizeMm: number;
  weight: Weight;
  ink: string;
  widthMm: number;
}

export interface PathItem {
  kind: 'path';
  /** SVG path, mm. */
  d: string;
  fill?: string;
  stroke?: string;
  widthMm?: number;
  dashMm?: readonly number[];
}

/** Items of which only what lies within the box is seen. */
interface ClipItem {
  kind: 'clip';
  x: number;
  y: number;
  width: number;
  height: number;
  items: readonly PathItem[];
}

export type Item = TextItem | PathItem | ClipItem;

export interface Page {
  widthMm: number;
  heightMm: number;
  items: Item[];
}

export interface Paper {
  title: string;
  pages: Page[];
  /** Characters no font of ours has; they stand as a question mark. */
  missing: string[];
}

const n = (value: number): string => String(Number(value.toFixed(3)));

export const rectPath = (x: number, y: number, width: number, height: number): string =>
  `M${n(x)} ${n(y)}h${n(width)}v${n(height)}h${n(-width)}Z`;

export const linePath = (x1: number, y1: number, x2: number, y2: number): string =>
  `M${n(x1)} ${n(y1)}L${n(x2)} ${n(y2)}`;

export const polyPath = (points: readonly (readonly [number, number])[], closed = false): string =>
  `${points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${n(x)} ${n(y)}`).join('')}${closed ? 'Z' : ''}`;

export const circlePath = (cx: number, cy: number, r: number): string =>
  `M${n(cx - r)} ${n(cy)}A${n(r)} ${n(r)} 0 1 0 ${n(cx + r)} ${n(cy)}A${n(r)} ${n(r)} 0 1 0 ${n(cx - r)} ${n(cy)}Z`;
