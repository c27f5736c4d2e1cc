/** Where what hangs on a mount balances. */
import { isFront } from '../kit/records';
import type { Rig } from '../rig';

/** Standard gravity, m/s² (ISO 80000-3). */
const GRAVITY = 9.80665;

interface Balance {
  /** How far before the body's mount, mm. */
  aheadMm: number;
  /** What it turns the mount with, N m. */
  torqueNm: number;
}

/**
 * Balance of lens and parts: Σ m x / Σ m, each piece taken to balance at its middle. Null where a mass or a length
 * is not known, or nothing hangs there.
 */
export function balanceOf({ lens, parts }: Pick<Rig, 'lens' | 'parts'>): Balance | null {
  if (lens.lengthMm === null || lens.massG === null) return null;
  let behind = 0;
  let moment = 0;
  let mass = 0;
  const add = (massG: number, lengthMm: number) => {
    moment += massG * (behind + lengthMm / 2);
    mass += massG;
    behind += lengthMm;
  };
  for (const part of parts.filter((p) => !isFront(p)).toReversed()) {
    if (part.massG === null) return null;
    add(part.massG, part.thicknessMm);
  }
  add(lens.massG, lens.lengthMm);
  for (const part of parts.filter(isFront).toReversed()) {
    if (part.massG === null) return null;
    add(part.massG, part.thicknessMm);
  }
  return { aheadMm: moment / mass, torqueNm: (moment / 1e6) * GRAVITY };
}
