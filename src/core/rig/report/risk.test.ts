import { describe, expect, it } from 'vitest';
import { demoRig, turned } from '../../../../tests/support/demo';
import { waysOut } from '../search/waysOut';
import { evaluate } from './evaluate';

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
