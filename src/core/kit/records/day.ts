/** A day of shooting: the rigs it needs, in the order they are shot. */
import { ID, NAME, NOTE } from './common';
import { completed, listOf, record, text, type Static } from './schema';

export const daySchema = record('day', {
  id: ID,
  name: NAME,
  /** ISO date; empty where it is not settled. */
  date: text(10, { pattern: '^(\\d{4}-\\d{2}-\\d{2})?$', default: '' }),
  /** Rigs in shooting order; one may come up twice. */
  rigIds: listOf(ID, 100, { default: [] }),
  note: NOTE,
});
export type Day = Static<typeof daySchema>;

/** A day as far as it is told. */
export const dayOf = (told: Pick<Day, 'id' | 'name'> & Partial<Day>): Day =>
  completed(daySchema, told);

export const dayExample: Day = dayOf({
  id: 'day-1',
  name: 'Day 1, the wheel-house',
  date: '2026-06-02',
  rigIds: ['wheel-house-wide'],
  note: '',
});
