/** How long each reader takes over damaged input at most: nothing that small may keep anyone waiting for a second. */
import { randomOf } from '../../src/core/maths';
import { TRIALS } from '../../tests/campaign/readers';
import { CAMPAIGN_SEED } from '../../tests/campaign/size';

const TRIES = 2000;
const LONGEST_MS = 1000;

for (const { name, damaged } of TRIALS) {
  let slowest = { seed: CAMPAIGN_SEED, ms: 0 };
  for (let seed = CAMPAIGN_SEED; seed < CAMPAIGN_SEED + TRIES; seed += 1) {
    const began = performance.now();
    // What it comes to is the tests' affair.
    await damaged(randomOf(seed)).catch(() => undefined);
    const ms = performance.now() - began;
    if (ms > slowest.ms) slowest = { seed, ms };
  }
  const isSlow = slowest.ms > LONGEST_MS;
  console.log(
    `${isSlow ? 'SLOW' : 'ok  '} ${name}: at most ${slowest.ms.toFixed(0)} ms (CAMPAIGN_SEED=${slowest.seed})`,
  );
  if (isSlow) process.exitCode = 1;
}
