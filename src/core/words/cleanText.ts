/** Texts that come from outside: typed, from files, from addresses. */

/**
 * What no text of ours holds: control characters (but tabs and line ends), halves of pairs, places of Unicode that
 * stand for no character, and what turns the direction of all that follows. Single marks of direction, joiners and
 * the like belong to writing and stay. Unicode 16, chapters 23.1 to 23.8.
 */
const NEVER =
  /(?![\t\n\r])\p{Cc}|\p{Surrogate}|\p{Noncharacter_Code_Point}|[\u202a-\u202e\u2066-\u206f\ufeff\ufff9-\ufffb]/gu;
/** Ends of lines and paragraphs that only some programs take as such. */
const RARE_BREAKS = /[\u2028\u2029]/g;
/** What nobody sees when it stands alone: spaces, joiners, fillers, the blank of Braille. */
const UNSEEN = /[\s\p{Z}\p{Cf}\p{Default_Ignorable_Code_Point}\u2800]/gu;

/** A text without what could harm what it is put into: markup, addresses, sentences, a terminal. */
export const harmless = (text: string): string =>
  text.replace(RARE_BREAKS, '\n').replace(NEVER, '');

/** A text as it is kept; one with nothing to see in it is empty. */
export function cleanText(text: string): string {
  const kept = harmless(text);
  return kept.replace(UNSEEN, '') === '' ? '' : kept;
}

/**
 * A JSON value with every text in it changed, its keys as they are; the value itself is not changed. `change` is told
 * the field a text stands in, one of a list that of the list.
 */
export function withTexts(
  value: unknown,
  change: (text: string, field: string) => string,
  field = '',
): unknown {
  if (typeof value === 'string') return change(value, field);
  if (Array.isArray(value)) return value.map((item) => withTexts(item, change, field));
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value).map(([key, inner]) => [key, withTexts(inner, change, key)]),
  );
}

/** A JSON value with every text in it clean. */
export const withCleanTexts = (value: unknown): unknown => withTexts(value, cleanText);
