/** Where the program is to be served, as told by the environment; what cannot be meant is told in a sentence. */
import { isIP } from 'node:net';

export const LOOPBACK = '127.0.0.1';
/** Addresses that stand for all of a machine's. */
const EVERYWHERE = ['0.0.0.0', '::'];

/** What is wrong with what was told; its message is for the person who told it. */
export class AddressProblem extends Error {}

/** The port told, or `fallback` where none is. */
export function portFrom(told, fallback) {
  if (told === undefined || told.trim() === '') return fallback;
  const port = Number(told);
  if (!/^\s*\d+\s*$/.test(told) || port < 1 || port > 65_535)
    throw new AddressProblem(`PORT=${told} is no port: give a whole number from 1 to 65535.`);
  return port;
}

/** The host told, IPv6 without its brackets. */
export function hostFrom(told) {
  const host = (told ?? '').trim();
  if (host === '') return LOOPBACK;
  const bare = host.replace(/^\[(.*)\]$/, '$1');
  if (isIP(bare) || /^[a-z\d](?:[a-z\d.-]*[a-z\d])?$/i.test(bare)) return bare;
  throw new AddressProblem(
    `HOST=${told} is no address: give one of this machine, such as 0.0.0.0 for all of them.`,
  );
}

/** A host as it stands in an address: IPv6 in brackets; one that stands for all of them as the loopback one. */
export function hostInUrl(host) {
  if (EVERYWHERE.includes(host)) return LOOPBACK;
  return isIP(host) === 6 ? `[${host}]` : host;
}

/** Names told with commas between; a scheme, a port or a path never stand in what a browser calls a name. */
export function namesFrom(told) {
  return (told ?? '')
    .split(',')
    .map((name) => name.trim().toLowerCase())
    .filter(Boolean)
    .map((name) => {
      const bare = name.replace(/^\[(.*)\]$/, '$1');
      if (isIP(bare) === 6) return `[${bare}]`;
      if (/^[a-z\d](?:[a-z\d.-]*[a-z\d])?$/.test(name)) return name;
      throw new AddressProblem(
        `HALO_HOSTS holds “${name}”: give names alone, such as halo.example, without scheme, port or path.`,
      );
    });
}

/** Where to serve, as an environment tells; `port` where it tells none. All of it is checked, HALO_HOSTS too. */
export function addressFrom({ HOST, PORT, HALO_HOSTS }, port) {
  namesFrom(HALO_HOSTS);
  return { host: hostFrom(HOST), port: portFrom(PORT, port) };
}
