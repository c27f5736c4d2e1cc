import { describe, expect, it } from 'vitest';
import { openDoor, WorkerClosed, WorkerLost } from './door';

/** A worker that never answers, as far as a door can tell. */
class SilentWorker extends EventTarget {
  static readonly all: SilentWorker[] = [];
  onerror: ((event: { message: string }) => void) | null = null;
  onmessageerror: (() => void) | null = null;
  terminated = false;
  constructor() {
    super();
    SilentWorker.all.push(this);
  }
  postMessage() {}
  terminate() {
    this.terminated = true;
  }
}

interface Asked {
  sum: () => number;
}

const open = () => {
  SilentWorker.all.length = 0;
  return openDoor<Asked>(() => new SilentWorker() as unknown as Worker);
};
const started = () => SilentWorker.all;

describe('a worker’s door', () => {
  it('starts no worker before it is asked, and one for all requests', () => {
    const door = open();
    expect(started()).toHaveLength(0);
    void door.ask((worker) => worker.sum()).catch(() => undefined);
    void door.ask((worker) => worker.sum()).catch(() => undefined);
    expect(started()).toHaveLength(1);
    door.close();
  });

  it('answers what the work answers', async () => {
    const door = open();
    expect(await door.ask(() => Promise.resolve(3))).toBe(3);
    await expect(door.ask(() => Promise.reject(new RangeError('no')))).rejects.toThrow(RangeError);
    expect(started()[0]!.terminated).toBe(false);
    door.close();
  });

  it('fails every request that waits when the worker breaks, and begins anew with the next', async () => {
    const door = open();
    const waiting = [door.ask((w) => w.sum()), door.ask((w) => w.sum())];
    started()[0]!.onerror?.({ message: 'out of memory' });
    for (const request of waiting) await expect(request).rejects.toThrow(WorkerLost);
    expect(started()[0]!.terminated).toBe(true);
    expect(await door.ask(() => Promise.resolve('anew'))).toBe('anew');
    expect(started()).toHaveLength(2);
    door.close();
  });

  it('so it does when an answer cannot be read', async () => {
    const door = open();
    const waiting = door.ask((w) => w.sum());
    started()[0]!.onmessageerror?.();
    await expect(waiting).rejects.toThrow(/cannot be read/);
  });

  it('does not lose the next worker to a late complaint of one that was ended', async () => {
    const door = open();
    const first = door.ask((w) => w.sum());
    const [gone] = started();
    gone!.onerror?.({ message: 'broken' });
    await expect(first).rejects.toThrow(WorkerLost);
    void door.ask((w) => w.sum()).catch(() => undefined);
    gone!.onerror?.({ message: 'broken while it loaded' });
    gone!.onmessageerror?.();
    expect(started().map((w) => w.terminated)).toEqual([true, false]);
    door.close();
  });

  it('closed on purpose says so, and closing what never ran does nothing', async () => {
    const door = open();
    door.close();
    const waiting = door.ask((w) => w.sum());
    door.close();
    await expect(waiting).rejects.toThrow(WorkerClosed);
  });
});
