/** A text that a spreadsheet would take for a formula gets an apostrophe before it, and loses it again. */
export const guarded = (text: string): string => (/^'*[=+\-@\t\r]/.test(text) ? `'${text}` : text);
export const unguarded = (text: string): string =>
  /^'+[=+\-@\t\r]/.test(text) ? text.slice(1) : text;
