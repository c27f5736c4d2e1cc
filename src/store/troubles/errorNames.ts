/** Names of an error and of those it wraps: what a browser's database says of itself. */
export function namesOf(error: unknown): string[] {
  const names: string[] = [];
  for (let e: unknown = error; e instanceof Error; e = (e as { inner?: unknown }).inner)
    names.push(e.name);
  return names;
}

/** Whether something failed for want of room. */
export const isFull = (error: unknown): boolean => namesOf(error).includes('QuotaExceededError');
