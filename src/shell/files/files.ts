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

/** Name of a file of today; what it is follows where it is not the whole workspace. */
export const fileOfToday = (what = ''): string =>
  `wandering-halo-${today()}${what && `-${what}`}.json`;

/** Saves the workspace; answers under which name. */
export async function saveWorkspaceFile(): Promise<string> {
  const name = fileOfToday();
  download(name, await kept((keeper) => keeper.file()));
  await rememberSaved(db);
  return name;
}
