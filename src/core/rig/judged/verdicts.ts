/** The verdict on a rig and how sure it is, for whoever needs no full report. */
import {
  bothOf,
  judge,
  scaleUp,
  spareStopsAt,
  type Verdict,
  type VerdictFace,
  worstCornerRadius,
} from '../../frame';
import { acceptedRadius, type HaloEvidence, type HaloUnsure } from '../../halo';
import { situationOf, type Rig, type Situation } from '../../rig';
import { evidenceBehind } from './evidenceBehind';
import { type Asked, isSettled, otherVerdict, riskIn, TOSS_SHARE } from './toss';
import { withUntold } from './untold';

/** A verdict by what is expected, and the other one where it is a coin's toss. */
export interface Judged extends Verdict, VerdictFace {}

/** What the halo of a situation rests on, what nobody told counted in. */
export const evidenceIn = (situation: Situation): HaloEvidence =>
  withUntold(situation.rig, evidenceBehind(situation));

const expectedIn = ({ halo, delivered, travel, limitStops }: Situation): Verdict =>
  judge(halo, delivered, travel, limitStops);

/** The verdict in a situation whose halo is as sure as told; `risk` where it is known already. */
export function verdictIn(situation: Situation, evidence: HaloEvidence, risk?: number): Judged {
  const { kind, worstCornerStops, worstCornerTransmission } = expectedIn(situation);
  const or = otherVerdict(situation, kind, evidence, risk);
  return { kind, or, worstCornerStops, worstCornerTransmission };
}

/** The verdict alone, for ribbons, sweeps and small frames. */
export function verdictOf(rig: Rig): Judged {
  const situation = situationOf(rig);
  return verdictIn(situation, evidenceIn(situation));
}

/** How far something is beyond Clear or short of it; see spareOf. */
export function spareIn(asked: Asked, unsure: () => HaloUnsure): number {
  const { halo, delivered, travel, limitStops } = asked;
  const spareStops = spareStopsAt(halo, delivered, travel, limitStops);
  // What is not even expected to be Clear stands below whatever is a toss.
  if (spareStops < 0) return spareStops - 1;
  const known = unsure();
  return isSettled(asked, 'Clear', known) ? spareStops : TOSS_SHARE - riskIn(asked, known);
}

/**
 * How far a rig is beyond Clear or short of it, in no unit: not negative where it is Clear and no coin's toss, and rising
 * towards it along a ring, so that the place where it crosses nought can be searched for.
 */
export function spareOf(rig: Rig): number {
  const situation = situationOf(rig);
  return spareIn(situation, () => evidenceIn(situation));
}

/** Whether the verdict is Clear and no coin's toss: what is offered, counted or printed as Clear. */
export const isClear = (rig: Rig): boolean => spareOf(rig) >= 0;

/** Whether a rig may be Clear: it is expected to be, or as likely as one in four. */
export const mayBeClear = (rig: Rig): boolean => bothOf(verdictOf(rig))[0] === 'Clear';

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
    const { widthMm, heightMm } = delivered;
    const frame = { widthMm: widthMm / scale, heightMm: heightMm / scale };
    return spareIn({ halo, delivered: frame, travel, limitStops }, () => evidence) >= 0;
  });
}

/** The same of a rig. */
export function scaleUpOf(rig: Rig): number | null {
  const situation = situationOf(rig);
  return scaleUpIn(situation, evidenceIn(situation));
}

/** How far the circle of accepted corners reaches beyond the worst of them over the travel, mm. */
export function marginOf(rig: Rig): number {
  const { halo, delivered, travel, limitStops } = situationOf(rig);
  return acceptedRadius(halo, limitStops) - worstCornerRadius(delivered, halo.centre, travel);
}
