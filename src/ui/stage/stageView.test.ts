import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { FITTED, rulerMarks, stageView, toMm, toPx, zoomedAbout, zoomToCircle } from './stageView';

const full = { widthMm: 36, heightMm: 24 };
const px = fc.double({ min: 0, max: 700, noNaN: true });
const zooms = fc.record({
  factor: fc.double({ min: 0.3, max: 12, noNaN: true }),
  middle: fc.record({
    xMm: fc.double({ min: -20, max: 20, noNaN: true }),
    yMm: fc.double({ min: -20, max: 20, noNaN: true }),
  }),
});

describe('the view of the stage', () => {
  it('fitted, shows the circle about the whole read-out area', () => {
    const view = stageView(full, 712, 600);
    expect(toPx(view, { xMm: 0, yMm: 0 })).toEqual({ xPx: 356, yPx: 300 });
    expect((view.pxPerMm * Math.hypot(36, 24)) / 2).toBeLessThan(300);
  });

  it('a place and its point on the stage are each other', () => {
    fc.assert(
      fc.property(zooms, px, px, (zoom, xPx, yPx) => {
        const view = stageView(full, 712, 600, zoom);
        const back = toPx(view, toMm(view, { xPx, yPx }));
        expect(back.xPx).toBeCloseTo(xPx, 6);
        expect(back.yPx).toBeCloseTo(yPx, 6);
      }),
    );
  });

  it('zooming keeps what is under the pointer there', () => {
    fc.assert(
      fc.property(
        zooms,
        px,
        px,
        fc.double({ min: 0.3, max: 4, noNaN: true }),
        (zoom, xPx, yPx, by) => {
          const before = stageView(full, 712, 600, zoom);
          const after = stageView(full, 712, 600, zoomedAbout(zoom, by, before, { xPx, yPx }));
          const [a, b] = [toMm(before, { xPx, yPx }), toMm(after, { xPx, yPx })];
          expect(b.xMm).toBeCloseTo(a.xMm, 6);
          expect(b.yMm).toBeCloseTo(a.yMm, 6);
        },
      ),
    );
  });

  it('can be fitted to a halo larger than the stage', () => {
    const view = stageView(full, 712, 600);
    const centre = { xMm: 2, yMm: -1 };
    const fitted = stageView(full, 712, 600, zoomToCircle(view, FITTED, centre, 60));
    expect(toPx(fitted, centre)).toEqual({ xPx: 356, yPx: 300 });
    expect(60 * fitted.pxPerMm).toBeLessThanOrEqual(300);
  });
});

describe('rulers', () => {
  it('keep their marks apart, with figures at whole mm only', () => {
    fc.assert(
      fc.property(zooms, (zoom) => {
        const view = stageView(full, 712, 600, zoom);
        const marks = rulerMarks(view, 'x');
        marks.slice(1).forEach((mark, i) => {
          expect(mark.px - marks[i]!.px).toBeGreaterThan(6.9);
        });
        for (const { px: at, mm } of marks)
          expect(toPx(view, { xMm: mm, yMm: 0 }).xPx).toBeCloseTo(at, 6);
        const figures = marks.filter((m) => m.figure);
        expect(figures.every((m) => Number.isInteger(m.mm))).toBe(true);
        figures.slice(1).forEach((mark, i) => {
          expect(mark.px - figures[i]!.px).toBeGreaterThan(28);
        });
      }),
    );
  });
});
