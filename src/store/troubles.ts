/** What went wrong with the browser's storage, said plainly. */

/** A sentence for an error the database threw. Nothing was changed when one is thrown. */
export function storageSentence(error: unknown): string {
  const names: string[] = [];
  for (let e: unknown = error; e instanceof Error; e = (e as { inner?: unknown }).inner)
    names.push(e.name);
  if (names.includes('QuotaExceededError')) {
    return 'The browser has no room left for this; nothing was changed. Save the workspace to a file, then free some space.';
  }
  if (names.includes('VersionError')) {
    return 'This workspace was last opened by a newer version of the program; nothing was changed. Open it with that version.';
  }
  if (
    names.some((n) =>
      ['MissingAPIError', 'OpenFailedError', 'InvalidStateError', 'UnknownError'].includes(n),
    )
  ) {
    return 'The browser does not let this page keep data, perhaps because of a private window; nothing was changed.';
  }
  return 'The change could not be stored; nothing was changed. Try again, and save the workspace to a file.';
}
