import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

/** A net under what hangs, far above what any test takes on a busy machine. */
const testTimeout = 120_000;
const setupFiles = ['tests/support/seed.ts'];
const alias = { '@': fileURLToPath(new URL('./src', import.meta.url)) };

export default defineConfig({
  test: {
    maxWorkers: '100%',
    projects: [
      {
        resolve: { alias },
        test: {
          name: 'unit',
          include: [
            'src/**/*.test.ts',
            'scripts/**/*.test.ts',
            'tests/campaign/*.test.ts',
            'tests/house/*.test.ts',
          ],
          setupFiles,
          testTimeout,
          environment: 'node',
        },
      },
      {
        resolve: { alias },
        test: {
          name: 'outside',
          include: ['tests/outside/**/*.test.ts'],
          setupFiles,
          testTimeout,
          environment: 'node',
        },
      },
      {
        resolve: { alias },
        test: {
          name: 'browser',
          include: ['tests/browser/**/*.test.ts'],
          environment: 'node',
          testTimeout: 90_000,
          hookTimeout: 120_000,
          fileParallelism: false,
          globalSetup: ['tests/browser/serve.ts'],
        },
      },
    ],
  },
});
