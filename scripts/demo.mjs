/** npm run demo: the built program with the demo workspace, from a fresh clone in one command. */
import { readyBuild, readyPackages } from './lib/ready.mjs';
import { serveUntilStopped } from './lib/serve.mjs';

await readyPackages();
await readyBuild();
await serveUntilStopped({ demo: true });
