/** TIFF files out: baseline, little-endian, one strip, not compressed (TIFF 6.0, from memory). */

/** Kinds of a tag's values. */
const ASCII = 2;
const SHORT = 3;
const LONG = 4;

export interface TiffTag {
  tag: number;
  type: number;
  count: number;
  /** As they stand in the file, little-endian; empty where it leads to a directory of its own. */
  bytes: Uint8Array;
  /** Tags of the directory it leads to. */
  inner?: readonly TiffTag[];
}

interface TiffPicture {
  widthPx: number;
  heightPx: number;
  channels: 1 | 2 | 3 | 4;
  /** Half floats are given as their 16 bits. */
  kind: '8-bit' | '16-bit' | 'half float';
  data: Uint8Array | Uint8ClampedArray | Uint16Array;
  description: string;
  /** Tags of another file that go along; those that say how pixels lie are written anew. */
  more?: readonly TiffTag[];
}

const numbers = (type: typeof SHORT | typeof LONG, values: readonly number[]): Uint8Array => {
  const size = type === SHORT ? 2 : 4;
  const view = new DataView(new ArrayBuffer(values.length * size));
  values.forEach((v, i) =>
    type === SHORT ? view.setUint16(i * size, v, true) : view.setUint32(i * size, v, true),
  );
  return new Uint8Array(view.buffer);
};

const tagOf = (tag: number, type: typeof SHORT | typeof LONG, ...values: number[]): TiffTag => ({
  tag,
  type,
  count: values.length,
  bytes: numbers(type, values),
});

const textTag = (tag: number, text: string): TiffTag => {
  const bytes = new TextEncoder().encode(`${text}\0`);
  return { tag, type: ASCII, count: bytes.length, bytes };
};

const UNSIGNED = 1;
const FLOAT = 3;
const MIN_IS_BLACK = 1;
const RGB = 2;
const HEADER = 8;
const even = (n: number): number => n + (n % 2);

/** The samples as bytes, low byte first. */
function littleEndian(data: TiffPicture['data']): Uint8Array {
  if (!(data instanceof Uint16Array))
    return new Uint8Array(data.buffer, data.byteOffset, data.length);
  const isLittle = new Uint8Array(Uint16Array.of(1).buffer)[0] === 1;
  const bytes = new Uint8Array(data.buffer, data.byteOffset, data.byteLength);
  return isLittle ? bytes : bytes.slice().map((_, i, all) => all[i ^ 1] ?? 0);
}

/** A directory that begins at `at`, with the values of its tags and the directories they lead to behind it. */
function directoryOf(tags: readonly TiffTag[], at: number): Uint8Array {
  const entries = tags.toSorted((a, b) => a.tag - b.tag);
  const head = new Uint8Array(2 + 12 * entries.length + 4);
  const view = new DataView(head.buffer);
  view.setUint16(0, entries.length, true);
  const behind: Uint8Array[] = [];
  let end = at + head.length;
  const put = (bytes: Uint8Array): number => {
    const place = end;
    const padded = new Uint8Array(even(bytes.length));
    padded.set(bytes);
    behind.push(padded);
    end += padded.length;
    return place;
  };
  entries.forEach(({ tag, type, count, bytes, inner }, i) => {
    const entry = 2 + 12 * i;
    view.setUint16(entry, tag, true);
    view.setUint16(entry + 2, type, true);
    view.setUint32(entry + 4, count, true);
    if (inner) view.setUint32(entry + 8, put(directoryOf(inner, end)), true);
    else if (bytes.length <= 4) head.set(bytes, entry + 8);
    else view.setUint32(entry + 8, put(bytes), true);
  });
  const whole = new Uint8Array(end - at);
  whole.set(head);
  let place = head.length;
  for (const bytes of behind) {
    whole.set(bytes, place);
    place += bytes.length;
  }
  return whole;
}

/** A picture as a TIFF file. */
export function writeTiff(picture: TiffPicture): Uint8Array<ArrayBuffer> {
  const { widthPx, heightPx, channels, kind, description, more = [] } = picture;
  const pixels = littleEndian(picture.data);
  const isGrey = channels < 3;
  const hasAlpha = channels % 2 === 0;
  const bits = kind === '8-bit' ? 8 : 16;
  const each = (value: number) => Array.from({ length: channels }, () => value);
  const own: TiffTag[] = [
    tagOf(256, LONG, widthPx),
    tagOf(257, LONG, heightPx),
    tagOf(258, SHORT, ...each(bits)),
    tagOf(259, SHORT, 1),
    tagOf(262, SHORT, isGrey ? MIN_IS_BLACK : RGB),
    ...(description ? [textTag(270, description)] : []),
    tagOf(273, LONG, HEADER),
    tagOf(277, SHORT, channels),
    tagOf(278, LONG, heightPx),
    tagOf(279, LONG, pixels.length),
    ...(hasAlpha ? [tagOf(338, SHORT, 2)] : []),
    tagOf(339, SHORT, ...each(kind === 'half float' ? FLOAT : UNSIGNED)),
  ];
  const taken = new Set(own.map((t) => t.tag));
  const tags = [...own, ...more.filter((t) => !taken.has(t.tag))];
  const directoryAt = HEADER + even(pixels.length);
  const directory = directoryOf(tags, directoryAt);
  const file = new Uint8Array(directoryAt + directory.length);
  file.set([0x49, 0x49, 42, 0]);
  new DataView(file.buffer).setUint32(4, directoryAt, true);
  file.set(pixels, HEADER);
  file.set(directory, directoryAt);
  return file;
}

/** A number as the 16 bits of a half float (IEEE 754 binary16), rounded to the nearest; for 0 and up to 65,504. */
export function halfBits(value: number): number {
  if (!(value > 0)) return 0;
  const exponent = Math.max(-14, Math.floor(Math.log2(value)));
  const step = 2 ** (exponent - 10);
  const whole = Math.round(value / step);
  // A fraction that rounds up to the next power of two is that power.
  const bits = exponent === -14 && whole < 1024 ? whole : ((exponent + 14) << 10) + whole;
  return Math.min(bits, 0x7bff);
}
