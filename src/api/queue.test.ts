import { describe, expect, it } from 'vitest';
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
  it('does one piece of work after another, in order', async () => {
    const queue = queueOf(5);
    const begun: string[] = [];
    const first = held();
    const one = queue(() => {
      begun.push('one');
      return first.work();
    });
    const two = queue(() => {
      begun.push('two');
      return Promise.resolve('second');
    });
    await Promise.resolve();
    expect(begun).toEqual(['one']);
    first.end('first');
    expect(await one).toBe('first');
    expect(await two).toBe('second');
    expect(begun).toEqual(['one', 'two']);
  });

  it('turns down what is too much, and takes work again once some is done', async () => {
    const queue = queueOf(2);
    const first = held();
    const one = queue(first.work);
    const two = queue(() => Promise.resolve('two'));
    expect(queue(() => Promise.resolve('three'))).toBeNull();
    first.end('one');
    await Promise.all([one, two]);
    await Promise.resolve();
    expect(await queue(() => Promise.resolve('four'))).toBe('four');
  });

  it('goes on after work that fails', async () => {
    const queue = queueOf(3);
    const bad = queue(() => Promise.reject(new Error('broken')));
    await expect(bad).rejects.toThrow('broken');
    expect(await queue(() => Promise.resolve('fine'))).toBe('fine');
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
