/** Old entries of the log measured by the method of today; the old figures stay. */
import { newId } from '@/core/kit';
import type { Measurement } from '@/core/kit/records';
import { entryFigures } from '@/core/measure';
import type { KeptGrid } from '@/store/database/db';
import { db } from '@/store/database/instance';
import { commit, type Write } from '@/store/changes/journal';
import type { Frames } from './useFrames';

/** Measures the kept light of entries anew, as new entries; answers what was done, in words. */
export async function measureAgain(
  entries: readonly Measurement[],
  frames: Frames,
): Promise<string> {
  const writes: Write[] = [];
  const grids: KeptGrid[] = [];
  for (const old of entries) {
    const kept = await db.grids.get(old.id);
    if (!kept) continue;
    const measure = await frames.ask((d) => d.again(kept.grid, old.fNumber, old.tone));
    const figures = entryFigures(measure);
    if (!figures) continue;
    // An entry of its own: the old figures stay.
    const entry: Measurement = {
      ...old,
      ...figures,
      id: newId(),
      replacesId: old.id,
      sampleId: null,
    };
    grids.push({ id: entry.id, at: Date.now(), grid: kept.grid });
    writes.push({ table: 'measurements', id: entry.id, after: entry });
  }
  await commit(db, `Measure ${writes.length} anew`, writes, {
    along: async () => {
      await db.grids.bulkPut(grids);
    },
  });
  const lost = entries.length - writes.length;
  return `${writes.length} measured anew; the old figures stay.${lost > 0 ? ` Of ${lost} the light was no longer kept.` : ''}`;
}
