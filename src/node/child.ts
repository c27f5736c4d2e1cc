/** A process of its own that measures frames: whoever asks goes on meanwhile, and all it took goes back. */
import { fork, type ChildProcess } from 'node:child_process';
import { resolve } from 'node:path';
import { fail } from '@/core/words';
import type { MeasureAnswer, MeasureJob } from './measuring';

/** Beside the program's package, from where it is always run. */
const ENTRY = resolve('bin/measure-child.mjs');
/** The largest frame there is takes some ten seconds; beyond this it is given up. */
const LONGEST_MS = 60_000;
/** Beginning takes a second, so frames sent one after another share a process; it is let go when none came for so long. */
const IDLE_MS = 5000;

interface Running {
  child: ChildProcess;
  /** Settles the job at work; null between two. */
  settle: ((answer: MeasureAnswer | 'ended') => void) | null;
}

/** Begins a process; `onEnd` is told when it is there no more, at work or between two jobs. */
function begin(entry: string, onEnd: (running: Running) => void): Running {
  const child = fork(entry, [], {
    // Bytes go over as they are.
    serialization: 'advanced',
    execArgv: [],
    stdio: ['ignore', 'ignore', 'ignore', 'ipc'],
  });
  const running: Running = { child, settle: null };
  const ended = () => {
    onEnd(running);
    running.settle?.('ended');
  };
  child.on('message', (answer: MeasureAnswer) => running.settle?.(answer));
  child.on('error', ended);
  child.on('exit', ended);
  return running;
}

interface Times {
  /** A frame that takes longer is given up, ms. */
  longestMs: number;
  /** A process that nobody asked for so long is let go, ms. */
  idleMs: number;
}

/**
 * A process that starts with its first frame, and anew after it ended, was given up or was let go. It measures
 * one frame at a time: ask it in turn. Failures are answers with a sentence.
 */
export function measureChild(
  entry = ENTRY,
  { longestMs = LONGEST_MS, idleMs = IDLE_MS }: Partial<Times> = {},
) {
  let running: Running | null = null;
  let idle: NodeJS.Timeout | undefined;
  const forget = (ended: Running) => {
    if (running === ended) running = null;
  };
  const letGo = (at: Running) => {
    forget(at);
    at.child.kill('SIGKILL');
  };
  return (job: MeasureJob): Promise<MeasureAnswer> => {
    clearTimeout(idle);
    const at = (running ??= begin(entry, forget));
    return new Promise((resolveJob) => {
      const done = (answer: MeasureAnswer) => {
        clearTimeout(timer);
        at.settle = null;
        // A process that waits keeps no program from ending.
        at.child.unref();
        at.child.channel?.unref();
        idle = setTimeout(() => letGo(at), idleMs).unref();
        resolveJob(answer);
      };
      const lost = (why: string) => {
        letGo(at);
        done(fail('failed', '', `${job.name} ${why}`));
      };
      const timer = setTimeout(
        () => lost(`took longer than ${longestMs / 1000} s and was given up.`),
        longestMs,
      );
      at.settle = (answer) => {
        if (answer === 'ended')
          lost('could not be measured: what measured it ended, perhaps for want of memory.');
        else done(answer);
      };
      at.child.ref();
      at.child.channel?.ref();
      at.child.send(job, (error) => {
        if (error) at.settle?.('ended');
      });
    });
  };
}
