/** The verdict at every place of a ring, if only that ring were turned. */
import type { VerdictKind } from '../../frame';
import { verdictOf, type Rig } from '../../rig';
import { whereBeginning } from '../../maths';

/** A stretch of a ring with one verdict; places 0..1. */
export interface Stretch {
  from: number;
  to: number;
  kind: VerdictKind;
}

const SAMPLES = 48;
/** Halvings that place a border: 1/48 of the ring / 2^5 is well under a pixel. */
const HALVINGS = 5;

/** Stretches of one verdict along a ring, in order, together covering 0..1. */
export function ribbon(rigAt: (place: number) => Rig): Stretch[] {
  const kindAt = (place: number): VerdictKind => verdictOf(rigAt(place)).kind;
  const stretches: Stretch[] = [];
  let from = 0;
  let kind = kindAt(0);
  for (let i = 1; i <= SAMPLES; i += 1) {
    const next = kindAt(i / SAMPLES);
    if (next === kind) continue;
    const last = kind;
    const changed = (place: number) => kindAt(place) !== last;
    const border = whereBeginning(changed, (i - 1) / SAMPLES, i / SAMPLES, HALVINGS);
    stretches.push({ from, to: border, kind });
    from = border;
    kind = next;
  }
  stretches.push({ from, to: 1, kind });
  return stretches;
}
