'use client';
import { useState } from 'react';
import type { Mount } from '@/core/kit/records';
import { practiceLens, type PracticeShot } from '@/core/bench-camera';
import type { Shot } from '@/core/measure';
import { db } from '@/store/database/instance';
import { commit } from '@/store/changes/journal';
import { guarded, type Tell } from '@/shell/tell';
import type { CameraDoor } from '@/workers/camera.worker';
import type { Door } from '@/workers/door';
import { openCamera } from '@/workers/doors';
import type { Session } from './session';

/** The time here, ISO without zone. */
export const localTime = (): string => {
  const now = new Date();
  return new Date(now.getTime() - now.getTimezoneOffset() * 60_000).toISOString().slice(0, 19);
};

/** What the simulated camera had hidden at one aperture. */
interface Hidden {
  fNumber: number;
  halfLightMm: number | null;
}

/** Lends the camera's worker out for some work, and closes it. */
async function withCamera(work: (camera: Door<CameraDoor>) => Promise<void>): Promise<void> {
  const camera = openCamera();
  try {
    await work(camera);
  } finally {
    camera.close();
  }
}

const shotOf = (
  { mode, frameMiddle }: Session,
  { focalMm, fNumber }: Shot,
  seed: number,
): PracticeShot => ({
  sensor: { widthMm: mode.widthMm, heightMm: mode.heightMm },
  middle: frameMiddle,
  focalMm,
  fNumber,
  takenAt: localTime(),
  file: 'jpeg',
  seed,
});

/** The simulated camera: a lens with a hidden halo, and frames of it on demand. */
export function usePractice(tell: Tell) {
  const [taking, setTaking] = useState(false);
  const [stabiliser, setStabiliser] = useState(false);
  const [hidden, setHidden] = useState<readonly Hidden[] | null>(null);
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
      setHidden(null);
      onLens(lens.id);
    });
  /** Takes the session's shots one after another and hands them over as files. */
  const take = (session: Session, file: 'jpeg' | 'png', onFile: (file: File) => void) =>
    guarded(tell, async () => {
      setTaking(true);
      try {
        await withCamera(async (camera) => {
          for (const [i, shot] of session.shots.entries())
            onFile(
              await camera.ask((c) =>
                c.take({ ...shotOf(session, shot, i + 1), file, stabiliser }),
              ),
            );
        });
      } finally {
        setTaking(false);
      }
    });
  /** Tells what was hidden at the session's apertures. */
  const uncover = (session: Session) =>
    guarded(tell, () =>
      withCamera(async (camera) => {
        const found: Hidden[] = [];
        for (const shot of session.shots)
          found.push({
            fNumber: shot.fNumber,
            halfLightMm: await camera.ask((c) => c.hiddenHalfLight(shotOf(session, shot, 1))),
          });
        setHidden(found);
      }),
    );
  return { taking, stabiliser, setStabiliser, hidden, begin, take, uncover };
}

export type Practice = ReturnType<typeof usePractice>;
