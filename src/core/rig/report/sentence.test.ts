import { describe, expect, it } from 'vitest';
import { plainLens, plainRig } from '../../../../tests/support/plainRig';
import type { RigSettings } from '../../kit/records';
import { evaluate } from './evaluate';

/** What is said of a halo of one rim over 36x24, whose corners lie at 21.63 mm. */
function said(
  edgeRadiusMm: number,
  softnessMm: number,
  settings: Partial<RigSettings> = {},
  centre: { centreXMm?: number; centreYMm?: number } = {},
): string {
  const [sample] = plainLens().halo;
  const halo = [{ ...sample!, ...centre, front: { edgeRadiusMm, softnessMm } }];
  return evaluate(plainRig({ lens: { halo }, settings })).verdict.sentence;
}

describe('the verdict in one sentence', () => {
  it('Clear says how dark the darkest corner is', () => {
    expect(said(30, 3)).toBe('Covered: the darkest corner is 0.0 stops down.');
    expect(said(22, 4)).toMatch(/^Covered: the darkest corner is (0\.\d|1\.0) stop down\.$/);
  });

  it('Shaded says it can be lifted, and what is accepted', () => {
    expect(said(22, 12)).toMatch(/^Covered/);
    expect(said(17, 12)).toMatch(
      /^The darkest corner is \d\.\d stops down, soft enough to lift; you accept 2\.0 stops\.$/,
    );
  });

  it('Clipped says how many corners go black, in words, and how far they reach', () => {
    // Black is edge radius and 0.93 of the softness: 20.69 of 21.63 mm.
    expect(said(20.5, 0.2)).toBe('All four corners go black, up to 0.9 mm inside the frame.');
    expect(said(21, 0.2, {}, { centreXMm: 1.5, centreYMm: 1.5 })).toMatch(
      /^(One|Two|Three) corners? go/,
    );
    expect(said(22, 0.2, {}, { centreXMm: 1.2, centreYMm: 1.2 })).toMatch(/^One corner goes black/);
    expect(said(21.3, 0.2, {}, { centreXMm: 2 })).toMatch(/^Two corners go black/);
  });

  it('a hard edge that leaves some light cannot be lifted', () => {
    expect(said(20.6, 1.6)).toMatch(
      /^(A hard edge cuts the corners; that cannot be lifted|All four)/,
    );
    const moving = said(22.4, 0.3, { stabiliser: true });
    expect(moving).toBe(
      'A hard edge cuts the corners with the stabiliser at its end; that cannot be lifted.',
    );
  });

  it('Keyhole says how far the halo ends short of the corners', () => {
    expect(said(12, 0.5)).toBe('The halo ends well inside the frame, 9.6 mm short of the corners.');
  });

  it('a corner a hair darker than accepted does not read as dark as accepted', () => {
    for (let edge = 17; edge < 20; edge += 0.01) {
      const match = /corner is (\S+) stops? down.*you accept (\S+) stops?\./.exec(said(edge, 10));
      if (match) expect(match[1]).not.toBe(match[2]);
    }
  });

  it('Clear in light and out of definition says both', () => {
    const rig = plainRig({ lens: { definitionRadiusMm: 18 } });
    const { verdict, coverage } = evaluate(rig);
    expect(verdict.sentence).toBe(
      'Covered: the darkest corner is 0.0 stops down. Definition ends 3.6 mm before the corners.',
    );
    expect(coverage.definitionMarginMm).toBeCloseTo(18 - 21.633, 2);
    expect(evaluate(plainRig({ lens: { definitionRadiusMm: 22 } })).verdict.sentence).not.toMatch(
      /Definition/,
    );
  });

  it('says where only the stabiliser brings the dark', () => {
    expect(said(24, 4, { stabiliser: true })).toMatch(/down with the stabiliser at its end/);
    // A crop's window moves too, the sensor locked or not.
    expect(said(24, 4, { cropId: 'active' })).toMatch(
      /down with electronic stabilisation at its end/,
    );
    expect(said(24, 4, { stabiliser: true, cropId: 'active' })).toMatch(
      /down with both stabilisers at their ends/,
    );
    expect(said(24, 4)).not.toMatch(/stabiliser/);
  });
});
