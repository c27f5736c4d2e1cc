/** The Bench by keyboard. */
export interface BenchKeys {
  undo: () => void;
  redo: () => void;
  nextRig: (step: number) => void;
  ring: (name: 'Zoom' | 'Aperture' | 'Focus') => void;
  stabiliser: () => void;
  theme: () => void;
  help: () => void;
}

export const SHORTCUTS: readonly { keys: string; does: string }[] = [
  { keys: 'Ctrl Z', does: 'take the last change back' },
  { keys: 'Ctrl Shift Z', does: 'do it again' },
  { keys: '7  8  9', does: 'take hold of the zoom, aperture or focus ring' },
  { keys: '← →', does: 'on a ring: next mark; with Shift: a hair' },
  { keys: 'Page Up, Page Down', does: 'on a ring: three marks' },
  { keys: 'Home, End', does: 'on a ring: its ends' },
  { keys: 'n  p', does: 'next or previous rig' },
  { keys: 'v', does: 'stabiliser on or off' },
  { keys: 'y', does: 'daylight or dark' },
  { keys: '?', does: 'this list' },
];

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  target.closest('input, textarea, [role="listbox"], [role="menu"], [role="dialog"]') !== null;

/** Acts on a key; true where it meant something here. */
export function actOnKey(event: KeyboardEvent, keys: BenchKeys): boolean {
  if ((event.ctrlKey || event.metaKey) && !event.altKey && event.key.toLowerCase() === 'z') {
    if (isTyping(event.target)) return false;
    if (event.shiftKey) keys.redo();
    else keys.undo();
    return true;
  }
  if (event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target)) return false;
  const acts: Record<string, () => void> = {
    '7': () => keys.ring('Zoom'),
    '8': () => keys.ring('Aperture'),
    '9': () => keys.ring('Focus'),
    n: () => keys.nextRig(1),
    p: () => keys.nextRig(-1),
    v: keys.stabiliser,
    y: keys.theme,
    '?': keys.help,
  };
  const act = Object.hasOwn(acts, event.key) ? acts[event.key] : undefined;
  act?.();
  return act !== undefined;
}
