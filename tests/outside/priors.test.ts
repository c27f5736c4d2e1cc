/**
 * Source: the Lensfun database as Debian packages it (liblensfun-data-v1, data under CC BY-SA 3.0), 36x24 lenses
 * calibrated on 36x24 and 17.3x13 lenses on 17.3x13; beyond the corner, where that data ends, common practice. Whether
 * the estimates for lenses nobody measured hold. That their constants are those the data gives: priorsFit.test.ts.
 */
import { describe, expect, it } from 'vitest';
import { PRIOR_CONSTANTS, nativeStanding } from '@/core/halo';
import { quickLens } from '@/core/kit';
import type { Lens } from '@/core/kit/records';
import { diagonalMm, type FrameSize, FULL_FRAME } from '@/core/optics';
import { evaluate } from '@/core/rig/report';
import { turned, type Rig } from '@/core/rig';
import { nativeFalloffs } from '../../scripts/priors/database';
import { forecast } from '../../scripts/priors/forecast';
import { isZoom } from '../../scripts/priors/model';
import { standing } from '../../scripts/priors/validate';
import { plainRig } from '../support/plainRig';

const all = nativeFalloffs();
const kinds = {
  prime: all.filter((l) => !isZoom(l)),
  zoom: all.filter(isZoom),
};

describe.each(['prime', 'zoom'] as const)('%s', (kind) => {
  const lenses = kinds[kind];
  const committed = { ...PRIOR_CONSTANTS[kind], noiseStops: 0 };

  it.each(['open', 'f/8'] as const)(
    'is right in the middle and as unsure as it is, %s',
    (which) => {
      const held = standing(lenses.flatMap((lens) => forecast(committed, lens, which)));
      expect(held.cases).toBeGreaterThan(80);
      expect(Math.abs(held.medianBias)).toBeLessThan(0.12);
      expect(held.held).toBeGreaterThan(0.85);
      expect(held.held).toBeLessThan(0.95);
    },
  );
});

describe.each([
  [36, 'prime', 'open'],
  [36, 'prime', 'f/8'],
  [36, 'zoom', 'open'],
  [36, 'zoom', 'f/8'],
  [17.3, 'prime', 'open'],
  [17.3, 'zoom', 'open'],
  [17.3, 'zoom', 'f/8'],
] as const)('made for a format %s mm wide, %s, %s', (widthMm, kind, which) => {
  const of = kinds[kind].filter(({ format }) => format.widthMm === widthMm);
  const forecasts = of.flatMap((lens) =>
    forecast({ ...PRIOR_CONSTANTS[kind], noiseStops: 0 }, lens, which),
  );

  it.each([1, 2])('says how many corners are darker than %s stops to ten in a hundred', (limit) => {
    const { cases } = standing(forecasts);
    expect(cases).toBeGreaterThan(25);
    const darker = ({ draws }: (typeof forecasts)[number]) =>
      draws.filter((stops) => stops > limit).length / draws.length;
    const said = forecasts.reduce((sum, f) => sum + darker(f), 0) / cases;
    const came = forecasts.filter(({ seen }) => seen > limit).length / cases;
    expect(Math.abs(said - came)).toBeLessThan(0.1);
  });
});

it('says more than the base rate at limits of 1 and 2 stops', () => {
  const forecasts = (['prime', 'zoom'] as const).flatMap((kind) =>
    kinds[kind].flatMap((lens) =>
      (['open', 'f/8'] as const).flatMap((which) =>
        forecast({ ...PRIOR_CONSTANTS[kind], noiseStops: 0 }, lens, which),
      ),
    ),
  );
  for (const { ours, base } of standing(forecasts).brier) expect(ours).toBeLessThan(base);
});

/** Four facts: mount, what is engraved, and what it was made for. */
function fourFacts(
  focals: readonly [number, number],
  opens: readonly [number, number],
  designFormat: FrameSize = FULL_FRAME,
  character: Lens['character'] = 'general',
): Rig {
  const rig = plainRig();
  const lens = quickLens(
    {
      name: 'four facts',
      maker: '',
      mountId: rig.lens.mountId,
      focalMinMm: focals[0],
      focalMaxMm: focals[1],
      openFNumberWide: opens[0],
      openFNumberLong: opens[1],
      designFormat,
    },
    'four-facts',
  );
  return { ...rig, lens: { ...lens, character } };
}

const onSensor = (rig: Rig, widthMm: number, heightMm: number): Rig => ({
  ...rig,
  mode: { ...rig.mode, widthMm, heightMm },
  judgement: { ...rig.judgement, school: 'grade it out' },
});

const LENSES = [
  [
    [14, 14],
    [2.8, 2.8],
  ],
  [
    [20, 20],
    [1.8, 1.8],
  ],
  [
    [24, 24],
    [1.4, 1.4],
  ],
  [
    [35, 35],
    [1.4, 1.4],
  ],
  [
    [35, 35],
    [2.8, 2.8],
  ],
  [
    [50, 50],
    [1.2, 1.2],
  ],
  [
    [50, 50],
    [1.8, 1.8],
  ],
  [
    [85, 85],
    [1.4, 1.4],
  ],
  [
    [100, 100],
    [2.8, 2.8],
  ],
  [
    [135, 135],
    [2, 2],
  ],
  [
    [400, 400],
    [2.8, 2.8],
  ],
  [
    [16, 35],
    [2.8, 2.8],
  ],
  [
    [24, 70],
    [2.8, 2.8],
  ],
  [
    [24, 105],
    [4, 4],
  ],
  [
    [28, 70],
    [3.5, 5.6],
  ],
  [
    [70, 200],
    [2.8, 2.8],
  ],
  [
    [70, 300],
    [4, 5.6],
  ],
  [
    [100, 400],
    [4.5, 5.6],
  ],
] as const;

describe.each(LENSES)('a lens of four facts, %s mm f/%s, on its own format', (focals, opens) => {
  const whole = onSensor(fourFacts(focals, opens), 36, 24);
  const focalsAsked = [focals[0], Math.sqrt(focals[0] * focals[1]), focals[1]];
  const reports = focalsAsked.flatMap((focalMm) =>
    [opens[0], 4, 5.6, 8, 11].map((fNumber) => ({
      focalMm,
      rig: turned(whole, { focalMm, fNumber, focusM: null, stabiliser: false }),
    })),
  );

  it('is never Clipped or Keyhole with the sensor at rest', () => {
    for (const { rig } of reports)
      expect(['Clear', 'Shaded']).toContain(evaluate(rig).verdict.kind);
  });

  it('is as dark in the corner as its kind, give or take 0.6 stop', () => {
    for (const { rig, focalMm } of reports) {
      const { fNumber } = rig.settings;
      const stops = evaluate(rig).verdict.worstCornerStops!;
      const usual = nativeStanding(rig.lens, focalMm, opens[0], fNumber, stops);
      expect(stops).toBeGreaterThan(usual.betterQuarter - 0.6);
      expect(stops).toBeLessThan(usual.worseQuarter + 0.6);
    }
  });

  it('is hardly at risk at f/8 where two stops are graded out', () => {
    for (const { rig } of reports.filter((r) => r.rig.settings.fNumber === 8))
      expect(evaluate(rig).verdict.risk).toBeLessThan(0.12);
  });
});

describe('on 43.8x32.9 (common practice, no source)', () => {
  const on = (focal: number, open: number, fNumber: number, aspect: number | null) => {
    const rig = onSensor(fourFacts([focal, focal], [open, open]), 43.8, 32.9);
    return evaluate(turned(rig, { fNumber, focusM: null, aspect, stabiliser: false }));
  };

  it.each([
    [85, 1.8],
    [100, 2.8],
    [135, 2],
    [200, 2.8],
  ])(
    'a %s mm f/%s made for 36x24 covers or nearly does at f/8, and 5:4 mends the rest',
    (focal, open) => {
      const whole = on(focal, open, 8, null);
      expect(['Clear', 'Shaded']).toContain(whole.verdict.kind);
      expect(whole.verdict.risk).toBeLessThan(0.5);
      expect(on(focal, open, 8, 1.25).verdict.risk).toBeLessThan(whole.verdict.risk);
      expect(on(focal, open, 8, 1.25).verdict.kind).toBe('Clear');
    },
  );

  it('short ones do not', () => {
    for (const focal of [20, 24, 28])
      expect(on(focal, 2.8, 8, null).verdict.risk).toBeGreaterThan(0.6);
  });
});

const CROP = { widthMm: 23.5, heightMm: 15.6 };
const SMALL = { widthMm: 17.3, heightMm: 13 };
const MEDIUM = { widthMm: 43.8, heightMm: 32.9 };
const FILM_16 = { widthMm: 12.52, heightMm: 7.41 };
const FILM_35 = { widthMm: 24.9, heightMm: 18.7 };

/** A lens nobody measured on a larger sensor than it was made for. */
function larger(
  [focals, opens, made, character]: Parameters<typeof fourFacts>,
  sensor: FrameSize,
  focalMm: number,
  fNumber: number,
) {
  const rig = onSensor(fourFacts(focals, opens, made, character), sensor.widthMm, sensor.heightMm);
  return evaluate(turned(rig, { focalMm, fNumber, focusM: null, stabiliser: false }));
}

describe('beyond the corner of its own format (common practice, no source)', () => {
  const risk = (...asked: Parameters<typeof larger>) => larger(...asked).verdict.risk;

  it.each([
    [200, 2.8],
    [85, 1.4],
  ])('a %s mm f/%s for 36x24 covers 43.8x32.9 or nearly: not even open surely dark', (f, open) => {
    const lens: Parameters<typeof fourFacts> = [
      [f, f],
      [open, open],
    ];
    expect(risk(lens, MEDIUM, f, open)).toBeLessThan(0.85);
    expect(risk(lens, MEDIUM, f, 5.6)).toBeLessThan(0.35);
    const { kind, or } = larger(lens, MEDIUM, f, 5.6).verdict;
    expect([kind, or]).toContain('Clear');
  });

  it('many zooms 12-24 for 23.5x15.6 cover 36x24 from about 18 mm, and none does at 12', () => {
    const lens: Parameters<typeof fourFacts> = [[12, 24], [4, 4], CROP];
    expect(risk(lens, FULL_FRAME, 12, 8)).toBeGreaterThan(0.93);
    expect(risk(lens, FULL_FRAME, 18, 8)).toBeLessThan(0.85);
    expect(risk(lens, FULL_FRAME, 24, 8)).toBeLessThan(0.75);
  });

  it.each([25, 50, 75])('a %s mm for 16 mm film covers 17.3x13 or nearly', (f) => {
    const lens: Parameters<typeof fourFacts> = [[f, f], [1.4, 1.4], FILM_16, 'cine'];
    expect(risk(lens, SMALL, f, 2)).toBeLessThan(0.6);
    expect(risk(lens, SMALL, f, 8)).toBeLessThan(0.5);
  });

  it('a 10 mm for 16 mm film does not', () => {
    const lens: Parameters<typeof fourFacts> = [[10, 10], [1.4, 1.4], FILM_16, 'cine'];
    expect(risk(lens, SMALL, 10, 8)).toBeGreaterThan(0.8);
  });

  it('of primes for 35 mm film the long ones cover 36x24 sooner than the short ones', () => {
    const risks = [18, 25, 35, 50, 85].map((f) =>
      risk([[f, f], [1.4, 1.4], FILM_35, 'cine'], FULL_FRAME, f, 4),
    );
    expect(risks).toEqual(risks.toSorted((a, b) => b - a));
    expect(risks[0]).toBeGreaterThan(0.75);
    expect(risks.at(-1)).toBeLessThan(0.25);
  });

  it('a 25/1.4 for 17.3x13 does not cover 23.5x15.6', () => {
    const lens: Parameters<typeof fourFacts> = [[25, 25], [1.4, 1.4], SMALL];
    for (const n of [1.4, 4, 8]) {
      expect(risk(lens, CROP, 25, n)).toBeGreaterThan(0.5);
      expect(larger(lens, CROP, 25, n).verdict.kind).not.toBe('Clear');
    }
  });
});

it('up to one and a half times its own corner no estimate says under 5 % or over 95 %', () => {
  let asked = 0;
  for (const [focals, opens] of LENSES)
    for (const made of [FULL_FRAME, CROP, SMALL])
      for (const character of ['general', 'cine', 'macro', 'anamorphic'] as const)
        for (const out of [1.06, 1.15, 1.3, 1.49]) {
          const shrunk = diagonalMm(made) / diagonalMm(FULL_FRAME);
          const scaled = focals.map((f) => f * shrunk) as [number, number];
          const sensor = { widthMm: made.widthMm * out, heightMm: made.heightMm * out };
          const lens: Parameters<typeof fourFacts> = [scaled, opens, made, character];
          for (const fNumber of [opens[0], 8]) {
            const own = larger(lens, made, scaled[0], fNumber).verdict.risk;
            const told = larger(lens, sensor, scaled[0], fNumber).verdict.risk;
            expect(told).toBeGreaterThanOrEqual(0.05);
            // A lens that is dark in its own corner is so farther out: that its own data tells.
            if (own < 0.95) expect(told).toBeLessThanOrEqual(0.95);
            asked += 1;
          }
        }
  expect(asked).toBeGreaterThan(1000);
});
