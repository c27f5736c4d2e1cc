import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

/** A net under what hangs, far above what any test or its preparation takes on a busy machine. */
const NET_MS = 600_000;
const nets = { testTimeout: NET_MS, hookTimeout: NET_MS };
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
          ...nets,
          environment: 'node',
        },
      },
      {
        resolve: { alias },
        test: {
          name: 'outside',
          include: ['tests/outside/**/*.test.ts'],
          setupFiles,
          ...nets,
          environment: 'node',
        },
      },
      {
        resolve: { alias },
        test: {
          name: 'browser',
          include: ['tests/browser/**/*.test.ts'],
          environment: 'node',
          ...nets,
          // Each file has a browser with a profile of its own, so that two can run side by side.
          maxWorkers: 2,
          globalSetup: ['tests/browser/serve.ts'],
        },
      },
    ],
  },
});
