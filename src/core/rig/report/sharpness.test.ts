import { describe, expect, it } from 'vitest';
import { demoRig } from '../../../../tests/support/demo';
import type { Rig } from '../rig';
import { evaluate } from './evaluate';
import { converterOrCrop } from './sharpness';

describe('converter or crop', () => {
  const rig = demoRig('waders-at-dawn');

  it('coarse pixels behind a sharp lens favour the converter', () => {
    const coarse: Rig = { ...rig, mode: { ...rig.mode, widthPx: 3000, heightPx: 2000 } };
    expect(converterOrCrop(coarse, 1.4, 4)).toMatchObject({ winner: 'converter' });
  });

  it('is said of rigs that magnify, and of no others', () => {
    expect(evaluate(rig).sharpness.converterOrCrop?.sentence).toMatch(/\.$/);
    expect(evaluate(demoRig('wheel-house-wide')).sharpness.converterOrCrop).toBeNull();
  });

  it('a soft lens on fine pixels does not gain', () => {
    const soft: Rig = { ...rig, lens: { ...rig.lens, resolutionLpMm: 25 } };
    expect(converterOrCrop(soft, 2, 8).winner).not.toBe('converter');
  });
});
