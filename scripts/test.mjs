/** npm test: everything that must hold, from a fresh clone in one command. */
import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { readyDebian, readyBuild, readyPackages } from './lib/ready.mjs';
import { bin, run } from './lib/run.mjs';

await readyPackages();
await readyDebian();

const reports = mkdtempSync(join(tmpdir(), 'halo-tests-'));
const count = { passed: 0, failed: 0 };

/** One check that passes or fails as a whole. */
async function check(name, command, args) {
  const started = Date.now();
  const { code, output } = await run(command, args, { quiet: true });
  const seconds = ((Date.now() - started) / 1000).toFixed(1);
  console.log(`${code === 0 ? 'ok  ' : 'FAIL'} ${name} (${seconds} s)`);
  if (code !== 0) console.log(output);
  count[code === 0 ? 'passed' : 'failed'] += 1;
}

/** A vitest run; its tests are counted one by one. */
async function suite(name, projects) {
  const report = join(reports, `${name}.json`);
  const args = ['run', ...projects.flatMap((p) => ['--project', p])];
  const { code } = await run(bin('vitest'), [
    ...args,
    '--reporter=default',
    '--reporter=json',
    `--outputFile.json=${report}`,
  ]);
  try {
    const { numPassedTests, numFailedTests, numFailedTestSuites } = JSON.parse(
      readFileSync(report, 'utf8'),
    );
    count.passed += numPassedTests;
    // A file that breaks before its first test counts as a failure too.
    count.failed += Math.max(
      numFailedTests,
      code === 0 ? 0 : 1,
      numFailedTests === 0 ? numFailedTestSuites : 0,
    );
  } catch {
    count.failed += 1;
  }
}

await Promise.all([
  check('lint', bin('eslint'), ['.']),
  check('type check', bin('tsc'), ['--noEmit']),
  check('formatting', bin('prettier'), ['--check', '--log-level', 'warn', '.']),
  check('layers', bin('depcruise'), ['--config', '.dependency-cruiser.cjs', 'src', 'app']),
]);
await suite('unit', ['unit', 'outside']);
await readyBuild();
count.passed += 1;
await suite('browser', ['browser']);

console.log(`\n${count.passed} passed, ${count.failed} failed`);
process.exitCode = count.failed === 0 ? 0 : 1;
