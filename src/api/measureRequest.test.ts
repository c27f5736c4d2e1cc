import sharp from 'sharp';
import { describe, expect, it, vi } from 'vitest';
import { drawRig, exposureOf, mapOf, SHOT } from '../../tests/support/frames';
import { pngFile, expose, trueRadii } from '@/core/bench-camera';
import { randomOf } from '@/core/maths';
import { answerMeasure } from './measureRequest';

const rig = { ...drawRig(randomOf(21), 0.75, 0.8), sensor: { widthMm: 36, heightMm: 24 } };
const map = mapOf(rig, 8);
const png = pngFile(
  expose(map, exposureOf(rig, randomOf(1), { widthPx: 900, heightPx: 600 })),
  SHOT,
);

const post = (body: BodyInit, query = 'sensor=36x24', type = 'image/png') =>
  answerMeasure(
    new Request(`http://127.0.0.1/api/measure?${query}`, {
      method: 'POST',
      body,
      headers: { 'content-type': type, host: '127.0.0.1' },
      duplex: 'half',
    } as RequestInit),
  );

describe('POST /api/measure', () => {
  it('finds the halo in a frame and says how it was set', async () => {
    const response = await post(png);
    expect(response.status).toBe(200);
    const answer = (await response.json()) as {
      halfLightRadiusMm: { value: number };
      settings: { fNumber: number };
    };
    const truth = trueRadii(map).halfLight ?? Number.NaN;
    expect(Math.abs(answer.halfLightRadiusMm.value - truth)).toBeLessThan(0.1);
    expect(answer.settings.fNumber).toBe(8);
  });

  it.each([
    ['another type', png, 'sensor=36x24', 'text/plain', 415],
    ['no sensor', png, '', 'image/png', 400],
    ['an impossible sensor', png, 'sensor=0x24', 'image/png', 400],
    ['an unknown tone', png, 'sensor=36x24&tone=film', 'image/png', 400],
    ['an impossible f-number', png, 'sensor=36x24&fnumber=0', 'image/png', 400],
    ['an impossible pupil', png, 'sensor=36x24&exitPupil=1e308', 'image/png', 400],
    ['no picture', Buffer.from('hello'), 'sensor=36x24', 'image/png', 422],
    ['nothing', Buffer.alloc(0), 'sensor=36x24', 'image/png', 422],
    ['more than 64 MB', Buffer.alloc(65 * 1024 * 1024), 'sensor=36x24', 'image/png', 413],
  ] as const)(
    '%s is refused with a sentence and no stack',
    async (_, body, query, type, status) => {
      const response = await post(body, query, type);
      expect(response.status).toBe(status);
      const { errors } = (await response.json()) as { errors: { sentence: string }[] };
      expect(errors[0]?.sentence).toMatch(/^\w.*\.$/);
      expect(JSON.stringify(errors)).not.toMatch(/node_modules| at /);
    },
  );

  it('a picture of no wall is answered as refused', async () => {
    const dark = await sharp({
      create: { width: 300, height: 200, channels: 3, background: '#000' },
    })
      .png()
      .toBuffer();
    expect(await (await post(dark)).json()).toMatchObject({
      status: 'refused',
      warnings: ['tooDark'],
      halfLightRadiusMm: null,
    });
  });

  it('turns a frame down unread while eight others are still coming, and takes frames again after', async () => {
    const comes: ReadableStreamDefaultController<Uint8Array>[] = [];
    const coming = () =>
      post(
        new ReadableStream<Uint8Array>({
          start: (controller) => {
            comes.push(controller);
          },
        }),
      );
    const eight = Array.from({ length: 8 }, coming);
    const read = vi.fn();
    const ninth = await post(new ReadableStream({ pull: read }, { highWaterMark: 0 }));
    expect([ninth.status, ninth.headers.get('retry-after')]).toEqual([503, '10']);
    expect(read).not.toHaveBeenCalled();
    for (const controller of comes) controller.close();
    expect((await Promise.all(eight)).map(({ status }) => status)).toEqual(Array(8).fill(422));
    expect((await post(Buffer.from('hello'))).status).toBe(422);
  });
});
