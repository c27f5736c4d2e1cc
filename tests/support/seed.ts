/**
 * Property tests draw anew on every run and print the seed of what they found. SEED=that npm run test:unit
 * runs all of them on the same draws again.
 */
import fc from 'fast-check';

const { SEED, MOST_RUNS } = process.env;
if (SEED !== undefined) fc.configureGlobal({ seed: Number(SEED) });

/** So many draws of a property; fewer where a mutant waits for each of them. */
export const runs = (wanted: number): number => Math.min(wanted, Number(MOST_RUNS ?? Infinity));
if (MOST_RUNS !== undefined)
  fc.configureGlobal({ ...fc.readConfigureGlobal(), numRuns: runs(100) });
