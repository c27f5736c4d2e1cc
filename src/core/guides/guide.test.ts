import sharp from 'sharp';
import { describe, expect, it } from 'vitest';
import { demoRig } from '../../../tests/support/demo';
import { plainRig } from '../../../tests/support/plainRig';
import { lightAt, transmissionAt } from '../halo';
import { limitStops } from '../kit/records';
import { evaluate } from '../rig/report';
import { turned, type Rig } from '../rig';
import { guideOf, reachIn, type Guide } from './guide';
import { guideSvg } from './guideSvg';

const PLAIN = { protection: 0, desqueezed: false };

function guideFor(rig: Rig, choice = PLAIN): Guide {
  const guide = guideOf(rig, evaluate(rig), choice);
  if (!guide.ok) throw new Error(guide.problems[0]?.sentence);
  return guide.value;
}

describe('a frame guide', () => {
  it('lays the delivered frame over the recorded picture, to the pixel', () => {
    // 36x24 recorded at 3000 x 2000: 2.39:1 is 3000 x 1255.23, its top at 372.38.
    const { delivered, widthPx, heightPx } = guideFor(turned(plainRig(), { aspect: 2.39 }));
    expect([widthPx, heightPx]).toEqual([3000, 2000]);
    expect(delivered.width).toBeCloseTo(3000, 6);
    expect(delivered.height).toBeCloseTo(3000 / 2.39, 6);
    expect(delivered.y).toBeCloseTo((2000 - 3000 / 2.39) / 2, 6);
  });

  it('keeps the pixels of video under a crop, and loses those of stills', () => {
    const video = guideFor(turned(plainRig(), { digitalZoom: 1.5 }));
    expect(video.widthPx).toBe(3000);
    const rig = plainRig({ settings: { digitalZoom: 1.5 } });
    const stills = guideFor({
      ...rig,
      mode: { ...rig.mode, use: 'stills', recordedWidthPx: null },
    });
    expect([stills.widthPx, stills.heightPx]).toEqual([4000, 2667]);
  });

  it('moves the halo with its own centre and stretches it with the squeeze', () => {
    const rig = demoRig('long-wall');
    const [squeezed, seen] = [guideFor(rig), guideFor(rig, { ...PLAIN, desqueezed: true })];
    expect(seen.widthPx).toBe(Math.round(squeezed.widthPx * rig.lens.squeeze));
    expect(seen.edge.rx / squeezed.edge.rx).toBeCloseTo(rig.lens.squeeze, 3);
    expect(seen.edge.ry).toBe(squeezed.edge.ry);
    const { xMm } = evaluate(rig).halo.model.centre;
    expect((squeezed.edge.cx - squeezed.centre.x) / squeezed.widthPx).toBeCloseTo(
      xMm / rig.mode.widthMm,
      6,
    );
  });

  it('refuses a picture no browser draws, with a sentence', () => {
    const rig = plainRig();
    const huge = { ...rig, mode: { ...rig.mode, recordedWidthPx: 90_000 } };
    const guide = guideOf(huge, evaluate(huge), PLAIN);
    expect(guide.ok).toBe(false);
    expect(!guide.ok && guide.problems[0]?.sentence).toContain('90000 × 60000');
  });

  it('shows markup in names as text', () => {
    const svg = guideSvg(guideFor(plainRig()), '<script>alert(1)</script>', '"&\'');
    expect(svg).not.toContain('<script>');
    expect(svg).toContain('&#60;script&#62;');
  });
});

/** What stands on a picture at a place, by the core's own light and not by the guide's ellipses. */
function zonesOf(rig: Rig, guide: Guide) {
  const { halo, frame } = evaluate(rig);
  const recordedMm = (rig.mode.widthMm * rig.settings.postScale) / frame.delivered.linearCrop;
  const mmPerPx = recordedMm / guide.widthPx;
  const dimmest = 2 ** -limitStops(rig.judgement);
  return (x: number, y: number): 'clear' | 'shaded' | 'black' => {
    const r = Math.hypot(
      (x - guide.centre.x) * mmPerPx - halo.model.centre.xMm,
      (y - guide.centre.y) * mmPerPx - halo.model.centre.yMm,
    );
    const through = transmissionAt(halo.model.rims, r);
    if (through < 0.01) return 'black';
    return lightAt(halo.model, r).light < dimmest || through < 1 / 8 ? 'shaded' : 'clear';
  };
}

describe('the drawn guide', () => {
  it.each(['wheel-house-wide', 'lantern-room', 'miller-portrait', 'sluice-tower'])(
    'shades what is dark and blackens what is black, pixel by pixel: %s',
    async (id) => {
      const rig = demoRig(id);
      const guide = guideFor(rig);
      const svg = guideSvg(guide, id, '');
      const { data, info } = await sharp(Buffer.from(svg), { limitInputPixels: false })
        .ensureAlpha()
        .raw()
        .toBuffer({ resolveWithObject: true });
      expect([info.width, info.height]).toEqual([guide.widthPx, guide.heightPx]);
      const nearLine = (x: number, y: number): boolean => {
        const u = guide.widthPx / 900;
        const { delivered: d, centre, edge } = guide;
        const onBox =
          Math.min(Math.abs(x - d.x), Math.abs(x - d.x - d.width)) < 6 * u ||
          Math.min(Math.abs(y - d.y), Math.abs(y - d.y - d.height)) < 6 * u;
        const onCentre = Math.hypot(x - centre.x, y - centre.y) < 20 * u;
        return onBox || onCentre || Math.abs(reachIn(edge, x, y) - 1) * edge.ry < 4 * u;
      };
      const step = Math.max(3, Math.round(guide.widthPx / 240));
      const zoneAt = zonesOf(rig, guide);
      const seen = { clear: 0, shaded: 0, black: 0 };
      for (let y = step; y < guide.heightPx; y += step) {
        for (let x = step; x < guide.widthPx; x += step) {
          if (nearLine(x, y)) continue;
          const zone = zoneAt(x + 0.5, y + 0.5);
          // At the very border of a zone a pixel is part of both.
          const border = [-1.5, 1.5].some(
            (by) =>
              zoneAt(x + 0.5 + by, y + 0.5 + by) !== zone ||
              zoneAt(x + 0.5 - by, y + 0.5 + by) !== zone,
          );
          if (border) continue;
          const alpha = (data[(y * info.width + x) * 4 + 3] ?? 0) / 255;
          const expected =
            zone === 'clear' ? 0 : zone === 'shaded' ? 0.16 : 1 - (1 - 0.16) * (1 - 0.62);
          if (Math.abs(alpha - expected) > 0.012)
            throw new Error(`${id} at ${x},${y}: ${zone} but alpha ${alpha}`);
          seen[zone] += 1;
        }
      }
      expect(seen.clear).toBeGreaterThan(100);
    },
    60_000,
  );
});
