/** How dark a corner is acceptable, and on which basis equivalents are counted. */
import { CIRCLE_RULES, CROP_BASES } from '../../optics';
import { completed, number, oneOf, record, type Static } from './schema';

export const SCHOOLS = ['strict', 'grade it out', 'as a look'] as const;
export type School = (typeof SCHOOLS)[number];

export const judgementSchema = record('judgement', {
  school: oneOf(SCHOOLS, { default: 'grade it out' }),
  /** Darkest corner each school accepts, stops; the user may edit them. */
  strictStops: number(0.1, 6, { default: 1 }),
  gradeStops: number(0.1, 6, { default: 2 }),
  lookStops: number(0.1, 6, { default: 3 }),
  basis: oneOf(CROP_BASES, { default: 'diagonal' }),
  /** Rule for the circle of confusion. */
  circle: oneOf(CIRCLE_RULES, { default: 'diagonal/1500' }),
});
export type Judgement = Static<typeof judgementSchema>;

export const DEFAULT_JUDGEMENT: Judgement = completed(judgementSchema, {});

/** Darkest corner the chosen school accepts, stops. */
export function limitStops(judgement: Judgement): number {
  if (judgement.school === 'strict') return judgement.strictStops;
  return judgement.school === 'grade it out' ? judgement.gradeStops : judgement.lookStops;
}
