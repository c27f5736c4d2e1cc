/** What a marking on a barrel says of the format a lens was made for, as its user knows it. */
import { frameSizeSchema, ID, NAME, NOTE } from './common';
import { record, type Static } from './schema';

export const markingSchema = record('marking on a barrel', {
  id: ID,
  /** The letters as they stand on the barrel; looked for as a whole word in a lens's name. */
  name: NAME,
  designFormat: frameSizeSchema,
  note: NOTE,
});
export type Marking = Static<typeof markingSchema>;

export const markingExample: Marking = {
  id: 'wm-s',
  name: 'SF',
  designFormat: { widthMm: 23.5, heightMm: 15.6 },
  note: 'on small-format lenses of one maker',
};

const wordsOf = (text: string): string[] => text.toLowerCase().split(/[\s,;()]+/);

/** The marking that stands in a lens's name or engraving, if any does. */
export function markingIn(text: string, markings: readonly Marking[]): Marking | null {
  const words = wordsOf(text);
  const stands = (marking: Marking) => {
    const sought = wordsOf(marking.name);
    return words.some((_, i) => sought.every((word, k) => words[i + k] === word));
  };
  return markings.find(stands) ?? null;
}
