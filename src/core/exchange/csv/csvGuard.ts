/**
 * A text that a spreadsheet would take for a formula gets an apostrophe before it, and loses it again. Space,
 * line ends and a byte order mark before the sign do not keep a spreadsheet from it (all are \s).
 */
const FORMULA = String.raw`(?:\s*[=+\-@]|[\t\r])`;
const IS_FORMULA = new RegExp(`^'*${FORMULA}`);
const IS_GUARDED = new RegExp(`^'+${FORMULA}`);

export const guarded = (text: string): string => (IS_FORMULA.test(text) ? `'${text}` : text);
export const unguarded = (text: string): string => (IS_GUARDED.test(text) ? text.slice(1) : text);
