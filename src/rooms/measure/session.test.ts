import { describe, expect, it } from 'vitest';
import { partOf } from '../../../tests/support/plainRig';
import { isOfWholeRig } from './session';

describe('a frame', () => {
  it('is of the lens alone behind plain parts only: glass, a rim of its own and what carries it out change its halo', () => {
    const plain = partOf('plain adapter');
    const rim = { edgeRadiusMm: 18, softnessMm: 2, fNumber: 4, exitPupilMm: null };
    for (const parts of [[], [plain], [partOf('shift adapter', { shiftMm: 8 })]])
      expect(isOfWholeRig({ parts })).toBe(false);
    // 10 mm of tube behind a 50 mm with P 1 make its halo a fifth larger: 1 + m/P, m = 10/50.
    for (const part of [
      partOf('extension tube', { thicknessMm: 10 }),
      partOf('helicoid', { helicoidMm: 8 }),
      partOf('focal reducer', { factor: 0.71 }),
      partOf('plain adapter', { ownRim: rim }),
    ])
      expect(isOfWholeRig({ parts: [plain, part] })).toBe(true);
  });
});
