/**
 * Property tests draw anew on every run and print the seed of what they found. SEED=that npm run test:unit
 * runs all of them on the same draws again.
 */
import fc from 'fast-check';

const { SEED } = process.env;
if (SEED !== undefined) fc.configureGlobal({ seed: Number(SEED) });
