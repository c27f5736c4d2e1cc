/** The coverage curve on rigs that are off the middle, stopped down and moving. */
import { describe, expect, it } from 'vitest';
import { demoRig } from '../../../tests/support/demo';
import { plainRig } from '../../../tests/support/plainRig';
import { evaluate } from '../rig/report';
import { turned } from '../rig';
import { sweepAnswer } from './answer';
import { coverageCurve } from './curve';

describe('the coverage curve', () => {
  const rig = demoRig('wheel-house-wide');

  it('has a band that holds nine of ten: 1.645 standard deviations of the radius to either side', () => {
    // Two-sided 90 % of a normal distribution, standard tables.
    for (const { at, acceptedMm, lowMm, highMm } of coverageCurve(rig, 'focal').points) {
      const { edgeSigmaMm } = evaluate(turned(rig, { focalMm: at })).halo.evidence;
      expect((highMm - acceptedMm) / 2 / edgeSigmaMm).toBeCloseTo(1.645, 2);
      expect((acceptedMm - lowMm) / 2 / edgeSigmaMm).toBeCloseTo(1.645, 2);
    }
  });

  it('meets the circle its own mode needs where the windows of the sweep begin', () => {
    const { points, needed } = coverageCurve(rig, 'focal');
    const own = needed.find((n) => n.isOwn)!;
    const [window] = sweepAnswer(rig).now.windows;
    for (const { at, acceptedMm } of points) {
      if (Math.abs(at / window!.from - 1) < 0.01) continue;
      if (at < window!.from) expect(acceptedMm).toBeLessThan(own.diameterMm);
      else if (at <= window!.to) expect(acceptedMm).toBeGreaterThan(own.diameterMm);
    }
  });

  it('over the aperture runs from the widest to the smallest', () => {
    const { points } = coverageCurve(plainRig(), 'aperture');
    expect([points[0]?.at, points.at(-1)?.at]).toEqual([2, 16]);
    expect(points.map((p) => p.at)).toEqual(points.map((p) => p.at).toSorted((a, b) => a - b));
  });

  it('tells the circle with travel and the one without, each by its name', () => {
    const { needed } = coverageCurve(plainRig({ settings: { stabiliser: true } }), 'aperture');
    expect(needed.map((n) => n.names)).toEqual([['Full, travel'], ['Full, locked']]);
    const [moving, locked] = needed;
    expect(moving!.diameterMm - locked!.diameterMm).toBeCloseTo(2, 9);
  });
});

describe('the marks of measured samples', () => {
  const [sample] = plainRig().lens.halo;
  const at = (focalMm: number, fNumber: number) => ({
    ...sample!,
    id: `${focalMm}/${fNumber}`,
    focalMm,
    fNumber,
  });
  const zoom = plainRig({
    lens: {
      focalMinMm: 24,
      focalMaxMm: 70,
      halo: [at(20, 2), at(24, 2), at(50, 2), at(50, 8), at(51, 4), at(53, 4), at(90, 2)],
    },
    settings: { focalMm: 50, fNumber: 2 },
  });

  it('over the zoom are those within it, ends counted in', () => {
    const { marks } = coverageCurve(zoom, 'focal');
    expect(marks.map((m) => m.at)).toEqual([24, 50, 50, 51, 53]);
  });

  it('over the aperture are those of this focal length, a few hundredths either way', () => {
    const { marks } = coverageCurve(zoom, 'aperture');
    expect(marks.map((m) => m.at)).toEqual([2, 8, 4]);
    for (const { at: fNumber, acceptedMm } of marks)
      expect(acceptedMm).toBeCloseTo(
        2 * evaluate(turned(zoom, { fNumber })).coverage.acceptedRadiusMm,
        9,
      );
  });
});

describe('the widest setting that is told', () => {
  it('lies within its window though it is rounded, and holds when it is dialled', () => {
    for (const id of ['wheel-house-wide', 'walk-through', 'long-wall', 'gears-close']) {
      let rig;
      try {
        rig = demoRig(id);
      } catch {
        continue;
      }
      const { widest, byAperture } = sweepAnswer(rig);
      if (!widest) continue;
      const shortest = Math.min(...byAperture.flatMap((w) => w.windows.map(({ from }) => from)));
      expect(widest.focalMm).toBeGreaterThanOrEqual(shortest);
      expect(evaluate(turned(rig, widest)).verdict.kind).toBe('Clear');
    }
  });
});
