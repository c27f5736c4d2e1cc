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
    // Many minutes each, and of measuring, which is tried by sample.
    exclude: ['src/core/measure/**', 'src/core/bench-camera/**'],
    setupFiles: ['tests/support/seed.ts'],
    testTimeout: 120_000,
    environment: 'node',
  },
});
