/** Rear glass nobody measured: where it is said that it may strike. */
import { describe, expect, it } from 'vitest';
import { plainRig } from '../../../tests/support/plainRig';
import { evaluate } from './report';

const idsOf = (rig: ReturnType<typeof plainRig>) => evaluate(rig).cautions.map((c) => c.id);
const straight = (widthMm: number, heightMm: number, rearProtrusionMm: number | null = null) => {
  const rig = plainRig({ lens: { designFormat: { widthMm, heightMm }, rearProtrusionMm } });
  return { ...rig, parts: [], body: { ...rig.body, mountId: rig.lens.mountId } };
};

describe('rear glass nobody measured', () => {
  it('of a lens for a small format straight on a 36x24 body is the first thing said', () => {
    expect(idsOf(straight(23.5, 15.6))[0]).toBe('strike unknown');
    expect(idsOf(straight(17.3, 13))[0]).toBe('strike unknown');
  });

  it('of a lens for the body’s own format on its own mount is none: such are made for it', () => {
    expect(idsOf(straight(36, 24))).not.toContain('strike unknown');
    expect(idsOf(straight(43.8, 32.9))).not.toContain('strike unknown');
  });

  it('behind an adapter is said of any lens', () => {
    expect(idsOf(plainRig({ lens: { rearProtrusionMm: null } }))[0]).toBe('strike unknown');
  });
});
