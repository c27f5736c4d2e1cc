import { describe, expect, it } from 'vitest';
import { demoRig } from '../../../../tests/support/demo';
import { evaluate } from '../report';
import type { Rig } from '../../rig';
import { tideMill } from '../../demo';
import { layTrain } from './trainLayout';
import { layoutWords, troubleWords } from './layoutWords';

const laid = (rig: Rig) => layTrain(rig, evaluate(rig));
const part = (id: string) => tideMill.parts.find((p) => p.id === id)!;

describe('the light path to scale', () => {
  it('adds registers and thicknesses up from the sensor', () => {
    const { pieces, flangeMm } = laid(demoRig('waders-at-dawn'));
    expect(pieces.map((p) => p.kind)).toEqual(['lens', 'glass', 'adapter', 'body']);
    const [, tele, plain, body] = pieces;
    expect(body).toMatchObject({ fromMm: 18, toMm: 0 });
    expect(plain).toMatchObject({ fromMm: 44, toMm: 18 });
    expect(flangeMm).toBe(44 + part('t14').thicknessMm);
    expect(tele!.fromMm).toBe(flangeMm);
  });

  it('a plain adapter puts the flange at the register of the lens', () => {
    expect(laid(demoRig('gears-close')).flangeMm).toBeCloseTo(44, 9);
  });

  it('stands a front converter before the lens, and leaves the registers alone', () => {
    const rig = demoRig('gears-close');
    const front = tideMill.parts.find((p) => p.kind === 'front converter')!;
    const layout = laid({ ...rig, parts: [front, ...rig.parts] });
    expect(layout.pieces[0]).toMatchObject({ name: front.name });
    expect(layout.flangeMm).toBeCloseTo(44, 9);
    expect(layout.frontMm).toBeGreaterThan(layout.pieces[1]!.fromMm);
  });

  it('draws rear glass from the flange, and the limit where the reducer begins to be in its way', () => {
    const rig = demoRig('wheel-house-wide');
    const deep = { ...rig, lens: { ...rig.lens, rearProtrusionMm: 6.2 } };
    const { rearGlass, flangeMm } = laid(deep);
    expect(rearGlass).toMatchObject({ state: 'strikes', toMm: flangeMm - 6.2 });
    expect(rearGlass!.limitMm).toBeCloseTo(flangeMm - part('r71-44-18').clearDepthMm!, 9);
    expect(troubleWords(evaluate(deep)).join()).toMatch(/6\.2 mm deep into .* it strikes/);
  });

  it('marks a joint that does not join where it is', () => {
    const rig = { ...demoRig('gears-close'), parts: [part('p46-18')] };
    expect(laid(rig).brokenJointsMm).toEqual([18 + part('p46-18').thicknessMm]);
  });

  it('shows infinity before the sensor by as much as a helicoid is run out', () => {
    const rig = demoRig('oak-grain');
    expect(laid(rig).infinityMm).toBeCloseTo(10, 1);
    expect(laid({ ...rig, settings: { ...rig.settings, helicoidMm: 0 } }).infinityMm).toBeNull();
  });

  it('says in words all that is drawn', () => {
    const rig = demoRig('oak-grain');
    const report = evaluate(rig);
    const words = layoutWords(layTrain(rig, report), report);
    for (const piece of layTrain(rig, report).pieces) expect(words).toContain(piece.name);
    expect(words).toMatch(/44\.00 mm.*10\.0 mm too far out for infinity/);
  });
});
