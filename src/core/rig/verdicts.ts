/** The verdict on a rig, and the figures that decide it, for whoever needs no full report. */
import { isClearAt, judge, spareStopsAt, type Verdict, scaleUp, worstCornerRadius } from '../frame';
import { acceptedRadius } from '../halo';
import type { Rig } from './rig';
import { situationOf, type Situation } from './situation';

/** The verdict alone, for ribbons, sweeps and choosing. */
export const verdictOf = (rig: Rig): Verdict => verdictIn(situationOf(rig));

export const verdictIn = ({ halo, delivered, travel, limitStops }: Situation): Verdict =>
  judge(halo, delivered, travel, limitStops);

/** Least scale-up in post that makes the verdict Clear; null where none does. */
export function scaleUpOf(rig: Rig): number | null {
  const { halo, delivered, travel, limitStops } = situationOf(rig);
  return scaleUp(delivered, halo.centre, acceptedRadius(halo, limitStops), travel);
}

/** Whether the verdict is Clear, for searches that ask nothing else. */
export function isClear(rig: Rig): boolean {
  const { halo, delivered, travel, limitStops } = situationOf(rig);
  return isClearAt(halo, delivered, travel, limitStops);
}

/** Light to spare at the worst corner before the verdict is no longer Clear, stops; negative where it is not. */
export function spareStopsOf(rig: Rig): number {
  const { halo, delivered, travel, limitStops } = situationOf(rig);
  return spareStopsAt(halo, delivered, travel, limitStops);
}

/** How far the circle of accepted corners reaches beyond the worst of them over the travel, mm. */
export function marginOf(rig: Rig): number {
  const { halo, delivered, travel, limitStops } = situationOf(rig);
  return acceptedRadius(halo, limitStops) - worstCornerRadius(delivered, halo.centre, travel);
}
