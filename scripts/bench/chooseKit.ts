/** A workspace of half a million combinations as a file, and one job. Bundled and run by npm run bench. */
import { writeWorkspace } from '../../src/core/exchange/json';
import { repeatedDemo } from './repeatedDemo';

console.log(JSON.stringify({ text: writeWorkspace(repeatedDemo(29)) }));
