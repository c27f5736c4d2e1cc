import { describe, expect, it } from 'vitest';
import { blurDiscMm } from './blur';
import { converterOfShift } from './converter';
import { farthestCornerMm, FULL_FRAME, parseFrame } from './formats';
import { nearestMenuFocalMm } from './steady';
import { angleOfView, anglesOfView, focusMagnification } from './view';

describe('angles of view', () => {
  it('of 50 mm on 36 x 24 are 39.6, 27.0 and 46.8 degrees (handbook table, from memory)', () => {
    const { horizontal, vertical, diagonal } = anglesOfView(FULL_FRAME, 50);
    expect(horizontal).toBeCloseTo(39.6, 1);
    expect(vertical).toBeCloseTo(27.0, 1);
    expect(diagonal).toBeCloseTo(46.8, 1);
  });

  it('narrow as the lens is drawn out: at half life size as of 1.5 times the focal length', () => {
    expect(angleOfView(36, 50, 0.5)).toBeCloseTo(angleOfView(36, 75), 12);
    expect(angleOfView(36, 50, 1)).toBeCloseTo(20.4, 1);
  });

  it('a 2x squeeze widens the horizontal alone', () => {
    const { horizontal, vertical } = anglesOfView(FULL_FRAME, 50, 0, 2);
    expect(horizontal).toBeCloseTo(angleOfView(72, 50), 12);
    expect(vertical).toBeCloseTo(angleOfView(24, 50), 12);
  });
});

describe('magnification', () => {
  it('is life size at four focal lengths from the sensor, and never more than the lens allows', () => {
    expect(focusMagnification(50, 0.1)).toBe(1);
    expect(focusMagnification(50, 0.06)).toBe(1);
    expect(focusMagnification(50, 0.06, 0.25)).toBe(0.25);
    expect(focusMagnification(50, 1.1025)).toBeCloseTo(0.05, 12);
    expect(focusMagnification(50, null)).toBe(0);
  });
});

describe('blur discs', () => {
  it('of a point at infinity are m times the pupil; of one twice as far as the focus, half that', () => {
    const magnification = 50 / 1950;
    const subject = { distanceMm: 2000, magnification, entrancePupilMm: 25 };
    expect(blurDiscMm(subject, null)).toBeCloseTo(magnification * 25, 12);
    expect(blurDiscMm(subject, 2000)).toBeCloseTo((magnification * 25) / 2, 12);
    expect(blurDiscMm(subject, 0)).toBe(0);
    expect(blurDiscMm({ ...subject, distanceMm: null }, null)).toBe(0);
  });
});

describe('a converter from its factor and shift', () => {
  it('is refused where it would stand in the image, or half a metre before it', () => {
    expect(converterOfShift(0.5, 0.25)).toBeNull();
    expect(converterOfShift(0.5, 250.1)).toBeNull();
    expect(converterOfShift(0.71, -5)).toBeNull();
    expect(converterOfShift(1, 5)).toBeNull();
    expect(converterOfShift(1, 0)).toBeNull();
    expect(converterOfShift(0.5, 250)?.frontMm).toBe(500);
  });

  it('keeps the thin-lens equation: 1/b = 1/a + 1/F, the image being virtual to it', () => {
    for (const [factor, shift] of [
      [0.71, 7.5],
      [0.64, 12],
      [1.4, -18],
      [2, -30],
    ] as const) {
      const found = converterOfShift(factor, shift);
      expect(1 / found!.backMm - 1 / found!.frontMm).toBeCloseTo(1 / found!.focalMm, 12);
      expect(found!.frontMm - found!.backMm).toBeCloseTo(shift, 12);
    }
  });
});

describe('frames', () => {
  it('are read from text, within 0.5 to 400 mm, and nothing else is', () => {
    expect(parseFrame('36.05 × 24.25')).toEqual({ widthMm: 36.05, heightMm: 24.25 });
    expect(parseFrame('0.5x400')).toEqual({ widthMm: 0.5, heightMm: 400 });
    for (const text of ['0.49x24', '36x400.1', '36x24 mm', 'a 36x24', '36', '36x', '36..x24'])
      expect(parseFrame(text)).toBeNull();
  });

  it('have their farthest corner on the far side of a point off the middle', () => {
    for (const [xMm, yMm] of [
      [2, 2],
      [-2, 2],
      [2, -2],
      [-2, -2],
    ] as const)
      expect(farthestCornerMm(FULL_FRAME, { xMm, yMm })).toBe(Math.hypot(20, 14));
  });
});

describe('a stabiliser’s menu', () => {
  it('is entered at the value nearest in ratio, not in millimetres', () => {
    // The middle of 70 and 100 is 83.7 by ratio, 85 by millimetres.
    expect(nearestMenuFocalMm(84, [50, 70, 100])).toBe(100);
    expect(nearestMenuFocalMm(83, [50, 70, 100])).toBe(70);
    expect(nearestMenuFocalMm(50, [])).toBeNull();
  });
});
