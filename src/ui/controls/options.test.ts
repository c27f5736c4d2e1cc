import { describe, expect, it } from 'vitest';
import { chooseOr, manyOf, searchOf, withOtherwise, type OptionGroup } from './options';

const GROUPS: OptionGroup[] = [
  {
    title: 'Fits',
    options: [
      { id: 'a', label: 'Wendmere 50/1.4', note: 'SLR bayonet 44.00' },
      { id: 'b', label: 'Brisk & Marrow 50/2', note: 'Screw M42x1 45.46' },
    ],
  },
  { title: 'Does not fit', options: [{ id: 'c', label: 'Wendmere 85/1.8', note: 'Cine 52.00' }] },
];

describe('a long list', () => {
  const ids = (sought: string, most = 10) => {
    const { groups, more } = searchOf(GROUPS)(sought, most);
    return [groups.map((g) => g.options.map((o) => o.id).join('')).join('|'), more];
  };

  it('is found by any words of label and note, in any order and case', () => {
    expect(ids('wend')).toEqual(['a|c', 0]);
    expect(ids('50')).toEqual(['ab', 0]);
    expect(ids('m42 brisk')).toEqual(['b', 0]);
    expect(ids('  ')).toEqual(['ab|c', 0]);
    expect(ids('nowhere')).toEqual(['', 0]);
  });

  it('shows no more than it may, and says how many more there are', () => {
    expect(ids('', 1)).toEqual(['a', 2]);
    expect(ids('wend', 1)).toEqual(['a', 1]);
  });

  it('is searched where it is long, and says what is chosen without being put together', () => {
    expect(manyOf(GROUPS)).toBeNull();
    const many = Array.from({ length: 61 }, (_, i) => ({ id: `${i}`, label: `no. ${i}` }));
    expect(manyOf([{ title: '', options: many }])?.labelOf('7')).toBe('no. 7');
    const lazy = { labelOf: () => 'x', groups: () => GROUPS };
    expect(manyOf(lazy)).toBe(lazy);
  });
});

describe('what can be done where none of the options is the one', () => {
  const groups = [{ title: 'Here', options: [{ id: 'a', label: 'A' }] }];

  it('stands after them, and is done in place of choosing', () => {
    const done: string[] = [];
    const otherwise = { question: 'None of these?', label: 'Say it', act: () => done.push('said') };
    const offered = withOtherwise(groups, otherwise);
    expect(offered.map((g) => g.title)).toEqual(['Here', 'None of these?']);
    for (const id of offered.flatMap((g) => g.options.map((o) => o.id)))
      chooseOr(id, (chosen) => done.push(chosen), otherwise);
    expect(done).toEqual(['a', 'said']);
  });

  it('is not there where nothing can be done', () => {
    expect(withOtherwise(groups, undefined)).toBe(groups);
  });
});
