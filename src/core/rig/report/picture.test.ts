import { describe, expect, it } from 'vitest';
import { demoRig } from '../../../../tests/support/demo';
import { partOf, plainRig } from '../../../../tests/support/plainRig';
import { areaShare } from '../../frame';
import type { Part, RigSettings } from '../../kit/records';
import type { Rig } from '../../rig';
import { evaluate } from './evaluate';
import type { PictureReport } from './picture';

describe('zones of the halo', () => {
  it('add up to the lit share of the frame', () => {
    for (const id of ['miller-portrait', 'wheel-house-wide', 'walk-through']) {
      const { picture, coverage, frame, halo } = evaluate(demoRig(id));
      const { middle, outer, edge } = picture.zones;
      const lit = areaShare(frame.delivered, halo.model.centre, coverage.radiiMm.half);
      expect(middle + outer + edge).toBeCloseTo(lit, 9);
    }
  });

  it('a smaller sensor keeps less of the edge', () => {
    const rig = demoRig('miller-portrait');
    const small: Rig = { ...rig, mode: rig.body.modes.find((m) => m.id === '4k-crop')! };
    expect(evaluate(small).picture.zones.edge).toBeLessThan(evaluate(rig).picture.zones.edge);
  });
});

/** Engraved for a subject 3 m before a 50 mm lens: its image stands 50.85 mm behind it. */
const ENGRAVED_M = 3 + 0.05 * (1 + 50 / 2950);

const blurAt = (picture: PictureReport, behindM: number | null): number | undefined =>
  picture.blur.find((b) => b.behindM === behindM)?.share;

describe('depth and blur in the report', () => {
  const near = (settings: Partial<RigSettings> = {}, parts?: readonly Part[]) =>
    evaluate(
      plainRig({
        settings: { fNumber: 8, focusM: ENGRAVED_M, ...settings },
        ...(parts && { parts }),
      }),
    ).picture;

  it('are those of the handbook for 50 mm f/8 at 3 m, by a 1500th of the diagonal', () => {
    const picture = near();
    expect(picture.circleMm).toBeCloseTo(0.02884, 5);
    // u f²/(f² ± N c (u - f)) = 2.358 and 4.122 m from the lens; the sensor stands 50.85 mm behind it.
    expect(picture.depth.nearM).toBeCloseTo(2.358 + 0.0508, 2);
    expect(picture.depth.farM).toBeCloseTo(4.122 + 0.0508, 2);
    expect(picture.hyperfocalM).toBeCloseTo(10.885 + 0.05, 2);
    expect(blurAt(picture, null)).toBeCloseTo(2500 / (8 * 2950) / 24, 6);
    // A light 3 m behind stands twice as far as the subject: half as large.
    expect(blurAt(picture, 3)).toBeCloseTo(2500 / (8 * 2950) / 24 / 2, 6);
    expect(picture.subjectM).toBeCloseTo(ENGRAVED_M, 6);
  });

  it('at infinity there is no blur of what is far and no basis to compare on', () => {
    const picture = near({ focusM: null });
    expect(picture.blur).toEqual([]);
    expect(picture.subjectM).toBeNull();
    expect(picture.depthBases).toEqual([]);
    expect(picture.depth.farM).toBeNull();
  });

  it('a converter is compared on three bases, a plain adapter on none', () => {
    expect(near().depthBases).toEqual([]);
    const reducer = partOf('focal reducer', { factor: 0.7, thicknessMm: 20 });
    const bases = near({ fNumber: 4 }, [reducer]).depthBases;
    expect(bases.map((b) => b.basis)).toEqual(['same place', 'same framing', 'larger format']);
    // The entrance pupil stays: same place and larger format keep the depth, same framing makes it m times.
    expect(bases[0]?.ratio).toBeCloseTo(1, 1);
    expect(bases[1]?.ratio).toBeCloseTo(0.7, 1);
    expect(bases[2]?.ratio).toBeCloseTo(1, 1);
  });

  it('focus nearer than a lens can reach is life size: a far light blurs to the pupil', () => {
    const lens = { closestFocusM: 0.01, focalMinMm: 50, focalMaxMm: 50 };
    const { picture } = evaluate(plainRig({ lens, settings: { focusM: 0.02, fNumber: 2 } }));
    expect(blurAt(picture, null)).toBeCloseTo(25 / 24, 6);
  });

  it('a tube brings the subject nearer, magnifies, and thins the depth by 2 N c (m + 1)/m²', () => {
    const tube = partOf('extension tube', { thicknessMm: 51 });
    const { picture, optics } = evaluate(
      plainRig({ parts: [tube], settings: { focusM: null, fNumber: 8 } }),
    );
    // 51 - 26 mm beyond the register: m = 25/50, subject 150 mm before the lens, 225 mm before the sensor.
    expect(optics.magnification).toBeCloseTo(0.5, 9);
    expect(picture.subjectM).toBeCloseTo(0.225, 9);
    const deep = (2 * 8 * picture.circleMm * 1.5) / 0.5 ** 2 / 1000;
    expect(picture.depth.depthM! / deep).toBeCloseTo(1, 2);
  });

  it('a front converter of 2 doubles the focal length: far away as one lens twice as long', () => {
    const front = partOf('front converter', { factor: 2, thicknessMm: 0 });
    const converted = evaluate(
      plainRig({ parts: [front, partOf('plain adapter')], settings: { focusM: 5, fNumber: 4 } }),
    );
    // Ring at 5 m: the subject stands four times as far, half as large as the lens alone would show what it sees.
    const { picture, optics } = converted;
    const bare = evaluate(plainRig({ settings: { focusM: 5, fNumber: 4 } }));
    expect(optics.magnification).toBeCloseTo(bare.optics.magnification / 2, 9);
    expect(picture.subjectM!).toBeCloseTo(4 * 5, 0);
    const thin = 100 / (picture.subjectM! * 1000 - 100);
    expect(optics.magnification / thin).toBeCloseTo(1, 1);
  });

  it('zones are counted against the half light of the lens on its own format', () => {
    const { zones, zonesOfDesign } = evaluate(plainRig()).picture;
    // A 30 mm halo over 36x24: all within 0.6 (18 mm) and 0.85 (25.5 mm) of it.
    expect(zones.edge).toBeCloseTo(0, 9);
    expect(zones.middle + zones.outer).toBeCloseTo(1, 9);
    expect(zonesOfDesign).toEqual(zones);
  });
});
