/** One way to start a worker, ask it, close it, and know that it is lost. */
import { wrap, type Remote } from 'comlink';

/** What a request fails with when its worker was closed on purpose. */
export class WorkerClosed extends Error {
  override readonly name = 'WorkerClosed';
}

/** What a request fails with when its worker broke, ran out of memory, or could not be started. */
export class WorkerLost extends Error {
  override readonly name = 'WorkerLost';
}

interface Running<D> {
  worker: Worker;
  remote: Remote<D>;
  /** Fails when the worker ends, with all that wait for it. */
  ended: Promise<never>;
  end: (reason: Error) => void;
}

export interface Door<D> {
  /**
   * Asks the worker, starting one where none runs. Fails with WorkerLost where it breaks meanwhile and with
   * WorkerClosed where it is closed; the next request then starts another.
   */
  ask: <T>(work: (remote: Remote<D>) => Promise<T>) => Promise<T>;
  /** Ends the worker and every request that waits for it. */
  close: () => void;
}

/** A door to the worker that `start` makes. Nothing is started before it is asked. */
export function openDoor<D>(start: () => Worker): Door<D> {
  let running: Running<D> | null = null;

  const finish = (reason: Error) => {
    const ending = running;
    running = null;
    ending?.worker.terminate();
    ending?.end(reason);
  };
  const begin = (): Running<D> => {
    const worker = start();
    let end: (reason: Error) => void = () => undefined;
    const ended = new Promise<never>((_, reject) => {
      end = reject;
    });
    // Heard by those who wait; with nobody waiting it is no unhandled failure.
    ended.catch(() => undefined);
    // A worker that was ended may still complain; that is not the next one's trouble.
    const lose = (message: string) => {
      if (running?.worker === worker) finish(new WorkerLost(message));
    };
    worker.onerror = (event) => lose(event.message);
    worker.onmessageerror = () => lose('an answer that cannot be read');
    return { worker, remote: wrap<D>(worker), ended, end };
  };
  return {
    ask(work) {
      running ??= begin();
      return Promise.race([work(running.remote), running.ended]);
    },
    close: () => finish(new WorkerClosed()),
  };
}
