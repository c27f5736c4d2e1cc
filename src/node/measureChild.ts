/** The process that measures: one frame at a time, as it is asked. Begun by bin/measure-child.mjs. */
import { measureFile } from '@/core/measure';
import { fail } from '@/core/words';
import type { MeasureAnswer, MeasureJob } from './measuring';
import { decodePicture } from './picture';

async function answerTo({ bytes, name, options }: MeasureJob): Promise<MeasureAnswer> {
  try {
    const read = await measureFile(bytes, name, options, decodePicture);
    if (!read.ok) return read;
    const { measure, settings, tone } = read.value;
    return { ok: true, value: { measure, settings, tone } };
  } catch {
    return fail('failed', '', `${name} could not be measured.`);
  }
}

process.on('message', (job: MeasureJob) => {
  void answerTo(job).then((answer) => process.send?.(answer));
});
