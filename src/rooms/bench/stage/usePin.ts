'use client';
import { useCallback, useState } from 'react';
import { isMissing, type Rig } from '@/core/rig';
import type { Ghost } from '@/ui/stage/stageWords';
import { useLatest } from '@/ui/useLatest';
import { apertureWords, focalWords } from '@/gear/rings';
import type { Bench } from '@/shell/rig/useBench';

/** A pinned state with the rig it is of. */
export interface Pinned extends Ghost {
  rig: Rig;
}

function ghostOf({ rig, report }: Bench): Pinned | null {
  if (!rig || isMissing(rig) || !report) return null;
  const { focalMm, fNumber } = rig.settings;
  const name = `${rig.name} at ${focalWords(focalMm)} ${apertureWords(fNumber)}`;
  return { name, rig, report };
}

/** The state pinned to compare with: it stays while rings are turned and rigs are changed. */
export function usePin(bench: Bench): { ghost: Pinned | null; pin: () => void } {
  const [ghost, setGhost] = useState<Pinned | null>(null);
  const latest = useLatest(bench);
  const pin = useCallback(() => {
    setGhost((held) => (held ? null : ghostOf(latest.current)));
  }, [latest]);
  return { ghost, pin };
}
