'use client';
import { useEffect, useRef, useState } from 'react';
import type { Rig } from '@/core/rig';
import type { CurveAxis } from '@/core/sweep';
import { openSweep } from '@/workers/doors';
import { WorkerClosed } from '@/workers/door';
import type { Swept } from '@/workers/sweep.worker';

/** The answer and the curve of a rig; the last ones stand until others come. Null before the first. */
export function useSwept(rig: Rig, other: Rig | null, along: CurveAxis): Swept | null | 'lost' {
  const [swept, setSwept] = useState<Swept | null | 'lost'>(null);
  const door = useRef<ReturnType<typeof openSweep> | null>(null);
  useEffect(
    () => () => {
      door.current?.close();
      door.current = null;
    },
    [],
  );
  useEffect(() => {
    door.current ??= openSweep();
    let isWanted = true;
    door.current
      .ask((worker) => worker.swept(rig, other, along))
      .then(
        (found) => {
          if (isWanted) setSwept(found);
        },
        (error: unknown) => {
          if (isWanted && !(error instanceof WorkerClosed)) setSwept('lost');
        },
      );
    return () => {
      isWanted = false;
    };
  }, [rig, other, along]);
  return swept;
}
