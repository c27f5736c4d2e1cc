/**
 * npm run mutants: does anything notice when core or store are changed? Reports are kept out of the repository.
 * MUTATE=src/core/optics narrows it to some folders, with commas between; SAMPLE=40 takes so many lines of each
 * folder, drawn by SEED. Measuring is always taken by sample: its tests fit whole frames.
 */
import { samples } from './scripts/mutants/samples.mjs';

export default {
  testRunner: 'vitest',
  vitest: { configFile: 'scripts/mutants/vitest.config.ts' },
  plugins: ['@stryker-mutator/vitest-runner'],
  coverageAnalysis: 'perTest',
  // What runs once, when a file is loaded, is tables of formats, marks and schemas: each such mutant would
  // take the whole suite, and outside checks compare those tables anyway.
  ignoreStatic: true,
  concurrency: 2,
  mutate: samples(process.env),
  mutator: {
    excludedMutations: [
      // Words are read by people; a test that pins each of them would only repeat them.
      'StringLiteral',
      // A function kept in a constant is made once, when its file is loaded: exchanging it later changes
      // nothing, and would count as a survivor whatever the tests do. Its body is changed all the same.
      'ArrowFunction',
    ],
  },
  // A sample is judged by itself: what others found is not counted with it.
  incremental: process.env.SAMPLE === undefined,
  incrementalFile: 'node_modules/.cache/wandering-halo-mutants/incremental.json',
  reporters: ['clear-text', 'progress-append-only', 'json'],
  clearTextReporter: { allowColor: false, logTests: false, reportTests: false },
  jsonReporter: { fileName: 'node_modules/.cache/wandering-halo-mutants/report.json' },
  tempDirName: '.mutants',
  timeoutMS: 20_000,
  // Types do not run; generated files are compared to the letter.
  disableTypeChecks: false,
};
