/** Files in and out. */
import { db } from '@/store/database/instance';
import { kept } from '@/store/keeping/keeper';
import { rememberSaved } from '@/store/changes/saved';
import { today } from '@/ui/today';

/** Hands a text, or a file, to the browser to save. */
export function download(name: string, content: string | Blob, type = 'application/json'): void {
  const url = URL.createObjectURL(
    typeof content === 'string' ? new Blob([content], { type }) : content,
  );
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  document.body.append(link);
  link.click();
  link.remove();
  URL.revokeObjectURL(url);
}

/** Saves the workspace; answers under which name. */
export async function saveWorkspaceFile(): Promise<string> {
  const name = `wandering-halo-${today()}.json`;
  download(name, await kept((keeper) => keeper.file()));
  await rememberSaved(db);
  return name;
}
