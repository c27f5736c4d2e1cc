/** Facts shared by several kinds of record. */
import { completed, flag, label, listOf, number, oneOf, record, text, type Static } from './schema';

export const ID = label(80);
export const NAME = label(200);
export const MAKER = text(120, { default: '' });
export const NOTE = text(4000, { default: '' });

/** Licence of the data a record was taken over from; empty for one's own. */
export const LICENCE = text(400, { default: '' });
export const MASS_G = number(1, 100_000);
export const PRICE = number(0, 10_000_000);

/** How gear can be had, the easiest first. */
export const AVAILABILITY = ['at hand', 'rentable', 'to buy'] as const;
export type Availability = (typeof AVAILABILITY)[number];
export const HAD = oneOf([...AVAILABILITY, 'not told'], { default: 'not told' });

/** Names of the fields of a record that nobody told: filled in with what is usual. */
export const ESTIMATED = listOf(label(60), 60, { default: [] });

/** A record, some facts of which may be what is usual. */
export interface Estimated {
  estimated: readonly string[];
}

/** Names of the estimated facts of a record that are still estimates once the one at `path` is told. */
export const stillEstimated = ({ estimated }: Estimated, path: string): string[] =>
  estimated.filter((name) => name !== path && !path.startsWith(`${name}.`));

/** Whether a fact of a record was told, and not only taken as usual. */
export const isTold = <R extends Estimated>(record: R, field: keyof R & string): boolean =>
  !record.estimated.includes(field);

/** Whether a body or part takes lenses whose mount has a tab that others lack. */
export const TAKES_TAB = oneOf(['not told', 'yes', 'no'], { default: 'not told' });

export const F_NUMBER = number(0.5, 128);
export const FOCAL_MM = number(1, 5000);
export const FOCUS_M = number(0.01, 100_000);

export const frameSizeSchema = record('frame size, mm', {
  widthMm: number(0.5, 400),
  heightMm: number(0.5, 400),
});

/** What the electronic contacts carry. */
export const electronicsSchema = record(
  'what the contacts carry',
  {
    focus: flag(false),
    aperture: flag(false),
    metadata: flag(false),
    stabiliser: flag(false),
  },
  { default: {} },
);
export type Electronics = Static<typeof electronicsSchema>;

export const NO_ELECTRONICS: Electronics = completed(electronicsSchema, {});

/** A plane piece of glass in the light path. */
export const plateSchema = record('plane glass', {
  thicknessMm: number(0, 100),
  /** Refractive index; 1.52 for common glass. */
  index: number(1, 3, { default: 1.52 }),
});
