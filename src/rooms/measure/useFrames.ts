'use client';
import { useEffect, useReducer, useRef } from 'react';
import type { FileOptions } from '@/core/measure';
import { useDoor } from '@/shell/useDoor';
import { WorkerClosed } from '@/workers/door';
import { openMeasure } from '@/workers/doors';
import type { FrameAnswer, FrameRefusal } from '@/workers/measure.worker';
import { newFrame, type Frame } from './frames';

type Act =
  | { kind: 'add'; frames: Frame[] }
  | { kind: 'set'; id: string; change: Partial<Frame> }
  | { kind: 'remove'; id: string }
  | { kind: 'again' }
  | { kind: 'stop' }
  | { kind: 'clear' };

function reduce(frames: readonly Frame[], act: Act): readonly Frame[] {
  switch (act.kind) {
    case 'add':
      return [...frames, ...act.frames];
    case 'set':
      return frames.map((f) => (f.id === act.id ? { ...f, ...act.change } : f));
    case 'remove':
      return frames.filter((f) => f.id !== act.id);
    case 'again':
      return frames.map((f) => ({ ...f, state: 'waiting', answer: null, sentence: '' }));
    case 'stop':
      return frames.filter((f) => f.state === 'done' || f.state === 'unread');
    case 'clear':
      return [];
  }
}

const isRefusal = (answer: FrameAnswer | FrameRefusal): answer is FrameRefusal =>
  'sentence' in answer;

const BROKEN = 'The measuring stopped on this file; it may be damaged or too large.';

/** The queue of frames: measured one after another in a worker, so that memory holds one at a time. */
export function useFrames(options: FileOptions | null) {
  const [frames, act] = useReducer(reduce, []);
  const door = useDoor(openMeasure);
  const busy = useRef(false);
  const read = useRef(options);
  useEffect(() => {
    // Another sensor or tone makes other figures of the same files.
    if (JSON.stringify(read.current) === JSON.stringify(options)) return;
    read.current = options;
    door.close();
    act({ kind: 'again' });
  }, [options, door]);
  useEffect(() => {
    const next = frames.find((f) => f.state === 'waiting');
    if (!next || busy.current || !options) return;
    busy.current = true;
    const { id, file } = next;
    act({ kind: 'set', id, change: { state: 'measuring' } });
    door
      .ask((worker) => worker.measure(file, options) as Promise<FrameAnswer | FrameRefusal>)
      .then((answer) =>
        act({
          kind: 'set',
          id,
          change: isRefusal(answer)
            ? { state: 'unread', sentence: answer.sentence }
            : { state: 'done', answer },
        }),
      )
      .catch((error: unknown) => {
        // Stopped on purpose: it was taken from the list, or waits again already.
        if (error instanceof WorkerClosed) return;
        act({ kind: 'set', id, change: { state: 'unread', sentence: BROKEN } });
      })
      .finally(() => {
        busy.current = false;
        // A turn of its own, so that the queue moves on whatever became of this one.
        act({ kind: 'set', id, change: {} });
      });
  }, [frames, options, door]);
  return {
    frames,
    /** Asks the worker that measures. */
    ask: door.ask,
    add: (files: readonly File[]) => act({ kind: 'add', frames: files.map(newFrame) }),
    set: (id: string, change: Partial<Frame>) => act({ kind: 'set', id, change }),
    remove: (id: string) => act({ kind: 'remove', id }),
    /** Stops the one in hand and drops those that wait. */
    stop: () => {
      act({ kind: 'stop' });
      door.close();
    },
    clear: () => act({ kind: 'clear' }),
  };
}

export type Frames = ReturnType<typeof useFrames>;
