/**
 * Names under which the program answers. A page of some other name that was pointed at this machine must not
 * reach it: HALO_HOSTS tells further names, with commas between, for a program that is served to others.
 */
import { one, refuse } from './requests';

const OWN = ['127.0.0.1', 'localhost', '[::1]'];
/** Names that end so are this machine's own wherever names are looked up (RFC 6761, section 6.3). */
const UNDER_OWN = '.localhost';

/** The name in a Host header, its port left out. */
const nameOf = (host: string): string => host.trim().toLowerCase().replace(/:\d+$/, '');

/** Whether a Host header names this program. */
export function isOwnHost(host: string | null, told = process.env.HALO_HOSTS ?? ''): boolean {
  const names = [...OWN, ...told.split(',').map((name) => name.trim().toLowerCase())];
  const name = nameOf(host ?? '');
  return name !== '' && (names.includes(name) || name.endsWith(UNDER_OWN));
}

/** The refusal a request to another name earns; null where it is meant for this program. */
export const refuseHost = (headers: Headers): Response | null =>
  isOwnHost(headers.get('host'))
    ? null
    : refuse(421, one('host', 'This program does not answer under that name.'));
