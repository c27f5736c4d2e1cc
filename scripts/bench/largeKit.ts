/** Prints a workspace as a rental house has it: 3,000 lenses, 150 bodies, 320 parts, 2,000 log entries. */
import { tideMill } from '../../src/core/demo';
import { writeWorkspace } from '../../src/core/exchange/json';
import { measurementExample } from '../../src/core/kit/records';

interface Named {
  id: string;
  name: string;
}

/** So many records like those given, the originals among them, each with its own id and name. */
const many = <T extends Named>(records: readonly T[], count: number): T[] =>
  Array.from({ length: count }, (_, i) => {
    const record = records[i % records.length] as T;
    const copy = Math.floor(i / records.length);
    return copy === 0
      ? record
      : { ...record, id: `${record.id}-${copy}`, name: `${record.name} no. ${copy + 1}` };
  });

const lenses = many(tideMill.lenses, 3000);
const [body] = tideMill.bodies;

console.log(
  JSON.stringify({
    text: writeWorkspace({
      ...tideMill,
      lenses,
      bodies: many(tideMill.bodies, 150),
      parts: many(tideMill.parts, 320),
      measurements: Array.from({ length: 2000 }, (_, i) => ({
        ...measurementExample,
        id: `m-${i}`,
        name: `wall-${i}.jpg`,
        bodyId: body?.id ?? '',
        modeId: body?.modes[0]?.id ?? '',
        lensId: lenses[(i * 7) % lenses.length]?.id ?? '',
        takenAt: new Date(Date.UTC(2026, 0, 1) + i * 3_600_000).toISOString(),
        sampleId: null,
        replacesId: null,
      })),
    }),
  }),
);
