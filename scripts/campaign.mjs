/**
 * npm run campaign: very many damaged inputs, full disks and killed browsers; `npm test` tries some of each. It
 * prints the seed it began from, and CAMPAIGN_SEED=that tries the same again.
 */
import { readyBuild, readyDebian, readyPackages } from './lib/ready.mjs';
import { bin, run } from './lib/run.mjs';

await readyPackages();
await readyDebian();
await readyBuild();
const seed = process.env.CAMPAIGN_SEED ?? String(Math.floor(Date.now() / 1000) % 1e8);
console.log(`CAMPAIGN_SEED=${seed}`);
const env = { CAMPAIGN: '1', CAMPAIGN_SEED: seed };
let isWhole = true;
for (const [project, path] of [
  ['unit', 'tests/campaign'],
  ['unit', 'src/store/together.test.ts'],
  ['browser', 'tests/browser/kills.test.ts'],
  ['browser', 'tests/browser/undoing.test.ts'],
]) {
  const { code } = await run(bin('vitest'), ['run', '--project', project, path], { env });
  isWhole &&= code === 0;
}
const { code: slow } = await run(bin('tsx'), ['scripts/campaign/slowest.ts'], { env });
isWhole &&= slow === 0;
process.exitCode = isWhole ? 0 : 1;
