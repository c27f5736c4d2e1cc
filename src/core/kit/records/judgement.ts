/** How dark a corner is acceptable, and on which basis equivalents are counted. */
import { CIRCLE_RULES, type CircleRule } from '../../optics/depth';
import { CROP_BASES, type CropBasis } from '../../optics/crop';
import { number, oneOf, record } from './schema';

export type School = 'strict' | 'grade it out' | 'as a look';
export const SCHOOLS: readonly School[] = ['strict', 'grade it out', 'as a look'];

export interface Judgement {
  school: School;
  /** Darkest corner each school accepts, stops; the user may edit them. */
  strictStops: number;
  gradeStops: number;
  lookStops: number;
  basis: CropBasis;
  /** Rule for the circle of confusion. */
  circle: CircleRule;
}

export const DEFAULT_JUDGEMENT: Judgement = {
  school: 'grade it out',
  strictStops: 1,
  gradeStops: 2,
  lookStops: 3,
  basis: 'diagonal',
  circle: 'diagonal/1500',
};

export const judgementSchema = record<Judgement>(
  'judgement',
  {
    school: oneOf(SCHOOLS, { default: DEFAULT_JUDGEMENT.school }),
    strictStops: number(0.1, 6, { default: DEFAULT_JUDGEMENT.strictStops }),
    gradeStops: number(0.1, 6, { default: DEFAULT_JUDGEMENT.gradeStops }),
    lookStops: number(0.1, 6, { default: DEFAULT_JUDGEMENT.lookStops }),
    basis: oneOf(CROP_BASES, { default: DEFAULT_JUDGEMENT.basis }),
    circle: oneOf(CIRCLE_RULES, { default: DEFAULT_JUDGEMENT.circle }),
  },
  [],
);

/** Darkest corner the chosen school accepts, stops. */
export function limitStops(judgement: Judgement): number {
  if (judgement.school === 'strict') return judgement.strictStops;
  return judgement.school === 'grade it out' ? judgement.gradeStops : judgement.lookStops;
}
