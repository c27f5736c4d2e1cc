'use client';
import { wrap } from 'comlink';
import { useState } from 'react';
import type { Mount } from '@/core/kit/mount';
import { practiceLens } from '@/core/bench-camera/practice';
import type { Shot } from '@/core/measure/shotList';
import { db } from '@/store/instance';
import { commit } from '@/store/journal';
import { guarded, type Tell } from '@/shell/tell';
import type { CameraDoor } from '@/workers/camera.worker';
import type { Session } from './session';

/** The time here, ISO without zone. */
export const localTime = (): string => {
  const now = new Date();
  return new Date(now.getTime() - now.getTimezoneOffset() * 60_000).toISOString().slice(0, 19);
};

/** The simulated camera: a lens with a hidden halo, and frames of it on demand. */
export function usePractice(tell: Tell) {
  const [taking, setTaking] = useState(false);
  /** Puts the practice lens into the kit, in the body's own mount; answers its id. */
  const begin = (session: Session, mounts: readonly Mount[], onLens: (id: string) => void) =>
    guarded(tell, async () => {
      const { mode, body } = session;
      const mountId = mounts.some((m) => m.id === body.mountId)
        ? body.mountId
        : (mounts[0]?.id ?? body.mountId);
      const lens = practiceLens(mountId, { widthMm: mode.widthMm, heightMm: mode.heightMm });
      if (!(await db.lenses.get(lens.id)))
        await commit(db, 'Add the practice lens', [{ table: 'lenses', id: lens.id, after: lens }]);
      onLens(lens.id);
    });
  /** Takes shots one after another and hands them over as files. */
  const take = (
    { mode }: Session,
    shots: readonly Shot[],
    file: 'jpeg' | 'png',
    onFile: (file: File) => void,
  ) =>
    guarded(tell, async () => {
      setTaking(true);
      const worker = new Worker(new URL('../../workers/camera.worker.ts', import.meta.url), {
        type: 'module',
      });
      try {
        const camera = wrap<CameraDoor>(worker);
        for (const [i, shot] of shots.entries()) {
          onFile(
            await camera.take({
              sensor: { widthMm: mode.widthMm, heightMm: mode.heightMm },
              focalMm: shot.focalMm,
              fNumber: shot.fNumber,
              takenAt: localTime(),
              file,
              seed: i + 1,
            }),
          );
        }
      } finally {
        worker.terminate();
        setTaking(false);
      }
    });
  return { taking, begin, take };
}
