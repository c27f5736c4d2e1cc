/** What the process that measures is asked and answers. */
import type { FileMeasure, FileOptions } from '@/core/measure';
import type { Result } from '@/core/words';

export interface MeasureJob {
  bytes: Uint8Array;
  /** As the frame is named in sentences. */
  name: string;
  options: FileOptions;
}

/** A measured frame without the light it was found in, which is large. */
export type Measured = Pick<FileMeasure, 'measure' | 'settings' | 'tone'>;

export type MeasureAnswer = Result<Measured>;
