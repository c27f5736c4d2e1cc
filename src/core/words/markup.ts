/** Text put into markup: SVG, XML. */

/** Characters that mean something to markup, as the characters they are. */
export const escapedMarkup = (text: string): string =>
  text.replace(/[&<>"']/g, (c) => `&#${c.charCodeAt(0)};`);
