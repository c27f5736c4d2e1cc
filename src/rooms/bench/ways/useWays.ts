'use client';
import { useEffect, useRef, useState } from 'react';
import type { Part } from '@/core/kit/records';
import type { Rig } from '@/core/rig';
import type { Way } from '@/core/rig/search';
import { openWays } from '@/workers/doors';

/** Least time between two searches while a ring is being turned, ms: the list has to be readable. */
const PACE_MS = 150;

/** What was found, or why nothing was yet: a search that broke has not shown that there is no way. */
export type Search = readonly Way[] | 'looking' | 'lost';

interface Job {
  rig: Rig;
  kit: readonly Part[];
}

const sameGear = (a: Job, b: Job): boolean =>
  a.kit === b.kit &&
  a.rig.body === b.rig.body &&
  a.rig.mode === b.rig.mode &&
  a.rig.lens === b.rig.lens &&
  a.rig.judgement === b.rig.judgement &&
  a.rig.parts.length === b.rig.parts.length &&
  a.rig.parts.every((part, i) => part === b.rig.parts[i]);

/**
 * The searching side: a worker that holds the rig, and is sent the settings alone while only rings are
 * turned. While a search runs only the newest rig waits. A worker that breaks is opened anew.
 */
function openSearch(onWays: (ways: Search) => void) {
  const door = openWays();
  let held: Job | null = null;
  let waiting: Job | null = null;
  let timer: ReturnType<typeof setTimeout> | null = null;
  let busy = false;

  const answer = async (job: Job) => {
    if (!held || !sameGear(held, job)) {
      await door.ask((search) => search.hold(job.rig, job.kit));
      held = job;
    }
    const ways = await door.ask((search) => search.waysOut(job.rig.settings));
    if (ways) onWays(ways);
  };
  const next = () => {
    const job = waiting;
    if (!job || busy) return;
    waiting = null;
    busy = true;
    answer(job)
      .catch(() => {
        // The next worker holds nothing yet.
        door.close();
        held = null;
        onWays('lost');
      })
      .finally(() => {
        timer = setTimeout(() => {
          busy = false;
          next();
        }, PACE_MS);
      });
  };
  return {
    ask(job: Job) {
      waiting = job;
      next();
    },
    close() {
      waiting = null;
      if (timer !== null) clearTimeout(timer);
      door.close();
    },
  };
}

/** Ways out of the rig's verdict; the last answer stands until another comes. */
export function useWays(rig: Rig, kit: readonly Part[]): Search {
  const [ways, setWays] = useState<Search>('looking');
  const search = useRef<ReturnType<typeof openSearch> | null>(null);
  useEffect(
    () => () => {
      search.current?.close();
      search.current = null;
    },
    [],
  );
  useEffect(() => {
    search.current ??= openSearch(setWays);
    search.current.ask({ rig, kit });
  }, [rig, kit]);
  return ways;
}
