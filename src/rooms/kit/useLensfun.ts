'use client';
import { wrap, type Remote } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import type { Marking } from '@/core/kit/records/marking';
import type { Mount } from '@/core/kit/records/mount';
import type { LensfunDoor, LensfunReading, LensfunTaken } from '@/workers/lensfun.worker';
import type { Tell } from '@/shell/tell';

/** The worker that reads database files, and what it read. */
export function useLensfun() {
  const [reading, setReading] = useState<LensfunReading | null>(null);
  const [busy, setBusy] = useState(false);
  const open = useRef<{ worker: Worker; door: Remote<LensfunDoor> } | null>(null);
  useEffect(
    () => () => {
      open.current?.worker.terminate();
      open.current = null;
    },
    [],
  );
  const door = () => {
    if (!open.current) {
      const worker = new Worker(new URL('../../workers/lensfun.worker.ts', import.meta.url), {
        type: 'module',
      });
      open.current = { worker, door: wrap<LensfunDoor>(worker) };
    }
    return open.current.door;
  };
  const read = (files: readonly File[], tell: Tell) => {
    setBusy(true);
    door()
      .read(files)
      .then(setReading)
      .catch(() =>
        tell({ kind: 'trouble', text: 'The files could not be read; nothing was changed.' }),
      )
      .finally(() => setBusy(false));
  };
  const take = async (
    keys: readonly string[],
    mounts: readonly Mount[],
    markings: readonly Marking[],
  ): Promise<LensfunTaken> => {
    setBusy(true);
    try {
      return await door().take(keys, mounts, markings);
    } finally {
      setBusy(false);
    }
  };
  return { reading, busy, read, take };
}
