import type { Workspace } from '@/core/kit/records';
import type { KeyMap, Shortcut } from '@/shell/header/keys';
import type { Bench } from '@/shell/rig/useBench';

export const BENCH_SHORTCUTS: readonly Shortcut[] = [
  { keys: '7  8  9', does: 'take hold of the zoom, aperture or focus ring' },
  { keys: '← →', does: 'on a ring: next mark; with Shift: a hair' },
  { keys: 'Page Up, Page Down', does: 'on a ring: three marks' },
  { keys: 'Home, End', does: 'on a ring: its ends' },
  { keys: 'n  p', does: 'next or previous rig' },
  { keys: 'v', does: 'stabiliser on or off' },
  { keys: 'k', does: 'pin this state to compare with, or take the pin out' },
  { keys: 'j', does: 'rigs side by side' },
  { keys: 'Arrows, + − 0', does: 'on the stage: move the point; larger, smaller, fitted' },
  { keys: '↑ ↓', does: 'on a part’s grip: move it along the train' },
];

const focusRing = (name: string) =>
  document.querySelector<HTMLElement>(`[data-ring="${name}"]`)?.focus();

interface Given {
  pin: () => void;
  compare: () => void;
}

/** The Bench by keyboard. */
export function benchKeys(
  { rigs }: Workspace,
  { record, settings, actions }: Bench,
  { pin, compare }: Given,
): KeyMap {
  const step = (by: number) => {
    const i = rigs.findIndex((r) => r.id === record?.id);
    const next = rigs[(i + by + rigs.length) % rigs.length];
    if (next) actions.choose(next.id);
  };
  return {
    '7': () => focusRing('Zoom'),
    '8': () => focusRing('Aperture'),
    '9': () => focusRing('Focus'),
    n: () => step(1),
    p: () => step(-1),
    v: () => {
      if (settings) actions.settle('Switch the stabiliser', { stabiliser: !settings.stabiliser });
    },
    k: pin,
    j: compare,
  };
}
