/** Fit comes before coverage. */
import { describe, expect, it } from 'vitest';
import { partOf, plainRig } from '../../../tests/support/plainRig';
import { NO_ELECTRONICS } from '../kit/records';
import { quickLens } from '../kit';
import { evaluate } from './report';
import { offerOfChain } from './search';

const fourFacts = quickLens(
  {
    name: '28-80mm f/3.5-5.6',
    maker: '',
    mountId: 'slr',
    focalMinMm: 28,
    focalMaxMm: 80,
    openFNumberWide: 3.5,
    openFNumberLong: 5.6,
    designFormat: { widthMm: 36, heightMm: 24 },
  },
  'four',
);
const reducer = partOf('focal reducer', { factor: 0.7, thicknessMm: 20, clearDepthMm: 3 });

describe('the headline', () => {
  it('is what keeps a rig from going together; the coverage is then said as if it did', () => {
    const apart = evaluate(plainRig({ parts: [] }));
    expect(apart.fitProblem?.words).toBe('Does not join');
    expect(apart.verdict.sentence).toMatch(
      /^Fifty has mount 44; .* takes mount 18\. If it went together: covered: /,
    );
    const strikes = evaluate(plainRig({ lens: { rearProtrusionMm: 4 }, parts: [reducer] }));
    expect(strikes.fitProblem?.words).toBe('Glass strikes');
    const long = evaluate(plainRig({ parts: [partOf('plain adapter', { thicknessMm: 27 })] }));
    expect(long.fitProblem?.words).toBe('No infinity');
    expect(long.fitProblem?.sentence).toMatch(/1\.00 mm too far out: in focus to 2\.60 m only/);
  });

  it('joins come before glass, glass before infinity', () => {
    const all = plainRig({
      lens: { rearProtrusionMm: 9 },
      parts: [{ ...reducer, frontMountId: 'elsewhere' }],
    });
    expect(evaluate(all).fitProblem?.words).toBe('Does not join');
  });

  it('is the verdict where all goes together, and where a tube gives up infinity on purpose', () => {
    expect(evaluate(plainRig()).fitProblem).toBeNull();
    const tube = partOf('extension tube', { rearMountId: 'slr', thicknessMm: 12 });
    const close = plainRig({ parts: [tube, partOf('plain adapter')] });
    expect(evaluate(close).fit.register.reachesInfinity).toBe(false);
    expect(evaluate(close).fitProblem).toBeNull();
    expect(evaluate(plainRig()).verdict.sentence).toMatch(/^Covered: /);
  });
});

describe('what nobody told of a lens', () => {
  const rig = { ...plainRig(), lens: fourFacts };

  it('is not known: no "it has no focus drive", no word of setting focal lengths anew', () => {
    const { autofocus, steady, fit } = evaluate({
      ...rig,
      settings: { ...rig.settings, stabiliser: true },
    });
    expect(autofocus.state).toBe('not known');
    expect(autofocus.sentence).toMatch(/not known/);
    expect(steady.zoomWarning).toBeNull();
    expect(fit.carriedKnown).toBe(false);
    expect(fit.aperture).toBe('not known');
  });

  it('its rear glass is minded before it is mounted behind anything, and in every chain', () => {
    expect(evaluate(rig).cautions.map((c) => c.id)).toContain('strike unknown');
    expect(offerOfChain(rig, [reducer]).reasons.join()).toMatch(/never measured/);
    expect(offerOfChain(rig, [reducer]).grade).toBe('with a catch');
    const measured = { ...rig, lens: { ...fourFacts, rearProtrusionMm: 0 } };
    expect(offerOfChain(measured, [partOf('plain adapter')]).reasons.join()).not.toMatch(
      /measured/,
    );
  });
});

describe('an aperture behind contacts that do not work it', () => {
  const mute = partOf('plain adapter', { electronics: NO_ELECTRONICS });
  const fit = (apertureRing: 'own ring' | 'none' | 'unknown', parts = [mute]) =>
    evaluate(plainRig({ lens: { apertureRing }, parts })).fit.aperture;

  it('is worked by a ring of its own, by nothing, or nobody knows', () => {
    expect(fit('own ring')).toBe('own ring');
    expect(fit('none')).toBe('nothing');
    expect(fit('unknown')).toBe('not known');
    expect(fit('none', [partOf('plain adapter')])).toBe('body');
  });

  it('a lens that never had contacts is worked by hand', () => {
    const old = plainRig({ lens: { electronics: NO_ELECTRONICS }, parts: [mute] });
    expect(evaluate(old).fit.aperture).toBe('own ring');
  });

  it('chains that lose it say so', () => {
    const lens = { apertureRing: 'none' as const };
    expect(offerOfChain(plainRig({ lens }), [mute]).reasons.join()).toMatch(/it stays open/);
  });
});
