/** The addresses of rooms that keep more than a rig in them. */
import { describe, expect, it } from 'vitest';
import { cardQuery, readCardQuery } from './cardLink';
import { readWith, withQuery } from './converterLink';
import { holdsRig } from './rigHash';
import { readSweepQuery, sweepQuery } from './sweepLink';

describe('the address of a card', () => {
  it('holds the paper, and the day where there is one', () => {
    expect(cardQuery({ dayId: null, size: 'A6' })).toBe('&paper=A6');
    expect(cardQuery({ dayId: 'a day & more', size: 'A4' })).toBe('&day=a+day+%26+more&paper=A4');
    for (const view of [
      { dayId: null, size: 'A6' },
      { dayId: 'first', size: 'letter' },
    ] as const)
      expect(readCardQuery(cardQuery(view), 'A4')).toEqual(view);
  });

  it('is as usual where it says nothing, or what cannot be', () => {
    expect(readCardQuery('', 'A6')).toEqual({ dayId: null, size: 'A6' });
    expect(readCardQuery('paper=A3', 'A6').size).toBe('A6');
    expect(readCardQuery(`day=${'d'.repeat(80)}`, 'A6').dayId).toBe('d'.repeat(80));
    expect(readCardQuery(`day=${'d'.repeat(2000)}`, 'A6').dayId).toBeNull();
  });
});

describe('the address of a sweep', () => {
  it('comes back as it was', () => {
    for (const link of [
      { rigId: 'r', rows: 'aperture', columns: 'focal', against: 'lens:w50' },
      { rigId: 'r', rows: null, columns: null, against: null },
    ] as const)
      expect(readSweepQuery(sweepQuery(link))).toEqual(link);
  });

  it('leaves out what is none: axes, two alike, ids longer than any', () => {
    expect(readSweepQuery('down=aperture')).toBeNull();
    expect(readSweepQuery(`rig=${'r'.repeat(80)}`)?.rigId).toHaveLength(80);
    expect(readSweepQuery(`rig=${'r'.repeat(81)}`)).toBeNull();
    expect(readSweepQuery('rig=r&down=weight&across=focal')).toMatchObject({
      rows: null,
      columns: 'focal',
    });
    expect(readSweepQuery('rig=r&down=focal&across=focal')).toMatchObject({
      rows: null,
      columns: 'focal',
    });
    expect(readSweepQuery(`rig=r&against=${'a'.repeat(400)}`)?.against).toHaveLength(400);
    expect(readSweepQuery(`rig=r&against=${'a'.repeat(401)}`)?.against).toBeNull();
    expect(readSweepQuery('rig=r&against=')?.against).toBeNull();
  });
});

describe('the part of an address', () => {
  it('that names a converter', () => {
    expect(withQuery(null)).toBe('');
    expect(readWith(withQuery('a/b&c'))).toBe('a/b&c');
    expect(readWith('')).toBeNull();
  });

  it('that holds a whole rig begins with its own word, with or without the sign before it', () => {
    expect([holdsRig('#rig=abc'), holdsRig('rig=abc'), holdsRig('#card'), holdsRig('')]).toEqual([
      true,
      true,
      false,
      false,
    ]);
  });
});
