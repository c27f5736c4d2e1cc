import { isOfStorage, wrapped } from './ofStorage';

/** Names of an error and of those it wraps, where the database threw it; none else. */
export const namesOf = (error: unknown): string[] =>
  isOfStorage(error) ? wrapped(error).map(({ name }) => name) : [];

/** Whether something failed for want of room. */
export const isFull = (error: unknown): boolean => namesOf(error).includes('QuotaExceededError');
