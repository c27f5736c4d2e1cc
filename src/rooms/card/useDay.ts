'use client';
import { newId } from '@/core/kit';
import { dayOf, type Day } from '@/core/kit/records';
import { stored, type Tell } from '@/shell/tell';
import { db } from '@/store/database/instance';
import { commit, edited, type Write } from '@/store/changes/journal';

const freeName = (days: readonly Day[]): string => {
  const taken = new Set(days.map((d) => d.name));
  for (let n = days.length + 1; ; n += 1) if (!taken.has(`Day ${n}`)) return `Day ${n}`;
};

/** What is done with days: each a step that undo takes back. */
export function useDay(
  days: readonly Day[],
  day: Day | null,
  tell: Tell,
  onDay: (id: string | null) => void,
) {
  const put = (label: string, next: Day) => {
    const before = days.find((d) => d.id === next.id);
    const write: Write = before
      ? edited('days', before, next)
      : { table: 'days', id: next.id, after: next };
    onDay(next.id);
    stored(tell, () => commit(db, label, [write]));
  };
  const begin = (rigIds: string[]) =>
    put('New day', dayOf({ id: newId(), name: freeName(days), rigIds }));
  const change = (label: string, facts: Partial<Day>) => {
    if (day) put(label, { ...day, ...facts });
  };
  const copy = () => {
    if (day) put('Duplicate the day', { ...day, id: newId(), name: freeName(days) });
  };
  const remove = () => {
    if (!day) return;
    onDay(days.find((d) => d.id !== day.id)?.id ?? null);
    stored(tell, () =>
      commit(db, `Delete the day ${day.name}`, [{ table: 'days', id: day.id, after: null }]),
    );
  };
  return { begin, change, copy, remove };
}

export type DayDoings = ReturnType<typeof useDay>;
