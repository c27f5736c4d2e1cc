/** Figures as text for the readable table. */
import type { FrameSize } from '@/core/optics/formats';

export const mm = (v: number): string => `${v.toFixed(2)} mm`;
export const stops = (v: number | null): string => (v === null ? 'black' : `${v.toFixed(2)} stops`);
export const size = (f: FrameSize): string =>
  `${f.widthMm.toFixed(2)} × ${f.heightMm.toFixed(2)} mm`;
export const percent = (v: number): string => `${(v * 100).toFixed(1)} %`;
export const signed = (v: number): string => `${v < 0 ? '−' : '+'}${Math.abs(v).toFixed(2)}`;
