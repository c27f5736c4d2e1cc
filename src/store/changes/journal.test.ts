import { beforeEach, describe, expect, it } from 'vitest';
import { tideMill } from '@/core/demo';
import { freshDatabase, names, rename } from '../../../tests/support/database';
import type { HaloDatabase } from '../database/db';
import { commit, RefusedRecord } from './journal';
import { redo, steps, undo } from './undo';
import { setJudgement } from '../judgement';
import { loadWorkspace } from '../database/load';

let db: HaloDatabase;

beforeEach(() => {
  db = freshDatabase();
});

describe('the journal', () => {
  it('takes back and does again, in order', async () => {
    await rename(db, 'a', 'first');
    await rename(db, 'a', 'second');
    expect(await steps(db)).toEqual({ undo: 'Rename to second', redo: null });
    expect(await undo(db)).toBe('Rename to second');
    expect(await names(db)).toEqual(['first']);
    expect(await undo(db)).toBe('Rename to first');
    expect(await names(db)).toEqual([]);
    expect(await undo(db)).toBeNull();
    expect(await redo(db)).toBe('Rename to first');
    expect(await redo(db)).toBe('Rename to second');
    expect(await names(db)).toEqual(['second']);
    expect(await redo(db)).toBeNull();
  });

  it('keeps what is typed without what nobody sees, and a change of that alone is none', async () => {
    await rename(db, 'a', 'fifty\u0000\u202e');
    expect(await names(db)).toEqual(['fifty']);
    const steps = await db.journal.count();
    await rename(db, 'a', 'fifty\u0007');
    expect(await db.journal.count()).toBe(steps);
    await expect(rename(db, 'a', '\u200b')).rejects.toThrow(RefusedRecord);
  });

  it('forgets what was taken back once something new is done', async () => {
    await rename(db, 'a', 'first');
    await undo(db);
    await rename(db, 'a', 'other');
    expect(await steps(db)).toEqual({ undo: 'Rename to other', redo: null });
  });

  it('makes one step of quick changes with the same key', async () => {
    await rename(db, 'a', 'start');
    for (const name of ['b', 'bc', 'bcd']) await rename(db, 'a', name, 'typing');
    await undo(db);
    expect(await names(db)).toEqual(['start']);
    await redo(db);
    expect(await names(db)).toEqual(['bcd']);
  });

  it('a change by hand right after a file is a step of its own', async () => {
    const [mount] = tideMill.mounts;
    const brought = { table: 'mounts' as const, id: mount!.id, after: mount! };
    await commit(db, 'Open a file', [brought], { origin: 'file', mergeKey: 'typing' });
    await rename(db, 'a', 'by hand', 'typing');
    expect(await undo(db)).toBe('Rename to by hand');
    expect((await steps(db)).undo).toBe('Open a file');
  });

  it('writes nothing when nothing differs', async () => {
    expect(await rename(db, 'a', 'first')).toBe(true);
    expect(await rename(db, 'a', 'first')).toBe(false);
    expect(await db.journal.count()).toBe(1);
  });

  it('keeps a bounded history', async () => {
    for (let i = 0; i < 410; i += 1) await rename(db, 'a', `name ${i}`);
    expect(await db.journal.count()).toBe(400);
  });

  it('leaves everything as it was when one write of several fails', async () => {
    await rename(db, 'a', 'first');
    const broken = { ...tideMill.mounts[0]!, id: 'b', bad: () => 0 };
    const writes = [
      { table: 'mounts' as const, id: 'a', after: null },
      { table: 'mounts' as const, id: 'b', after: broken },
    ];
    await expect(commit(db, 'Break', writes)).rejects.toThrow();
    expect(await names(db)).toEqual(['first']);
    expect(await db.journal.count()).toBe(1);
  });
});

describe('steps in quick succession', () => {
  it('become one that takes back every record either of them touched', async () => {
    const [a, b] = tideMill.mounts;
    const step = (mount: typeof a & object) =>
      commit(db, 'Drag', [{ table: 'mounts', id: mount.id, after: mount }], { mergeKey: 'drag' });
    await step(a!);
    await step(b!);
    await step({ ...a!, name: 'moved' });
    expect(await db.journal.count()).toBe(1);
    expect(await db.mounts.count()).toBe(2);
    await undo(db);
    expect(await db.mounts.count()).toBe(0);
    await redo(db);
    expect((await db.mounts.get(a!.id))?.name).toBe('moved');
    expect(await db.mounts.get(b!.id)).toEqual(b);
  });
});

describe('what is written is checked at the door', () => {
  const [mount] = tideMill.mounts;
  const put = (after: unknown, id = 'm') =>
    commit(db, 'Write', [{ table: 'mounts', id, after: after as typeof mount & object }]);

  it.each([
    ['a figure out of its range', { ...mount!, id: 'm', registerMm: -3 }, /registerMm: must be/],
    [
      'a note too long to be read again',
      { ...mount!, id: 'm', note: 'x'.repeat(5000) },
      /note: must be text/,
    ],
    ['a record kept under another id', { ...mount!, id: 'other' }, /"other" was to be kept as "m"/],
    ['a contradiction', null, /shorter than the wide end/],
  ])('%s is refused, and nothing of the step is written', async (_, record, sentence) => {
    const lens = { ...tideMill.lenses[0]!, id: 'l', focalMaxMm: 1 };
    const wrong =
      record === null
        ? commit(db, 'Write', [
            { table: 'mounts', id: 'fine', after: { ...mount!, id: 'fine' } },
            { table: 'lenses', id: 'l', after: lens },
          ])
        : put(record);
    await expect(wrong).rejects.toThrow(RefusedRecord);
    await expect(wrong).rejects.toThrow(sentence);
    expect(await db.mounts.count()).toBe(0);
    expect(await db.journal.count()).toBe(0);
  });

  it('so is a judgement nobody could mean', async () => {
    await expect(
      setJudgement(db, tideMill.judgement, { ...tideMill.judgement, gradeStops: 60 }),
    ).rejects.toThrow(/gradeStops: must be a number from 0.1 to 6; it is 60/);
  });
});

describe('preferences', () => {
  it('are a step of their own', async () => {
    await setJudgement(db, tideMill.judgement, { ...tideMill.judgement, school: 'as a look' });
    expect((await loadWorkspace(db)).judgement.school).toBe('as a look');
    await undo(db);
    expect((await loadWorkspace(db)).judgement.school).toBe('grade it out');
  });
});
