/** What exiftool says of a file, as numbers where it has them. */
import { execFileSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';

/** Of bytes that are written into a folder under a name. */
export function exifOf(bytes: Uint8Array, folder: string, name: string): Record<string, unknown> {
  const file = join(folder, name);
  writeFileSync(file, bytes);
  const said = execFileSync('exiftool', ['-n', '-j', file], { encoding: 'utf8' });
  return (JSON.parse(said) as Record<string, unknown>[])[0] ?? {};
}
