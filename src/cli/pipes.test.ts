import { execFile } from 'node:child_process';
import { promisify } from 'node:util';
import { expect, it } from 'vitest';

const run = promisify(execFile);

it('a reader that goes away early ends the command without a word', async () => {
  const halo = 'node bin/halo.mjs sweep docs/examples/tide-mill.workspace.json#wheel-house-wide';
  const { stdout, stderr } = await run('bash', ['-c', `${halo} | head -c 1`]);
  expect(stdout).toHaveLength(1);
  expect(stderr).toBe('');
});
