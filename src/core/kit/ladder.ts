/** Mounts by register: which lens reaches which body with a plain adapter, and what mount one holds. */
import { canBePlain, plainThicknessMm } from '../optics';
import type { Mount } from './records';

export interface Rung {
  mount: Mount;
  /** Thickness of a plain adapter from this mount to the body's, mm. */
  thicknessMm: number;
  reach: 'the same mount' | 'plain adapter' | 'cannot';
}

/** Every mount by register, seen from a body's mount. */
export function ladderTo(body: Mount, mounts: readonly Mount[]): Rung[] {
  return byRegister(mounts).map((mount) => ({
    mount,
    thicknessMm: plainThicknessMm(mount.registerMm, body.registerMm),
    reach:
      mount.id === body.id
        ? 'the same mount'
        : canBePlain(mount.registerMm, body.registerMm)
          ? 'plain adapter'
          : 'cannot',
  }));
}

export const byRegister = (mounts: readonly Mount[]): Mount[] =>
  mounts.toSorted((a, b) => a.registerMm - b.registerMm || a.name.localeCompare(b.name));

/** What someone measured on a mount they do not know; null where they did not. */
export interface MountClues {
  registerMm: number | null;
  throatMm: number | null;
  threadMm: number | null;
  pitchMm: number | null;
  locking: Mount['locking'] | null;
}

/** How far off a figure may be before it speaks against a mount: what a ruler and a caliper do. */
const TOLERANCES = { registerMm: 0.5, throatMm: 1.5, threadMm: 0.6, pitchMm: 0.06 } as const;
const CLUE_WORDS = {
  registerMm: 'register',
  throatMm: 'throat',
  threadMm: 'thread',
  pitchMm: 'pitch',
} as const;
type Measured = keyof typeof TOLERANCES;

interface FoundMount {
  mount: Mount;
  /** Clues that agree, and that do not. A clue the mount says nothing of is in neither. */
  agrees: string[];
  differs: string[];
}

/** Mounts in order of how well they agree with the clues; those that differ in most stand last. */
export function findMount(clues: MountClues, mounts: readonly Mount[]): FoundMount[] {
  const found = mounts.map((mount): FoundMount => {
    const agrees: string[] = [];
    const differs: string[] = [];
    for (const clue of Object.keys(TOLERANCES) as Measured[]) {
      const [seen, known] = [clues[clue], mount[clue]];
      if (seen === null || known === null) continue;
      (Math.abs(seen - known) <= TOLERANCES[clue] ? agrees : differs).push(CLUE_WORDS[clue]);
    }
    if (clues.locking) (clues.locking === mount.locking ? agrees : differs).push('locking');
    return { mount, agrees, differs };
  });
  const distance = ({ mount }: FoundMount) =>
    clues.registerMm === null ? 0 : Math.abs(mount.registerMm - clues.registerMm);
  return found.sort(
    (a, b) =>
      a.differs.length - b.differs.length ||
      b.agrees.length - a.agrees.length ||
      distance(a) - distance(b),
  );
}
