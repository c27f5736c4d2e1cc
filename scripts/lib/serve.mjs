/** Serving the built program on the loopback address. */
import { spawn } from 'node:child_process';
import { createServer } from 'node:net';

export const HOST = '127.0.0.1';

const isFree = (port) =>
  new Promise((resolve) => {
    const probe = createServer();
    probe.once('error', () => resolve(false));
    probe.listen(port, HOST, () => probe.close(() => resolve(true)));
  });

/** `port`, or the next free one after it. */
export async function freePort(port) {
  for (let p = port; p < port + 200; p += 1) if (await isFree(p)) return p;
  throw new Error(`no free port from ${port} on`);
}

async function answers(url, child) {
  for (let i = 0; i < 240; i += 1) {
    if (child.exitCode !== null) throw new Error('the server stopped before it answered');
    try {
      await fetch(url, { redirect: 'manual' });
      return;
    } catch {
      await new Promise((resolve) => setTimeout(resolve, 125));
    }
  }
  throw new Error('the server did not answer within 30 s');
}

/** Starts `next start` or `next dev`; answers the address and how to stop it. */
export async function serve({ port, demo = false, mode = 'start' }) {
  const chosen = await freePort(port);
  const child = spawn(
    process.execPath,
    ['node_modules/next/dist/bin/next', mode, '-H', HOST, '-p', String(chosen)],
    {
      stdio: ['ignore', mode === 'dev' ? 'inherit' : 'ignore', 'inherit'],
      env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1', HALO_DEMO: demo ? '1' : '' },
    },
  );
  const url = `http://${HOST}:${chosen}`;
  await answers(url, child);
  const stopped = new Promise((resolve) => child.once('exit', resolve));
  return {
    url,
    stopped,
    stop: () => {
      child.kill('SIGTERM');
      return stopped;
    },
  };
}

/** Serves until Ctrl-C. */
export async function serveUntilStopped(options) {
  const server = await serve({ port: Number(process.env.PORT) || 3000, ...options });
  console.log(`\n  Wandering Halo: ${server.url}\n\n  Ctrl-C stops it.\n`);
  for (const signal of ['SIGINT', 'SIGTERM']) {
    process.once(signal, () => void server.stop().then(() => process.exit(0)));
  }
  process.exitCode = (await server.stopped) ?? 0;
}
