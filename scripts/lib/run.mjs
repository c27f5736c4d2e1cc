/** Running other programs from the scripts. */
import { spawn } from 'node:child_process';

/** Runs a command in the project; answers its exit code and, with `capture`, what it printed. */
export function run(command, args, { capture = false, env = {}, quiet = false } = {}) {
  return new Promise((resolve) => {
    const child = spawn(command, args, {
      stdio: capture || quiet ? ['ignore', 'pipe', 'pipe'] : ['ignore', 'inherit', 'inherit'],
      env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1', ...env },
    });
    let output = '';
    child.stdout?.on('data', (chunk) => (output += chunk));
    child.stderr?.on('data', (chunk) => (output += chunk));
    child.on('error', (error) => resolve({ code: 127, output: String(error) }));
    child.on('close', (code) => resolve({ code: code ?? 1, output }));
  });
}

export const bin = (name) => `node_modules/.bin/${name}`;

export async function must(what, command, args, options) {
  const { code, output } = await run(command, args, options);
  if (code !== 0) {
    console.error(output || `${what} failed.`);
    process.exit(1);
  }
}
