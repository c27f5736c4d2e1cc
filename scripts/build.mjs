/** npm run build: the program and its service worker, unless they are built from just these sources. */
import { readyBuild, readyPackages } from './lib/ready.mjs';

await readyPackages();
await readyBuild();
