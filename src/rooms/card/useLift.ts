'use client';
import { useEffect, useState } from 'react';
import type { PictureView, WrittenPicture } from '@/core/correction';
import type { Rig } from '@/core/rig';
import { download } from '@/shell/files/files';
import type { Tell } from '@/shell/tell';
import { useOneAtATime } from '@/shell/useOneAtATime';
import { troubleSentence } from '@/store/troubles/troubles';
import { WorkerClosed, type Door } from '@/workers/door';
import type {
  CorrectionDoor,
  LiftChoice,
  OpenedPicture,
  Refusal,
} from '@/workers/correction.worker';

export interface Lift {
  /** Name of the picture in hand; null while there is none. */
  name: string | null;
  picture: OpenedPicture | null;
  /** Why it cannot be lifted as asked; null where it can. */
  trouble: string | null;
  choice: LiftChoice;
  busy: boolean;
  open: (file: File) => void;
  show: (view: PictureView) => void;
  strengthen: (strength: number) => void;
  save: () => void;
}

/** Somebody's own picture, lifted by the rig in hand; the picture stays in the worker. */
export function useLift(rig: Rig, door: Door<CorrectionDoor>, tell: Tell): Lift {
  const [name, setName] = useState<string | null>(null);
  /** Counts pictures, so that a second one of the same name is looked at anew. */
  const [opened, setOpened] = useState(0);
  const [choice, setChoice] = useState<LiftChoice>({ view: 'recorded', strength: 1 });
  const [picture, setPicture] = useState<OpenedPicture | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [busy, run] = useOneAtATime(tell);

  useEffect(() => {
    if (opened === 0) return undefined;
    let isLeft = false;
    door
      .ask(async (worker): Promise<OpenedPicture | Refusal> => worker.look(rig, choice))
      .then(
        (seen) => {
          if (isLeft) return;
          if ('sentence' in seen) {
            setPicture(null);
            setTrouble(seen.sentence);
          } else {
            setPicture(seen);
            setTrouble(null);
          }
        },
        (error: unknown) => {
          if (!isLeft && !(error instanceof WorkerClosed)) setTrouble(troubleSentence(error));
        },
      );
    return () => {
      isLeft = true;
    };
  }, [door, rig, choice, opened]);

  const open = (file: File) =>
    run(async () => {
      setTrouble(null);
      const refusal = await door.ask((worker) => worker.open(file));
      if (refusal) {
        setPicture(null);
        setName(null);
        setTrouble(refusal.sentence);
        return refusal.sentence;
      }
      setName(file.name);
      setOpened((count) => count + 1);
      return `${file.name} is open. It stays in this browser.`;
    });
  const save = () =>
    run(async () => {
      const file = await door.ask(async (worker): Promise<WrittenPicture | Refusal> =>
        worker.save(rig, choice),
      );
      if ('sentence' in file) return file.sentence;
      download(file.name, new Blob([file.bytes], { type: file.type }));
      return `Saved as ${file.name}, with all that the picture said of itself.`;
    });
  return {
    name,
    picture,
    trouble,
    choice,
    busy,
    open,
    show: (view) => setChoice({ ...choice, view }),
    strengthen: (strength) => setChoice({ ...choice, strength }),
    save,
  };
}
