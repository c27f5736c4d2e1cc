import { describe, expect, it, vi } from 'vitest';
import { queueOf } from './queue';
import { readBody } from './requests';

/** Work that ends when it is told to. */
function held() {
  let end: (value: string) => void = () => undefined;
  const done = new Promise<string>((resolve) => {
    end = resolve;
  });
  return { work: () => done, end };
}

describe('a queue', () => {
  it('does one piece of heavy work after another, in the order they were ready', async () => {
    const queue = queueOf(5);
    const begun: string[] = [];
    const [body, first] = [held(), held()];
    const slow = queue(async (inTurn) => {
      await body.work();
      return inTurn(() => {
        begun.push('slow');
        return Promise.resolve('slow');
      });
    });
    const one = queue((inTurn) =>
      inTurn(() => {
        begun.push('one');
        return first.work();
      }),
    );
    const two = queue((inTurn) =>
      inTurn(() => {
        begun.push('two');
        return Promise.resolve('second');
      }),
    );
    await Promise.resolve();
    expect(begun).toEqual(['one']);
    first.end('first');
    expect(await one).toBe('first');
    expect(await two).toBe('second');
    body.end('');
    expect(await slow).toBe('slow');
    expect(begun).toEqual(['one', 'two', 'slow']);
  });

  it('turns down who is too many before they do anything, and lets in again once some have left', async () => {
    const queue = queueOf(2);
    const first = held();
    const one = queue(first.work);
    const two = queue(() => Promise.resolve('two'));
    const third = vi.fn(() => Promise.resolve('three'));
    expect(queue(third)).toBeNull();
    expect(third).not.toHaveBeenCalled();
    first.end('one');
    await Promise.all([one, two]);
    expect(await queue(third)).toBe('three');
  });

  it('goes on after work that fails', async () => {
    const queue = queueOf(1);
    const bad = queue((inTurn) => inTurn(() => Promise.reject(new Error('broken'))));
    await expect(bad).rejects.toThrow('broken');
    expect(await queue((inTurn) => inTurn(() => Promise.resolve('fine')))).toBe('fine');
  });
});

describe('a body', () => {
  const post = (body: BodyInit) =>
    new Request('http://127.0.0.1/', { method: 'POST', body, duplex: 'half' } as RequestInit);

  it('is read whole, or told to be too large', async () => {
    expect(await readBody(post('12345'), 5)).toEqual(Buffer.from('12345'));
    expect(await readBody(post('123456'), 5)).toBe('too large');
    expect(await readBody(new Request('http://127.0.0.1/'), 5)).toEqual(Buffer.alloc(0));
  });

  it('that never comes to its end is given up', async () => {
    const endless = new ReadableStream<Uint8Array>({
      start: (controller) => {
        controller.enqueue(Uint8Array.of(1));
      },
    });
    expect(await readBody(post(endless), 5, 5)).toBe('too slow');
  });
});
