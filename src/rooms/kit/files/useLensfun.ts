'use client';
import { useState } from 'react';
import type { Marking, Mount } from '@/core/kit/records';
import type { LensfunReading, LensfunTaken } from '@/workers/lensfun.worker';
import { guarded, type Tell } from '@/shell/tell';
import { useDoor } from '@/shell/useDoor';
import { openLensfun } from '@/workers/doors';

/** The worker that reads database files, and what it read. */
export function useLensfun() {
  const [reading, setReading] = useState<LensfunReading | null>(null);
  const [busy, setBusy] = useState(false);
  const door = useDoor(openLensfun);
  const read = (files: readonly File[], tell: Tell) => {
    setBusy(true);
    guarded(tell, () =>
      door
        .ask((worker) => worker.read(files))
        .then(setReading)
        .finally(() => setBusy(false)),
    );
  };
  const take = async (
    keys: readonly string[],
    mounts: readonly Mount[],
    markings: readonly Marking[],
  ): Promise<LensfunTaken> => {
    setBusy(true);
    try {
      return await door.ask((worker) => worker.take(keys, mounts, markings));
    } finally {
      setBusy(false);
    }
  };
  return { reading, busy, read, take };
}
