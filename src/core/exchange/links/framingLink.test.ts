import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '../../../../tests/support/seed';
import type { Take } from '../../framing';
import { framingQuery, FRAMING_VIEWS, readFramingQuery, type FramingLink } from './framingLink';
import { readWith, withQuery } from './converterLink';

const id = fc.string({ minLength: 1, maxLength: 20 });
const figure = (min: number, max: number) =>
  fc.double({ min, max, noNaN: true }).map((v) => Number(v.toPrecision(5)));
const take = fc
  .record(
    {
      rigId: id,
      bodyId: id,
      modeId: id,
      partIds: fc.array(id, { maxLength: 3 }),
      postScale: figure(1, 8),
    },
    { requiredKeys: ['rigId'] },
  )
  .filter((t) => encodeURIComponent(JSON.stringify(t)).length < 380) as fc.Arbitrary<Take>;
const link: fc.Arbitrary<FramingLink> = fc
  .array(fc.tuple(take, figure(0.1, 1999)), { minLength: 1, maxLength: 4 })
  .chain((taken) =>
    fc.record({
      takes: fc.constant(taken.map(([t]) => t)),
      distancesM: fc.constant(taken.map(([, d]) => d)),
      scene: fc.record({ lampsM: figure(0.5, 60), besideM: figure(-4, 4) }),
      keepsSize: fc.boolean(),
      view: fc.constantFrom(...FRAMING_VIEWS),
    }),
  );

describe('links to pictures', () => {
  it('come back as they were told, whatever names the rigs have', () => {
    fc.assert(
      fc.property(link, (told) => {
        expect(readFramingQuery(`?${framingQuery(told)}`)).toEqual(told);
      }),
      { numRuns: runs(300) },
    );
  });

  it('leave out what cannot be, and name nothing where no rig is named', () => {
    expect(readFramingQuery('?lamps=3')).toBeNull();
    expect(readFramingQuery('?rig=%25E0%25A4')).toBeNull();
    const odd = readFramingQuery('?rig=a~x99~q1~b&rig=b&rig=c&rig=d&rig=e&from=1%20x&lamps=1e9');
    expect(odd?.takes).toEqual([
      { rigId: 'a', bodyId: '' },
      { rigId: 'b' },
      { rigId: 'c' },
      { rigId: 'd' },
    ]);
    expect(odd?.distancesM).toEqual([]);
    expect(odd?.scene.lampsM).toBe(2.7);
  });

  it('never throw, whatever stands in the address', () => {
    fc.assert(
      fc.property(fc.string(), (query) => {
        readFramingQuery(query);
        readFramingQuery(`?rig=${query}`);
        readWith(query);
      }),
      { numRuns: runs(300) },
    );
  });

  it('of a converter name the column beside the rig', () => {
    expect(readWith(`?rig=a${withQuery('t14/p44-18')}`)).toBe('t14/p44-18');
    expect(readWith(`?rig=a${withQuery(null)}`)).toBeNull();
    expect(readWith(`?with=${'x'.repeat(500)}`)).toBeNull();
  });
});
