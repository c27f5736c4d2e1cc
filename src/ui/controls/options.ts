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
/** So many are shown at once. */
export const MOST_SHOWN = 120;

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

/** An option by the words it is found by, in small letters. */
interface Known {
  option: Option;
  words: string;
}

/** A search through options: those that hold every word that is sought, in label or note, the first of them shown. */
export function searchOf(groups: readonly OptionGroup[], most = MOST_SHOWN) {
  const known = groups.map(({ title, options }) => ({
    title,
    options: options.map((option): Known => ({
      option,
      words: `${option.label} ${option.note ?? ''}`.toLowerCase(),
    })),
  }));
  return (sought: string): Found => {
    const words = sought.toLowerCase().split(/\s+/).filter(Boolean);
    let left = most;
    let more = 0;
    const found = known.flatMap(({ title, options }): OptionGroup[] => {
      const passing = options.filter((o) => words.every((word) => o.words.includes(word)));
      const shown = passing.slice(0, left);
      left -= shown.length;
      more += passing.length - shown.length;
      return shown.length > 0 ? [{ title, options: shown.map((o) => o.option) }] : [];
    });
    return { groups: found, more };
  };
}
