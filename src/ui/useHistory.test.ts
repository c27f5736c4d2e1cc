import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { begunHistory, historyAfter, type History, type HistoryAct } from './useHistory';

type Kind = 'step' | 'turn' | 'rest' | 'show';
const actOf = (kind: Kind, value: number): HistoryAct<{ at: number }> => {
  const change = () => ({ at: value });
  if (kind === 'rest') return { act: 'rest' };
  if (kind === 'show') return { act: 'show', change };
  return { act: 'step', label: `to ${kind}`, stays: kind === 'turn', change };
};
const all = (history: History<{ at: number }>, acts: readonly HistoryAct<{ at: number }>[]) =>
  acts.reduce(historyAfter, history);
const anActs = fc.array(fc.tuple(fc.constantFrom<Kind>('step', 'turn', 'rest'), fc.nat(5)), {
  maxLength: 60,
});
const after = (told: readonly [Kind, number][]) =>
  all(
    begunHistory({ at: 0 }),
    told.map(([kind, v]) => actOf(kind, v)),
  );
const UNDO = { act: 'undo' } as const;
const REDO = { act: 'redo' } as const;

describe('steps of what is kept in no record', () => {
  it('all taken back are where it began; all done again are where it was', () => {
    fc.assert(
      fc.property(anActs, (told) => {
        const done = after(told);
        const times = done.past.length;
        const back = all(
          done,
          Array.from({ length: times + 2 }, () => UNDO),
        );
        expect(back.now).toEqual({ at: 0 });
        expect(back.past).toEqual([]);
        const again = all(
          back,
          Array.from({ length: times + 2 }, () => REDO),
        );
        expect(again.now).toEqual(done.now);
        expect(again.past.map((s) => s.label)).toEqual(done.past.map((s) => s.label));
      }),
    );
  });

  it('every step taken back alone changes something', () => {
    fc.assert(
      fc.property(anActs, (told) => {
        let history = after(told);
        // What is held may come back to where it was taken hold of; a step by itself never does.
        while (history.past.length > 0) {
          const { label } = history.past.at(-1)!;
          const back = historyAfter(history, UNDO);
          if (label === 'to step') expect(back.now).not.toEqual(history.now);
          history = back;
        }
      }),
    );
  });

  it('one hold is one step, until it is let go of', () => {
    const turn = (v: number) => actOf('turn', v);
    const held = all(begunHistory({ at: 0 }), [turn(1), turn(2), turn(3)]);
    expect(held.past).toHaveLength(1);
    expect(historyAfter(held, UNDO).now).toEqual({ at: 0 });
    const twice = all(held, [actOf('rest', 0), turn(4)]);
    expect(twice.past).toHaveLength(2);
    expect(historyAfter(twice, UNDO).now).toEqual({ at: 3 });
  });

  it('a new step ends what could be done again, and how it is shown is no step', () => {
    const back = all(begunHistory({ at: 0 }), [actOf('step', 1), UNDO]);
    expect(back.future).toHaveLength(1);
    expect(historyAfter(back, actOf('show', 7))).toMatchObject({ now: { at: 7 }, past: [] });
    expect(historyAfter(back, actOf('step', 2)).future).toEqual([]);
  });
});
