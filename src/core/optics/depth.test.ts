/** Depth of field against the textbook’s other forms of the same thin-lens formulas. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  depthFromSensor,
  depthOfField,
  depthOnThreeBases,
  hyperfocalM,
  type Placed,
} from './depth';

/** 50 mm, f/2, circle 1/32 mm: f²/(N c) is 40 m to the last bit. */
const LENS = [50, 2, 0.03125] as const;

describe('depth of field', () => {
  it('focused at the hyperfocal distance runs from half of it to infinity (its definition)', () => {
    const hyperfocal = hyperfocalM(...LENS);
    expect(hyperfocal).toBeCloseTo(40.05, 12);
    expect(depthOfField(...LENS, hyperfocal)).toEqual({
      nearM: expect.closeTo(hyperfocal / 2, 9) as number,
      farM: null,
      depthM: null,
    });
    expect(depthOfField(...LENS, hyperfocal - 0.001).farM).toBeGreaterThan(1000);
  });

  it('focused at infinity begins at f²/(N c) and has no end', () => {
    expect(depthOfField(...LENS, null)).toEqual({ nearM: 40, farM: null, depthM: null });
  });

  it('is as deep as the closed form 2 N c f² u (u - f) / (f⁴ - N² c² (u - f)²)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 10, max: 800, noNaN: true }),
        fc.double({ min: 0.95, max: 45, noNaN: true }),
        fc.double({ min: 0.05, max: 0.9, noNaN: true }),
        (f, n, share) => {
          const c = 0.03;
          const u = f * 1.2 + (hyperfocalM(f, n, c) * 1000 - f * 1.2) * share;
          fc.pre(u > f * 1.05 && n * c * (u - f) < f ** 2 * 0.95);
          const { nearM, farM, depthM } = depthOfField(f, n, c, u / 1000);
          const spread = n * c * (u - f);
          const closed = (2 * spread * f ** 2 * u) / (f ** 4 - spread ** 2) / 1000;
          expect(Math.abs((depthM ?? Number.NaN) / closed - 1)).toBeLessThan(1e-9);
          expect(nearM).toBeLessThan(u / 1000);
          expect(farM ?? 0).toBeGreaterThan(u / 1000);
        },
      ),
    );
  });

  it('of a focus inside the focal length stays a hair in front of the lens', () => {
    const { nearM, farM } = depthOfField(...LENS, 0.01);
    expect(nearM).toBeGreaterThan(0.05);
    expect(farM).toBeLessThan(0.051);
  });
});

describe('depth on three bases', () => {
  /** A thin lens that moves whole, counted from the sensor, as a handbook has it. */
  const thin = (focalMm: number, fNumber: number, m: number, factor = 1): Placed => ({
    subject: {
      distanceMm: focalMm * (1 + 1 / m),
      magnification: m * factor,
      entrancePupilMm: focalMm / fNumber,
      focalMm: focalMm * factor,
    },
    wayMm: focalMm * (1 + m),
  });
  const bases = (focalMm: number, fNumber: number, m: number, factor: number, circleMm = 0.02) =>
    depthOnThreeBases(
      {
        bare: thin(focalMm, fNumber, m),
        withPart: thin(focalMm, fNumber, m, factor),
        moved: thin(focalMm, fNumber, m / factor, factor),
      },
      factor,
      circleMm,
    );

  it('from one place, and against the larger format, is the same however near (the pupil stays)', () => {
    for (const factor of [0.64, 0.71, 1.4, 2])
      for (const m of [0.01, 0.1985, 0.6]) {
        const [place, , larger] = bases(105, 4, m, factor);
        expect(place!.ratio!).toBeCloseTo(1, 9);
        expect(larger!.ratio!).toBeCloseTo(1, 9);
      }
  });

  it('105 mm f/4 with 0.71x at 0.76 m: framed alike from 0.62 m, × 0.76 (by hand from 1/f = 1/u + 1/v)', () => {
    // D = f (2 + m + 1/m) = 760 gives m = 0.1985, u = 634; as large through 0.71x at m/0.71 = 0.2796: u = 480.6.
    const [, framing] = bases(105, 4, 0.19852, 0.71);
    expect(framing!.focusM).toBeCloseTo((480.6 + 105 * 1.2796) / 1000, 3);
    expect(framing!.ratio!).toBeCloseTo(480.6 / 633.9, 3);
    expect(framing!.bareLens.focusM).toBeCloseTo(0.76, 3);
  });

  it('has no ratio where either is endless, and no basis at infinity', () => {
    // 50 mm f/2, c 1/32 mm: endless from 40.05 m. m = f/(u - f).
    const at = (u: number, factor: number) =>
      bases(50, 2, 50 / (u * 1000 - 50), factor, 0.03125).map((b) => b.ratio);
    expect(at(45, 0.7)).toEqual([null, null, null]);
    // Framed alike from 28 m, the 35 mm f/1.4 ends; the bare lens at 40.06 m does not.
    expect(at(40.06, 0.7)[1]).toBeNull();
    expect(at(5, 0.7).every((r) => r !== null && r > 0)).toBe(true);
    const far: Placed = {
      subject: { distanceMm: null, magnification: 0, entrancePupilMm: 25, focalMm: 50 },
      wayMm: 50,
    };
    expect(depthOnThreeBases({ bare: far, withPart: far, moved: far }, 0.7, 0.02)).toEqual([]);
  });
});

describe('what is in focus, from the sensor', () => {
  it('85 mm f/1.8 on 1.8 m holds its own subject: 1.78 to 1.82 m (by hand)', () => {
    // m + 1/m = 1800/85 - 2: m = 0.0525, u = 1704; c = 43.267/1500; limits u/(1 ± N c (u - f)/f²), 89.5 mm behind.
    const m = 0.05253;
    const placed = {
      subject: {
        distanceMm: 85 * (1 + 1 / m),
        magnification: m,
        entrancePupilMm: 85 / 1.8,
        focalMm: 85,
      },
      wayMm: 85 * (1 + m),
    };
    const { nearM, focusM, farM } = depthFromSensor(placed, 43.267 / 1500);
    expect(focusM).toBeCloseTo(1.793, 2);
    expect(nearM).toBeCloseTo(focusM! - 0.0195, 3);
    expect(farM).toBeCloseTo(focusM! + 0.0199, 3);
  });
});
