/** A candidate as a rig: the records it joins, set where it serves the widest of its views. */
import {
  type Job,
  restingSettings,
  type RigRecord,
  type Workspace,
  rigRecordOf,
} from '../kit/records';
import { isMissing, resolveRig, type Rig } from '../rig';
import type { Candidate } from './candidate';
import { judgementFor } from './pairs';

export function recordOfCandidate(
  candidate: Candidate,
  job: Job,
  workspace: Workspace,
  { id, name }: { id: string; name: string },
): RigRecord {
  const { at, bodyId, modeId, lensId, partIds, cropId, digitalZoom } = candidate;
  const lens = workspace.lenses.find((l) => l.id === lensId);
  const resting = restingSettings(
    at?.focalMm ?? lens?.focalMinMm ?? 50,
    at?.fNumber ?? lens?.openFNumberWide ?? 4,
  );
  const settings = {
    ...resting,
    aspect: job.aspect,
    cropId,
    digitalZoom,
    stabiliser: job.stabilised,
    postScale: at?.postScale ?? 1,
  };
  return rigRecordOf({ id, name, bodyId, modeId, lensId, partIds, settings });
}

/** The rig of a candidate, judged as the job is; null where something of it is gone. */
export function rigOf(candidate: Candidate, job: Job, workspace: Workspace): Rig | null {
  const record = recordOfCandidate(candidate, job, workspace, { id: 'candidate', name: '' });
  const rig = resolveRig(workspace, record);
  return isMissing(rig) ? null : { ...rig, judgement: judgementFor(rig.judgement, job) };
}
