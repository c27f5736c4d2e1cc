/** Files in and out. */
import { checkSize } from '@/core/exchange/json';
import type { Result } from '@/core/words/problem';
import type { WorkspaceFile } from '@/core/kit/records/workspace';
import { db } from '@/store/instance';
import { loadWorkspaceFile } from '@/store/load';

/** Hands a text to the browser as a file to save. */
export function download(name: string, text: string, type = 'application/json'): void {
  const url = URL.createObjectURL(new Blob([text], { type }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  document.body.append(link);
  link.click();
  link.remove();
  URL.revokeObjectURL(url);
}

const today = (): string => new Date().toISOString().slice(0, 10);

export async function saveWorkspaceFile(): Promise<string> {
  const { writeWorkspace } = await import('@/core/exchange/workspaceJson');
  const name = `wandering-halo-${today()}.json`;
  download(name, writeWorkspace(await loadWorkspaceFile(db)));
  return name;
}

/** Reads a picked file; the checks are loaded only when they are needed. */
export async function readWorkspaceFile(file: File): Promise<Result<WorkspaceFile>> {
  const size = checkSize(file.size, file.name);
  if (!size.ok) return size;
  const [{ readWorkspace }, text] = await Promise.all([
    import('@/core/exchange/workspaceJson'),
    file.text(),
  ]);
  return readWorkspace(text, file.name);
}
