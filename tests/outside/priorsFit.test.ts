/**
 * Source: the Lensfun database as Debian packages it (liblensfun-data-v1, data under CC BY-SA 3.0). Whether the
 * committed constants of the estimates are those the data gives. Fitting takes its time.
 */
import { describe, expect, it } from 'vitest';
import { PRIOR_CONSTANTS } from '@/core/halo';
import { nativeFalloffs } from '../../scripts/priors/database';
import { fitPriors } from '../../scripts/priors/fit';
import { isZoom } from '../../scripts/priors/model';

const all = nativeFalloffs();

describe.each(['prime', 'zoom'] as const)('%s', (kind) => {
  it('has the constants the data gives', () => {
    const committed = PRIOR_CONSTANTS[kind];
    const fitted = fitPriors(all.filter((l) => isZoom(l) === (kind === 'zoom')));
    committed.softness.forEach((v, i) => expect(fitted.softness[i]).toBeCloseTo(v, 2));
    committed.exitPupil.forEach((v, i) => expect(fitted.exitPupil[i]).toBeCloseTo(v, 2));
    expect(fitted.sigma.softness).toBeCloseTo(committed.sigma.softness, 2);
    committed.sigma.falloff.forEach((v, i) => expect(fitted.sigma.falloff[i]).toBeCloseTo(v, 2));
  });
});
