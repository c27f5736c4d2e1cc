/** One reading as words. */
import type { Reading } from '@/core/rig/readings';

export interface ReadingRow {
  name: string;
  figure: string;
  note?: string;
  reading: Reading;
}
