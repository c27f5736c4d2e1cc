/** How far a picture must be scaled up in post for its corners to be Clear. */
import { scaleUp, scaledUp } from '../../frame';
import { acceptedRadius, type HaloEvidence } from '../../halo';
import { situationOf, type Rig, type Situation } from '../../rig';
import { evidenceIn, spareIn } from './verdicts';

/** The most scale-up that is looked for. */
const MOST_SCALE_UP = 20;
/** A scale-up is told to a tenth of a percent. */
const SCALE_STEP = 1.0005;
/** The first step beyond the scale-up that is expected to do; each is twice the one before. */
const FIRST_STEP = 0.002;

/** Least scale-up that holds, to 0.05 %, looked for from one that is expected to; null where none up to `most` does. */
export function leastScaleUp(
  expected: number,
  holds: (scale: number) => boolean,
  most = MOST_SCALE_UP,
): number | null {
  // Rounding may leave the expected corners a hair outside.
  const first = expected === 1 ? 1 : Math.min(most, expected * SCALE_STEP);
  if (expected > most) return null;
  if (holds(first)) return expected;
  let [short, enough] = [expected, expected];
  for (let step = FIRST_STEP; enough === short; step *= 2) {
    if (short >= most) return null;
    const next = Math.min(most, expected * (1 + step));
    if (holds(next)) enough = next;
    else [short, enough] = [next, next];
  }
  while (enough > short * SCALE_STEP) {
    const middle = Math.sqrt(short * enough);
    if (holds(middle)) enough = middle;
    else short = middle;
  }
  return enough;
}

/** Least scale-up that is expected to bring the corners in, however unsure that is; null where none does. */
const expectedScaleUpIn = ({ halo, delivered, travel, limitStops }: Situation): number | null =>
  scaleUp(delivered, halo.centre, acceptedRadius(halo, limitStops), travel);

export const expectedScaleUpOf = (rig: Rig): number | null => expectedScaleUpIn(situationOf(rig));

/**
 * Least scale-up in post that makes the verdict Clear and no coin's toss; null where none does. Not below the one that
 * brings the expected corners in.
 */
export function scaleUpIn(situation: Situation, evidence: HaloEvidence): number | null {
  const { halo, delivered, travel, limitStops } = situation;
  const expected = expectedScaleUpIn(situation);
  if (expected === null) return null;
  return leastScaleUp(expected, (scale) => {
    const frame = scaledUp(delivered, scale);
    return spareIn({ halo, delivered: frame, travel, limitStops }, () => evidence) >= 0;
  });
}

/** The same of a rig. */
export function scaleUpOf(rig: Rig): number | null {
  const situation = situationOf(rig);
  return scaleUpIn(situation, evidenceIn(situation));
}
