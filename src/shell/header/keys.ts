'use client';
import { useEffect } from 'react';
import { useLatest } from '@/ui/useLatest';
import { ROOM_IDS, ROOMS } from '../rooms';

export interface Shortcut {
  keys: string;
  does: string;
}

/** What each key does, by the key's own name. */
export type KeyMap = Readonly<Record<string, () => void>>;

export interface CommonKeys {
  undo: () => void;
  redo: () => void;
  theme: () => void;
  help: () => void;
  visit: (path: string) => void;
}

const rooms = ROOM_IDS.map((id) => ROOMS[id]);

/** Keys that mean the same in every room. */
export const COMMON_SHORTCUTS: readonly Shortcut[] = [
  { keys: 'Ctrl Z', does: 'take the last change back' },
  { keys: 'Ctrl Shift Z', does: 'do it again' },
  {
    keys: rooms.map((r) => `Shift ${r.key}`).join(', '),
    does: `to the ${rooms.map((r) => r.name).join(', ')}`,
  },
  { keys: 'y', does: 'daylight or dark' },
  { keys: '?', does: 'this list' },
];

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  target.closest('input, textarea, [role="listbox"], [role="menu"], [role="dialog"]') !== null;

/** Acts on a key; true where it meant something here. */
function actOnKey(event: KeyboardEvent, common: CommonKeys, own: KeyMap): boolean {
  if (isTyping(event.target)) return false;
  if ((event.ctrlKey || event.metaKey) && !event.altKey && event.key.toLowerCase() === 'z') {
    if (event.shiftKey) common.redo();
    else common.undo();
    return true;
  }
  if (event.ctrlKey || event.metaKey || event.altKey) return false;
  const visits = Object.fromEntries(rooms.map((r) => [r.key, () => common.visit(r.path)]));
  const acts: KeyMap = { ...own, ...visits, y: common.theme, '?': common.help };
  const act = Object.hasOwn(acts, event.key) ? acts[event.key] : undefined;
  act?.();
  return act !== undefined;
}

/** The listening end of a room's keyboard map. */
export function useRoomKeys(common: CommonKeys, own: KeyMap): void {
  const latest = useLatest({ common, own });
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      if (actOnKey(event, latest.current.common, latest.current.own)) event.preventDefault();
    };
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, [latest]);
}
