import { isSurelyClear } from '../frame';
import { describe, expect, it } from 'vitest';
import { tideMill } from '../demo';
import { demoRig, turned } from '../../../tests/support/demo';
import { plainRig, plainLens } from '../../../tests/support/plainRig';
import { evaluate } from '../rig/report';
import { isClear, spareOf } from '../rig/judged';
import { clearShare, sweepAnswer } from './answer';
import { apertureSteps } from './axes';
import { coverageCurve } from './curve';
import {
  aperturesClearAt,
  gapWords,
  spanWords,
  spotWords,
  sweepHeadline,
  whereClear,
} from './words';
import { zoomWindows } from './zoomWindows';

const rig = demoRig('wheel-house-wide');

describe('the apertures a focal length is Clear at', () => {
  const at = (label: string, ...windows: [from: number, to: number][]) => ({
    label,
    span: { from: 18, to: 35 },
    windows: windows.map(([from, to]) => ({ from, to })),
    tosses: [],
  });
  const answer = {
    ...sweepAnswer(rig),
    byAperture: [
      at('f/2', [30, 35]),
      at('f/2.8', [20, 35]),
      at('f/4', [20, 35]),
      at('f/5.6', [28, 35]),
      at('f/8', [18, 24], [26, 35]),
    ],
  };

  it('are told in runs: one between that is not Clear is not joined over', () => {
    expect(aperturesClearAt(answer, 22)).toBe('f/2.8 to f/4 and f/8');
    expect(aperturesClearAt(answer, 25)).toBe('f/2.8 to f/4');
    expect(aperturesClearAt(answer, 31)).toBe('f/2 to f/8');
    expect(aperturesClearAt(answer, 18)).toBe('f/8');
    expect(aperturesClearAt(answer, 17)).toBe('at no aperture');
  });
});

describe('the windows of a zoom', () => {
  const answer = sweepAnswer(rig);

  it('are where the Bench says Clear, step by fine step, at every aperture', () => {
    const { lens } = rig;
    for (const [i, step] of apertureSteps(rig).entries()) {
      const windows = answer.byAperture[i];
      expect(windows?.label).toBe(step.label);
      const fNumber = step.asked.settings?.fNumber ?? lens.openFNumberWide;
      for (let k = 0; k <= 500; k += 1) {
        const focalMm = lens.focalMinMm * (lens.focalMaxMm / lens.focalMinMm) ** (k / 500);
        const at = turned(rig, { focalMm, fNumber });
        if (Math.abs(spareOf(at)) < 1e-3) continue;
        const inside = windows?.windows.some((w) => w.from <= focalMm && focalMm <= w.to);
        expect(inside, `${step.label} ${focalMm}`).toBe(isClear(at));
      }
    }
  });

  it('a gap is mended by the scale-up it names, and by no less', () => {
    const [gap] = answer.now.gaps;
    expect(gap?.scaleUp).toBeGreaterThan(1);
    for (let k = 0; k <= 60; k += 1) {
      const focalMm = gap!.from + ((gap!.to - gap!.from) * k) / 60;
      expect(isClear(turned(rig, { focalMm, postScale: gap!.scaleUp! * 1.001 }))).toBe(true);
    }
    const least = turned(rig, { focalMm: gap!.from, postScale: gap!.scaleUp! * 0.995 });
    expect(isClear(least)).toBe(false);
  });

  it('the sweet spots are Clear, and no wider view or greater margin is found by steps', () => {
    const { widest, roomiest } = answer;
    expect(isClear(turned(rig, widest!))).toBe(true);
    for (const step of apertureSteps(rig)) {
      const fNumber = step.asked.settings?.fNumber ?? rig.lens.openFNumberWide;
      expect(isClear(turned(rig, { focalMm: widest!.focalMm - 0.15, fNumber }))).toBe(false);
      for (let focalMm = 18; focalMm <= 35; focalMm += 0.5) {
        const { coverage, verdict } = evaluate(turned(rig, { focalMm, fNumber }));
        if (isSurelyClear(verdict))
          expect(coverage.acceptedMarginMm).toBeLessThan(roomiest!.marginMm + 0.08);
      }
    }
  });

  it('what would widen it does, by as much as it says', () => {
    expect(answer.widenings.length).toBeGreaterThan(2);
    for (const { change, windows, share } of answer.widenings) {
      expect(share).toBeGreaterThan(clearShare(answer.now));
      const [first] = windows.windows;
      const at = (focalMm: number) => isClear(turned(rig, { ...change, focalMm }));
      expect(at(first!.from * 1.002)).toBe(true);
      if (first!.from > rig.lens.focalMinMm) expect(at(first!.from * 0.998)).toBe(false);
    }
  });

  it('every demo rig has an answer that agrees with its verdict', () => {
    for (const { id } of tideMill.rigs) {
      const of = demoRig(id);
      const { now } = sweepAnswer(of);
      const inside = now.windows.some(
        (w) => w.from <= of.settings.focalMm && of.settings.focalMm <= w.to,
      );
      expect(inside, id).toBe(isClear(of));
    }
  });
});

describe('a zoom narrow in its middle', () => {
  const [sample] = plainLens().halo;
  const at = (focalMm: number, edgeRadiusMm: number) => ({
    ...sample!,
    id: `${focalMm}`,
    focalMm,
    front: { edgeRadiusMm, softnessMm: 0.5 },
  });
  const zoom = plainRig({
    lens: { focalMinMm: 20, focalMaxMm: 80, halo: [at(20, 24), at(40, 20), at(80, 24)] },
  });
  const answer = sweepAnswer(zoom);

  it('has two windows and the gap between them', () => {
    expect(answer.now.windows).toHaveLength(2);
    expect(answer.now.gaps).toHaveLength(1);
    expect(whereClear(zoom.lens, answer.now)).toMatch(/^to \d+(\.\d)? and from \d+(\.\d)? mm$/);
    const [gap] = answer.now.gaps;
    // The corner of 36x24 stands at 21.63 mm; in the middle the circle reaches about 20.
    expect(gap?.scaleUp).toBeGreaterThan(1.06);
    expect(gap?.scaleUp).toBeLessThan(1.1);
    expect(gapWords(gap!)).toMatch(/^\d+(\.\d)? to \d+(\.\d)? needs \d\.\d % of scale-up$/);
  });

  it('a slow one takes an aperture on part of its range alone', () => {
    const slow = plainRig({
      lens: { ...zoom.lens, openFNumberWide: 3.5, openFNumberLong: 5.6 },
    });
    const f4 = apertureSteps(slow).find((s) => s.label === 'f/4');
    const windows = zoomWindows(slow, f4!);
    expect(windows?.span.from).toBe(20);
    // f/4 of 3.5-5.6 over 20-80: 80 · (20/80)^(1 - log(4/3.5)/log(1.6)) = 29.65 mm.
    expect(windows?.span.to).toBeCloseTo(29.65, 1);
    const fast = plainRig({ lens: { openFNumberWide: 3.5, openFNumberLong: 3.5 } });
    expect(zoomWindows(fast, { ...f4!, asked: { settings: { fNumber: 2 } } })).toBeNull();
  });
});

describe('in words', () => {
  const span = { from: 18, to: 35 };
  it.each([
    [[], 'nowhere'],
    [[span], 'at every focal length'],
    [[{ from: 23.57, to: 35 }], 'from 23.6 mm'],
    [[{ from: 18, to: 22 }], 'to 22 mm'],
    [
      [
        { from: 19, to: 22 },
        { from: 30, to: 35 },
      ],
      'from 19 to 22 and from 30 mm',
    ],
  ])('%j is Clear %s', (windows, words) => {
    const lens = { focalMinMm: 18, focalMaxMm: 35 };
    expect(whereClear(lens, { windows, tosses: [] })).toBe(words);
  });

  it('an aperture the long end does not have is Clear as far as the lens has it', () => {
    // f/4 of a 16-50 mm f/3.5-5.6 is there on its way to the long end only.
    const slow = plainRig({
      lens: { focalMinMm: 16, focalMaxMm: 50, openFNumberWide: 3.5, openFNumberLong: 5.6 },
      settings: { focalMm: 16, fNumber: 4 },
    });
    const [, atF4] = sweepAnswer(slow).byAperture;
    expect(atF4!.label).toBe('f/4');
    expect(atF4!.windows).toEqual([atF4!.span]);
    expect(whereClear(slow.lens, atF4!)).toBe(`to ${spanWords(atF4!.span).split('–')[1]!} mm`);
    expect(atF4!.span.to).toBeLessThan(25);
  });

  it('a single place is told as it is read, a stretch never wider than it is', () => {
    expect(spanWords({ from: 999.69, to: 999.69 })).toBe('1000');
    expect(spanWords({ from: 24.03, to: 35.98 })).toBe('24.1–35.9');
    // Narrower than a tenth it takes finer figures.
    expect(spanWords({ from: 24.03, to: 24.06 })).toBe('24.03–24.06');
  });

  it('the headline says where and at which aperture', () => {
    expect(sweepHeadline(rig.lens, sweepAnswer(rig).now)).toBe('Clear from 24.4 mm at f/1.8');
    expect(spotWords({ focalMm: 24, fNumber: 2.8284 })).toBe('24 mm at f/2.8');
    const prime = demoRig('lamplight');
    expect(sweepHeadline(prime.lens, sweepAnswer(prime).now)).toBe('Not Clear at f/1.4');
  });
});

describe('the coverage curve', () => {
  it('passes the line of the mode within the coin’s toss before the window, and its band where that is Clear', () => {
    const curve = coverageCurve(rig, 'focal');
    const own = curve.needed.find((n) => n.isOwn)!;
    const { windows, tosses } = sweepAnswer(rig).now;
    const [toss] = tosses;
    expect(toss?.to).toBeCloseTo(windows[0]!.from, 1);
    const before = curve.points.findLast((p) => p.at < toss!.from * 0.999)!;
    const after = curve.points.find((p) => p.at > windows[0]!.from * 1.001)!;
    expect(before.acceptedMm).toBeLessThan(own.diameterMm);
    expect(after.acceptedMm).toBeGreaterThan(own.diameterMm);
    expect(windows[0]!.from - toss!.from).toBeLessThan(2);
  });

  it('has its band about it and its samples on it', () => {
    const { points, marks } = coverageCurve(rig, 'focal');
    for (const p of points) {
      expect(p.lowMm).toBeLessThan(p.acceptedMm);
      expect(p.highMm).toBeGreaterThan(p.acceptedMm);
    }
    expect(marks.length).toBe(rig.lens.halo.length);
    expect(points.some((p) => Math.abs(p.at - marks[1]!.at) < 1e-9)).toBe(true);
  });

  it('of a prime runs over its apertures', () => {
    const { points, marks, along } = coverageCurve(demoRig('lamplight'), 'aperture');
    expect(along).toBe('aperture');
    expect(points[0]?.at).toBeCloseTo(1.4, 6);
    expect(points.at(-1)?.at).toBeCloseTo(16, 6);
    expect(marks.length).toBeGreaterThan(0);
  });
});
