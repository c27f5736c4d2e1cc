/** Text put into markup: SVG, XML. */

/** Whatever no XML document may hold: most control characters, and halves of pairs. W3C, XML 1.0, production 2. */
const FORBIDDEN = /[^\t\n\r\u{20}-\u{D7FF}\u{E000}-\u{FFFD}\u{10000}-\u{10FFFF}]/gu;

/** Characters that mean something to markup, as the characters they are; those it may not hold are left out. */
export const escapedMarkup = (text: string): string =>
  text.replace(FORBIDDEN, '').replace(/[&<>"']/g, (c) => `&#${c.charCodeAt(0)};`);
