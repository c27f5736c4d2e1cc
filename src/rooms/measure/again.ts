/** Old entries of the log measured by the method of today; the old figures stay. */
import type { Measurement } from '@/core/kit/records/measurement';
import type { FrameMeasure } from '@/core/measure/measureFrame';
import { METHOD_VERSION } from '@/core/measure/method';
import { db } from '@/store/instance';
import { commit, type Write } from '@/store/journal';
import type { Frames } from './useFrames';

/** An old entry with the figures of today's method, as an entry of its own. */
const anew = (old: Measurement, m: FrameMeasure): Measurement => ({
  ...old,
  id: crypto.randomUUID(),
  status: m.status === 'measured' ? 'measured' : 'bound',
  halfLightMm: m.halfLightRadiusMm,
  lowerBoundMm: m.lowerBoundMm ?? 0,
  minus1Mm: m.stopRadiiMm[1],
  minus2Mm: m.stopRadiiMm[2],
  rims: m.rims.map(({ edgeRadiusMm, softnessMm }) => ({ edgeRadiusMm, softnessMm })),
  exitPupilMm: m.exitPupilMm,
  warnings: m.warnings,
  method: METHOD_VERSION,
  replacesId: old.id,
  sampleId: null,
});

/** Measures the kept light of entries anew, as new entries; answers what was done, in words. */
export async function measureAgain(
  entries: readonly Measurement[],
  frames: Frames,
): Promise<string> {
  const writes: Write[] = [];
  for (const old of entries) {
    const kept = await db.grids.get(old.id);
    if (!kept) continue;
    const measure = await frames.ask((d) => d.again(kept.grid, old.fNumber));
    if (measure.status === 'refused') continue;
    const entry = anew(old, measure);
    await db.grids.put({ id: entry.id, at: Date.now(), grid: kept.grid });
    writes.push({ table: 'measurements', id: entry.id, after: entry });
  }
  await commit(db, `Measure ${writes.length} anew`, writes);
  const lost = entries.length - writes.length;
  return `${writes.length} measured anew; the old figures stay.${lost > 0 ? ` Of ${lost} the light was no longer kept.` : ''}`;
}
