'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useMemo, useState } from 'react';
import type { Workspace } from '@/core/kit/records/workspace';
import { db } from './instance';
import { steps, type Steps } from './journal';
import { troubleSentence } from './troubles';
import { loadKit } from './load';
import { readJudgement } from './judgement';

export type OpenWorkspace =
  | { state: 'opening' }
  | { state: 'open'; workspace: Workspace }
  | { state: 'failed'; sentence: string };

/** Whether the database can be opened at all; a live query would only wait. */
function useOpening(): string | null {
  const [trouble, setTrouble] = useState<string | null>(null);
  useEffect(() => {
    db.open().catch((error: unknown) => setTrouble(troubleSentence(error)));
  }, []);
  return trouble;
}

/** The workspace as it stands, kept up to date with every change in this tab and others. */
export function useWorkspace(): OpenWorkspace {
  const trouble = useOpening();
  const kit = useLiveQuery(() => loadKit(db));
  const rigs = useLiveQuery(async () =>
    (await db.rigs.toArray()).sort((a, b) => a.name.localeCompare(b.name)),
  );
  const measurements = useLiveQuery(() => db.measurements.toArray());
  const judgement = useLiveQuery(() => readJudgement(db));
  return useMemo(() => {
    if (trouble !== null) return { state: 'failed', sentence: trouble };
    if (!kit || !rigs || !measurements || !judgement) return { state: 'opening' };
    return { state: 'open', workspace: { ...kit, rigs, measurements, judgement } };
  }, [trouble, kit, rigs, measurements, judgement]);
}

const NO_STEPS: Steps = { undo: null, redo: null };

/** What undo and redo would do now. */
export const useSteps = (): Steps => useLiveQuery(() => steps(db)) ?? NO_STEPS;
