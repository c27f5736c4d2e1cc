/** Accepted frames into the log and to the lens: one step, and nothing there is overwritten. */
import { newId } from '@/core/kit';
import { behindWords, isEdgeUnseen, type HaloSample, type Measurement } from '@/core/kit/records';
import { isToneAssumed } from '@/core/measure';
import { db } from '@/store/database/instance';
import { commit, edited, type Write } from '@/store/changes/journal';
import { entryOf, isLogged, ofSameSetting, type Frame } from './frames';
import type { Keep } from './FramePanel';
import type { Session } from './session';
import type { Frames } from './useFrames';
import { localTime } from './usePractice';

/** Grids kept for measuring anew; older ones go first. */
const MOST_GRIDS = 200;

async function keepGrids(pairs: readonly (readonly [Frame, Measurement])[]): Promise<void> {
  const grids = pairs.flatMap(([frame, { id }]) =>
    frame.answer?.grid ? [{ id, at: Date.now(), grid: frame.answer.grid }] : [],
  );
  await db.grids.bulkPut(grids);
  const over = (await db.grids.count()) - MOST_GRIDS;
  if (over > 0) await db.grids.bulkDelete(await db.grids.orderBy('at').limit(over).primaryKeys());
}

const framesWords = (frames: number): string => (frames === 1 ? 'one frame' : `${frames} frames`);

/** Where a sample comes from. */
function sourceWords(frames: number, { body, mode, parts }: Session): string {
  return `${framesWords(frames)} on ${body.name}, ${mode.name}${behindWords(parts)}`.slice(0, 400);
}

const IN_THE_LOG = 'It is in the log.';

/** What the lens knows now that it did not before. */
function learntWords(name: string, samples: readonly HaloSample[]): string {
  const [sample] = samples;
  if (!sample) return IN_THE_LOG;
  const from = framesWords(sample.evidence.frames);
  if (isEdgeUnseen(sample))
    return `${name} has its falloff from ${from}; no edge was seen, so where it lies is an estimate.`;
  return samples.length === 1
    ? `${name} has one more measured sample, from ${from}.`
    : `${name} has ${samples.length} more measured samples, one for each aperture: its halo changes more between them than one set of rims can tell.`;
}

/** The sample a frame speaks in: that of its own aperture, or the nearest. */
function sampleFor(samples: readonly HaloSample[], fNumber: number): string | null {
  const apart = (s: HaloSample) => Math.abs(Math.log(s.fNumber / fNumber));
  const [first, ...others] = samples;
  return first ? others.reduce((a, b) => (apart(b) < apart(a) ? b : a), first).id : null;
}

/** Writes what is kept; answers what was done, in words. */
export async function keepFrames(
  { frame, note, toLens }: Keep,
  frames: Frames,
  session: Session,
): Promise<string> {
  const together = toLens ? ofSameSetting(frame, frames.frames, session) : [frame];
  const now = localTime();
  // As the database has it: the screen may not have heard of the last one yet.
  const ids = together.flatMap((f) => f.measurementId ?? []);
  const logged = new Set((await db.measurements.bulkGet(ids)).flatMap((m) => m?.id ?? []));
  const fresh = together.filter((f) => !isLogged(f, logged));
  const pairs = fresh.flatMap((f) => {
    const entry = entryOf(f, session, now);
    return entry ? [[f, { ...entry, note }] as const] : [];
  });
  const writes: Write[] = [];
  let samples: readonly HaloSample[] = [];
  let learnt = IN_THE_LOG;
  const { lens } = session;
  const [first] = pairs;
  if (toLens && first) {
    const { focalMm, focusM, takenAt } = first[1];
    const shots = together.flatMap((f) => {
      const entry = entryOf(f, session, now);
      if (!f.answer?.grid || !entry) return [];
      const { grid, tone, simulated } = f.answer;
      const unseenToMm = entry.status === 'bound' ? entry.lowerBoundMm : null;
      const isAssumed = isToneAssumed(tone, simulated);
      return [{ grid, fNumber: entry.fNumber, unseenToMm, isToneAssumed: isAssumed }];
    });
    samples = await frames.ask((door) =>
      door.samples(shots, {
        id: newId(),
        focalMm,
        focusM,
        frameMiddle: session.frameMiddle,
        date: takenAt.slice(0, 10),
        source: sourceWords(shots.length, session),
        note,
        lens,
      }),
    );
    learnt = learntWords(lens.name, samples);
    writes.push(edited('lenses', lens, { ...lens, halo: [...lens.halo, ...samples] }));
  }
  for (const [, entry] of pairs) {
    const sampleId = sampleFor(samples, entry.fNumber);
    writes.push({ table: 'measurements', id: entry.id, after: { ...entry, sampleId } });
  }
  await commit(
    db,
    `Keep ${pairs.length === 1 ? first?.[1].name : `${pairs.length} frames`}`,
    writes,
    { along: () => keepGrids(pairs) },
  );
  for (const [f, entry] of pairs)
    frames.set(f.id, {
      measurementId: entry.id,
      expectedHalfLightMm: entry.predictedHalfLightMm,
    });
  return learnt;
}
