/** The one database of this page. Opened on first use, in the browser only. */
import { newId } from '@/core/kit';
import { HaloDatabase } from './db';

const TAB = 'wandering-halo-tab';
const lockOf = (tab: string): string => `${TAB}-${tab}`;

/** Held for as long as the page stands, so that other tabs can tell that it does. */
function holdLock(tab: string): void {
  // Only a page served safely has locks.
  if ('locks' in navigator)
    void navigator.locks.request(lockOf(tab), () => new Promise(() => undefined));
}

/** The same for as long as the tab is open, over reloads too. */
function thisTab(): string | undefined {
  if (typeof window === 'undefined') return undefined;
  try {
    const known = sessionStorage.getItem(TAB) ?? newId();
    sessionStorage.setItem(TAB, known);
    holdLock(known);
    return known;
  } catch {
    // Without storage of its own each page is a tab of its own.
    return undefined;
  }
}

/** Whether another tab still stands open; where the browser does not tell, it is taken to. */
export async function isTabOpen(tab: string): Promise<boolean> {
  if (!('locks' in navigator)) return true;
  const { held = [] } = await navigator.locks.query();
  return held.some(({ name }) => name === lockOf(tab));
}

export const db = new HaloDatabase(undefined, thisTab());
