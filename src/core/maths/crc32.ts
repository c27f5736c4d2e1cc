/** The 32-bit check of PNG and ZIP. Source: ISO/IEC 15948 (PNG), annex D; the polynomial of IEEE 802.3. */

let table: Uint32Array | undefined;

/** Check of some bytes, 0..2³²-1. */
export function crc32(bytes: Uint8Array): number {
  table ??= Uint32Array.from({ length: 256 }, (_, n) => {
    let c = n;
    for (let k = 0; k < 8; k += 1) c = c & 1 ? 0xedb88320 ^ (c >>> 1) : c >>> 1;
    return c >>> 0;
  });
  let check = 0xffffffff;
  for (const byte of bytes) check = (table[(check ^ byte) & 255] as number) ^ (check >>> 8);
  return (check ^ 0xffffffff) >>> 0;
}
