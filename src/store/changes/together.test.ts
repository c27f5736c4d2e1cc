import fc from 'fast-check';
import { beforeEach, describe, expect, it } from 'vitest';
import { tideMill } from '@/core/demo';
import type { Lens } from '@/core/kit/records';
import { freshDatabase } from '../../../tests/support/database';
import { HaloDatabase } from '../database/db';
import { commit, edited, GoneRecord } from './journal';
import { StepElsewhere, undo } from './undo';
import { mergedValue } from './merge';
import { conflictSentence, troubleSentence } from '../troubles/troubles';

/** Two tabs are two connections to one database. */
let here: HaloDatabase;
let there: HaloDatabase;
const lens = tideMill.lenses[0]!;

beforeEach(async () => {
  here = freshDatabase();
  there = new HaloDatabase(here.name);
  await commit(here, 'Begin', [{ table: 'lenses', id: lens.id, after: lens }]);
});

const change = (db: HaloDatabase, seen: Lens, more: Partial<Lens>) =>
  commit(db, 'Change', [edited('lenses', seen, { ...seen, ...more })]);
const stored = async () => (await here.lenses.get(lens.id))!;

describe('changes of one record from two places', () => {
  it('to different fields both stand, in either order', async () => {
    await change(here, lens, { name: 'mine' });
    const { conflicts } = await change(there, lens, { note: 'theirs' });
    expect(conflicts).toEqual([]);
    expect(await stored()).toMatchObject({ name: 'mine', note: 'theirs' });
  });

  it('to the same field: the later stands, it is told, and undo brings back the other', async () => {
    await change(there, lens, { name: 'theirs' });
    const { conflicts } = await change(here, lens, { name: 'mine' });
    expect(conflicts).toEqual([{ table: 'lenses', name: 'mine', path: '/name' }]);
    expect(conflictSentence(conflicts)).toMatch(/“mine”: name had been changed elsewhere/);
    expect((await stored()).name).toBe('mine');
    await undo(here);
    expect((await stored()).name).toBe('theirs');
  });

  it('a step of another tab is taken back only where that is meant', async () => {
    await change(there, lens, { name: 'theirs' });
    await expect(undo(here)).rejects.toThrow(StepElsewhere);
    await expect(undo(here)).rejects.toThrow('Change');
    expect((await stored()).name).toBe('theirs');
    expect(await undo(here, true)).toBe('Change');
    expect((await stored()).name).toBe(lens.name);
    // The first step is this tab's own.
    expect(await undo(here)).toBe('Begin');
  });

  it('the same tab may take its own back after a reload', async () => {
    await change(here, lens, { name: 'mine' });
    const again = new HaloDatabase(here.name, here.tab);
    expect(await undo(again)).toBe('Change');
  });

  it('typing in two tabs is not one step', async () => {
    const key = { mergeKey: 'name' };
    await commit(here, 'Type', [edited('lenses', lens, { ...lens, name: 'a' })], key);
    await commit(there, 'Type', [edited('lenses', lens, { ...lens, maker: 'b' })], key);
    expect(await here.journal.count()).toBe(3);
  });

  it('inside nested fields and lists of records, each in its own place', async () => {
    const [first, second] = lens.halo;
    const fresh = { ...first!, id: 'fresh' };
    await change(there, lens, { halo: [...lens.halo, fresh] });
    const noted = [{ ...first!, note: 'mine' }, ...lens.halo.slice(1)];
    const { conflicts } = await change(here, lens, {
      halo: noted.filter((s) => s.id !== second!.id),
      electronics: { ...lens.electronics, focus: !lens.electronics.focus },
    });
    expect(conflicts).toEqual([]);
    const { halo, electronics } = await stored();
    expect(halo.map((s) => s.id)).toEqual([
      ...lens.halo.filter((s) => s.id !== second!.id).map((s) => s.id),
      'fresh',
    ]);
    expect(halo[0]?.note).toBe('mine');
    expect(electronics).toEqual({ ...lens.electronics, focus: !lens.electronics.focus });
  });

  it('what was typed before the screen caught up is no conflict with itself', async () => {
    for (const name of ['a', 'ab', 'abc']) {
      const { conflicts } = await change(here, lens, { name });
      expect(conflicts).toEqual([]);
    }
    await change(here, lens, { note: 'typed in another field' });
    expect(await stored()).toMatchObject({ name: 'abc', note: 'typed in another field' });
  });

  it('a deleted record does not come back', async () => {
    await commit(there, 'Delete', [{ table: 'lenses', id: lens.id, after: null }]);
    const late = change(here, lens, { name: 'late' });
    await expect(late).rejects.toThrow(GoneRecord);
    expect(troubleSentence(await late.catch((e: unknown) => e))).toMatch(
      /“late” was deleted meanwhile/,
    );
    expect(await here.lenses.count()).toBe(0);
  });

  it('what they come to together is checked as well', async () => {
    // Each is fine by itself; together the long end is shorter than the wide one.
    await change(there, lens, { focalMaxMm: 20 });
    await expect(change(here, lens, { focalMinMm: 30 })).rejects.toThrow(
      /shorter than the wide end/,
    );
    expect(await stored()).toMatchObject({ focalMinMm: lens.focalMinMm, focalMaxMm: 20 });
  });

  it('500 of them, of six fields from two tabs that see old states, lose none', async () => {
    const fields = ['name', 'note', 'maker', 'massG', 'price', 'priceNew'] as const;
    const last = new Map<string, unknown>();
    const random = fc.sample(
      fc.tuple(fc.nat(5), fc.boolean(), fc.integer({ min: 1, max: 9 })),
      500,
    );
    let seenHere = await stored();
    let seenThere = seenHere;
    for (const [i, [k, isHere, value]] of random.entries()) {
      // Each tab has three fields of its own and looks only now and then.
      const field = fields[(k % 3) * 2 + (isHere ? 0 : 1)]!;
      const told = ['name', 'note', 'maker'].includes(field) ? `v${value}` : value;
      const seen = isHere ? seenHere : seenThere;
      // The one enters nothing a field shows already, as fields do; the other shows what it changed at once.
      if (isHere && seen[field] === told) continue;
      await change(isHere ? here : there, seen, { [field]: told });
      if (!isHere) seenThere = { ...seen, [field]: told };
      last.set(field, told);
      if (i % 7 === 0) seenHere = await stored();
      if (i % 11 === 0) seenThere = await stored();
    }
    expect(await stored()).toMatchObject(Object.fromEntries(last));
  });
});

describe('something stored beside the records', () => {
  it('is kept with them or not at all', async () => {
    const grid = { id: 'g', at: 1, grid: {} as never };
    const broken = commit(
      here,
      'Keep',
      [{ table: 'lenses', id: lens.id, after: { ...lens, name: '' } }],
      {
        along: async () => {
          await here.grids.put(grid);
        },
      },
    );
    await expect(broken).rejects.toThrow();
    expect(await here.grids.count()).toBe(0);
    const failing = change(here, lens, { name: 'new' });
    await failing;
    const lost = commit(here, 'Keep', [edited('lenses', lens, { ...lens, note: 'kept?' })], {
      along: () => Promise.reject(new Error('full')),
    });
    await expect(lost).rejects.toThrow('full');
    expect(await stored()).toMatchObject({ name: 'new', note: lens.note });
  });
});

describe('merging values', () => {
  const merged = (seen: unknown, mine: unknown, now: unknown) =>
    mergedValue({ seen, mine, stored: now, own: undefined });

  it('changes of one side alone stand, whichever side it is', () => {
    fc.assert(
      fc.property(fc.jsonValue(), fc.jsonValue(), (seen, other) => {
        expect(merged(seen, other, seen)).toEqual({ value: other, conflicts: [] });
        expect(merged(seen, seen, other)).toEqual({ value: other, conflicts: [] });
        expect(merged(seen, other, other)).toEqual({ value: other, conflicts: [] });
      }),
    );
  });

  it('a field may be called what every object has', () => {
    for (const name of ['toString', 'valueOf', 'constructor', 'hasOwnProperty']) {
      const odd = { [name]: 0 };
      expect(merged({}, odd, {})).toEqual({ value: odd, conflicts: [] });
      expect(merged({ a: 1 }, { a: 2 }, { a: 1, [name]: 0 })).toEqual({
        value: { a: 2, [name]: 0 },
        conflicts: [],
      });
    }
  });

  it('a part removed here and changed there is a conflict, and stays removed', () => {
    const seen = { list: [{ id: 'a', v: 1 }] };
    const met = merged(seen, { list: [] }, { list: [{ id: 'a', v: 2 }] });
    expect(met).toEqual({ value: { list: [] }, conflicts: ['/list/a'] });
  });
});
