'use client';
import { wrap, type Remote } from 'comlink';
import { useCallback, useEffect, useReducer, useRef } from 'react';
import type { FileOptions } from '@/core/measure/measureFile';
import type { FrameAnswer, FrameRefusal, MeasureDoor } from '@/workers/measure.worker';
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

/** What a request to a worker that was closed on purpose fails with. */
const STOPPED = 'stopped';

/** One worker, opened when first needed, anew after it broke or was stopped. */
function openDoor() {
  let worker: Worker | null = null;
  let door: Remote<MeasureDoor> | null = null;
  let onBroken: ((reason: Error) => void) | null = null;
  const fail = (reason: string) => {
    worker?.terminate();
    worker = door = null;
    onBroken?.(new Error(reason));
    onBroken = null;
  };
  return {
    close: () => fail(STOPPED),
    /** Asks the worker; fails where the worker breaks or is closed meanwhile. */
    ask<T>(work: (door: Remote<MeasureDoor>) => Promise<T>): Promise<T> {
      worker ??= new Worker(new URL('../../workers/measure.worker.ts', import.meta.url), {
        type: 'module',
      });
      door ??= wrap<MeasureDoor>(worker);
      const broken = new Promise<never>((_, reject) => {
        onBroken = reject;
      });
      worker.onerror = () => fail('broken');
      return Promise.race([work(door), broken]);
    },
  };
}

/** The queue of frames: measured one after another in a worker, so that memory holds one at a time. */
export function useFrames(options: FileOptions | null) {
  const [frames, act] = useReducer(reduce, []);
  const door = useRef<ReturnType<typeof openDoor> | null>(null);
  const busy = useRef(false);
  const ask = useCallback(<T>(work: (d: Remote<MeasureDoor>) => Promise<T>) => {
    door.current ??= openDoor();
    return door.current.ask(work);
  }, []);
  useEffect(
    () => () => {
      door.current?.close();
      door.current = null;
    },
    [],
  );
  const read = useRef(options);
  useEffect(() => {
    // Another sensor or tone makes other figures of the same files.
    if (JSON.stringify(read.current) === JSON.stringify(options)) return;
    read.current = options;
    door.current?.close();
    door.current = null;
    act({ kind: 'again' });
  }, [options]);
  useEffect(() => {
    const next = frames.find((f) => f.state === 'waiting');
    if (!next || busy.current || !options) return;
    busy.current = true;
    const { id, file } = next;
    act({ kind: 'set', id, change: { state: 'measuring' } });
    ask((d) => d.measure(file, options) as Promise<FrameAnswer | FrameRefusal>)
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
        if (error instanceof Error && error.message === STOPPED) return;
        act({ kind: 'set', id, change: { state: 'unread', sentence: BROKEN } });
      })
      .finally(() => {
        busy.current = false;
        // A turn of its own, so that the queue moves on whatever became of this one.
        act({ kind: 'set', id, change: {} });
      });
  }, [frames, options, ask]);
  return {
    frames,
    ask,
    add: (files: readonly File[]) => act({ kind: 'add', frames: files.map(newFrame) }),
    set: (id: string, change: Partial<Frame>) => act({ kind: 'set', id, change }),
    remove: (id: string) => act({ kind: 'remove', id }),
    /** Stops the one in hand and drops those that wait. */
    stop: () => {
      act({ kind: 'stop' });
      door.current?.close();
      door.current = null;
    },
    clear: () => act({ kind: 'clear' }),
  };
}

export type Frames = ReturnType<typeof useFrames>;
