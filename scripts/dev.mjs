/** npm run dev: the program as one works on it. */
import { readyPackages } from './lib/ready.mjs';
import { serveUntilStopped, started } from './lib/serve.mjs';

await started(async () => {
  await readyPackages();
  // At an address of its own: what is kept for working offline at the others would stand before it.
  await serveUntilStopped({ demo: true, mode: 'dev', port: 4290 });
});
