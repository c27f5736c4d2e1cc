/** The verdict at every place of a ring, if only that ring were turned. */
import type { VerdictFace } from '../../frame';
import { type Rig } from '../../rig';
import { verdictOf } from '../judged';
import { whereBeginning } from '../../maths';

/** A stretch of a ring with one verdict, or one coin's toss; places 0..1. */
export interface Stretch extends VerdictFace {
  from: number;
  to: number;
}

/** Whether two read alike: "Clear or Shaded" is "Shaded or Clear". */
const isSameFace = (a: VerdictFace, b: VerdictFace): boolean =>
  (a.kind === b.kind && a.or === b.or) || (a.kind === b.or && a.or === b.kind);

const SAMPLES = 48;
/** Halvings that place a border: 1/48 of the ring / 2^5 is well under a pixel. */
const HALVINGS = 5;

/** Stretches of one verdict along a ring, in order, together covering 0..1; looked for between so many `samples`. */
export function ribbon(rigAt: (place: number) => Rig, samples = SAMPLES): Stretch[] {
  const faceAt = (place: number): VerdictFace => verdictOf(rigAt(place));
  const stretches: Stretch[] = [];
  let from = 0;
  let face = faceAt(0);
  for (let i = 1; i <= samples; i += 1) {
    const next = faceAt(i / samples);
    if (isSameFace(next, face)) continue;
    const last = face;
    const changed = (place: number) => !isSameFace(faceAt(place), last);
    const border = whereBeginning(changed, (i - 1) / samples, i / samples, HALVINGS);
    stretches.push({ from, to: border, kind: face.kind, or: face.or });
    from = border;
    face = next;
  }
  stretches.push({ from, to: 1, kind: face.kind, or: face.or });
  return stretches;
}
