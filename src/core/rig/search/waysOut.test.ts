import { describe, expect, it } from 'vitest';
import { demoRig, turned } from '../../../../tests/support/demo';
import { tideMill } from '../../demo';
import { type Rig } from '../../rig';
import { isClear } from '../judged';
import { partOf, plainLens, plainRig } from '../../../../tests/support/plainRig';
import type { Lens, Part, RigSettings } from '../../kit/records';
import { applied } from './ideas/idea';
import { waysOut } from './waysOut';

describe('ways out', () => {
  it('each of them really mends the verdict', () => {
    for (const { id } of tideMill.rigs) {
      const rig = demoRig(id);
      for (const way of waysOut(rig, tideMill.parts)) {
        expect(isClear(applied(rig, way.change, tideMill.parts)), `${id}: ${way.words}`).toBe(true);
      }
    }
  });

  it('there is none where nothing is wrong, and one for every demo rig in trouble', () => {
    for (const { id } of tideMill.rigs) {
      const rig = demoRig(id);
      const ways = waysOut(rig, tideMill.parts);
      expect(ways.length > 0).toBe(!isClear(rig));
    }
  });

  it('the limit is exact: a hair short of it the corner is not Clear', () => {
    const rig = demoRig('wheel-house-wide');
    const zoom = waysOut(rig, tideMill.parts).find((w) => w.kinds[0] === 'zoom')!;
    expect(isClear(turned(rig, { focalMm: zoom.limit! + 0.02 }))).toBe(true);
    expect(isClear(turned(rig, { focalMm: zoom.limit! - 0.02 }))).toBe(false);
    const scale = waysOut(rig, tideMill.parts).find((w) => w.kinds[0] === 'scale up')!;
    expect(isClear(turned(rig, { postScale: scale.limit! - 0.002 }))).toBe(false);
  });

  it('tells the price', () => {
    const ways = waysOut(demoRig('wheel-house-wide'), tideMill.parts);
    const plain = ways.find((w) => w.words.startsWith('Ninefold plain'))!;
    expect(plain.cost.lightStops).toBeCloseTo(-0.93, 2);
    expect(plain.costWords).toBe('−0.9 stop, view −29 %');
    const zoom = ways.find((w) => w.kinds[0] === 'zoom')!;
    expect(zoom.cost.view).toBeCloseTo(20 / zoom.limit!, 2);
  });
});

/** A lens whose hard halo of `radiusMm` is too small for the whole of 36x24 at its short end. */
const tight = (radiusMm = 20, more: Partial<Lens> = {}, settings: Partial<RigSettings> = {}) => {
  const [sample] = plainLens().halo;
  const front = { edgeRadiusMm: radiusMm, softnessMm: 0.5 };
  return plainRig({ lens: { halo: [{ ...sample!, front }], ...more }, settings });
};
const kindsOf = (rig: Rig, kit: readonly Part[] = []) =>
  waysOut(rig, kit).map((w) => w.kinds.join('+'));
const find = (rig: Rig, kind: string, kit: readonly Part[] = []) =>
  waysOut(rig, kit).find((w) => w.kinds.join('+') === kind);

describe('what a way out costs', () => {
  it('light in stops, view and pixels as shares; a delivery aspect loses only what it cuts', () => {
    const way = waysOut(tight(20), []).find((w) => w.words === 'Deliver 16:9');
    expect(way).toBeUndefined();
    const square = waysOut(tight(18), []).find((w) => w.words === 'Deliver 1:1')!;
    expect(square.cost.lightStops).toBe(0);
    expect(square.cost.view).toBeCloseTo(24 / 36, 9);
    expect(square.cost.pixels).toBeCloseTo(24 / 36, 9);
    expect(square.costWords).toBe('view −33 %, pixels −33 %');
  });

  it('scaling up by p costs 1/p of the view and 1/p² of the pixels', () => {
    const scale = find(tight(20), 'scale up')!;
    const p = 1 + Number(/([\d.]+) %/.exec(scale.words)![1]) / 100;
    // The whole diagonal, 21.633 mm, must come inside the clear part of a 20 mm rim 0.5 mm soft.
    expect(scale.limit).toBeGreaterThan(21.633 / 20.4);
    expect(scale.limit).toBeLessThan(21.633 / 19.6);
    expect(scale.cost.view).toBeCloseTo(1 / p, 2);
    expect(scale.cost.pixels).toBeCloseTo(1 / p ** 2, 2);
  });

  it('another part costs what its factor says: a 1.4x takes 0.97 stop', () => {
    const tele = partOf('teleconverter', {
      id: 't',
      name: '1.4x',
      factor: 1.4,
      rearMountId: 'slr',
      thicknessMm: 20,
    });
    const rig = tight(20);
    const long = {
      ...rig,
      lens: {
        ...rig.lens,
        focalMinMm: 100,
        focalMaxMm: 100,
        halo: rig.lens.halo.map((s) => ({ ...s, focalMm: 100 })),
      },
    };
    const way = find(turned(long, {}), 'add part', [tele])!;
    expect(way.words).toBe('Add 1.4x');
    expect(way.cost.lightStops).toBeCloseTo(-2 * Math.log2(1.4), 9);
    expect(way.cost.view).toBeCloseTo(1 / 1.4, 9);
    expect(way.costWords).toBe('−1.0 stop, view −29 %');
    expect(way.change.partIds).toEqual(['t', 'plain adapter']);
  });

  it('stopping down costs the light between the apertures, opening up gains it', () => {
    const [sample] = plainLens().halo;
    // Dark in the corners while wide open and soft; harder and clear when stopped down.
    const soft = plainRig({
      lens: { halo: [{ ...sample!, front: { edgeRadiusMm: 24, softnessMm: 9 } }] },
      settings: { fNumber: 2 },
    });
    const strict = {
      ...soft,
      judgement: { ...soft.judgement, school: 'strict' as const, strictStops: 0.1 },
    };
    const way = find(strict, 'aperture')!;
    const to = Number(/f\/([\d.]+)/.exec(way.words)![1]);
    expect(way.words).toMatch(/^Stop down to f\/[\d.]+ or more$/);
    expect(to).toBeGreaterThan(2);
    expect(way.cost.lightStops).toBeCloseTo(-2 * Math.log2(way.change.settings.fNumber! / 2), 9);
    expect(way.cost.view).toBe(1);
  });

  it('keeping the sensor still costs its steadying, and nothing of the picture', () => {
    const still = find(tight(22, {}, { stabiliser: true }), 'stabiliser off')!;
    expect(still.words).toBe('Switch the sensor stabiliser off');
    expect(still.costWords).toBe('4 stops of steadying lost');
    expect(kindsOf(tight(22))).not.toContain('stabiliser off');
  });

  it('shifting back to the middle is offered while shifted, and only then', () => {
    const shifting = [partOf('shift adapter', { shiftMm: 10 })];
    const lens = tight(24).lens;
    const shifted = plainRig({ lens, parts: shifting, settings: { shiftYMm: 9 } });
    expect(find(shifted, 'centre')?.words).toBe('Shift back to the middle');
    expect(kindsOf(tight(20))).not.toContain('centre');
  });
});

describe('which ways are told', () => {
  it('the mildest first, two of a kind at most, ten in all', () => {
    const ways = waysOut(demoRig('wheel-house-wide'), tideMill.parts);
    const counts = new Map<string, number>();
    for (const { kinds } of ways)
      counts.set(kinds.join('+'), (counts.get(kinds.join('+')) ?? 0) + 1);
    expect(Math.max(...counts.values())).toBeLessThanOrEqual(2);
    expect(ways.length).toBeLessThanOrEqual(10);
    for (const { id } of tideMill.rigs) {
      expect(waysOut(demoRig(id), tideMill.parts).length).toBeLessThanOrEqual(10);
    }
  });

  it('digital zoom and electronic stabilisation where they clear, and only more of them than is on', () => {
    const rig = tight(20);
    expect(find(rig, 'crop')?.words).toMatch(/Digital zoom ×1.5|electronic/);
    const zoomed = turned(rig, { digitalZoom: 1.5 });
    expect(waysOut(zoomed, [])).toEqual([]);
  });

  it('another mode of the same use, never stills for video', () => {
    const rig = tight(20);
    const small = { ...rig.mode, id: 'small', name: 'Small', widthMm: 24, heightMm: 16 };
    const stills = { ...small, id: 'stills', name: 'Stills', use: 'stills' as const };
    const body = { ...rig.body, modes: [rig.mode, stills, small] };
    const modes = waysOut({ ...rig, body }, []).filter((w) => w.kinds[0] === 'mode');
    expect(modes.map((w) => w.words)).toEqual(['Record in Small']);
    expect(modes[0]?.change.modeId).toBe('small');
  });

  it('a weaker converter in the place of one that clips, of the same mounts, and no part twice', () => {
    const strong = partOf('focal reducer', {
      id: 'r64',
      name: 'r64',
      factor: 0.64,
      thicknessMm: 20,
    });
    const weak = partOf('focal reducer', { id: 'r8', name: 'r8', factor: 0.8, thicknessMm: 20 });
    const other = partOf('focal reducer', {
      id: 'x',
      name: 'x',
      factor: 0.9,
      rearMountId: 'elsewhere',
    });
    const plain = partOf('plain adapter', { id: 'p', name: 'p' });
    const rig = plainRig({ lens: tight(28).lens, parts: [strong] });
    const swaps = waysOut(rig, [strong, weak, other, plain]).filter(
      (w) => w.kinds.join() === 'swap part',
    );
    expect(swaps.map((w) => w.words).sort()).toEqual(['p instead of r64', 'r8 instead of r64']);
  });

  it('a plain adapter in the place of a reducer that clips, where the kit has none and one can be built', () => {
    const strong = partOf('focal reducer', { factor: 0.64, thicknessMm: 17 });
    const rig = plainRig({ lens: tight(23).lens, parts: [strong] });
    const words = 'A plain adapter of 26.00 mm instead of focal reducer';
    const way = waysOut(rig, [strong]).find((w) => w.words === words)!;
    expect(way.costWords).toMatch(/view −36 %, not in the kit: to be found$/);
    const [plain] = applied(rig, way.change, [strong]).parts;
    expect(plain).toMatchObject({ kind: 'plain adapter', thicknessMm: 26, factor: 1 });
    expect(plain?.frontMountId).toBe('slr');
    const owned = partOf('plain adapter', { id: 'p', name: 'p' });
    expect(waysOut(rig, [strong, owned]).map((w) => w.words)).not.toContain(words);
    // From a register of 18 mm nothing that thin can be made.
    const short = new Map(rig.mounts).set('slr', { ...rig.mounts.get('slr')!, registerMm: 19 });
    expect(waysOut({ ...rig, mounts: short }, [strong]).map((w) => w.words)).not.toContain(words);
  });

  it('zooming either way, to the exact end of the window', () => {
    const [sample] = plainLens().halo;
    const at = (focalMm: number, radius: number) => ({
      ...sample!,
      id: `s${focalMm}`,
      focalMm,
      front: { edgeRadiusMm: radius, softnessMm: 0.2 },
    });
    const zoom = { focalMinMm: 25, focalMaxMm: 100, halo: [at(25, 26), at(50, 16), at(100, 26)] };
    const rig = plainRig({ lens: zoom, settings: { focalMm: 50 } });
    const ways = waysOut(rig, []).filter((w) => w.kinds.join() === 'zoom');
    expect(ways.map((w) => w.words.replace(/[\d.]+/, 'x')).sort()).toEqual([
      'Zoom to x mm or longer',
      'Zoom to x mm or wider',
    ]);
    for (const way of ways) {
      const outward = way.words.endsWith('longer') ? 1 : -1;
      expect(isClear(turned(rig, { focalMm: way.limit! + outward * 0.05 }))).toBe(true);
      expect(isClear(turned(rig, { focalMm: way.limit! - outward * 0.05 }))).toBe(false);
      expect(way.cost.view).toBeCloseTo(50 / way.limit!, 2);
    }
  });

  it('where fewer than three single changes help, pairs are told too, as one sentence', () => {
    const rig = tight(9);
    const pairs = waysOut(rig, []).filter((w) => w.kinds.length === 2);
    for (const pair of pairs) {
      expect(pair.words).toMatch(/ and [a-z]/);
      expect(pair.limit).toBeNull();
      expect(isClear(applied(rig, pair.change, []))).toBe(true);
    }
    expect(pairs.length).toBeGreaterThan(0);
  });

  it('a rig that does not join, or whose glass strikes, is offered none: that comes first', () => {
    const torn = plainRig({
      lens: tight(20).lens,
      parts: [partOf('plain adapter', { rearMountId: 'slr' })],
    });
    expect(waysOut(torn, [])).toEqual([]);
    const reducer = partOf('focal reducer', { factor: 0.7, thicknessMm: 20, clearDepthMm: 3 });
    const deep = { ...tight(20).lens, rearProtrusionMm: 9 };
    expect(waysOut(plainRig({ lens: deep, parts: [reducer] }), [])).toEqual([]);
  });

  it('no way leads to a rig that does not reach infinity, and one that does not is offered none', () => {
    const clipped = plainRig({
      lens: { halo: [{ ...plainRig().lens.halo[0]!, front: { edgeRadiusMm: 17, softnessMm: 1 } }] },
    });
    // Registers 44 on 18 leave 26 mm; half a millimetre more, and infinity is out of reach.
    const thick = partOf('plain adapter', { id: 'thick', thicknessMm: 26.5 });
    const shift = partOf('shift adapter', { id: 'shift', thicknessMm: 26.5, factor: 1 });
    expect(waysOut(clipped, [shift, thick]).flatMap((w) => w.change.partIds ?? [])).toEqual([]);
    expect(waysOut({ ...clipped, parts: [thick] }, [])).toEqual([]);
    expect(waysOut(clipped, []).length).toBeGreaterThan(0);
  });

  it('no part is offered that does not join, or that the glass would strike', () => {
    const wrong = partOf('expander', {
      id: 'w',
      factor: 1.4,
      frontMountId: 'q',
      rearMountId: 'q',
    });
    expect(kindsOf(tight(20), [wrong])).not.toContain('add part');
    const expander = { ...wrong, frontMountId: 'slr', rearMountId: 'slr', clearDepthMm: 3 };
    expect(kindsOf(tight(20), [expander])).toContain('add part');
    const rig = tight(20);
    const deep: Rig = { ...rig, lens: { ...rig.lens, rearProtrusionMm: 9 } };
    expect(kindsOf(deep, [expander])).not.toContain('add part');
  });

  it('no teleconverter on a wide or normal lens: nobody asks for it', () => {
    const tele = partOf('teleconverter', { id: 't', factor: 1.4, rearMountId: 'slr' });
    expect(kindsOf(tight(20), [tele])).not.toContain('add part');
  });
});
