/** What went wrong, said plainly and of the right thing. */
import { WorkerLost } from '@/workers/door';
import { isFull, namesOf } from './errorNames';
import { GoneRecord, RefusedRecord, type Conflict } from '../changes/journal';
import { BrokenStep } from '../changes/undo';
import { problemText } from '@/core/words';

/** Names by which a browser's database says that it cannot read what it keeps. */
const DAMAGED = ['UnknownError', 'NotReadableError', 'EncodingError'];
/** Names by which it says that it cannot be opened at all. */
const NO_STORAGE = ['MissingAPIError', 'OpenFailedError', 'InvalidStateError', 'SecurityError'];
/** Names by which it says that a change did not go through. */
const NOT_WRITTEN = [
  'AbortError',
  'BulkError',
  'ConstraintError',
  'DatabaseClosedError',
  'DataCloneError',
  'DataError',
  'ModifyError',
  'PrematureCommitError',
  'ReadOnlyError',
  'TimeoutError',
  'TransactionInactiveError',
];

/** A sentence for an error of the database; null where it is not one. Nothing was changed then. */
function storageSentence(error: unknown): string | null {
  const names = namesOf(error);
  const said = (of: readonly string[]) => names.some((n) => of.includes(n));
  if (isFull(error)) {
    return 'The browser has no room left for this; nothing was changed. Save the workspace to a file, then free some space.';
  }
  if (said(['VersionError'])) {
    return 'This workspace was last opened by a newer version of the program; nothing was changed. Open it with that version.';
  }
  if (said(DAMAGED)) {
    return 'The browser could not read what it stored here; nothing was changed. Close every tab of the program and open it again. As soon as it opens, save the workspace to a file.';
  }
  if (said(NO_STORAGE)) {
    return 'The browser does not let this page keep data, perhaps because of a private window; nothing was changed.';
  }
  return said(NOT_WRITTEN)
    ? 'The change could not be stored; nothing was changed. Try again, and save the workspace to a file.'
    : null;
}

/** What the browser may do to a database while the program stands open, and what is said then. */
export const INTERRUPTED = {
  newer:
    'Another tab has opened a newer version of the program, which now keeps the workspace. Reload this page to go on with it.',
  deleted:
    'The data of this site was deleted while the page stood open. Reload it to begin anew, then open the workspace file you saved last.',
  closed:
    'The browser closed what it stores for this page, perhaps because its data was cleared. Reload it to see what is left.',
  blocked:
    'Another tab still holds the workspace as an earlier version of the program kept it. Close that tab; this one goes on by itself then.',
} as const;

/** What went wrong elsewhere, with the sentence that is said of it. */
export class Told extends Error {
  override readonly name = 'Told';
}

/** A sentence for whatever was thrown. */
export function troubleSentence(error: unknown): string {
  if (error instanceof Told) return error.message;
  if (error instanceof RefusedRecord)
    return `Nothing was changed: ${problemText(error.problems, 2)}`;
  if (error instanceof GoneRecord)
    return `“${error.message}” was deleted meanwhile, in another tab or by undo; nothing was changed.`;
  if (error instanceof BrokenStep)
    return `The step “${error.message}” is damaged: what it changed is not known any more and stays as it is. It was taken off the list; the steps before it can still be taken back.`;
  if (error instanceof WorkerLost)
    return 'The part of the program that works this out stopped, perhaps for want of memory; nothing was changed. Try again.';
  const cause = error instanceof Error ? error.message : String(error);
  return (
    storageSentence(error) ??
    `Something went wrong in the program itself: ${cause || 'it does not say what'}. Reload the page; what was stored is safe.`
  );
}

/** What is said where something was changed here and elsewhere; null where nothing was. */
export function conflictSentence(conflicts: readonly Conflict[]): string | null {
  const [first] = conflicts;
  if (!first) return null;
  const field = first.path.split('/').at(-1) || 'something';
  const more = conflicts.length > 1 ? ` and ${conflicts.length - 1} more` : '';
  return `“${first.name}”: ${field}${more} had been changed elsewhere meanwhile. What you set stands; undo brings back the other.`;
}
