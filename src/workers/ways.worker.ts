/** A thin door to the search for ways out, so that turning a ring never waits for it. */
import { expose } from 'comlink';
import type { Part, RigSettings } from '@/core/kit/records';
import { turned, type Rig } from '@/core/rig';
import { waysOut, type Way } from '@/core/rig/search';

/** The door for one screen: it holds a rig and its kit, and answers for the settings it is turned to. */
function waysDoor() {
  let held: { rig: Rig; kit: readonly Part[] } | null = null;
  let answered = '';
  return {
    hold(rig: Rig, kit: readonly Part[]): void {
      held = { rig, kit };
    },
    /** Null where the answer is the one given last. */
    waysOut(settings: RigSettings): Way[] | null {
      if (!held) return null;
      const ways = waysOut(turned(held.rig, settings), held.kit);
      const answer = JSON.stringify(ways);
      if (answer === answered) return null;
      answered = answer;
      return ways;
    },
  };
}

export type WaysDoor = ReturnType<typeof waysDoor>;

expose(waysDoor());
