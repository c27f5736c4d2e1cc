/**
 * Source: the Lensfun database as Debian packages it (liblensfun-data-v1, data under CC BY-SA 3.0), 36x24 lenses
 * calibrated on 36x24; and lenses of half that size, which nothing was fitted to. Whether the estimates for
 * lenses nobody measured hold. That their constants are those the data gives: priorsFit.test.ts.
 */
import { describe, expect, it } from 'vitest';
import { PRIOR_CONSTANTS, nativeStanding } from '@/core/halo';
import { quickLens } from '@/core/kit';
import { FULL_FRAME } from '@/core/optics';
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
function fourFacts(focals: readonly [number, number], opens: readonly [number, number]): Rig {
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
      designFormat: FULL_FRAME,
    },
    'four-facts',
  );
  return { ...rig, lens };
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
