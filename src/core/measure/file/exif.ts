/** EXIF as it stands in a picture's file. */
import { containerOf, pngChunks } from './container';

/** What of a file holds its EXIF. A PNG's is handed over alone: the reader would inflate its profile and texts as well. */
function exifBlock(bytes: Uint8Array): Uint8Array | null {
  if (containerOf(bytes) !== 'png') return bytes;
  const chunk = pngChunks(bytes).find(({ type }) => type === 'eXIf');
  return chunk ? bytes.slice(chunk.start + 8, chunk.end - 4) : null;
}

/** A file's EXIF by the names of its tags, values as they stand; null where it has none, or none that can be read. */
export async function exifTags(bytes: Uint8Array): Promise<Record<string, unknown> | null> {
  const block = exifBlock(bytes);
  if (!block) return null;
  try {
    const { parse } = (await import('exifr')).default;
    const tags = (await parse(block, {
      tiff: true,
      exif: true,
      reviveValues: false,
      translateValues: false,
    })) as Record<string, unknown> | undefined;
    return tags ?? null;
  } catch {
    return null;
  }
}
