import { describe, expect, it } from 'vitest';
import { EMPTY_WORKSPACE } from '@/core/kit/records';
import { NOTHING_TOLD, type StartAnswers, started } from '@/core/kit/starter';
import { isMissing, resolveRig, type Rig } from '../../rig';
import { plainLens, plainRig } from '../../../../tests/support/plainRig';
import { evaluate } from '../report';

const TOLD: Partial<StartAnswers> = {
  sensorId: '36x24',
  isStabilised: false,
  cameraMountId: 'slr-44',
  lensMountId: 'slr-44',
  engraved: '200mm 1:4',
  lensFormatId: '36x24',
  between: { kind: 'nothing' },
};

function rigOf(answers: Partial<StartAnswers>): Rig {
  const found = started({ ...NOTHING_TOLD, ...TOLD, ...answers }, EMPTY_WORKSPACE, {
    body: 'b',
    lens: 'l',
    rig: 'r',
  });
  if (!found.ok) throw new Error(found.problems[0]?.sentence);
  const { mounts, body, lens, part, rig } = found.value;
  const parts = part ? [part] : [];
  const whole = resolveRig(
    { ...EMPTY_WORKSPACE, mounts, bodies: [body], lenses: [lens], parts },
    rig,
  );
  if (isMissing(whole)) throw new Error(whole.missing);
  return whole;
}
const reportOf = (answers: Partial<StartAnswers>) => evaluate(rigOf(answers));

describe('what nobody told', () => {
  it('a lens on its own format with all told is sure enough; with a guess in it never', () => {
    const told = reportOf({});
    expect(told.verdict).toMatchObject({ kind: 'Clear' });
    expect(told.verdict.risk).toBeLessThan(0.1);
    const guesses: Partial<StartAnswers>[] = [
      { sensorId: null },
      { lensFormatId: null },
      { engraved: '' },
      { between: null, cameraMountId: 'ml-18' },
    ];
    for (const guess of guesses) {
      const { verdict, halo } = reportOf(guess);
      expect(verdict.risk).toBeGreaterThanOrEqual(0.3);
      expect(verdict.risk).toBeLessThanOrEqual(0.7);
      expect(halo.evidence.kind).toBe('estimated');
      expect(halo.evidence.doubts[0]).toMatch(/^nobody told/);
    }
  });

  it('mounts nobody told leave the coverage as sure as it was, and say so', () => {
    const { verdict, halo, surer, fit } = reportOf({ cameraMountId: null, lensMountId: null });
    expect(fit.register).toEqual({
      errorMm: null,
      longMm: null,
      reachesInfinity: null,
      farthestFocusM: null,
    });
    expect(reportOf({}).fit.register.reachesInfinity).toBe(true);
    expect(verdict.risk).toBeCloseTo(reportOf({}).verdict.risk, 9);
    expect(halo.evidence.doubts[0]).toMatch(/whether it goes together is not known/);
    expect(surer).toMatch(/mounts/);
  });

  it('the weightiest guess is what to find out first; then come test frames', () => {
    expect(reportOf({ sensorId: null, lensFormatId: null }).surer).toMatch(/sensor/);
    expect(reportOf({ lensFormatId: null, cameraMountId: null }).surer).toMatch(/format/);
    expect(reportOf({}).surer).toMatch(/^Two test frames/);
  });

  it('a lens measured from one frame wants a second; from two it wants nothing', () => {
    const lens = plainLens();
    const [sample] = lens.halo;
    if (!sample) throw new Error('the plain lens has a sample');
    const framed = (frames: number) => {
      const evidence = { ...sample.evidence, kind: 'measured' as const, frames };
      return evaluate({ ...plainRig(), lens: { ...lens, halo: [{ ...sample, evidence }] } }).surer;
    };
    expect(framed(1)).toMatch(/second test frame/);
    expect(framed(2)).toBeNull();
  });

  it('a format nobody told of a measured lens is no doubt any more', () => {
    const { lens: known, ...rig } = plainRig();
    const lens = { ...known, estimated: ['designFormat'] };
    expect(evaluate({ ...rig, lens }).halo.evidence.doubts.join()).not.toMatch(/nobody told/);
  });
});
