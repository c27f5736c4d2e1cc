import { describe, expect, it } from 'vitest';
import { tideMill } from '../demo';
import { findMount, ladderTo, type MountClues } from './ladder';

const { mounts } = tideMill;
const mount = (id: string) => mounts.find((m) => m.id === id)!;
const none: MountClues = {
  registerMm: null,
  throatMm: null,
  threadMm: null,
  pitchMm: null,
  locking: null,
};

describe('the register ladder', () => {
  it('a lens reaches a body with a plain adapter as thick as the registers differ', () => {
    const rungs = ladderTo(mount('ml-18'), mounts);
    const rung = (id: string) => rungs.find((r) => r.mount.id === id)!;
    expect(rung('slr-44')).toMatchObject({ reach: 'plain adapter', thicknessMm: 26 });
    expect(rung('ml-18').reach).toBe('the same mount');
    expect(rung('sr-19.25').reach).toBe('cannot');
    expect(rung('s-17.526').reach).toBe('cannot');
    expect(rungs.map((r) => r.mount.registerMm)).toEqual(
      mounts.map((m) => m.registerMm).toSorted((a, b) => a - b),
    );
  });

  it('nothing but itself reaches a body with the longest register', () => {
    const reaching = ladderTo(mount('mf-63.3'), mounts).filter((r) => r.reach !== 'cannot');
    expect(reaching.map((r) => r.mount.id)).toEqual(['mf-63.3']);
  });
});

describe('which mount is this?', () => {
  // Common practice, no source: M42 has two pitches, and the finer one is the T-thread.
  it('tells two threads of one diameter apart by their pitch', () => {
    const [first] = findMount({ ...none, threadMm: 42, pitchMm: 0.75 }, mounts);
    expect(first).toMatchObject({
      mount: { id: 't-55' },
      agrees: ['thread', 'pitch'],
      differs: [],
    });
    expect(findMount({ ...none, threadMm: 42, pitchMm: 1 }, mounts)[0]!.mount.id).toBe('m42-45.46');
  });

  it('finds a bayonet by register and throat measured with a ruler', () => {
    const [first] = findMount(
      { ...none, registerMm: 46.2, throatMm: 44.5, locking: 'bayonet' },
      mounts,
    );
    expect(first!.mount.id).toBe('slr-46.5');
  });

  it('without clues nothing speaks for or against any', () => {
    expect(findMount(none, mounts).every((f) => f.agrees.length + f.differs.length === 0)).toBe(
      true,
    );
  });
});
