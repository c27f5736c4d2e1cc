import { describe, expect, it } from 'vitest';
import { demoRig } from '../../../../tests/support/demo';
import { plainRig } from '../../../../tests/support/plainRig';
import { evaluate } from './evaluate';
import { converterOrCrop } from './converterOrCrop';

describe('converter or crop', () => {
  const rig = demoRig('waders-at-dawn');

  it('coarse pixels behind a sharp lens favour the converter', () => {
    expect(converterOrCrop(rig.lens, 1.4, 4, 36 / 3000)).toMatchObject({ winner: 'converter' });
  });

  it('is said of rigs that magnify, and of no others', () => {
    expect(evaluate(rig).sharpness.converterOrCrop?.sentence).toMatch(/\.$/);
    expect(evaluate(demoRig('wheel-house-wide')).sharpness.converterOrCrop).toBeNull();
  });

  it('a soft lens on fine pixels does not gain', () => {
    const soft = { ...rig.lens, resolutionLpMm: 25 };
    expect(converterOrCrop(soft, 2, 8, 36 / 6000).winner).not.toBe('converter');
  });
});

describe('the arithmetic of detail', () => {
  it('is that of lens, diffraction and sensor, each its own figure', () => {
    const plain = plainRig({ lens: { resolutionLpMm: 80 }, settings: { fNumber: 8 } });
    // What counts are the pixels of the file: a mode that records half of them resolves half.
    expect(evaluate(plain).sharpness.pitchMm).toBeCloseTo(36 / 3000, 9);
    const rig = { ...plain, mode: { ...plain.mode, recordedWidthPx: null } };
    const { sharpness } = evaluate(rig);
    // 36 mm over 6000 pixels: 6 µm, Nyquist 83.3 lp/mm; f/8 keeps half contrast at 91.8 lp/mm.
    expect(sharpness.pitchMm).toBeCloseTo(0.006, 9);
    expect(sharpness.nyquist).toBeCloseTo(83.333, 3);
    expect(sharpness.sensor).toBeCloseTo(0.8 * 83.333, 3);
    expect(sharpness.diffraction).toBeCloseTo(91.81, 1);
    expect(sharpness.lens).toBe(80);
    expect(sharpness.system).toBeCloseTo((80 ** -2 + 91.81 ** -2 + 66.667 ** -2) ** -0.5, 1);
    expect(sharpness.evidence).toBe('own figure');
    expect(evaluate(plainRig()).sharpness.evidence).toBe('class of lens');
  });

  const at = (resolutionLpMm: number, widthPx: number, factor: number, fNumber: number) => {
    const { lens } = plainRig({ lens: { resolutionLpMm } });
    return converterOrCrop(lens, factor, fNumber, 36 / widthPx);
  };

  it('names what holds the bare lens back: pixels, lens or diffraction', () => {
    expect(at(200, 2000, 2, 2).sentence).toMatch(/converter shows \d+ % more.*by the pixels/);
    expect(at(20, 12_000, 2, 2)).toMatchObject({ winner: 'crop' });
    expect(at(20, 12_000, 2, 2).sentence).toMatch(
      /^Cropping shows \d+ % more detail; the lens holds/,
    );
    expect(at(400, 40_000, 2, 22).sentence).toMatch(/diffraction|No visible difference/);
  });

  it('under five percent either way is no visible difference', () => {
    for (const lens of [30, 45, 60, 90, 150, 300])
      for (const px of [3000, 6000, 12_000])
        for (const n of [2.8, 8]) {
          const { gain, winner } = at(lens, px, 1.4, n);
          expect(winner).toBe(
            Math.abs(gain - 1) <= 0.05 ? 'neither' : gain > 1 ? 'converter' : 'crop',
          );
        }
    expect(at(60, 6000, 1.0001, 8).sentence).toMatch(/^No visible difference \(0 %\)/);
  });

  it('its percent is that of the gain', () => {
    const { gain, sentence } = at(200, 2000, 2, 2);
    expect(sentence).toContain(` ${Math.round((gain - 1) * 100)} %`);
  });
});
