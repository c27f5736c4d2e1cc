/** npm run dev: the program as one works on it. */
import { readyPackages } from './lib/ready.mjs';
import { serveUntilStopped } from './lib/serve.mjs';

await readyPackages();
// At an address of its own: what is kept for working offline at the others would stand before it.
await serveUntilStopped({ demo: true, mode: 'dev', ...(process.env.PORT ? {} : { port: 4290 }) });
