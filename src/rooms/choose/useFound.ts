'use client';
import { proxy } from 'comlink';
import { startTransition, useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { byNearness, byRank, keep, nothingKept, together, type Kept } from '@/core/choose';
import { type Job, EMPTY_WORKSPACE, type Workspace } from '@/core/kit/records';
import type { ChooseNews } from '@/workers/choose.worker';
import { WorkerClosed } from '@/workers/door';
import { openChoose } from '@/workers/doors';

export interface Search {
  found: Kept;
  judged: number;
  total: number;
  state: 'running' | 'done' | 'stopped' | 'lost';
  stop: () => void;
  again: () => void;
}

type Found = Omit<Search, 'stop' | 'again'>;

const BEGUN: Found = { found: nothingKept(), judged: 0, total: 0, state: 'running' };
/** While words of the job are still being changed, ms. */
const SETTLE_MS = 200;
const MOST_WORKERS = 8;
/** While a search runs so many rows of each worker are enough; all that are kept come at its end. */
const MOST_MEANWHILE = 120;
/** Between two looks at what was found so far, ms. */
const PACE_MS = 400;
/** So long a page is waited for that may be in sight no more, ms. */
const UNSEEN_MS = 200;

/** What one worker has told so far. */
interface Part {
  judged: number;
  total: number;
  kept: Kept;
}

/** Once what was just put into the page is on the screen. */
const painted = (): Promise<void> =>
  new Promise((resolve) => {
    if (!document.hidden) requestAnimationFrame(() => setTimeout(resolve));
    setTimeout(resolve, document.hidden ? 0 : UNSEEN_MS);
  });

/** As many workers as the machine has cores, each with a share of the lenses. `draw` answers once it is drawn. */
function search(workspace: Workspace, job: Job, draw: (found: Found) => Promise<void>) {
  const count = Math.min(MOST_WORKERS, Math.max(1, navigator.hardwareConcurrency || 1));
  const parts = Array.from({ length: count }, (): Part => ({
    judged: 0,
    total: 0,
    kept: nothingKept(),
  }));
  const doors = parts.map(() => openChoose());
  let toldAt = 0;
  let drawing = Promise.resolve();
  /** Shows how far it is, where that is due; kept once nothing is being drawn. */
  const report = (state: Found['state']): Promise<void> => {
    // Shown no more often than it can be read: the page has other things to do.
    if (state === 'running' && performance.now() - toldAt < PACE_MS) return drawing;
    toldAt = performance.now();
    drawing = draw({
      found: together(parts.map((p) => p.kept)),
      judged: parts.reduce((sum, p) => sum + p.judged, 0),
      total: parts.reduce((sum, p) => sum + p.total, 0),
      state,
    });
    return drawing;
  };
  const close = () => {
    for (const door of doors) door.close();
  };
  const works = doors.map(async (door, i) => {
    const part = parts[i];
    if (!part) return;
    const hear = proxy(({ judged, total, passed, whole, fresh }: ChooseNews) => {
      for (const candidate of fresh) keep(part.kept, candidate);
      part.kept.passing = part.kept.passing.toSorted(byRank).slice(0, MOST_MEANWHILE);
      part.kept.near = part.kept.near.toSorted(byNearness).slice(0, MOST_MEANWHILE);
      Object.assign(part, { judged, total });
      part.kept.passed = passed;
      part.kept.whole = whole;
      return report('running');
    });
    part.kept = await door.ask((worker) =>
      worker.run(workspace, job, { part: i, of: count }, hear),
    );
    part.judged = part.total;
  });
  Promise.all(works).then(
    () => {
      void report('done');
      close();
    },
    (error: unknown) => {
      if (!(error instanceof WorkerClosed)) void report('lost');
      close();
    },
  );
  return {
    stop: () => {
      close();
      void report('stopped');
    },
    close,
  };
}

/** The gear alone: a change of rigs or jobs starts no search. */
function useGear({ mounts, bodies, lenses, parts, judgement }: Workspace): Workspace {
  return useMemo(
    () => ({ ...EMPTY_WORKSPACE, mounts, bodies, lenses, parts, judgement }),
    [mounts, bodies, lenses, parts, judgement],
  );
}

/** What of a job changes what is found. */
const factsOf = ({ id: _, name: __, note: ___, ...facts }: Job): string => JSON.stringify(facts);

/** What was found so far, drawn piece by piece: what one types or presses meanwhile comes first. */
function useDrawn() {
  const [found, setFound] = useState<Found>(BEGUN);
  const waiting = useRef<(() => void)[]>([]);
  useEffect(() => {
    const drawn = waiting.current.splice(0);
    if (drawn.length > 0)
      void painted().then(() => {
        for (const tell of drawn) tell();
      });
  }, [found]);
  const draw = useCallback(
    (next: Found) =>
      new Promise<void>((drawn) => {
        waiting.current.push(drawn);
        startTransition(() => setFound(next));
      }),
    [],
  );
  const begin = useCallback(
    () => setFound((last) => ({ ...last, judged: 0, total: 0, state: 'running' })),
    [],
  );
  return { found, begin, draw };
}

/** Every combination of the kit judged for a job; begun anew when either changes. */
export function useFound(workspace: Workspace, job: Job): Search {
  const gear = useGear(workspace);
  const facts = factsOf(job);
  const { found, begin, draw } = useDrawn();
  const [running, setRunning] = useState<ReturnType<typeof search> | null>(null);
  const [turn, setTurn] = useState(0);
  useEffect(() => {
    let work: ReturnType<typeof search> | null = null;
    const timer = setTimeout(() => {
      begin();
      work = search(gear, job, draw);
      setRunning(work);
    }, SETTLE_MS);
    return () => {
      clearTimeout(timer);
      work?.close();
    };
    // The facts say all of the job that matters here.
  }, [gear, facts, turn]); // eslint-disable-line react-hooks/exhaustive-deps
  const stop = useCallback(() => running?.stop(), [running]);
  const again = useCallback(() => setTurn((n) => n + 1), []);
  return { ...found, stop, again };
}
