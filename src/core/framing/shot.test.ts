import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoRig } from '../../../tests/support/demo';
import { plainRig, partOf } from '../../../tests/support/plainRig';
import { runs } from '../../../tests/support/seed';
import { depthOfField } from '../optics';
import { situationOf, turned } from '../rig';
import { inFocus } from '../rig/report';
import { equalSizeM, seenAt, shotAt } from './shot';

/* A thin lens in the plane z = 0, traced ray by ray: nothing of the program's is used here. */

/** Where rays from a point through the rim of a thin lens meet the sensor, mm; the lens looks along +z. */
function tracedDisc(focalMm: number, stop: number, sensorMm: number, x: number, depthMm: number) {
  const hits = [-1, -0.5, 0, 0.5, 1].map((side) => {
    const y = (side * stop) / 2;
    // Towards the lens at height y, bent by y/f, on to the sensor.
    const slope = (y - x) / depthMm - y / focalMm;
    return y + slope * sensorMm;
  });
  return { middle: hits[2] ?? NaN, diameter: Math.max(...hits) - Math.min(...hits) };
}

describe('where the scene falls in a picture', () => {
  it('place and blur are those of rays traced through a thin lens', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 20, max: 300, noNaN: true }),
        fc.double({ min: 1.2, max: 16, noNaN: true }),
        fc.double({ min: 1, max: 40, noNaN: true }),
        fc.double({ min: -3, max: 3, noNaN: true }),
        fc.double({ min: -0.4, max: 60, noNaN: true }),
        (focalMm, fNumber, share, xM, zM) => {
          // From 12 focal lengths on, so that no lens is asked for more than it can do.
          const distanceM = (12 * focalMm * share) / 1000;
          const rig = plainRig({
            lens: {
              focalMinMm: focalMm,
              focalMaxMm: focalMm,
              openFNumberWide: 1,
              openFNumberLong: 1,
              closestFocusM: 0.01,
            },
            settings: { focalMm, fNumber },
          });
          const shot = shotAt(rig, distanceM);
          // u + v = D and 1/u + 1/v = 1/f, solved apart.
          const D = distanceM * 1000;
          const u = (D + Math.sqrt(D * D - 4 * D * focalMm)) / 2;
          const v = D - u;
          expect(shot.subject.distanceMm).toBeCloseTo(u, 4);
          const depth = u + zM * 1000;
          if (depth < u * 0.1) return;
          const seen = seenAt(shot, { xM, yM: 0, zM });
          const traced = tracedDisc(focalMm, focalMm / fNumber, v, xM * 1000, depth);
          // The picture is upright, the sensor's is not.
          expect(seen!.xMm).toBeCloseTo(-traced.middle, 5);
          expect(seen!.blurHeightMm).toBeCloseTo(traced.diameter, 5);
        },
      ),
      { numRuns: runs(200) },
    );
  });

  it('is focused on the miller with tubes run out: the ring stands farther than he does', () => {
    const lens = { closestFocusM: 0.45 };
    const helicoid = partOf('helicoid', { helicoidMm: 10 });
    for (const [distanceM, helicoidMm] of [
      [0.7, 3],
      [0.5, 6],
      [1.2, 1],
    ] as const) {
      const rig = plainRig({ lens, parts: [helicoid], settings: { helicoidMm } });
      const shot = shotAt(rig, distanceM);
      expect(shot.askedM).toBeNull();
      expect(shot.distanceM).toBeCloseTo(distanceM, 5);
      // u + v = D and 1/u + 1/v = 1/f; of v the tube takes its part, the ring the rest: D' = f (2 + m + 1/m).
      const D = distanceM * 1000;
      const u = (D + Math.sqrt(D * D - 4 * D * 50)) / 2;
      expect(shot.subject.distanceMm).toBeCloseTo(u, 2);
      const byRing = (D - u - helicoidMm) / 50 - 1;
      expect(shot.rig.settings.focusM).toBeCloseTo((50 * (2 + byRing + 1 / byRing)) / 1000, 3);
    }
    // 10 mm bring infinity to 0.36 m: farther than that it cannot focus, and says so.
    const shot = shotAt(plainRig({ lens, parts: [helicoid], settings: { helicoidMm: 10 } }), 2);
    expect(shot.rig.settings.focusM).toBeNull();
    expect(shot.askedM).toBe(2);
    expect(shot.distanceM).toBeCloseTo((50 * (2 + 0.2 + 1 / 0.2)) / 1000, 5);
  });

  it('check values: 50 mm f/1.8 on 2 m, a point at 6 m, bare and behind a reducer', () => {
    // OPTICS, check values: 0.47483 mm; behind x0.71 the same pupil, 0.33464... to within the thin lens.
    const lens = { openFNumberWide: 1.8, openFNumberLong: 1.8, closestFocusM: 0.3 };
    const bare = shotAt(plainRig({ lens, settings: { fNumber: 1.8 } }), 2.0512821);
    expect(bare.subject.distanceMm).toBeCloseTo(2000, 2);
    expect(seenAt(bare, { xM: 0, yM: 0, zM: 4 })!.blurHeightMm).toBeCloseTo(0.47483, 4);
    const reducer = partOf('focal reducer', { factor: 0.71, thicknessMm: 21, transmission: 1 });
    // 44.00 on 18.00, 21 mm thick: its sensor stands 5 mm nearer to the lens.
    const reduced = shotAt(
      plainRig({ lens, parts: [reducer], settings: { fNumber: 1.8 } }),
      2.0512821 - 0.005,
    );
    const ratio =
      seenAt(reduced, { xM: 0, yM: 0, zM: 4 })!.blurHeightMm /
      seenAt(bare, { xM: 0, yM: 0, zM: 4 })!.blurHeightMm;
    expect(ratio).toBeCloseTo(0.71, 6);
  });

  it('shifted or read off its middle, a camera that keeps the miller in the middle sees as rays do', () => {
    // The read-out's middle stands 5 mm off the axis; the ray of a far point through the pupil's middle meets the
    // sensor so far from the axis as its slope says, whatever the program thinks of pictures.
    const mode = { ...plainRig().mode, middleXMm: 5, middleYMm: -2 };
    const shot = shotAt({ ...plainRig(), mode }, 3);
    const { distanceMm: u, magnification: m } = shot.subject;
    const v = u * m;
    // So that the miller is in the middle of the read-out, the pupil stands 5/m and -2/m beside him; the upright
    // picture is the sensor turned by half a turn, and told as frames show it.
    for (const spot of [
      { xM: 0, yM: 0, zM: 0 },
      { xM: 0.4, yM: -0.3, zM: 2.7 },
      { xM: -1, yM: 0.2, zM: 40 },
    ]) {
      const onAxis = (metres: number, asideMm: number) =>
        (v * (metres * 1000 + asideMm / m)) / (u + spot.zM * 1000) - asideMm;
      const seen = seenAt(shot, spot);
      expect(seen!.xMm).toBeCloseTo(onAxis(spot.xM, 5), 6);
      expect(seen!.yMm).toBeCloseTo(onAxis(spot.yM, -2), 6);
    }
    // What is far runs to where the axis meets the picture, as the halo's centre does.
    const { centre } = shot.halo;
    const far = seenAt(shot, { xM: 0, yM: 0, zM: 1e7 })!;
    expect(far.xMm).toBeCloseTo(centre.xMm, 3);
    expect(far.yMm).toBeCloseTo(centre.yMm, 3);
  });

  it('a camera with a converter stands where it is told to, however far that moves the sensor', () => {
    const plain = partOf('plain adapter');
    const tele = partOf('teleconverter', {
      factor: 1.4,
      thicknessMm: 17,
      frontMountId: 'slr',
      rearMountId: 'slr',
    });
    const lens = { closestFocusM: 0.5, focalMinMm: 200, focalMaxMm: 200 };
    for (const parts of [[plain], [tele, plain]]) {
      const shot = shotAt(plainRig({ lens, parts, settings: { focalMm: 200, fNumber: 4 } }), 6);
      expect(shot.distanceM).toBeCloseTo(6, 3);
    }
  });

  it('what stands beside or behind the camera is not in the picture', () => {
    const shot = shotAt(plainRig(), 3);
    expect(seenAt(shot, { xM: 0, yM: 0, zM: -3.2 })).toBeNull();
    expect(seenAt(shot, { xM: 1, yM: 0, zM: -2.99 })).toBeNull();
  });

  it('lamps of an anamorphic are upright ovals, narrower by the squeeze (common practice, no source)', () => {
    const shot = shotAt(demoRig('long-wall'), 6);
    const { squeeze } = shot.rig.lens;
    const lamp = seenAt(shot, { xM: 0, yM: 0, zM: 3 });
    expect(squeeze).toBe(2);
    expect(lamp!.blurHeightMm / lamp!.blurWidthMm).toBeCloseTo(2, 9);
    expect(shot.picture.widthMm / shot.picture.heightMm).toBeCloseTo(2.39, 2);
  });
});

describe('a camera that steps', () => {
  it('stands where the subject is as large: f′·C/(u − f) equal, worked out by hand', () => {
    const first = shotAt(demoRig('miller-portrait'), 1.8);
    const small = demoRig('miller-portrait');
    const mode = { ...small.mode, widthMm: 23.5, heightMm: 15.6 };
    const at = equalSizeM({ ...small, mode }, first);
    const second = shotAt({ ...small, mode }, at!);
    expect(second.field.heightM).toBeCloseTo(first.field.heightM, 3);
    // Same lens: (u − f) grows by the ratio of heights, 24/15.6 (handbook geometry).
    const beyond = (d: number) => d - 58;
    expect(beyond(second.subject.distanceMm) / beyond(first.subject.distanceMm)).toBeCloseTo(
      24 / 15.6,
      2,
    );
  });

  it('a swirl lens seen from farther on a smaller sensor shows smaller discs (common practice, no source)', () => {
    const rig = demoRig('miller-portrait');
    const first = shotAt(rig, 1.8);
    const mode = { ...rig.mode, widthMm: 23.5, heightMm: 15.6 };
    const second = shotAt({ ...rig, mode }, equalSizeM({ ...rig, mode }, first)!);
    const share = (shot: typeof first) =>
      seenAt(shot, { xM: 0, yM: 0, zM: 3 })!.blurHeightMm / shot.picture.heightMm;
    expect(second.distanceM).toBeGreaterThan(first.distanceM);
    expect(share(second)).toBeLessThan(share(first) * 0.9);
  });

  it('meets every distance the ring has, of a lens that shows some at two turns of it', () => {
    // By its figures of closest focus it grows to some 89 mm there: nearer by the ring is farther from the sensor.
    const rig = plainRig({
      lens: {
        focalMinMm: 48,
        focalMaxMm: 48,
        closestFocusM: 0.384,
        maxMagnification: 0.5757,
        pupilMagnification: null,
      },
      parts: [
        partOf('extension tube', { id: 'tube', rearMountId: 'slr', thicknessMm: 15 }),
        partOf('teleconverter', { factor: 1.3, thicknessMm: 31.5 }),
      ],
    });
    const standing = (focusM: number | null) =>
      inFocus(situationOf(turned(rig, { focusM }))).subjectM!;
    const turns = [null, 8, 3, 1.5, 1, 0.8, 0.6, 0.5, 0.43, 0.384];
    const nearest = Math.min(...turns.map(standing));
    expect(standing(0.384)).toBeGreaterThan(nearest * 1.01);
    for (const focusM of turns) {
      const shot = shotAt(rig, standing(focusM));
      expect(shot.askedM, `ring at ${focusM}`).toBeNull();
      expect(shot.distanceM / standing(focusM), `ring at ${focusM}`).toBeCloseTo(1, 4);
    }
  });

  it('says so where it cannot focus so near, and shows where it can', () => {
    const rig = demoRig('waders-at-dawn');
    const shot = shotAt(rig, 1);
    expect(shot.askedM).toBe(1);
    expect(shot.distanceM).toBeGreaterThan(4);
    // A 20 mm lens cannot come near enough to a fly that a life-size lens fills the frame with.
    const near = shotAt(plainRig({ lens: { closestFocusM: 0.21 } }), 0.21);
    expect(near.subject.magnification).toBeGreaterThan(0.4);
    expect(equalSizeM(rig, near)).toBeNull();
  });

  it('its depth bracket is the handbook’s', () => {
    // 50 mm f/2 c 0.03 on 3 m from the lens: 2.8016 to 3.2286 m (STANDARDS, 5).
    const rig = {
      ...plainRig(),
      judgement: { ...plainRig().judgement, circle: '0.03 by crop' as const },
    };
    const u = 3000;
    const D = (u + (50 * u) / (u - 50)) / 1000;
    const { nearM, farM } = shotAt(rig, D).report.picture.depth;
    // The sensor stands v = 50.85 mm behind the lens: all is told from there.
    const v = D - u / 1000;
    expect(nearM).toBeCloseTo(2.8016 + v, 3);
    expect(farM).toBeCloseTo(3.2286 + v, 3);
    expect(nearM).toBeCloseTo(depthOfField(50, 2, 0.03, 3).nearM + v, 5);
  });

  it('tells how far before the entrance pupil a place lies, in metres', () => {
    const shot = shotAt(plainRig(), 4);
    const [near, far] = [-1, 6].map((zM) => seenAt(shot, { xM: 0, yM: 0, zM })!.depthM);
    expect(far! - near!).toBeCloseTo(7, 9);
    expect(near).toBeGreaterThan(2.8);
    expect(near).toBeLessThan(3);
  });
});
