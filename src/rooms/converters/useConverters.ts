'use client';
import { useState } from 'react';
import { readWith, withQuery } from '@/core/exchange/links';
import type { Workspace } from '@/core/kit/records';
import type { RigInHand } from '@/shell/rig/RigRoom';
import { useBench, type Bench } from '@/shell/rig/useBench';
import type { Shell } from '@/shell/useShell';

/** The rig in hand, and which of its converters. */
export interface ConvertersInHand extends RigInHand {
  bench: Bench;
  /** Id of the converter in hand; null for the usual one. */
  chosen: string | null;
  onChoose: (id: string) => void;
}

export function useConverters(workspace: Workspace, { tell }: Shell): ConvertersInHand {
  const [chosen, onChoose] = useState<string | null>(() =>
    typeof window === 'undefined' ? null : readWith(window.location.search),
  );
  const bench = useBench(workspace, tell, withQuery(chosen));
  const { record, rig, actions } = bench;
  return { record, rig, chooseRig: actions.choose, bench, chosen, onChoose };
}
