/**
 * A whole rig in an address: the rig file without what its schemas fill in, compressed against a dictionary both
 * ends have, with a check, in letters and digits that a printed code holds densely (base 32, RFC 4648, without padding).
 * It stands behind the "#", which browsers keep to themselves.
 */
import { deflateSync, inflateSync } from 'fflate';
import {
  rigFileSchema,
  type RigFile,
  isJson,
  toldOf,
  type Json,
  type JsonSchema,
  definitionAt,
  areaOf,
  largestMode,
} from '../../kit/records';
import type { Rig } from '../../rig';
import { crc32 } from '../../maths';
import { fail, type Result } from '../../words';
import { parseJson, AT_HOME, checkedRigFile, rigFileOf } from '../json';
import { holdsRig, RIG_HASH } from './rigHash';
import { RIG_WORDS } from './rigWords';

/** Of the way rigs are packed: another dictionary is another letter. */
const WAY = 'B';
/** The same without a check: addresses of it are about, on paper too. */
const WAY_UNCHECKED = 'A';
/** Bytes of the check of the rig's text, before it was packed. */
const CHECK_BYTES = 4;
const ALPHABET = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567';
/** No rig of ours is nearly as large; what unpacks to more is not unpacked. */
const MOST_TEXT = 400_000;
const MOST_PACKED = 60_000;

const encoder = new TextEncoder();
const DICTIONARY = encoder.encode(RIG_WORDS);

function base32(bytes: Uint8Array): string {
  let [text, held, bits] = ['', 0, 0];
  for (const byte of bytes) {
    held = (held << 8) | byte;
    bits += 8;
    while (bits >= 5) {
      bits -= 5;
      text += ALPHABET[(held >> bits) & 31] ?? '';
      held &= (1 << bits) - 1;
    }
  }
  return bits > 0 ? text + (ALPHABET[(held << (5 - bits)) & 31] ?? '') : text;
}

/** Null where the text holds anything else. */
function fromBase32(text: string): Uint8Array | null {
  const bytes = new Uint8Array(Math.floor((text.length * 5) / 8));
  let [held, bits, at] = [0, 0, 0];
  for (const letter of text.toUpperCase()) {
    const value = ALPHABET.indexOf(letter);
    if (value < 0) return null;
    held = (held << 5) | value;
    bits += 5;
    if (bits < 8) continue;
    bits -= 8;
    bytes[at] = held >> bits;
    at += 1;
    held &= (1 << bits) - 1;
  }
  return bytes;
}

/** Schemas with their references followed, so that defaults are found inside them. */
function whole(schema: JsonSchema): JsonSchema {
  const { $ref, ...rest } = schema;
  if (typeof $ref === 'string') return { ...definitionAt($ref), ...rest };
  const properties = isJson(rest.properties)
    ? Object.fromEntries(
        Object.entries(rest.properties).map(([key, field]) => [
          key,
          isJson(field) ? whole(field) : field,
        ]),
      )
    : undefined;
  const items = isJson(rest.items) ? whole(rest.items) : undefined;
  return { ...rest, ...(properties && { properties }), ...(items && { items }) };
}

/** What of a rig is of use elsewhere: the mode in use, the largest that says how large the sensor is, no prices or notes. */
function travelling(rig: Rig): RigFile {
  const file = rigFileOf(rig);
  const largest = largestMode(rig.body.modes);
  const isLarger = largest && largest.id !== rig.mode.id && areaOf(largest) > areaOf(rig.mode);
  const modes = isLarger ? [rig.mode, largest] : [rig.mode];
  return {
    ...file,
    body: { ...file.body, ...AT_HOME, modes },
    lens: { ...file.lens, ...AT_HOME },
    parts: file.parts.map((p) => ({ ...p, ...AT_HOME })),
  };
}

/** The part of an address behind the "#" that holds the rig. */
export function packRig(rig: Rig): string {
  const told = toldOf(whole(rigFileSchema), travelling(rig)) as Json;
  const text = encoder.encode(JSON.stringify(told));
  const packed = deflateSync(text, { level: 9, mem: 10, dictionary: DICTIONARY });
  const checked = new Uint8Array(packed.length + CHECK_BYTES);
  checked.set(packed);
  new DataView(checked.buffer).setUint32(packed.length, crc32(text));
  return `${RIG_HASH}${WAY}${base32(checked)}`;
}

const BROKEN = 'This address does not hold a whole rig: it seems cut short or changed.';

/** Unpacks into at most MOST_TEXT bytes; null where it is more, or none. */
function inflated(bytes: Uint8Array): Uint8Array | null {
  try {
    return inflateSync(bytes, { dictionary: DICTIONARY, out: new Uint8Array(MOST_TEXT) });
  } catch {
    return null;
  }
}

/** The text packed with its check; null where the two do not belong together. */
function checkedText(bytes: Uint8Array): Uint8Array | null {
  const end = bytes.length - CHECK_BYTES;
  const text = end > 0 ? inflated(bytes.subarray(0, end)) : null;
  const told = text && new DataView(bytes.buffer, bytes.byteOffset).getUint32(end);
  return text && crc32(text) === told ? text : null;
}

function decoded(text: Uint8Array): string | null {
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(text);
  } catch {
    return null;
  }
}

const codeOf = (hash: string): string => hash.replace(/^#/, '').slice(RIG_HASH.length);
const wayOf = (code: string): string => code.charAt(0).toUpperCase();

/** Whether an address is of the older kind that cannot tell a changed letter. */
export const isUncheckedRig = (hash: string): boolean =>
  holdsRig(hash) && wayOf(codeOf(hash)) === WAY_UNCHECKED;

/** The rig of an address, as a checked file; or why it cannot be read. */
export function unpackRig(hash: string): Result<RigFile> {
  const code = codeOf(hash);
  const way = wayOf(code);
  if (!holdsRig(hash) || code === '' || code.length > MOST_PACKED) return fail('link', '', BROKEN);
  if (way !== WAY && way !== WAY_UNCHECKED)
    return fail(
      'link',
      '',
      'This address was made by another version of the program, which packs rigs another way.',
    );
  const bytes = fromBase32(code.slice(1));
  const unpacked = bytes && (way === WAY ? checkedText(bytes) : inflated(bytes));
  const text = unpacked && decoded(unpacked);
  if (!text) return fail('link', '', BROKEN);
  const parsed = parseJson(text, 'the address');
  return parsed.ok ? checkedRigFile(parsed.value) : fail('link', '', BROKEN);
}
