/** npm run demo: the built program with the demo workspace, from a fresh clone in one command. */
import { hostFrom, namesFrom, portFrom } from './lib/address.mjs';
import { readyBuild, readyPackages } from './lib/ready.mjs';
import { serveUntilStopped, started } from './lib/serve.mjs';

await started(async () => {
  // Before minutes of building: what was told wrongly is said at once.
  const { HALO_HOSTS, HOST, PORT } = process.env;
  portFrom(PORT, 0);
  hostFrom(HOST);
  namesFrom(HALO_HOSTS);
  await readyPackages();
  await readyBuild();
  await serveUntilStopped({ demo: true });
});
