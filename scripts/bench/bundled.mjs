import { join } from 'node:path';
import { build } from 'esbuild';
import { run } from '../lib/run.mjs';

/** Inside the checkout: a bundle leaves some packages out, and looks for them from where it lies. */
const BUNDLES = 'node_modules/.cache/wandering-halo-bench';

/** Bundles and runs a script of the bench; answers what it printed. */
export async function bundled(name) {
  const outfile = join(BUNDLES, `${name}.mjs`);
  await build({
    entryPoints: [`scripts/bench/${name}.ts`],
    bundle: true,
    format: 'esm',
    mainFields: ['module', 'main'],
    platform: 'node',
    // Bundled they would look for their own files in the wrong place.
    external: ['sharp', '@techstark/opencv-js'],
    alias: { '@': './src' },
    outfile,
  });
  const { output } = await run(process.execPath, [outfile], { capture: true });
  return JSON.parse(output);
}
