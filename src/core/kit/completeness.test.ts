import { describe, expect, it } from 'vitest';
import { partOf, plainLens, plainRig } from '../../../tests/support/plainRig';
import { type Tables, mountExample } from './records';
import type { KitTable } from './fields';
import { hintsFor } from './completeness';

const paths = <T extends KitTable>(table: T, record: Tables[T]) =>
  hintsFor(table, record).map((h) => h.path);

describe('what a record does not say', () => {
  const [sample] = plainLens().halo;

  it('a lens of which all is told lacks nothing', () => {
    expect(paths('lenses', plainLens())).toEqual([]);
  });

  it('a lens is asked for its halo first, then for what may strike, its T-stop and pupil', () => {
    const bare = plainLens({
      halo: [],
      rearProtrusionMm: null,
      tStop: null,
      pupilMagnification: null,
    });
    expect(paths('lenses', bare)).toEqual([
      'halo',
      'rearProtrusionMm',
      'tStop',
      'pupilMagnification',
    ]);
    expect(paths('lenses', plainLens({ estimated: ['closestFocusM', 'tStop'] }))).toEqual([
      'closestFocusM',
    ]);
  });

  it('a setting measured from one frame is told, a published one is not', () => {
    const from = (evidence: Partial<NonNullable<typeof sample>['evidence']>) =>
      hintsFor(
        'lenses',
        plainLens({ halo: [{ ...sample!, evidence: { ...sample!.evidence, ...evidence } }] }),
      );
    expect(from({ frames: 1 })[0]?.sentence).toMatch(/one frame/);
    expect(from({ frames: 2 })).toEqual([]);
    expect(from({ kind: 'published', frames: 0 })).toEqual([]);
  });

  it('a body is asked for its free depth where neither bay nor mirror is known, its crops and its autofocus', () => {
    const { body } = plainRig();
    expect(paths('bodies', body)).toEqual(['modes']);
    const [mode] = body.modes;
    const measured = { ...mode!, crops: mode!.crops.map((c) => ({ ...c, measured: 1.12 })) };
    const known = { ...body, modes: [measured] };
    expect(paths('bodies', known)).toEqual([]);
    expect(paths('bodies', { ...known, clearDepthMm: null, mirrorDepthMm: 9 })).toEqual([]);
    expect(paths('bodies', { ...known, clearDepthMm: null, autofocusLimitFNumber: null })).toEqual([
      'clearDepthMm',
      'autofocusLimitFNumber',
    ]);
  });

  it('glass is asked for its room, its light and its rim; a plain adapter for nothing', () => {
    const reducer = partOf('focal reducer', { factor: 0.7 });
    expect(paths('parts', reducer)).toEqual(['clearDepthMm', 'transmission', 'ownRim']);
    expect(paths('parts', partOf('plain adapter'))).toEqual([]);
    const told = {
      clearDepthMm: 5,
      transmission: 0.9,
      ownRim: { edgeRadiusMm: 20, softnessMm: 1, fNumber: 2, exitPupilMm: null },
    };
    expect(paths('parts', { ...reducer, ...told })).toEqual([]);
  });

  it('a mount is asked for its throat, a marking for nothing', () => {
    expect(paths('mounts', mountExample)).toEqual([]);
    expect(paths('mounts', { ...mountExample, throatMm: null })).toEqual(['throatMm']);
    const designFormat = { widthMm: 36, heightMm: 24 };
    expect(paths('markings', { id: 'm', name: 'X', designFormat, note: '' })).toEqual([]);
  });
});
