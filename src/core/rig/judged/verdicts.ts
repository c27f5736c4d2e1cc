/** The verdict on a rig and how sure it is, for whoever needs no full report. */
import {
  bothOf,
  judge,
  spareStopsAt,
  type Verdict,
  type VerdictFace,
  worstCornerUnder,
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
  withUntold(situation.rig, evidenceBehind(situation, situation.rig.settings.helicoidMm));

/** The verdict in a situation whose halo is as sure as told; `risk` where it is known already. */
export function verdictIn(situation: Situation, evidence: HaloEvidence, risk?: number): Judged {
  const { halo, delivered, travel, limitStops } = situation;
  const { kind, worstCornerStops, worstCornerTransmission } = judge(
    halo,
    delivered,
    travel,
    limitStops,
  );
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

/** How far the circle of accepted corners reaches beyond the worst of them over the travel, mm. */
export function marginOf(rig: Rig): number {
  const { halo, delivered, travel, limitStops } = situationOf(rig);
  const worst = worstCornerUnder(halo, delivered, travel);
  return acceptedRadius(worst.halo, limitStops) - worst.cornerMm;
}
