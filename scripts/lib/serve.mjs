/** Serving the built program, on the loopback address unless it is told otherwise. */
import { spawn } from 'node:child_process';
import { createServer, isIP } from 'node:net';
import { hostname, networkInterfaces } from 'node:os';
import { AddressProblem, hostInUrl, LOOPBACK, namesFrom } from './address.mjs';

/** Whether a port is free at one of this machine's addresses; another machine's is a problem of who told it. */
export const isFree = (port, host = LOOPBACK) =>
  new Promise((resolve, reject) => {
    const probe = createServer();
    probe.once('error', ({ code }) => {
      if (code === 'EADDRNOTAVAIL' || code === 'ENOTFOUND')
        reject(new AddressProblem(`HOST=${host} is no address of this machine.`));
      else resolve(false);
    });
    probe.listen(port, host, () => probe.close(() => resolve(true)));
  });

/** This machine's addresses on its networks. */
const addresses = (isIPv6) =>
  Object.values(networkInterfaces())
    .flat()
    .filter((a) => a && !a.internal && (a.family === 'IPv4' || (isIPv6 && !a.scopeid)))
    .map((a) => hostInUrl(a.address));

/** Names the program answers to when others on the network are let in; those told by HALO_HOSTS with them. */
const networkNames = (host) => {
  const name = hostname().toLowerCase();
  const told = namesFrom(process.env.HALO_HOSTS);
  return [...told, ...addresses(isIP(host) === 6), hostInUrl(host), name, `${name}.local`].join(
    ',',
  );
};

/** `port`, or the next free one after it. */
export async function freePort(port, host = LOOPBACK) {
  const last = Math.min(port + 199, 65_535);
  for (let p = port; p <= last; p += 1) if (await isFree(p, host)) return p;
  throw new AddressProblem(`No port from ${port} to ${last} is free at ${host}.`);
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
  const isOpen = host !== LOOPBACK;
  const told = isOpen ? networkNames(host) : namesFrom(process.env.HALO_HOSTS).join(',');
  const chosen = await freePort(port, host);
  const child = spawn(
    process.execPath,
    ['node_modules/next/dist/bin/next', mode, '-H', host, '-p', String(chosen)],
    {
      stdio: ['ignore', mode === 'dev' ? 'inherit' : 'ignore', 'inherit'],
      env: {
        ...process.env,
        NEXT_TELEMETRY_DISABLED: '1',
        HALO_DEMO: demo ? '1' : '',
        HALO_HOSTS: told,
      },
    },
  );
  const url = `http://${hostInUrl(host)}:${chosen}`;
  const stopped = new Promise((resolve) => child.once('exit', resolve));
  try {
    await answers(url, child);
  } catch (error) {
    // Nobody would find it any more.
    child.kill('SIGTERM');
    throw error;
  }
  return {
    url,
    /** Where others on the network find it. */
    urls: isOpen ? addresses(isIP(host) === 6).map((address) => `http://${address}:${chosen}`) : [],
    stopped,
    stop: () => {
      child.kill('SIGTERM');
      return stopped;
    },
  };
}

/** Runs a start script; what was told wrongly is said in a sentence, and nothing is left running. */
export async function started(work) {
  try {
    await work();
  } catch (error) {
    if (!(error instanceof AddressProblem)) throw error;
    console.error(error.message);
    process.exit(1);
  }
}

/** Serves until Ctrl-C. */
export async function serveUntilStopped(options) {
  const server = await serve(options);
  console.log(`\n  Wandering Halo: ${server.url}`);
  for (const url of server.urls) console.log(`  on this network: ${url}`);
  console.log('\n  Ctrl-C stops it.\n');
  for (const signal of ['SIGINT', 'SIGTERM']) {
    process.once(signal, () => void server.stop().then(() => process.exit(0)));
  }
  process.exitCode = (await server.stopped) ?? 0;
}
