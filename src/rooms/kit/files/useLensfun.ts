'use client';
import { proxy } from 'comlink';
import { useState } from 'react';
import type { Marking, Mount } from '@/core/kit/records';
import type { LensfunReading, LensfunTaken } from '@/workers/lensfun.worker';
import { guarded, type Tell } from '@/shell/tell';
import { useDoor } from '@/shell/useDoor';
import { WorkerClosed } from '@/workers/door';
import { openLensfun } from '@/workers/doors';

/** What the worker is at, and how far. */
export interface LensfunWork {
  kind: 'reading' | 'taking over';
  done: number;
  of: number;
}

/** The worker that reads database files, and what it read. */
export function useLensfun() {
  const [reading, setReading] = useState<LensfunReading | null>(null);
  const [work, setWork] = useState<LensfunWork | null>(null);
  const door = useDoor(openLensfun);
  /** Runs work that tells how far it is; null where it was stopped. */
  const watched = async <T>(
    kind: LensfunWork['kind'],
    of: number,
    run: (hear: (done: number) => void) => Promise<T>,
  ): Promise<T | null> => {
    setWork({ kind, done: 0, of });
    try {
      return await run(proxy((done: number) => setWork({ kind, done, of })));
    } catch (error) {
      if (error instanceof WorkerClosed) return null;
      throw error;
    } finally {
      setWork(null);
    }
  };
  const read = (files: readonly File[], tell: Tell) =>
    guarded(tell, async () => {
      const found = await watched('reading', files.length, (hear) =>
        door.ask((worker) => worker.read(files, hear)),
      );
      if (found) setReading(found);
    });
  const take = (
    keys: readonly string[],
    mounts: readonly Mount[],
    markings: readonly Marking[],
  ): Promise<LensfunTaken | null> =>
    watched('taking over', keys.length, (hear) =>
      door.ask((worker) => worker.take(keys, mounts, markings, hear)),
    );
  /** Ends what the worker is at; what it had read goes with it. */
  const stop = () => {
    door.close();
    setReading(null);
  };
  return { reading, work, read, take, stop };
}
