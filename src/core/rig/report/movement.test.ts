import { describe, expect, it } from 'vitest';
import { demoRig, turned } from '../../../../tests/support/demo';
import { evaluate } from './evaluate';

describe('shift and extension', () => {
  it('a shift moves the halo as far as the adapter lets it', () => {
    const rig = demoRig('sluice-shift');
    expect(evaluate(rig).halo.model.centre.yMm).toBeCloseTo(-8, 9);
    expect(evaluate(turned(rig, { shiftYMm: -40 })).halo.model.centre.yMm).toBeCloseTo(-12, 9);
    expect(evaluate(turned(rig, { shiftXMm: 3 })).halo.model.centre.xMm).toBeCloseTo(3, 9);
  });

  it('the shift budget ends where the corner is no longer accepted', () => {
    const rig = demoRig('sluice-shift');
    const { shiftBudget } = evaluate(rig).wander;
    const moved = turned(
      { ...rig, parts: [{ ...rig.parts[0]!, shiftMm: 40 }] },
      { shiftXMm: shiftBudget.leftMm },
    );
    const { coverage } = evaluate(moved);
    expect(coverage.acceptedMarginMm).toBeCloseTo(0, 2);
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
