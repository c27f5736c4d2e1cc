/** Gear chosen lately on this browser, so that pickers can show it first. Kept outside the workspace. */
import { recall, remember } from './remembered';

const KEY = 'wandering-halo-lately';
/** So many are remembered. */
const MOST = 24;

/** Ids of gear chosen lately, the last one first. */
export function lately(): readonly string[] {
  const text = recall(KEY);
  if (text === null) return [];
  try {
    const ids: unknown = JSON.parse(text);
    return Array.isArray(ids) ? ids.filter((id) => typeof id === 'string').slice(0, MOST) : [];
  } catch {
    return [];
  }
}

/** Remembers that gear was chosen. */
export function chosenLately(ids: readonly string[]): void {
  const others = lately().filter((id) => !ids.includes(id));
  remember(KEY, JSON.stringify([...ids, ...others].slice(0, MOST)));
}
