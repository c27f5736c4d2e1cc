/** Serves the built program for the browser tests: once with the demo, once empty. */
import type { TestProject } from 'vitest/node';
import { serve } from '../../scripts/lib/serve.mjs';

declare module 'vitest' {
  interface ProvidedContext {
    demoUrl: string;
    emptyUrl: string;
  }
}

export default async function setup(project: TestProject): Promise<() => Promise<void>> {
  const demo = await serve({ port: 4310, demo: true });
  const empty = await serve({ port: 4350 });
  project.provide('demoUrl', demo.url);
  project.provide('emptyUrl', empty.url);
  return async () => {
    await Promise.all([demo.stop(), empty.stop()]);
  };
}
