/** The tests that judge a mutant: those of core, store and the house, and the outside checks, without the slow ones. */
import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  resolve: { alias: { '@': fileURLToPath(new URL('../../src', import.meta.url)) } },
  test: {
    include: [
      'src/core/**/*.test.ts',
      'src/store/**/*.test.ts',
      'src/rooms/bench/readings/demoFigures.test.ts',
      'src/ui/form/*.test.ts',
      'tests/house/**/*.test.ts',
      'tests/outside/**/*.test.ts',
    ],
    // Slow ones: whole populations of frames and files, which say nothing of a single line that others do not.
    exclude: [
      'src/core/measure/simulated.test.ts',
      'src/core/correction/even.test.ts',
      'tests/outside/lensfun.test.ts',
      'tests/outside/exiftool.test.ts',
      'tests/outside/priorsFit.test.ts',
      'tests/outside/lensfunOut.test.ts',
    ],
    env: { MOST_RUNS: '25', SEED: '20261126' },
    setupFiles: ['tests/support/seed.ts'],
    testTimeout: 120_000,
    hookTimeout: 120_000,
    environment: 'node',
  },
});
