/** npm run dev: the program as one works on it. */
import { readyPackages } from './lib/ready.mjs';
import { serveUntilStopped } from './lib/serve.mjs';

await readyPackages();
await serveUntilStopped({ demo: true, mode: 'dev' });
