/** What a picked file holds; a file that changed or went away after it was picked is told in a sentence. */
import { fail, ok, type Result } from '@/core/words';

const unread = (name: string) =>
  fail(
    'unread',
    '',
    `${name} could not be read: it was changed, moved or taken away after it was picked. Pick it again.`,
  );

export async function textOf(file: File): Promise<Result<string>> {
  try {
    return ok(await file.text());
  } catch {
    return unread(file.name);
  }
}

export async function bytesOf(file: File): Promise<Result<Uint8Array<ArrayBuffer>>> {
  try {
    return ok(new Uint8Array(await file.arrayBuffer()));
  } catch {
    return unread(file.name);
  }
}
