/** Ids of new records. */

const BYTES = 16;

/**
 * An id nobody else has drawn: 128 random bits as 32 hexadecimal digits. Drawn so that a page served without TLS,
 * to a phone on the same network, can do it too.
 */
export const newId = (): string =>
  Array.from(crypto.getRandomValues(new Uint8Array(BYTES)), (byte) =>
    byte.toString(16).padStart(2, '0'),
  ).join('');
