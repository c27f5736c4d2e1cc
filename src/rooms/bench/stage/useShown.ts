'use client';
import { useCallback, useMemo, useState } from 'react';
import { USUAL_SCENE, shotAt } from '@/core/framing';
import { FULL_FRAME } from '@/core/optics';
import type { Report } from '@/core/rig/report';
import type { Rig } from '@/core/rig';
import type { Tell } from '@/shell/tell';
import type { Shown } from '@/ui/stage/paintThrough';
import { readOwnPicture, type OwnPicture } from './ownPicture';

/** A rig at infinity has nobody in focus: the miller stands far off. */
const FAR_M = 100;
/** Where the file does not tell, a picture is taken as seen by a usual wide lens, mm on 36x24. */
const USUAL_MM = 28;

const LIGHT: Shown = { kind: 'light' };

export interface StageShown {
  shown: Shown;
  kind: Shown['kind'];
  show: (kind: 'light' | 'scene') => void;
  /** The picture that was opened last. */
  picture: OwnPicture | null;
  /** As which view it is taken, mm on 36x24. */
  viewMm: number;
  takeAs: (mm: number) => void;
  open: (files: readonly File[]) => void;
}

/** What the light on the stage shows, for the rig as it is set. */
export function useShown(rig: Rig, report: Report, tell: Tell): StageShown {
  const [kind, setKind] = useState<Shown['kind']>('light');
  const [picture, setPicture] = useState<OwnPicture | null>(null);
  const [viewMm, setViewMm] = useState(USUAL_MM);
  const { optics } = report;
  const shown = useMemo((): Shown => {
    if (kind === 'scene') {
      const { focusM } = rig.settings;
      return {
        kind,
        shot: shotAt(rig, report.picture.subjectM ?? focusM ?? FAR_M),
        scene: USUAL_SCENE,
      };
    }
    if (kind === 'picture' && picture)
      return {
        kind,
        image: picture.image,
        // Its width is seen as 36 mm are at that focal length; this rig draws the angle so much larger.
        widthMm: (FULL_FRAME.widthMm / viewMm) * optics.train.focalMm * (1 + optics.magnification),
        squeeze: rig.lens.squeeze,
      };
    return LIGHT;
  }, [kind, picture, viewMm, rig, report.picture.subjectM, optics]);
  const open = useCallback(
    ([file]: readonly File[]) => {
      if (!file) return;
      readOwnPicture(file).then(
        (read) => {
          setPicture(read);
          setViewMm(read.toldMm ?? USUAL_MM);
          setKind('picture');
        },
        (error: unknown) =>
          tell({
            kind: 'trouble',
            text: error instanceof Error ? error.message : 'The picture cannot be read.',
          }),
      );
    },
    [tell],
  );
  return { shown, kind: shown.kind, show: setKind, picture, viewMm, takeAs: setViewMm, open };
}
