'use client';
import { useEffect, useMemo, useState } from 'react';
import { jobQuery, readJobQuery } from '@/core/exchange/links';
import { newId } from '@/core/kit';
import { jobOf, type Job, sameValue, type Workspace } from '@/core/kit/records';
import { copyLink } from '@/shell/rig/copyLink';
import { stored, type Tell } from '@/shell/tell';
import { db } from '@/store/database/instance';
import { commit, edited, type Write } from '@/store/changes/journal';
import { recall, remember } from '@/store/remembered/remembered';
import type { MenuAction } from '@/ui/controls/MenuButton';

const LAST_JOB = 'wandering-halo-job';

/** What is asked before anybody said anything. */
const usualJob = (): Job =>
  jobOf({
    id: newId(),
    name: 'A job',
    aspect: 16 / 9,
    pixelsAcross: 3840,
    framesPerSecond: 24,
    viewFromMm: 24,
    viewToMm: 70,
    slowestTStop: 4,
  });

interface Draft {
  /** A job that is kept nowhere yet: a link's, or the first one. */
  job: Job;
  isLinked: boolean;
}

/** What the address asks for: a job kept here, or one as the link tells it. */
function arrivalDraft(jobs: readonly Job[]): { jobId: string | null; draft: Draft | null } {
  const link = typeof window === 'undefined' ? null : readJobQuery(window.location.search);
  if (!link) return { jobId: recall(LAST_JOB), draft: null };
  const kept = jobs.find((j) => j.id === link.jobId);
  if (!link.told) return { jobId: link.jobId, draft: null };
  const { note, leaveOut } = kept ?? link.told;
  const told = { ...link.told, note, leaveOut };
  const isAsKept = kept !== undefined && sameValue(kept, told);
  return { jobId: link.jobId, draft: isAsKept ? null : { job: told, isLinked: true } };
}

export interface JobInHand {
  job: Job;
  /** Whether it is kept in the workspace as it stands. */
  isKept: boolean;
  /** Whether it stands as a link told it, unlike what is kept. */
  isLinked: boolean;
  change: (label: string, change: Partial<Job>) => void;
  choose: (id: string) => void;
  actions: readonly MenuAction[];
  rename: (name: string) => void;
  isNaming: boolean;
  stopNaming: () => void;
}

/** The job in hand; what is changed of it is kept and can be undone, and the address tells it whole. */
export function useJob({ jobs }: Workspace, tell: Tell): JobInHand {
  const [{ jobId, draft }, setState] = useState(() => arrivalDraft(jobs));
  const [first] = useState(usualJob);
  const [isNaming, setNaming] = useState(false);
  const kept = jobs.find((j) => j.id === jobId) ?? (draft ? null : (jobs[0] ?? null));
  const job = draft?.job ?? kept ?? first;
  const query = useMemo(() => jobQuery(job), [job]);
  useEffect(() => {
    remember(LAST_JOB, job.id);
    if (window.location.search !== `?${query}`)
      window.history.replaceState(window.history.state, '', `${window.location.pathname}?${query}`);
  }, [job.id, query]);

  const put = (label: string, next: Job) => {
    const before = jobs.find((j) => j.id === next.id);
    const write: Write = before
      ? edited('jobs', before, next)
      : { table: 'jobs', id: next.id, after: next };
    setState({ jobId: next.id, draft: null });
    stored(tell, () => commit(db, label, [write]));
  };
  const change = (label: string, facts: Partial<Job>) => put(label, { ...job, ...facts });
  const choose = (id: string) => setState({ jobId: id, draft: null });
  const actions: readonly MenuAction[] = [
    {
      id: 'new',
      label: 'New job',
      act: () => put('New job', { ...usualJob(), name: freeName('A job', jobs) }),
    },
    {
      id: 'copy',
      label: 'Duplicate this job',
      act: () => put('Duplicate the job', { ...job, id: newId(), name: freeName(job.name, jobs) }),
    },
    { id: 'name', label: 'Name it…', act: () => setNaming(true) },
    {
      id: 'link',
      label: 'Copy a link to it',
      note: 'it tells the whole job, not the kit',
      act: () => copyLink(tell, 'this job'),
    },
    {
      id: 'delete',
      label: 'Delete this job',
      disabled: !kept,
      act: () => {
        setState({ jobId: null, draft: null });
        stored(tell, () =>
          commit(db, `Delete the job ${job.name}`, [{ table: 'jobs', id: job.id, after: null }]),
        );
      },
    },
  ];
  return {
    job,
    isKept: kept !== null && draft === null,
    isLinked: draft?.isLinked ?? false,
    change,
    choose,
    actions,
    rename: (name) => change('Name the job', { name }),
    isNaming,
    stopNaming: () => setNaming(false),
  };
}

/** A name no other job has. */
function freeName(name: string, jobs: readonly Job[]): string {
  const taken = new Set(jobs.map((j) => j.name));
  if (!taken.has(name)) return name;
  const stem = name.replace(/ \d+$/, '').slice(0, 190);
  for (let n = 2; ; n += 1) if (!taken.has(`${stem} ${n}`)) return `${stem} ${n}`;
}
