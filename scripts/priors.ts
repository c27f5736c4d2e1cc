/**
 * npm run priors: fits what is usual of lenses nobody measured to the Lensfun database as Debian packages it,
 * writes the constants, and tells how well they hold for lenses left out of the fit.
 */
import { writeFileSync } from 'node:fs';
import { format, resolveConfig } from 'prettier';
import { nativeFalloffs, type NativeFalloff } from './priors/database';
import { fitPriors } from './priors/fit';
import { isZoom } from './priors/model';
import { crossValidated, standing } from './priors/validate';

const TARGET = 'src/core/halo/priorConstants.ts';

const rounded = (value: number): number => Number(value.toFixed(3));

function constantsOf(lenses: readonly NativeFalloff[]) {
  const { softness, exitPupil, sigma } = fitPriors(lenses);
  return {
    softness: softness.map(rounded),
    exitPupil: exitPupil.map(rounded),
    sigma: { softness: rounded(sigma.softness), falloff: sigma.falloff.map(rounded) },
  };
}

const all = nativeFalloffs();
const [primes, zooms] = [all.filter((l) => !isZoom(l)), all.filter(isZoom)];
const constants = { prime: constantsOf(primes), zoom: constantsOf(zooms) };
const code = `/**
 * Made by \`npm run priors\` from the vignetting data of the Lensfun database (Debian package
 * liblensfun-data-v1, data under CC BY-SA 3.0); only these fitted constants are kept. Not written by hand.
 */
export const PRIOR_CONSTANTS = ${JSON.stringify(constants)} as const;
`;
writeFileSync(TARGET, await format(code, { ...(await resolveConfig(TARGET)), filepath: TARGET }));
console.log(`${TARGET} written, from ${new Set(all.map((l) => l.lens)).size} lenses.`);

const forecasts = [...crossValidated(primes), ...crossValidated(zooms)];
for (const which of ['open', 'f/8'] as const) {
  for (const [name, kind] of [
    ['primes', (l: NativeFalloff) => !isZoom(l)],
    ['zooms', isZoom],
    ['all', () => true],
  ] as const) {
    const s = standing(forecasts.filter((f) => f.which === which && kind(f.lens)));
    const brier = s.brier
      .map((b) => `${b.limit} stops ${b.ours.toFixed(3)} (base rate ${b.base.toFixed(3)})`)
      .join(', ');
    console.log(
      `${which.padEnd(5)} ${name.padEnd(7)} ${String(s.cases).padStart(4)} left out: median bias ${s.medianBias.toFixed(3)} stop, 90 % interval held ${(100 * s.held).toFixed(1)} %, Brier at ${brier}`,
    );
  }
}
