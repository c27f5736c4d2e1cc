/** A thread that measures frames, so that whoever asks goes on meanwhile. */
import { resolve } from 'node:path';
import { Worker } from 'node:worker_threads';
import { fail } from '@/core/words';
import type { MeasureAnswer, MeasureJob } from './measuring';

/** Beside the program's package, from where it is always run. */
const ENTRY = resolve('bin/measure-thread.mjs');
/** The largest frame there is takes some ten seconds; beyond this it is given up. */
const LONGEST_MS = 60_000;

interface Running {
  worker: Worker;
  /** Settles the job at work; null between two. */
  settle: ((answer: MeasureAnswer | 'broken' | 'ended') => void) | null;
}

/** Starts a thread; `onEnd` is told when it is there no more, at work or between two jobs. */
function begin(entry: string, onEnd: (running: Running) => void): Running {
  const running: Running = { worker: new Worker(entry), settle: null };
  running.worker.on('message', (answer: MeasureAnswer) => running.settle?.(answer));
  running.worker.on('error', () => running.settle?.('broken'));
  running.worker.on('exit', () => {
    onEnd(running);
    running.settle?.('ended');
  });
  return running;
}

/**
 * A thread that starts with its first frame, and anew after it broke or was given up. It measures one frame at
 * a time: ask it in turn. Failures are answers with a sentence.
 */
export function measureThread(entry = ENTRY, longestMs = LONGEST_MS) {
  let running: Running | null = null;
  const forget = (ended: Running) => {
    if (running === ended) running = null;
  };
  return (job: MeasureJob): Promise<MeasureAnswer> => {
    const at = (running ??= begin(entry, forget));
    return new Promise((resolveJob) => {
      const done = (answer: MeasureAnswer) => {
        clearTimeout(timer);
        at.settle = null;
        // A thread that waits keeps no program from ending.
        at.worker.unref();
        resolveJob(answer);
      };
      const lost = (why: string) => {
        forget(at);
        void at.worker.terminate();
        done(fail('failed', '', `${job.name} ${why}`));
      };
      const timer = setTimeout(
        () => lost(`took longer than ${longestMs / 1000} s and was given up.`),
        longestMs,
      );
      at.settle = (answer) => {
        if (answer === 'broken') lost('could not be measured: it asks for too much.');
        else if (answer === 'ended') lost('could not be measured: its thread ended.');
        else done(answer);
      };
      at.worker.ref();
      at.worker.postMessage(job);
    });
  };
}
