import fc from 'fast-check';
import { expect, it } from 'vitest';
import { candidateKey, carriedKey, type Candidate } from '@/core/choose';
import { listed, type Listing } from './listing';

const candidate = (lens: number, body: number, mode: number, massG: number | null): Candidate => ({
  bodyId: `body ${body}`,
  modeId: `mode ${mode}`,
  lensId: `lens ${lens}`,
  partIds: [],
  cropId: null,
  digitalZoom: 1,
  fails: [],
  unknowns: [],
  views: [],
  share: 1,
  scale: 1,
  leastScale: null,
  at: null,
  crops: [],
  risk: null,
  tStop: null,
  light: 'f',
  pixelsAcross: 4000,
  massG,
  price: null,
  source: null,
});
const some = fc
  .uniqueArray(
    fc.tuple(fc.nat(2), fc.nat(2), fc.nat(3), fc.option(fc.integer({ min: 1, max: 9 }))),
    { selector: ([lens, body, mode]) => `${lens} ${body} ${mode}`, maxLength: 30 },
  )
  .map((all) => all.map((facts) => candidate(...facts)));
const nameOf = ({ lensId, bodyId, modeId }: Candidate) => ({
  lens: lensId,
  train: '',
  body: bodyId,
  mode: modeId,
});
const PLAIN: Listing = { sort: 'best first', grouping: 'not grouped', sought: '', only: null };
const NONE: ReadonlySet<string> = new Set();
const rowsOf = (...given: Parameters<typeof listed>) =>
  listed(...given).flatMap((item) => (item.kind === 'row' ? [item] : []));

it('each gear has one row, its best, and behind it as many as it has more', () => {
  fc.assert(
    fc.property(some, fc.constantFrom('best first', 'lightest'), (all, sort) => {
      const rows = rowsOf(all, { ...PLAIN, sort }, nameOf, NONE);
      expect(rows.map((r) => carriedKey(r.candidate))).toEqual([
        ...new Set(rows.map((r) => carriedKey(r.candidate))),
      ]);
      const counted = rows.reduce((sum, r) => sum + 1 + r.behind, 0);
      expect(counted).toBe(all.length);
      const mass = (c: Candidate) => c.massG ?? Infinity;
      for (const { candidate: head } of rows) {
        const same = all.filter((c) => carriedKey(c) === carriedKey(head));
        if (sort === 'lightest') expect(mass(head)).toBe(Math.min(...same.map(mass)));
        else expect(head).toBe(same[0]);
      }
    }),
  );
});

it('unfolded, every row is there, those of a gear after its first', () => {
  fc.assert(
    fc.property(some, fc.constantFrom('not grouped', 'by lens', 'by body'), (all, grouping) => {
      const open = new Set(all.map(carriedKey));
      const rows = rowsOf(all, { ...PLAIN, grouping }, nameOf, open);
      expect(new Set(rows.map((r) => candidateKey(r.candidate)))).toEqual(
        new Set(all.map(candidateKey)),
      );
      expect(rows).toHaveLength(all.length);
      rows.forEach((row, i) => {
        const before = rows[i - 1];
        if (row.isBehind) expect(carriedKey(before!.candidate)).toBe(carriedKey(row.candidate));
      });
    }),
  );
});
