'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useMemo, useState } from 'react';
import type { Workspace } from '@/core/kit/workspace';
import { db } from './instance';
import { steps, type Steps } from './journal';
import { storageSentence } from './troubles';
import { readJudgement } from './workspace';

export type OpenWorkspace =
  | { state: 'opening' }
  | { state: 'open'; workspace: Workspace }
  | { state: 'failed'; sentence: string };

/** Whether the database can be opened at all; a live query would only wait. */
function useOpening(): string | null {
  const [trouble, setTrouble] = useState<string | null>(null);
  useEffect(() => {
    db.open().catch((error: unknown) => setTrouble(storageSentence(error)));
  }, []);
  return trouble;
}

/** The workspace as it stands, kept up to date with every change in this tab and others. */
export function useWorkspace(): OpenWorkspace {
  const trouble = useOpening();
  const mounts = useLiveQuery(() => db.mounts.toArray());
  const bodies = useLiveQuery(() => db.bodies.toArray());
  const lenses = useLiveQuery(() => db.lenses.toArray());
  const parts = useLiveQuery(() => db.parts.toArray());
  const rigs = useLiveQuery(() => db.rigs.toArray());
  const judgement = useLiveQuery(() => readJudgement(db));
  return useMemo(() => {
    if (trouble !== null) return { state: 'failed', sentence: trouble };
    if (!mounts || !bodies || !lenses || !parts || !rigs || !judgement) return { state: 'opening' };
    return { state: 'open', workspace: { mounts, bodies, lenses, parts, rigs, judgement } };
  }, [trouble, mounts, bodies, lenses, parts, rigs, judgement]);
}

const NO_STEPS: Steps = { undo: null, redo: null };

/** What undo and redo would do now. */
export const useSteps = (): Steps => useLiveQuery(() => steps(db)) ?? NO_STEPS;
