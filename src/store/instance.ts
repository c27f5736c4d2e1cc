/** The one database of this page. Opened on first use, in the browser only. */
import { HaloDatabase } from './db';

const TAB = 'wandering-halo-tab';

/** The same for as long as the tab is open, over reloads too. */
function thisTab(): string | undefined {
  try {
    const known = sessionStorage.getItem(TAB) ?? crypto.randomUUID();
    sessionStorage.setItem(TAB, known);
    return known;
  } catch {
    // Without storage of its own, or not in a browser, each page is a tab of its own.
    return undefined;
  }
}

export const db = new HaloDatabase(undefined, thisTab());
