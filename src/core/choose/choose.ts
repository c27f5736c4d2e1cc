/** From a whole kit: which rigs can do a job, and why the others cannot. */
import type { Body, Job, Workspace } from '../kit/records';
import type { Candidate } from './candidate';
import { candidateOf, type Combination } from './judging';
import { openKit, pairOf, standingOf, type Kit, type Standing } from './pairs';

/** A share of the work: the lenses whose place, counted by `of`, leaves `part`. */
export interface Share {
  part: number;
  of: number;
}
const ALL: Share = { part: 0, of: 1 };

/** Where a rig of the kit is left out because something asked is not known of it. */
const isLeftOut = ({ unknowns }: Candidate, job: Job): boolean =>
  job.unknowns === 'leave out' && unknowns.some((u) => u !== 'rear glass');

/** Every combination of a share, one lens and train after another, so that what they share is found once. */
function* combinationsOf(kit: Kit, job: Job, { part, of }: Share): Generator<Combination> {
  for (const [place, lens] of kit.lenses.entries()) {
    if (place % of !== part) continue;
    for (const bodies of kit.bodiesByMount.values()) {
      const [some] = bodies;
      if (!some) continue;
      for (const chain of kit.chains(lens, some)) {
        const pair = pairOf(lens, chain, kit);
        for (const body of bodies) {
          const standing: Standing = standingOf(pair, body, kit);
          for (const mode of body.modes)
            if (mode.use === job.use) yield { pair, standing, body, mode };
        }
      }
    }
  }
}

/** How many combinations there are to judge. */
export function countOf(workspace: Workspace, job: Job, { part, of }: Share = ALL): number {
  const kit = openKit(workspace, job);
  const modes = (bodies: readonly Body[]) =>
    bodies.reduce((sum, body) => sum + body.modes.filter((m) => m.use === job.use).length, 0);
  const mounts = [...kit.bodiesByMount.values()].flatMap((bodies) =>
    bodies[0] ? [{ some: bodies[0], modes: modes(bodies) }] : [],
  );
  return kit.lenses.reduce((total, lens, place) => {
    if (place % of !== part) return total;
    const here = mounts.reduce(
      (sum, mount) => sum + kit.chains(lens, mount.some).length * mount.modes,
      0,
    );
    return total + here;
  }, 0);
}

/**
 * Judges every combination of the kit for a job and yields each as it is judged; null for one that is left out
 * because something is not known of it. Stop asking and it stops working.
 */
export function* choose(
  workspace: Workspace,
  job: Job,
  share: Share = ALL,
): Generator<Candidate | null> {
  const kit = openKit(workspace, job);
  for (const combination of combinationsOf(kit, job, share)) {
    const candidate = candidateOf(combination, job, kit);
    yield isLeftOut(candidate, job) ? null : candidate;
  }
}
