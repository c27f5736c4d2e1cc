/** What a list offers, and how a long one is searched. */

export interface Option {
  id: string;
  label: string;
  /** A second, quieter line. */
  note?: string;
}

export interface OptionGroup {
  title: string;
  options: readonly Option[];
}

/** What can be done where none of the options is the one. */
export interface Otherwise {
  question: string;
  label: string;
  act: () => void;
}

/** No option's id. */
const OTHERWISE = '+otherwise';

/** The options, and after them what can be done otherwise. */
export const withOtherwise = (
  groups: readonly OptionGroup[],
  otherwise: Otherwise | undefined,
): readonly OptionGroup[] =>
  otherwise
    ? [
        ...groups,
        { title: otherwise.question, options: [{ id: OTHERWISE, label: otherwise.label }] },
      ]
    : groups;

/** Chooses an option, or does otherwise. */
export function chooseOr(
  id: string,
  onChoose: (id: string) => void,
  otherwise: Otherwise | undefined,
): void {
  if (id === OTHERWISE) otherwise?.act();
  else onChoose(id);
}

/** So many that they are put together only when the list is opened, and searched. */
export interface ManyOptions {
  labelOf: (id: string) => string | null;
  groups: () => readonly OptionGroup[];
}

/** More than this are searched. */
export const MANY = 60;
/** So many are drawn when a list opens, and so many more each time one comes to its end. */
export const SHOWN_AT_ONCE = 12;

/** The options as they are where they are few; null where they are to be searched. */
export function manyOf(groups: readonly OptionGroup[] | ManyOptions): ManyOptions | null {
  if ('labelOf' in groups) return groups;
  const all = groups.flatMap((g) => g.options);
  if (all.length <= MANY) return null;
  return {
    labelOf: (id) => all.find((o) => o.id === id)?.label ?? null,
    groups: () => groups,
  };
}

export interface Found {
  groups: OptionGroup[];
  /** How many more pass than are shown. */
  more: number;
}

/** The words an option is found by, in small letters. */
const wordsOf = ({ label, note = '' }: Option): string => `${label} ${note}`.toLowerCase();

/** A search through options: those that hold every word that is sought, in label or note, the first of them shown. */
export function searchOf(groups: readonly OptionGroup[]) {
  // Made with the first letter: to open the list nobody waits for them.
  let known: readonly (readonly string[])[] | null = null;
  return (sought: string, most: number): Found => {
    const words = sought.toLowerCase().split(/\s+/).filter(Boolean);
    let left = most;
    let more = 0;
    if (words.length > 0) known ??= groups.map(({ options }) => options.map(wordsOf));
    const found = groups.flatMap(({ title, options }, g): OptionGroup[] => {
      const passing = options.filter((_, i) =>
        words.every((word) => known?.[g]?.[i]?.includes(word)),
      );
      const shown = passing.slice(0, left);
      left -= shown.length;
      more += passing.length - shown.length;
      return shown.length > 0 ? [{ title, options: shown }] : [];
    });
    return { groups: found, more };
  };
}
