/** npm run demo: the built program with the demo workspace, from a fresh clone in one command. */
import { addressFrom } from './lib/address.mjs';
import { readyBuild, readyPackages } from './lib/ready.mjs';
import { serveUntilStopped, started } from './lib/serve.mjs';

await started(async () => {
  // Before minutes of building: what was told wrongly is said at once.
  const address = addressFrom(process.env, 4280);
  await readyPackages();
  await readyBuild();
  await serveUntilStopped({ ...address, demo: true });
});
