/**
 * Writes what is derived from the record schemas: validators as plain code (a strict content policy
 * forbids compiling them in the browser) and the published schemas in docs/. Run after changing a
 * schema: npm run generate. A unit test fails when the files are stale.
 */
import { writeFileSync } from 'node:fs';
import { generatedFiles } from './generatedFiles';

for (const [path, content] of Object.entries(generatedFiles())) {
  writeFileSync(new URL(`../${path}`, import.meta.url), content);
  console.log(`wrote ${path}`);
}
