import { describe, expect, it } from 'vitest';
import { demoRig } from '../../tests/support/demo';
import { apertureWords, ringRibbon, ringSpecs } from './rings';

const rings = (id: string) => Object.fromEntries(ringSpecs(demoRig(id)).map((r) => [r.name, r]));

describe('rings of a rig', () => {
  it('a zoom has three, a prime two', () => {
    expect(ringSpecs(demoRig('wheel-house-wide')).map((r) => r.name)).toEqual([
      'Zoom',
      'Aperture',
      'Focus',
    ]);
    expect(ringSpecs(demoRig('mill-pond')).map((r) => r.name)).toEqual(['Aperture', 'Focus']);
  });

  it('turn only as far as the lens goes', () => {
    const { Zoom, Aperture, Focus } = rings('wheel-house-wide');
    expect([Zoom!.scale.min, Zoom!.scale.max]).toEqual([18, 35]);
    expect([Aperture!.scale.min, Aperture!.scale.max]).toEqual([1.8, 16]);
    expect(Focus!.scale.min).toBe(0.28);
  });

  it('read what people type', () => {
    const { Zoom, Aperture, Focus } = rings('wheel-house-wide');
    expect(Zoom!.read('24')).toBe(24);
    expect(Zoom!.read('24 mm')).toBe(24);
    expect(Zoom!.read('23,5')).toBe(23.5);
    expect(Aperture!.read('f/2.8')).toBeCloseTo(2.8284, 4);
    expect(Aperture!.read('5.6')).toBeCloseTo(5.6569, 4);
    expect(Aperture!.read('16')).toBe(16);
    expect(Focus!.read('3 m')).toBe(3);
    expect(Focus!.read('inf')).toBe(Infinity);
    expect(Focus!.change(Infinity)).toEqual({ focusM: null });
  });

  it('refuse what the lens cannot do', () => {
    const { Zoom, Aperture, Focus } = rings('wheel-house-wide');
    for (const bad of ['', 'wide', '50', '-20', '1e3', '<b>24</b>'])
      expect(Zoom!.read(bad)).toBeNull();
    expect(Aperture!.read('1.2')).toBeNull();
    expect(Aperture!.read('22')).toBeNull();
    expect(Focus!.read('0.1')).toBeNull();
  });

  it('name apertures as engraved', () => {
    expect(apertureWords(Math.sqrt(8))).toBe('f/2.8');
    expect(apertureWords(1.8)).toBe('f/1.8');
    expect(apertureWords(1.9)).toBe('f/1.9');
  });

  it('have a ribbon each, over the whole ring', () => {
    const rig = demoRig('wheel-house-wide');
    for (const spec of ringSpecs(rig)) {
      const stretches = ringRibbon(rig, spec);
      expect(stretches.at(-1)?.to).toBe(1);
    }
  });
});
