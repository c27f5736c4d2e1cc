/** The tests that judge a mutant: those of the core and the outside checks, without the slow ones. */
import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  resolve: { alias: { '@': fileURLToPath(new URL('../../src', import.meta.url)) } },
  test: {
    include: [
      'src/core/**/*.test.ts',
      'src/rooms/bench/demoFigures.test.ts',
      'tests/outside/**/*.test.ts',
    ],
    // Slow ones, of measuring and of files: neither is mutated here.
    exclude: [
      'src/core/measure/**',
      'src/core/bench-camera/**',
      'src/core/exchange/**',
      'tests/outside/lensfun.test.ts',
      'tests/outside/exiftool.test.ts',
      'tests/outside/priorsFit.test.ts',
    ],
    env: { MOST_RUNS: '25', SEED: '20261126' },
    setupFiles: ['tests/support/seed.ts'],
    testTimeout: 120_000,
    environment: 'node',
  },
});
