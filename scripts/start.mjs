/**
 * npm start: the program for daily use, without the demo. It always stands at the same address, for a browser
 * keeps what one puts in by address.
 */
import { addressFrom, hostInUrl } from './lib/address.mjs';
import { readyBuild, readyPackages } from './lib/ready.mjs';
import { isFree, serveUntilStopped, started } from './lib/serve.mjs';

await started(async () => {
  const { host, port } = addressFrom(process.env, 4270);
  if (!(await isFree(port, host))) {
    console.error(
      `Port ${port} is taken at ${host}, perhaps by the program itself: look at http://${hostInUrl(host)}:${port}. At another port (PORT=...) it would show another kit, for the browser keeps it by address.`,
    );
    process.exit(1);
  }
  await readyPackages();
  await readyBuild();
  await serveUntilStopped({ host, port });
});
