'use client';
import { useCallback, useState } from 'react';
import { isMissing } from '@/core/rig/rig';
import type { Ghost } from '@/ui/stage/stageWords';
import { useLatest } from '@/ui/useLatest';
import { apertureWords, focalWords } from './rings';
import type { Bench } from './useBench';

function ghostOf({ rig, report }: Bench): Ghost | null {
  if (!rig || isMissing(rig) || !report) return null;
  const { focalMm, fNumber } = rig.settings;
  return { name: `${rig.name} at ${focalWords(focalMm)} ${apertureWords(fNumber)}`, report };
}

/** The state pinned to compare with: it stays while rings are turned and rigs are changed. */
export function usePin(bench: Bench): { ghost: Ghost | null; pin: () => void } {
  const [ghost, setGhost] = useState<Ghost | null>(null);
  const latest = useLatest(bench);
  const pin = useCallback(() => {
    setGhost((held) => (held ? null : ghostOf(latest.current)));
  }, [latest]);
  return { ghost, pin };
}
