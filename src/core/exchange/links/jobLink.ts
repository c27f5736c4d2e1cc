/** A job as the query of an address, and back. */
import { checkRecord } from '../../kit/checks';
import { jobOf, type Job, isJson, sameValue } from '../../kit/records';

const LONGEST = 6000;

/** What a job says that is not usual anyway; its note and what it leaves out stay at home. */
function toldOf(job: Job): Record<string, unknown> {
  const { id, name, viewFromMm, viewToMm } = job;
  const usual = jobOf({ id, name, viewFromMm, viewToMm });
  const told = Object.entries(job).filter(
    ([key, value]) =>
      !['id', 'note', 'leaveOut'].includes(key) && !sameValue(value, usual[key as keyof Job]),
  );
  return { ...Object.fromEntries(told), name, viewFromMm, viewToMm };
}

/** The query that opens a job, told whole, so that it opens where the job is not known too. */
export const jobQuery = (job: Job): string =>
  new URLSearchParams({ job: job.id, told: JSON.stringify(toldOf(job)) }).toString();

interface JobLink {
  jobId: string;
  /** The job as the link tells it; null where it tells none, or none that can be. */
  told: Job | null;
}

/** Null where it names no job. */
export function readJobQuery(query: string): JobLink | null {
  const q = new URLSearchParams(query);
  const jobId = q.get('job');
  if (!jobId || jobId.length > 80) return null;
  const text = q.get('told');
  if (text === null || text.length > LONGEST) return { jobId, told: null };
  try {
    const told: unknown = JSON.parse(text);
    if (!isJson(told)) return { jobId, told: null };
    const job = jobOf({ ...(told as Partial<Job>), id: jobId } as Job);
    const checked = checkRecord('jobs', job);
    return { jobId, told: checked.ok ? checked.value : null };
  } catch {
    return { jobId, told: null };
  }
}
