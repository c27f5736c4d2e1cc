import { describe, expect, it } from 'vitest';
import { partOf, plainRig } from '../../../tests/support/plainRig';
import { EMPTY_WORKSPACE, type RigRecord, type RigSettings } from '../kit/records';
import { fitSettings, isMissing, resolveRig, turned } from './rig';

const rig = plainRig({
  lens: { focalMinMm: 20, focalMaxMm: 80, openFNumberWide: 2, openFNumberLong: 4 },
});
const fitted = (change: Partial<RigSettings>) => fitSettings({ ...rig.settings, ...change }, rig);

describe('settings', () => {
  it('are held within the zoom, the apertures there, the closest focus', () => {
    expect(fitted({ focalMm: 10 }).focalMm).toBe(20);
    expect(fitted({ focalMm: 100 }).focalMm).toBe(80);
    expect(fitted({ focalMm: 80, fNumber: 2 }).fNumber).toBe(4);
    expect(fitted({ focalMm: 20, fNumber: 1 }).fNumber).toBe(2);
    expect(fitted({ fNumber: 64 }).fNumber).toBe(16);
    expect(fitted({ focusM: 0.1 }).focusM).toBe(0.5);
    expect(fitted({ focusM: 3 }).focusM).toBe(3);
    expect(fitted({ focusM: null }).focusM).toBeNull();
  });

  it('a prime has one focal length', () => {
    const prime = plainRig();
    expect(fitSettings({ ...prime.settings, focalMm: 35 }, prime).focalMm).toBe(50);
  });

  it('crops and digital zooms the mode has not got are off', () => {
    expect(fitted({ cropId: 'active' }).cropId).toBe('active');
    expect(fitted({ cropId: 'unheard of' }).cropId).toBeNull();
    expect(fitted({ digitalZoom: 1.5 }).digitalZoom).toBe(1.5);
    expect(fitted({ digitalZoom: 1.7 }).digitalZoom).toBe(1);
  });

  it('that fit are the very same', () => {
    const within = { ...rig.settings, fNumber: 8 };
    expect(fitSettings(within, rig)).toBe(within);
    expect(turned(rig, { fNumber: 8, aspect: 2 }).settings).toEqual({ ...within, aspect: 2 });
  });

  it('an aperture that nothing works stays open: contacts lost and no ring of its own', () => {
    const mute = partOf('plain adapter', {
      electronics: { focus: false, aperture: false, metadata: false, stabiliser: false },
    });
    const at8 = (apertureRing: 'own ring' | 'none' | 'unknown', parts = [mute]) =>
      turned(plainRig({ lens: { apertureRing }, parts }), { fNumber: 8 }).settings.fNumber;
    expect(at8('none')).toBe(2);
    expect(at8('own ring')).toBe(8);
    // Nobody told: the ring stays free, and the readings say it is not known.
    expect(at8('unknown')).toBe(8);
    expect(at8('none', [partOf('plain adapter')])).toBe(8);
  });

  it('a lens whose smallest aperture is wider than its widest there keeps the widest', () => {
    const odd = { ...rig.lens, closedFNumber: 3 };
    expect(
      fitSettings({ ...rig.settings, focalMm: 80, fNumber: 3 }, { ...rig, lens: odd }).fNumber,
    ).toBe(4);
  });
});

describe('joining a rig', () => {
  const record: RigRecord = {
    id: 'r',
    name: 'R',
    bodyId: 'body',
    modeId: 'full',
    lensId: 'lens',
    partIds: ['plain adapter'],
    settings: rig.settings,
    note: '',
  };
  const workspace = {
    ...EMPTY_WORKSPACE,
    bodies: [rig.body],
    lenses: [rig.lens],
    parts: [...rig.parts],
    mounts: [...rig.mounts.values()],
  };

  it('puts the records together that it names', () => {
    const joined = resolveRig(workspace, record);
    if (isMissing(joined)) throw new Error(joined.missing);
    expect(joined).toMatchObject({ name: 'R', body: rig.body, mode: rig.mode, lens: rig.lens });
    expect(joined.parts).toEqual(rig.parts);
    expect([...joined.mounts.keys()]).toEqual(['slr', 'ml']);
  });

  it.each([
    ['body', { bodyId: 'x' }],
    ['mode', { modeId: 'x' }],
    ['lens', { lensId: 'x' }],
    ['part', { partIds: ['x'] }],
  ] satisfies [string, Partial<RigRecord>][])('names the %s that is missing', (missing, change) => {
    expect(resolveRig(workspace, { ...record, ...change })).toEqual({ missing, id: 'x' });
  });
});
