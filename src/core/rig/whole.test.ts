import { describe, expect, it } from 'vitest';
import { demoRig, turned } from '../../../tests/support/demo';
import { tideMill } from '../demo/tideMill';
import type { Part } from '../kit/records/part';
import { CAUTION_IDS, cautionsFor } from './report/cautions';
import { findChains } from './search/chains';
import { evaluate, verdictOf } from './report/evaluate';
import { fitOf } from './mechanicalFit';
import type { Rig } from './rig';
import { applied } from './search/wayIdeas';
import { waysOut } from './search/waysOut';
import { converterOrCrop } from './report/sharpness';

const part = (id: string): Part => tideMill.parts.find((p) => p.id === id)!;
const lens = (id: string) => tideMill.lenses.find((l) => l.id === id)!;
const body = (id: string) => tideMill.bodies.find((b) => b.id === id)!;
const mounts = new Map(tideMill.mounts.map((m) => [m.id, m]));
const withParts = (rig: Rig, ...ids: string[]): Rig => ({ ...rig, parts: ids.map(part) });

describe('does it go together', () => {
  const rig = demoRig('wheel-house-wide');

  it('a plain adapter of the right thickness reaches infinity', () => {
    expect(fitOf(withParts(rig, 'p44-18'), 2).register).toEqual({
      errorMm: 0,
      longMm: 0,
      reachesInfinity: true,
      farthestFocusM: null,
    });
  });

  it('one 0.1 mm too long does not, and says how far it gets', () => {
    const long = { ...rig, parts: [{ ...part('p44-18'), thicknessMm: 26.1 }] };
    const { register } = fitOf(turned(long, { focalMm: 35 }), 2);
    expect(register.errorMm).toBeCloseTo(0.1, 9);
    expect(register.reachesInfinity).toBe(false);
    expect(register.farthestFocusM).toBeCloseTo((35 + 35 ** 2 / 0.1) / 1000, 6);
  });

  it('a drop-in filter carries the image back by its glass, and its adapter allows for it', () => {
    expect(fitOf(withParts(rig, 'd44-18'), 2).register.errorMm).toBeCloseTo(0, 2);
    const without = { ...rig, parts: [{ ...part('d44-18'), plate: null }] };
    expect(fitOf(without, 2).register.errorMm).toBeCloseTo(0.68, 2);
  });

  it('rear glass is followed back to what it could strike', () => {
    const deep = { ...rig, lens: { ...rig.lens, rearProtrusionMm: 7 } };
    expect(fitOf(deep, 2).strike).toMatchObject({ state: 'strikes', standsMm: 7, clearMm: 5 });
    expect(fitOf(rig, 2).strike?.state).toBe('close');
    expect(fitOf({ ...rig, lens: { ...rig.lens, rearProtrusionMm: null } }, 2).strike).toBeNull();
    const open = { ...withParts(deep, 'p44-18'), lens: { ...rig.lens, rearProtrusionMm: 30 } };
    expect(fitOf(open, 2).strike?.state).toBe('strikes');
  });

  it('the cover glass carries marginal rays farther the faster the lens', () => {
    const fast = fitOf(rig, 1.4).coverGlass!;
    expect(fast.shiftMm).toBeCloseTo(0.684, 3);
    expect(fast.marginalExtraMm).toBeGreaterThan(fitOf(rig, 4).coverGlass!.marginalExtraMm);
    expect(fitOf({ ...rig, body: { ...rig.body, coverGlass: null } }, 2).coverGlass).toBeNull();
  });

  it('the weakest link decides what the contacts carry', () => {
    expect(fitOf(rig, 2).carried).toEqual({
      focus: true,
      aperture: true,
      metadata: true,
      stabiliser: false,
    });
    const helicoid = fitOf(withParts(rig, 'h44-18'), 2);
    expect(helicoid.carried.focus).toBe(false);
    expect(helicoid.lostAt).toEqual(['Ninefold helicoid 44.00 to 18.00']);
  });
});

describe('chains', () => {
  it('joins lens to body in every chain, no part twice, shortest first', () => {
    const { chains } = findChains(lens('b500'), body('h24'), tideMill.parts, mounts);
    expect(chains.length).toBeGreaterThan(10);
    for (const { parts } of chains) {
      let mount = lens('b500').mountId;
      for (const p of parts) {
        expect(p.frontMountId).toBe(mount);
        mount = p.rearMountId;
      }
      expect(mount).toBe(body('h24').mountId);
      expect(new Set(parts).size).toBe(parts.length);
      expect(parts.length).toBeLessThanOrEqual(3);
    }
    expect(chains.map((c) => c.parts.length)).toEqual(
      [...chains.map((c) => c.parts.length)].sort(),
    );
  });

  it('finds the empty chain where mounts are the same, and the two-step one', () => {
    expect(findChains(lens('w2470'), body('h24'), tideMill.parts, mounts).chains[0]?.parts).toEqual(
      [],
    );
    const medium = findChains(lens('b80m'), body('h24'), tideMill.parts, mounts).chains;
    expect(medium.some((c) => c.parts.map((p) => p.id).join() === 'p63-44,p44-18')).toBe(true);
  });

  it('agrees with trying every list of parts', () => {
    const few = tideMill.parts.filter((p) => p.kind !== 'front converter').slice(0, 12);
    const joins = (list: Part[]) => {
      const path = [
        lens('b80m').mountId,
        ...list.flatMap((p) => [p.frontMountId, p.rearMountId]),
        body('h24').mountId,
      ];
      return path.every((m, i) => i % 2 === 1 || m === path[i + 1]);
    };
    let count = joins([]) ? 1 : 0;
    for (const a of few) {
      if (joins([a])) count += 1;
      for (const b of few) {
        if (b === a) continue;
        if (joins([a, b])) count += 1;
        for (const c of few) if (c !== a && c !== b && joins([a, b, c])) count += 1;
      }
    }
    expect(findChains(lens('b80m'), body('h24'), few, mounts).chains).toHaveLength(count);
  });

  it('says how thick a plain adapter would be and whether it could', () => {
    expect(findChains(lens('b25s'), body('m17'), [], mounts)).toMatchObject({
      plainCanBeBuilt: false,
    });
    expect(findChains(lens('b500'), body('h24'), [], mounts)).toMatchObject({
      plainThicknessMm: 26,
      plainCanBeBuilt: true,
    });
  });
});

describe('handling', () => {
  it('enters 14.2 mm in the stabiliser behind the reducer, 14 from the menu', () => {
    const { steady } = evaluate(demoRig('wheel-house-wide'));
    expect(steady.enterFocalMm).toBeCloseTo(14.2, 9);
    expect(steady.menuFocalMm).toBe(14);
    expect(steady.zoomWarning).toBeNull();
  });

  it('warns of zooming where nothing tells the body', () => {
    const silent = turned(withParts(demoRig('wheel-house-wide'), 'h44-18'), { stabiliser: true });
    expect(evaluate(silent).steady.zoomWarning).toMatch(/after zooming/);
    expect(evaluate(turned(silent, { stabiliser: false })).steady.zoomWarning).toBeNull();
  });

  it('asks short times of electronic stabilisation only', () => {
    const rig = demoRig('walk-through');
    expect(evaluate(rig).steady.shutterAdvice).toBeNull();
    expect(evaluate(turned(rig, { cropId: 'active' })).steady.shutterAdvice).toMatch(
      /1\/250 s or shorter, 1\/400 s/,
    );
  });

  it('autofocus works at f/5.6 on an f/8 body, fails at f/11, and is by hand without a drive', () => {
    const rig = demoRig('waders-at-dawn');
    expect(evaluate(rig).autofocus).toMatchObject({ state: 'works', points: 567 });
    const slow = {
      ...withParts(rig, 't20', 'p44-18'),
      body: { ...rig.body, autofocusLimitFNumber: 5.6 },
    };
    expect(evaluate(slow).autofocus).toMatchObject({ state: 'too slow', points: 0 });
    expect(evaluate(demoRig('miller-portrait')).autofocus.state).toBe('manual');
    expect(
      evaluate({ ...rig, body: { ...rig.body, autofocusLimitFNumber: null } }).autofocus.state,
    ).toBe('not known');
  });
});

describe('risk', () => {
  it('is nothing where there is room, all where there is none, and half on the edge', () => {
    const rig = turned(demoRig('wheel-house-wide'), { stabiliser: false });
    const risk = (focalMm: number) => evaluate(turned(rig, { focalMm })).verdict.risk;
    expect(risk(35)).toBeLessThan(0.001);
    expect(risk(18)).toBeGreaterThan(0.999);
    const way = waysOut(turned(rig, { focalMm: 18 }), []).find((w) => w.kinds[0] === 'zoom')!;
    expect(risk(way.limit!)).toBeGreaterThan(0.35);
    expect(risk(way.limit!)).toBeLessThan(0.65);
  });

  it('grows with the uncertainty of an estimate', () => {
    const rig = demoRig('archive-table');
    expect(evaluate(rig).verdict.risk).toBeGreaterThan(0.005);
  });
});

describe('native lenses', () => {
  it('a shaded corner is told from a normal one', () => {
    expect(evaluate(demoRig('lamplight')).native.sentence).toMatch(
      /^Three of four native primes of 24 to 35 mm are better/,
    );
    expect(evaluate(demoRig('mill-pond')).native.sentence).toMatch(/^Normal for native/);
  });
});

describe('shift and extension', () => {
  it('a shift moves the halo as far as the adapter lets it', () => {
    const rig = demoRig('sluice-shift');
    expect(evaluate(rig).halo.model.centre.yMm).toBeCloseTo(-8, 9);
    expect(evaluate(turned(rig, { shiftYMm: -40 })).halo.model.centre.yMm).toBeCloseTo(-12, 9);
    expect(evaluate(turned(rig, { shiftXMm: 3 })).halo.model.centre.xMm).toBeCloseTo(3, 9);
  });

  it('the shift budget ends where the corner passes half light', () => {
    const rig = demoRig('sluice-shift');
    const { shiftBudget } = evaluate(rig).wander;
    const moved = turned(
      { ...rig, parts: [{ ...rig.parts[0]!, shiftMm: 40 }] },
      { shiftXMm: shiftBudget.leftMm },
    );
    const { coverage } = evaluate(moved);
    expect(coverage.marginMm.half).toBeCloseTo(0, 2);
  });

  it('a helicoid magnifies, darkens and widens the halo', () => {
    const near = evaluate(demoRig('oak-grain'));
    const far = evaluate(turned(demoRig('oak-grain'), { helicoidMm: 0 }));
    expect(near.optics.magnification - far.optics.magnification).toBeCloseTo(0.2, 9);
    expect(near.optics.effectiveFNumber).toBeGreaterThan(far.optics.effectiveFNumber);
    expect(near.coverage.radiiMm.half).toBeGreaterThan(far.coverage.radiiMm.half);
    expect(near.fit.register.reachesInfinity).toBe(false);
  });
});

describe('zones of the halo', () => {
  it('add up to the lit share of the frame', () => {
    for (const id of ['miller-portrait', 'wheel-house-wide', 'walk-through']) {
      const { picture, coverage } = evaluate(demoRig(id));
      const { middle, outer, edge } = picture.zones;
      expect(middle + outer + edge).toBeCloseTo(coverage.areaShare, 9);
    }
  });

  it('a smaller sensor keeps less of the edge', () => {
    const rig = demoRig('miller-portrait');
    const small: Rig = { ...rig, mode: rig.body.modes.find((m) => m.id === '4k-crop')! };
    expect(evaluate(small).picture.zones.edge).toBeLessThan(evaluate(rig).picture.zones.edge);
  });
});

describe('converter or crop', () => {
  const rig = demoRig('waders-at-dawn');

  it('coarse pixels behind a sharp lens favour the converter', () => {
    const coarse: Rig = { ...rig, mode: { ...rig.mode, widthPx: 3000, heightPx: 2000 } };
    expect(converterOrCrop(coarse, 1.4, 4)).toMatchObject({ winner: 'converter' });
  });

  it('is said of rigs that magnify, and of no others', () => {
    expect(evaluate(rig).sharpness.converterOrCrop?.sentence).toMatch(/\.$/);
    expect(evaluate(demoRig('wheel-house-wide')).sharpness.converterOrCrop).toBeNull();
  });

  it('a soft lens on fine pixels does not gain', () => {
    const soft: Rig = { ...rig, lens: { ...rig.lens, resolutionLpMm: 25 } };
    expect(converterOrCrop(soft, 2, 8).winner).not.toBe('converter');
  });
});

describe('ways out', () => {
  it('each of them really mends the verdict', () => {
    for (const { id } of tideMill.rigs) {
      const rig = demoRig(id);
      for (const way of waysOut(rig, tideMill.parts)) {
        expect(
          verdictOf(applied(rig, way.change, tideMill.parts)).kind,
          `${id}: ${way.words}`,
        ).toBe('Clear');
      }
    }
  });

  it('there is none where nothing is wrong, and one for every demo rig in trouble', () => {
    for (const { id } of tideMill.rigs) {
      const rig = demoRig(id);
      const ways = waysOut(rig, tideMill.parts);
      expect(ways.length > 0).toBe(verdictOf(rig).kind !== 'Clear');
    }
  });

  it('the limit is exact: a hair short of it the corner is not Clear', () => {
    const rig = demoRig('wheel-house-wide');
    const zoom = waysOut(rig, tideMill.parts).find((w) => w.kinds[0] === 'zoom')!;
    expect(verdictOf(turned(rig, { focalMm: zoom.limit! + 0.02 })).kind).toBe('Clear');
    expect(verdictOf(turned(rig, { focalMm: zoom.limit! - 0.02 })).kind).not.toBe('Clear');
    const scale = waysOut(rig, tideMill.parts).find((w) => w.kinds[0] === 'scale up')!;
    expect(verdictOf(turned(rig, { postScale: scale.limit! - 0.002 })).kind).not.toBe('Clear');
  });

  it('tells the price', () => {
    const ways = waysOut(demoRig('wheel-house-wide'), tideMill.parts);
    const plain = ways.find((w) => w.words.startsWith('Ninefold plain'))!;
    expect(plain.cost.lightStops).toBeCloseTo(-0.93, 2);
    expect(plain.costWords).toBe('−0.9 stop, view −29 %');
    expect(ways.find((w) => w.kinds[0] === 'zoom')!.cost.view).toBeCloseTo(20 / 24.04, 2);
  });
});

describe('cautions', () => {
  it('the demo shows every one of them', () => {
    const shown = new Set(
      tideMill.rigs.flatMap(({ id }) => evaluate(demoRig(id)).cautions.map((c) => c.id)),
    );
    expect([...shown].sort()).toEqual([...CAUTION_IDS].sort());
  });

  it('say why, most urgent first', () => {
    const rig = demoRig('wheel-house-wide');
    const [first] = cautionsFor(rig, fitOf(rig, 2));
    expect(first).toMatchObject({
      id: 'strike',
      why: 'Rear glass stands 4.1 mm deep; Ninefold reducer ×0.71, 44.00 to 18.00 leaves 5.0 mm.',
    });
  });
});
