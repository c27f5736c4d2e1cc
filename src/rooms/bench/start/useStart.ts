'use client';
import { useMemo, useState } from 'react';
import { newId } from '@/core/kit';
import type { Workspace, Mount } from '@/core/kit/records';
import {
  readAnswers,
  type StartAnswers,
  startEnds,
  started,
  type Started,
} from '@/core/kit/starter';
import { evaluate, type Report } from '@/core/rig/report';
import { isMissing, resolveRig } from '@/core/rig';
import type { Result } from '@/core/words';
import type { Write } from '@/store/changes/journal';
import { forgetTyped, useTyped } from '@/ui/form/useTyped';

/** The report of a rig whose records are not in the workspace yet. */
function reportOf({ mounts, body, lens, part, rig }: Started, workspace: Workspace): Report | null {
  const found = resolveRig(
    {
      ...workspace,
      mounts: [...workspace.mounts.filter((m) => mounts.every((n) => n.id !== m.id)), ...mounts],
      bodies: [body],
      lenses: [lens],
      parts: part ? [part] : [],
    },
    rig,
  );
  return isMissing(found) ? null : evaluate(found);
}

/** What of a started rig the workspace has not got, or has otherwise. */
function writesOf({ mounts, body, lens, part, rig }: Started, workspace: Workspace): Write[] {
  const isNew = (record: { id: string }, among: readonly { id: string }[]) =>
    !among.some((r) => r === record);
  return [
    ...mounts
      .filter((m) => isNew(m, workspace.mounts))
      .map((m): Write => ({ table: 'mounts', id: m.id, after: m })),
    { table: 'bodies', id: body.id, after: body },
    { table: 'lenses', id: lens.id, after: lens },
    ...(part && isNew(part, workspace.parts)
      ? [{ table: 'parts' as const, id: part.id, after: part }]
      : []),
    { table: 'rigs', id: rig.id, after: rig },
  ];
}

/** What its answers are kept under. */
export const START = 'start';

export interface Start {
  answers: StartAnswers;
  answer: (change: Partial<StartAnswers>) => void;
  /** Forgets the answers: they are in the kit. */
  done: () => void;
  /** Mounts of lens and camera. */
  ends: { front: Mount; rear: Mount };
  /** What the answers come to, or why they cannot be. */
  found: Result<Started>;
  /** The verdict as they stand; null where there is none. */
  report: Report | null;
  writes: () => Write[];
}

/** The answers so far and what they come to, worked out anew with each of them. */
export function useStart(workspace: Workspace): Start {
  const [typed, setTyped] = useTyped(START);
  const answers = useMemo(() => readAnswers(typed), [typed]);
  const [ids] = useState(() => ({ body: newId(), lens: newId(), rig: newId() }));
  const found = useMemo(() => started(answers, workspace, ids), [answers, workspace, ids]);
  const report = useMemo(
    () => (found.ok ? reportOf(found.value, workspace) : null),
    [found, workspace],
  );
  const ends = useMemo(() => startEnds(answers, workspace), [answers, workspace]);
  return {
    answers,
    ends,
    answer: (change) => setTyped(JSON.stringify({ ...answers, ...change })),
    done: () => {
      setTyped(null);
      forgetTyped(START);
    },
    found,
    report,
    writes: () => (found.ok ? writesOf(found.value, workspace) : []),
  };
}
