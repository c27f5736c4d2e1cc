/**
 * What touches the whole workspace at once, away from the screen: files in and out, and backups. Its own
 * connection to the database writes as the tab that it works for, whose id is its name.
 */
import { expose } from 'comlink';
import { textOf } from '@/workers/readFile';
import { checkSize, readAnyFile, type Brought, writeWorkspace } from '@/core/exchange/json';
import { problemText } from '@/core/words';
import { keepBackup, restoreBackup } from './backups';
import { HaloDatabase, recordKey } from '../database/db';
import { importWorkspace, previewOf, type ImportMode, type ImportPreview } from './importing';
import { changedHere, commit, type Committed, type Write } from '../changes/journal';
import { loadWorkspace, loadWorkspaceFile } from '../database/load';
import { troubleSentence } from '../troubles/troubles';

/** Errors lose what they are on their way between threads: they go as the sentence that is said of them. */
export type Answer<T> = { ok: true; value: T } | { ok: false; sentence: string };

async function answer<T>(work: () => Promise<T>): Promise<Answer<T>> {
  try {
    return { ok: true, value: await work() };
  } catch (error) {
    return { ok: false, sentence: troubleSentence(error) };
  }
}

/** The same for work that may be refused with a sentence of its own. */
async function answerOr<T>(work: () => Promise<Answer<T>>): Promise<Answer<T>> {
  const done = await answer(work);
  return done.ok ? done.value : done;
}

/** What a file would bring, whatever it is. */
export interface FilePreview extends ImportPreview {
  /** Whether it holds a part of a workspace alone, a rig or a lens: it comes beside what is here. */
  isPart: boolean;
  /** The rig it is about. */
  rigId: string | null;
}

const refused = (sentence: string): Answer<never> => ({ ok: false, sentence });

function keeperDoor(db: HaloDatabase) {
  let held: { brought: Brought; name: string } | null = null;
  return {
    /** Reads a picked file and holds it; answers what it would bring. Nothing is written. */
    async read(file: File): Promise<Answer<FilePreview>> {
      const { name } = file;
      const size = checkSize(file.size, name);
      if (!size.ok) return refused(problemText(size.problems));
      const text = await textOf(file);
      if (!text.ok) return refused(problemText(text.problems));
      return answerOr(async () => {
        const here = await loadWorkspace(db);
        const read = readAnyFile(text.value, name, here);
        if (!read.ok) return refused(problemText(read.problems));
        const { kind, workspace, rigId } = read.value;
        held = { brought: read.value, name };
        const preview = previewOf(here, workspace, await changedHere(db));
        return { ok: true, value: { ...preview, isPart: kind !== 'workspace', rigId } };
      });
    },
    /** Brings in the file held, without the records left out; keeps a backup first. */
    async bringIn(mode: ImportMode, leftOut: readonly string[]): Promise<Answer<Committed>> {
      if (!held) return refused('The file is not held any more: pick it again.');
      const { brought, name } = held;
      const left = new Set(leftOut);
      return answer(async () => {
        await keepBackup(db, `before ${name}`, Date.now());
        return importWorkspace(
          db,
          brought.workspace,
          mode,
          `Open ${name}`,
          (table, id) => !left.has(recordKey({ table, id })),
        );
      });
    },
    /** Many records from a file of another kind, as one step; keeps a backup first. */
    write: (label: string, writes: readonly Write[]): Promise<Answer<Committed>> =>
      answer(async () => {
        await keepBackup(db, `before: ${label}`, Date.now());
        return commit(db, label, writes, { origin: 'file' });
      }),
    /** Whether there was anything to keep. */
    keepBackup: (reason: string): Promise<Answer<boolean>> =>
      answer(() => keepBackup(db, reason, Date.now())),
    restoreBackup: (id: number): Promise<Answer<string | null>> =>
      answer(async () => {
        await keepBackup(db, 'before a backup was restored', Date.now());
        return restoreBackup(db, id);
      }),
    /** The whole workspace as a file. */
    file: (): Promise<Answer<Blob>> =>
      answer(async () => {
        const text = writeWorkspace(await loadWorkspaceFile(db));
        return new Blob([text], { type: 'application/json' });
      }),
  };
}

export type KeeperDoor = ReturnType<typeof keeperDoor>;

expose(keeperDoor(new HaloDatabase(undefined, self.name)));
