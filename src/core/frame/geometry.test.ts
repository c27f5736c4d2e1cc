import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { FrameSize, Offset } from '../optics';
import {
  areaShare,
  concentricCleanFrame,
  cornerPlaces,
  freeCleanFrame,
  NO_TRAVEL,
  scaleUp,
  worstCornerRadius,
  type Travel,
  CORNERS,
} from './geometry';
import { runs } from '../../../tests/support/seed';

const FULL: FrameSize = { widthMm: 36, heightMm: 24 };
const MIDDLE: Offset = { xMm: 0, yMm: 0 };
const ASIDE: Offset = { xMm: 0.8, yMm: -0.5 };

const frames = fc.record({
  widthMm: fc.double({ min: 5, max: 60, noNaN: true }),
  heightMm: fc.double({ min: 5, max: 60, noNaN: true }),
});
const offsets = fc.record({
  xMm: fc.double({ min: -15, max: 15, noNaN: true }),
  yMm: fc.double({ min: -15, max: 15, noNaN: true }),
});
const radii = fc.double({ min: 0.5, max: 60, noNaN: true });

function countedShare(frame: FrameSize, offset: Offset, radius: number, steps = 300): number {
  let inside = 0;
  for (let i = 0; i < steps; i += 1) {
    for (let j = 0; j < steps; j += 1) {
      const x = ((i + 0.5) / steps - 0.5) * frame.widthMm - offset.xMm;
      const y = ((j + 0.5) / steps - 0.5) * frame.heightMm - offset.yMm;
      if (x * x + y * y <= radius * radius) inside += 1;
    }
  }
  return inside / steps ** 2;
}

describe('share of the frame inside a circle', () => {
  it('has the check values of 36x24 and R 19', () => {
    expect(areaShare(FULL, MIDDLE, 19)).toBeCloseTo(0.96156, 5);
    expect(areaShare(FULL, ASIDE, 19)).toBeCloseTo(0.956466, 6);
  });

  it('agrees with counting points, also with the circle off the frame', () => {
    fc.assert(
      fc.property(frames, offsets, radii, (frame, offset, radius) => {
        expect(
          Math.abs(areaShare(frame, offset, radius) - countedShare(frame, offset, radius)),
        ).toBeLessThan(0.006);
      }),
      { numRuns: runs(60) },
    );
  });

  it('grows with the circle and is the same in a mirror', () => {
    fc.assert(
      fc.property(
        frames,
        offsets,
        radii,
        fc.double({ min: 0, max: 5, noNaN: true }),
        (frame, o, r, more) => {
          const share = areaShare(frame, o, r);
          expect(areaShare(frame, o, r + more)).toBeGreaterThanOrEqual(share - 1e-9);
          expect(areaShare(frame, { xMm: -o.xMm, yMm: o.yMm }, r)).toBeCloseTo(share, 9);
          expect(areaShare(frame, { xMm: o.xMm, yMm: -o.yMm }, r)).toBeCloseTo(share, 9);
          const turned = { widthMm: frame.heightMm, heightMm: frame.widthMm };
          expect(areaShare(turned, { xMm: o.yMm, yMm: o.xMm }, r)).toBeCloseTo(share, 9);
        },
      ),
    );
  });
});

describe('largest clean frame', () => {
  it('has the check values of R 19, with the centre in the middle and aside', () => {
    const centred = concentricCleanFrame(FULL, MIDDLE, 19, 1.5);
    expect(centred.widthMm).toBeCloseTo(31.618, 3);
    expect(centred.heightMm).toBeCloseTo(21.079, 3);
    const aside = concentricCleanFrame(FULL, ASIDE, 19, 1.5);
    expect(aside.widthMm).toBeCloseTo(30.049, 3);
    expect(aside.heightMm).toBeCloseTo(20.032, 3);
  });

  it('has the check values of 16:9 and 2.39:1', () => {
    const wide = concentricCleanFrame(FULL, MIDDLE, 19, 16 / 9);
    expect(wide.widthMm).toBeCloseTo(33.12, 3);
    expect(wide.heightMm).toBeCloseTo(18.63, 3);
    const scope = concentricCleanFrame(FULL, MIDDLE, 19, 2.39);
    expect(scope.widthMm).toBeCloseTo(35.055, 3);
    expect(scope.heightMm).toBeCloseTo(14.667, 3);
  });

  it('lies inside circle and frame, touches one of them, and is no smaller when free to move', () => {
    fc.assert(
      fc.property(
        frames,
        offsets,
        radii,
        fc.double({ min: 0.5, max: 3, noNaN: true }),
        (frame, o, r, aspect) => {
          const fixed = concentricCleanFrame(frame, o, r, aspect);
          const free = freeCleanFrame(frame, o, r, aspect);
          // Where it is placed it lies within the frame and within the circle.
          const [fx, fy] = [free.widthMm / 2, free.heightMm / 2];
          expect(Math.abs(free.xMm) + fx).toBeLessThan(frame.widthMm / 2 + 1e-6);
          expect(Math.abs(free.yMm) + fy).toBeLessThan(frame.heightMm / 2 + 1e-6);
          const out = Math.hypot(Math.abs(free.xMm - o.xMm) + fx, Math.abs(free.yMm - o.yMm) + fy);
          if (free.widthMm > 0) expect(out).toBeLessThan(r + 1e-6);
          expect(free.heightMm).toBeGreaterThanOrEqual(fixed.heightMm - 1e-6);
          expect(fixed.widthMm).toBeLessThanOrEqual(frame.widthMm + 1e-9);
          if (fixed.heightMm > 0) {
            const corner = worstCornerRadius(fixed, o, NO_TRAVEL);
            expect(corner).toBeLessThanOrEqual(r + 1e-6);
            const touches =
              Math.abs(corner - r) < 1e-6 ||
              Math.abs(fixed.widthMm - frame.widthMm) < 1e-6 ||
              Math.abs(fixed.heightMm - frame.heightMm) < 1e-6;
            expect(touches).toBe(true);
          }
        },
      ),
    );
  });

  it('free to move is as large as trying every place finds', () => {
    const tried = (aspect: number): number => {
      let best = 0;
      for (let x = -6; x <= 6; x += 0.05) {
        for (let y = -6; y <= 6; y += 0.05) {
          const room = Math.min(12 - Math.abs(y), (18 - Math.abs(x)) / aspect);
          const [dx, dy] = [Math.abs(5 - x), Math.abs(-3 - y)];
          const [a, b, c] = [aspect ** 2 + 1, aspect * dx + dy, dx * dx + dy * dy - 17 * 17];
          best = Math.max(best, Math.min(room, (-b + Math.sqrt(b * b - a * c)) / a));
        }
      }
      return best * 2;
    };
    for (const aspect of [1, 1.5, 2.39]) {
      const free = freeCleanFrame(FULL, { xMm: 5, yMm: -3 }, 17, aspect);
      expect(free.heightMm).toBeCloseTo(tried(aspect), 1);
    }
  });
});

describe('scale-up in post', () => {
  it('has the check values of R 19', () => {
    expect(scaleUp(FULL, MIDDLE, 19, NO_TRAVEL)).toBeCloseTo(1.1386, 4);
    expect(scaleUp({ widthMm: 36, heightMm: 20.25 }, MIDDLE, 19, NO_TRAVEL)).toBeCloseTo(1.087, 4);
    expect(scaleUp(FULL, MIDDLE, 19, { xMm: 0, yMm: 0, discMm: 2 })).toBeCloseTo(1.2725, 4);
  });

  it('is none where the frame is covered, and does not exist where the halo is off it', () => {
    expect(scaleUp(FULL, MIDDLE, 30, NO_TRAVEL)).toBe(1);
    expect(scaleUp(FULL, { xMm: 20, yMm: 0 }, 15, NO_TRAVEL)).toBeNull();
    expect(scaleUp(FULL, MIDDLE, 2, { xMm: 0, yMm: 0, discMm: 2 })).toBeNull();
  });
});

describe('worst corner', () => {
  it('over a travel is as bad as the worst of all positions in it', () => {
    const sides = fc.constantFrom(0, 1);
    fc.assert(
      fc.property(
        frames,
        offsets,
        sides,
        sides,
        fc.double({ min: 0, max: 4, noNaN: true }),
        (frame, o, box, disc, t) => {
          const travel: Travel = { xMm: box * t, yMm: box * t * 0.7, discMm: disc * t * 0.9 };
          let found = 0;
          for (let a = 0; a < 720; a += 1) {
            const angle = (a / 360) * Math.PI;
            // A corner of the box, and from there a step of the disc.
            for (const [sx, sy] of CORNERS) {
              const dx = sx * travel.xMm + travel.discMm * Math.cos(angle);
              const dy = sy * travel.yMm + travel.discMm * Math.sin(angle);
              found = Math.max(
                found,
                ...cornerPlaces(frame, { xMm: o.xMm + dx, yMm: o.yMm + dy }).map(({ xMm, yMm }) =>
                  Math.hypot(xMm, yMm),
                ),
              );
            }
          }
          expect(worstCornerRadius(frame, o, travel)).toBeCloseTo(found, 3);
        },
      ),
      { numRuns: runs(50) },
    );
  });
});
