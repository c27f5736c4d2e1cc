/** What is carried: sums of what gear weighs and costs. One that does not say makes the sum unknown. */
import { fixed } from '../../words';
import type { Rig } from '../../rig';

export type Gear = Rig['body'] | Rig['lens'] | Rig['parts'][number];
export type Fact = (item: Gear) => number | null;

export const gearOf = ({ body, lens, parts }: Pick<Rig, 'body' | 'lens' | 'parts'>): Gear[] => [
  body,
  lens,
  ...parts,
];

/** Sum of what some gear says, null where some of it does not. */
export const sumOf = <G>(gear: readonly G[], fact: (item: G) => number | null): number | null =>
  gear.reduce<number | null>((sum, item) => {
    const value = fact(item);
    return sum === null || value === null ? null : sum + value;
  }, 0);

export const massG: Fact = (item) => item.massG;
export const price: Fact = (item) => item.price;

export const grams = (value: number): string =>
  value >= 1000 ? `${fixed(value / 1000, 2)} kg` : `${fixed(value, 0)} g`;

const UNKNOWN = 'not known';
export const orUnknown = (value: number | null, words: (v: number) => string): string =>
  value === null ? UNKNOWN : words(value);
