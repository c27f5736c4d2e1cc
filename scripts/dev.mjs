/** npm run dev: the program as one works on it. */
import { addressFrom } from './lib/address.mjs';
import { readyPackages } from './lib/ready.mjs';
import { serveUntilStopped, started } from './lib/serve.mjs';

await started(async () => {
  // At an address of its own: what is kept for working offline at the others would stand before it.
  const address = addressFrom(process.env, 4290);
  await readyPackages();
  await serveUntilStopped({ ...address, demo: true, mode: 'dev' });
});
