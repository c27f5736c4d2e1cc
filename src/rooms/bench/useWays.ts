'use client';
import { wrap, type Remote } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import type { Part } from '@/core/kit/part';
import type { Rig } from '@/core/rig/rig';
import type { Way } from '@/core/rig/waysOut';
import type { WaysDoor } from '@/workers/ways.worker';

interface Search {
  worker: Worker;
  door: Remote<WaysDoor>;
}

/** How long the hand must rest before a search begins, ms. */
const REST_MS = 110;

const open = (): Search => {
  const worker = new Worker(new URL('../../workers/ways.worker.ts', import.meta.url), {
    type: 'module',
  });
  return { worker, door: wrap<WaysDoor>(worker) };
};

/**
 * Ways out of the rig's verdict, found in a worker as soon as the hand rests. While a search runs only the
 * newest rig waits; the last answer stands until the next comes. A worker that breaks is opened anew for
 * the next rig.
 */
export function useWays(rig: Rig, kit: readonly Part[]): readonly Way[] {
  const [ways, setWays] = useState<readonly Way[]>([]);
  const search = useRef<Search | null>(null);
  const waiting = useRef<{ rig: Rig; kit: readonly Part[] } | null>(null);
  const busy = useRef(false);

  useEffect(
    () => () => {
      search.current?.worker.terminate();
      search.current = null;
    },
    [],
  );

  useEffect(() => {
    waiting.current = { rig, kit };
    const next = async (): Promise<void> => {
      const job = waiting.current;
      if (!job || busy.current) return;
      waiting.current = null;
      busy.current = true;
      try {
        search.current ??= open();
        setWays(await search.current.door.waysOut(job.rig, job.kit));
      } catch {
        search.current?.worker.terminate();
        search.current = null;
      } finally {
        busy.current = false;
      }
      await next();
    };
    const timer = setTimeout(() => void next(), REST_MS);
    return () => clearTimeout(timer);
  }, [rig, kit]);

  return ways;
}
