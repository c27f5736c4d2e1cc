/** Figures on one screen agree: verdict, margin, share, clean frame, scale-up and ways out go by one circle. */
import { isSurelyClear } from '../frame';
import { describe, expect, it } from 'vitest';
import { demoRig, turned } from '../../../tests/support/demo';
import { tideMill } from '../demo';
import { randomOf } from '../maths';
import { scaleUpWords } from '../words';
import { evaluate, type Report } from './report';
import type { Rig } from './rig';
import { waysOut } from './search';

const { next, between, whole, chance } = randomOf(20261126);
const pick = <T>(list: readonly T[]): T => list[whole(0, list.length - 1)]!;

function randomRig(): Rig {
  const rig = demoRig(pick(tideMill.rigs).id);
  const mode = pick(rig.body.modes);
  const lens = chance(0.3) ? { ...rig.lens, halo: [] } : rig.lens;
  return turned(
    { ...rig, lens, mode },
    {
      focalMm: lens.focalMinMm * (lens.focalMaxMm / lens.focalMinMm) ** next(),
      fNumber: between(1.2, 16),
      stabiliser: chance(0.5),
      cropId: chance(0.3) ? (mode.crops[0]?.id ?? null) : null,
      aspect: pick([null, 1, 1.25, 16 / 9, 2.39]),
      postScale: pick([1, 1, between(1, 1.5)]),
    },
  );
}

const cases: { rig: Rig; report: Report }[] = Array.from({ length: 400 }, () => {
  const rig = randomRig();
  return { rig, report: evaluate(rig) };
});
/** Radii are found to about half a thousandth of a millimetre. */
const NEAR_MM = 2e-3;
const clearCut = cases.filter(({ report }) => Math.abs(report.coverage.acceptedMarginMm) > NEAR_MM);

describe('a rig is Clear', () => {
  it('as is expected, where its margin is positive and all of the frame accepted and clean; else none of it', () => {
    expect(clearCut.filter((c) => c.report.verdict.kind === 'Clear').length).toBeGreaterThan(25);
    expect(clearCut.filter((c) => c.report.verdict.kind !== 'Clear').length).toBeGreaterThan(25);
    for (const { report } of clearCut) {
      const { coverage, frame, verdict } = report;
      const isClear = verdict.kind === 'Clear';
      expect(coverage.acceptedMarginMm > 0).toBe(isClear);
      expect(coverage.areaShare > 1 - 1e-9).toBe(isClear);
      // Scale-up is asked for wherever another verdict is as likely as one in four.
      expect(coverage.scaleUp === 1).toBe(isSurelyClear(verdict));
      expect(isSurelyClear(verdict)).toBe(isClear && verdict.risk <= 0.25);
      for (const clean of [coverage.cleanFrame.concentric, coverage.cleanFrame.free])
        expect(Math.abs(clean.widthMm / frame.delivered.widthMm - 1) < 1e-9).toBe(isClear);
    }
  });

  it('after the scale-up the readings ask for, and the way out says the same figure', () => {
    const short = clearCut.filter(
      ({ report }) => report.coverage.scaleUp !== null && report.coverage.scaleUp > 1,
    );
    expect(short.length).toBeGreaterThan(25);
    for (const { rig, report } of short) {
      const p = report.coverage.scaleUp!;
      const scaled = (by: number) =>
        isSurelyClear(evaluate(turned(rig, { postScale: rig.settings.postScale * by })).verdict);
      if (rig.settings.postScale * p > 7.9) continue;
      expect(scaled(p * 1.001)).toBe(true);
      expect(scaled(Math.min(1 + (p - 1) * 0.97, p * 0.998))).toBe(false);
      const way = waysOut(rig, []).find((w) => w.kinds.length === 1 && w.kinds[0] === 'scale up');
      if (way) expect(way.words).toContain(scaleUpWords(p));
    }
  });

  it('never with a corner darker than it says is accepted, nor Shaded with one no darker', () => {
    for (const { report } of clearCut) {
      const { kind, worstCornerStops, limitStops } = report.verdict;
      if (kind === 'Clear') expect(worstCornerStops!).toBeLessThanOrEqual(limitStops + 1e-9);
      if (kind === 'Shaded') expect(worstCornerStops!).toBeGreaterThan(limitStops);
    }
  });
});

describe('a sentence', () => {
  it('says black no farther in than the black circle reaches', () => {
    for (const { report } of cases) {
      const match = /go(?:es)? black, up to (\d+\.\d) mm/.exec(report.verdict.sentence);
      if (!match) continue;
      const inside = report.coverage.worstCornerRadiusMm - report.coverage.radiiMm.black;
      expect(Math.abs(Number(match[1]) - Math.max(0.1, inside))).toBeLessThan(0.051);
    }
  });
});

describe('electronic stabilisation', () => {
  it('judges the worst corner its window can reach, so that its crop alone cures nothing', () => {
    const rig = cases.map((c) => c.rig).find((r) => r.mode.crops.length > 0)!;
    const plain = turned(rig, { cropId: null, stabiliser: false, digitalZoom: 1, aspect: null });
    const steadied = turned(plain, { cropId: rig.mode.crops[0]!.id });
    const [off, on] = [evaluate(plain), evaluate(steadied)];
    expect(on.frame.delivered.widthMm).toBeLessThan(off.frame.delivered.widthMm);
    expect(on.coverage.worstCornerRadiusMm).toBeCloseTo(off.coverage.worstCornerRadiusMm, 6);
  });
});
