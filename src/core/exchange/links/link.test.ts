import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { arbitraryOf } from '../../../../tests/support/arbitraries';
import { settingsSchema, type RigSettings } from '../../kit/records';
import { readRigQuery, rigQuery } from './link';

describe('deep link', () => {
  it('brings back rig and settings', () => {
    fc.assert(
      fc.property(
        arbitraryOf(settingsSchema),
        fc.string({ minLength: 1, maxLength: 80 }),
        (value, rigId) => {
          const settings = value as RigSettings;
          fc.pre(settings.cropId !== '' && settings.cropId !== 'none');
          const back = readRigQuery(rigQuery(rigId, settings));
          expect(back?.rigId).toBe(rigId);
          const { focalMm, fNumber, focusM, aspect, digitalZoom, ...rest } = back?.settings ?? {};
          expect(rest).toMatchObject({ cropId: settings.cropId, stabiliser: settings.stabiliser });
          for (const key of ['shiftXMm', 'shiftYMm', 'helicoidMm'] as const) {
            expect(rest[key]).toBeCloseTo(settings[key], 4);
          }
          const close = (a: number | null | undefined, b: number | null) =>
            b === null ? expect(a).toBeNull() : expect((a ?? NaN) / b).toBeCloseTo(1, 6);
          close(focalMm, settings.focalMm);
          close(fNumber, settings.fNumber);
          close(focusM, settings.focusM);
          close(aspect, settings.aspect);
          close(digitalZoom, settings.digitalZoom);
        },
      ),
    );
  });

  it('names no rig by more letters than an id has', () => {
    expect(readRigQuery(`?rig=${'a'.repeat(80)}`)?.rigId).toHaveLength(80);
    expect(readRigQuery(`?rig=${'a'.repeat(81)}`)).toBeNull();
    expect(readRigQuery('?focal=24')).toBeNull();
  });

  it('leaves out what a setting cannot be', () => {
    expect(readRigQuery('rig=a&aperture=NaN&focus=&zoom=99&deliver=1e9&down=900')).toEqual({
      rigId: 'a',
      settings: {},
    });
    expect(readRigQuery('focal=20')).toBeNull();
    expect(readRigQuery('')).toBeNull();
  });
});
