'use client';
import { useCallback, useMemo, useState } from 'react';
import { isMissing } from '@/core/rig/rig';
import type { Ghost } from '@/ui/stage/stageWords';
import { apertureWords, focalWords } from './rings';
import type { Bench } from './useBench';

/** The state pinned to compare with: it stays while rings are turned and rigs are changed. */
export function usePin({ rig, report }: Bench): { ghost: Ghost | null; pin: () => void } {
  const [ghost, setGhost] = useState<Ghost | null>(null);
  const now = useMemo<Ghost | null>(
    () =>
      rig && !isMissing(rig) && report
        ? {
            name: `${rig.name} at ${focalWords(rig.settings.focalMm)} ${apertureWords(rig.settings.fNumber)}`,
            report,
          }
        : null,
    [rig, report],
  );
  const pin = useCallback(() => setGhost((held) => (held ? null : now)), [now]);
  return { ghost, pin };
}
