'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { useSyncExternalStore } from 'react';
import { db } from './database/instance';
import { steps, type Steps } from './changes/undo';
import { mirrorOf, type OpenWorkspace } from './database/mirror';

/** One for the page: it stays as one goes from room to room. */
const mirror = mirrorOf(db);

const OPENING: OpenWorkspace = { state: 'opening' };

/** The workspace as it stands, kept up to date with every change in this tab and others. */
export const useWorkspace = (): OpenWorkspace =>
  useSyncExternalStore(mirror.subscribe, mirror.current, () => OPENING);

const NO_STEPS: Steps = { undo: null, redo: null };

/** What undo and redo would do now. */
export const useSteps = (): Steps => useLiveQuery(() => steps(db)) ?? NO_STEPS;
