/** Serving the built program, on the loopback address unless it is told otherwise. */
import { spawn } from 'node:child_process';
import { createServer } from 'node:net';
import { hostname, networkInterfaces } from 'node:os';

const LOOPBACK = '127.0.0.1';

export const isFree = (port, host = LOOPBACK) =>
  new Promise((resolve) => {
    const probe = createServer();
    probe.once('error', () => resolve(false));
    probe.listen(port, host, () => probe.close(() => resolve(true)));
  });

/** This machine's addresses on its networks. */
const addresses = () =>
  Object.values(networkInterfaces())
    .flat()
    .filter((a) => a && !a.internal && a.family === 'IPv4')
    .map((a) => a.address);

/** Names the program answers to when others on the network are let in; those told by HALO_HOSTS with them. */
const networkNames = (host) => {
  const name = hostname().toLowerCase();
  const told = (process.env.HALO_HOSTS ?? '').split(',').filter(Boolean);
  return [...told, ...addresses(), host, name, `${name}.local`].join(',');
};

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

/**
 * Starts `next start` or `next dev`; answers the address and how to stop it. With `host` it listens there and
 * answers to this machine's own names on the network as well.
 */
export async function serve({ port, demo = false, mode = 'start', host = LOOPBACK }) {
  const chosen = await freePort(port);
  const isOpen = host !== LOOPBACK;
  const child = spawn(
    process.execPath,
    ['node_modules/next/dist/bin/next', mode, '-H', host, '-p', String(chosen)],
    {
      stdio: ['ignore', mode === 'dev' ? 'inherit' : 'ignore', 'inherit'],
      env: {
        ...process.env,
        NEXT_TELEMETRY_DISABLED: '1',
        HALO_DEMO: demo ? '1' : '',
        ...(isOpen ? { HALO_HOSTS: networkNames(host) } : {}),
      },
    },
  );
  const url = `http://${isOpen && host !== '0.0.0.0' ? host : LOOPBACK}:${chosen}`;
  await answers(url, child);
  const stopped = new Promise((resolve) => child.once('exit', resolve));
  return {
    url,
    /** Where others on the network find it. */
    urls: isOpen ? addresses().map((address) => `http://${address}:${chosen}`) : [],
    stopped,
    stop: () => {
      child.kill('SIGTERM');
      return stopped;
    },
  };
}

/** Serves until Ctrl-C. */
export async function serveUntilStopped(options) {
  const { HOST, PORT } = process.env;
  const server = await serve({
    port: Number(PORT) || 4280,
    ...(HOST && { host: HOST }),
    ...options,
  });
  console.log(`\n  Wandering Halo: ${server.url}`);
  for (const url of server.urls) console.log(`  on this network: ${url}`);
  console.log('\n  Ctrl-C stops it.\n');
  for (const signal of ['SIGINT', 'SIGTERM']) {
    process.once(signal, () => void server.stop().then(() => process.exit(0)));
  }
  process.exitCode = (await server.stopped) ?? 0;
}
