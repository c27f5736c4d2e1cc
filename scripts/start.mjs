/**
 * npm start: the program for daily use, without the demo. It always stands at the same address, for a browser
 * keeps what one puts in by address.
 */
import { readyBuild, readyPackages } from './lib/ready.mjs';
import { isFree, serveUntilStopped } from './lib/serve.mjs';

const port = Number(process.env.PORT) || 4270;
if (!(await isFree(port))) {
  console.error(
    `Port ${port} is taken, perhaps by the program itself: look at http://127.0.0.1:${port}. At another port (PORT=...) it would show another kit, for the browser keeps it by address.`,
  );
  process.exit(1);
}
await readyPackages();
await readyBuild();
await serveUntilStopped({ port });
