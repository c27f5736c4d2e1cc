'use client';
import { useEffect, useState } from 'react';
import { troubleSentence } from '@/store/troubles/troubles';
import { useDoor } from '@/shell/useDoor';
import { openPaper } from '@/workers/doors';
import { WorkerClosed, type Door } from '@/workers/door';
import type { LaidPaper, PaperDoor, PaperRequest } from '@/workers/paper.worker';

export interface PaperInHand {
  laid: LaidPaper | null;
  /** Why there is none; null while there is, or while it is being laid. */
  trouble: string | null;
  door: Door<PaperDoor>;
}

/** Paper laid by the worker whenever what it is asked changes; the last one stands until the next is there. */
export function usePaper(request: PaperRequest | null): PaperInHand {
  const door = useDoor(openPaper);
  const [laid, setLaid] = useState<LaidPaper | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  useEffect(() => {
    if (!request) return undefined;
    let isLeft = false;
    door
      .ask((worker) => worker.lay(request))
      .then(
        (paper) => {
          if (isLeft) return;
          setLaid(paper);
          setTrouble(null);
        },
        (error: unknown) => {
          if (!isLeft && !(error instanceof WorkerClosed)) setTrouble(troubleSentence(error));
        },
      );
    return () => {
      isLeft = true;
    };
  }, [door, request]);
  return { laid: request ? laid : null, trouble, door };
}
