import { describe, expect, it } from 'vitest';
import { demoRig, turned } from '../../../tests/support/demo';
import { partOf, plainRig } from '../../../tests/support/plainRig';
import { tideMill } from '../demo';
import { bodyOf } from '../kit/records';
import { balanceOf } from './balance';
import { basisWords } from './bases';
import { cropOf, trainsFor, weigh, type ConverterColumn } from './columns';
import { lightAgainst, pictureLightAgainst } from './rowFigures';
import { cellOf, ROW_GROUPS } from './rows';
import { differs } from './seen';
import { techniquesFor } from './technique';
import { gainRange, stepDistanceM, verdictOfWeighing } from './verdict';

const rows = ROW_GROUPS.flatMap((g) => g.rows);
const weighed = (id: string) => {
  const rig = demoRig(id);
  return weigh(rig, trainsFor(rig, tideMill.parts));
};
const waders = weighed('waders-at-dawn');
const column = (title: string): ConverterColumn =>
  waders.converters.find((c) => c.title === title)!;
const figure = (row: string, c: ConverterColumn, base = waders.base) =>
  cellOf(
    rows.find((r) => r.id === row)!,
    { column: c, base },
  );

describe('what is weighed', () => {
  it('the lens as it is, every converter that joins weakest first, and a crop to the same view', () => {
    expect(waders.base.title).toBe('plain 44.00 to 18.00');
    expect(waders.converters.map((c) => c.title)).toEqual([
      '×0.70 in front',
      '×0.71',
      '×1.40',
      '×2.00',
      '×1.40 ×2.00',
    ]);
    const crop = cropOf(waders, 1.4);
    expect(crop?.report.optics.equivalents.focalMm).toBeCloseTo(700, 6);
    expect(cropOf(waders, 0.71)).toBeNull();
  });

  it('of more than eight shows the eight of fewest parts, then the weakest, and says how many are left', () => {
    const reducers = Array.from({ length: 10 }, (_, i) =>
      partOf('focal reducer', { id: `r${i}`, factor: 0.9 - 0.03 * i, thicknessMm: 21 }),
    );
    const tele = partOf('teleconverter', {
      id: 'tele',
      factor: 1.4,
      thicknessMm: 12,
      rearMountId: 'slr',
    });
    const kit = [tele, ...reducers, partOf('plain adapter')];
    const { converters, left } = trainsFor(plainRig(), kit);
    const factors = converters.map((chain) => chain.reduce((m, p) => m * p.factor, 1));
    expect([converters.length, left]).toEqual([8, 3]);
    expect(converters.every((chain) => chain.length === 1)).toBe(true);
    expect(factors).toEqual(factors.toSorted((a, b) => a - b));
    expect(factors[0]).toBeCloseTo(0.63, 9);
  });

  it('what fits nowhere says why', () => {
    const { unfitting } = trainsFor(demoRig('waders-at-dawn'), tideMill.parts);
    const expander = unfitting.find((u) => u.name.includes('expander'));
    expect(expander?.reasons.join()).toMatch(/Mirrorless bayonet 18\.00/);
  });

  it('a lens of the body’s own mount is bare; one that nothing joins is told so', () => {
    expect(weighed('sluice-tower').base.title).toBe('Bare lens');
    const rig = plainRig({ parts: [] });
    const alone = weigh(rig, trainsFor(rig, []));
    expect(alone.baseJoins).toBe(false);
    expect(alone.converters).toEqual([]);
    // What is weighed against it speaks of its own corners alone.
    const reducer = partOf('focal reducer', { factor: 0.71, thicknessMm: 21 });
    const { base, converters } = weigh(rig, trainsFor(rig, [reducer]));
    const { because } = verdictOfWeighing(base, converters[0]!);
    expect(because).toMatch(/Corners: [A-Z][a-z]+( or [A-Z][a-z]+)?\.$/);
    const cell = figure('verdict', base, base);
    expect(cell.figure).toBe('Does not join');
    expect(cell.note).toMatch(/^corners Clear/);
  });
});

describe('facts of the trade (common practice, no source)', () => {
  const teleRig = () =>
    plainRig({
      lens: {
        focalMinMm: 400,
        focalMaxMm: 400,
        openFNumberWide: 5.6,
        openFNumberLong: 5.6,
        closestFocusM: 3,
      },
      settings: { focalMm: 400, fNumber: 5.656854, focusM: 30 },
    });
  const TELE = partOf('teleconverter', {
    id: 'tele',
    factor: 1.4,
    frontMountId: 'slr',
    rearMountId: 'slr',
    thicknessMm: 17,
    transmission: 1,
  });
  const REDUCER = partOf('focal reducer', {
    id: 'reducer',
    factor: 0.71,
    thicknessMm: 21,
    transmission: 1,
  });
  const kit = [partOf('plain adapter'), TELE, REDUCER];

  it('400 mm f/5.6 with 1.4x is 560 mm and prints f/8', () => {
    const rig = teleRig();
    const { converters } = weigh(rig, trainsFor(rig, kit));
    const tele = converters.find((c) => c.reach === 1.4)!;
    expect(tele.report.optics.train.focalMm).toBeCloseTo(560, 6);
    expect(tele.report.optics.printsAs).toEqual(['f/8']);
  });

  it('24-70/2.8 behind 0.71x on a 1.5x sensor frames like about 26-75 on 36x24', () => {
    const small = { ...plainRig().mode, widthMm: 23.5, heightMm: 15.6 };
    for (const [focalMm, like] of [
      [24, 26],
      [70, 75],
    ] as const) {
      const rig = turned(
        {
          ...plainRig({
            lens: { focalMinMm: 24, focalMaxMm: 70, openFNumberWide: 2.8, openFNumberLong: 2.8 },
          }),
          mode: small,
        },
        { focalMm, fNumber: 2.8 },
      );
      const { converters } = weigh(rig, trainsFor(rig, kit));
      const reduced = converters.find((c) => c.reach === 0.71)!;
      expect(reduced.report.optics.equivalents.focalMm).toBeGreaterThan(like - 0.6);
      expect(reduced.report.optics.equivalents.focalMm).toBeLessThan(like + 1.4);
      // 1.5 × 0.71 = 1.07: the crop that is left.
      const left = Number(
        cellOf(
          rows.find((r) => r.id === 'acts as, width')!,
          {
            column: reduced,
            base: reduced,
          },
        ).figure.replace('× ', ''),
      );
      expect(left).toBeCloseTo(1.09, 2);
    }
  });

  it('f/1.8 behind 0.71x prints 1.2 or 1.3', () => {
    const rig = plainRig({
      lens: { openFNumberWide: 1.8, openFNumberLong: 1.8 },
      settings: { fNumber: 1.7818 },
    });
    const { converters } = weigh(rig, trainsFor(rig, kit));
    expect(converters.find((c) => c.reach === 0.71)!.report.optics.printsAs).toEqual([
      'f/1.2',
      'f/1.3',
    ]);
  });

  it('a converter and the crop to its view leave the same noise, but for the glass', () => {
    const rig = teleRig();
    const weighing = weigh(rig, trainsFor(rig, kit));
    const tele = weighing.converters.find((c) => c.reach === 1.4)!;
    const crop = cropOf(weighing, 1.4)!;
    const of = (c: ConverterColumn) => pictureLightAgainst({ column: c, base: weighing.base });
    expect(of(tele)).toBeCloseTo(-0.9709, 3); // STANDARDS, 6: x1.4 costs 0.9709 stop.
    expect(of(crop)).toBeCloseTo(of(tele), 6);
  });
});

describe('the table', () => {
  it('every figure has its why, and none is empty or not a number', () => {
    for (const id of ['waders-at-dawn', 'wheel-house-wide', 'sluice-tower', 'gears-close']) {
      const weighing = weighed(id);
      const crop = cropOf(weighing, weighing.converters.at(-1)?.reach ?? 1);
      for (const c of [weighing.base, ...weighing.converters, ...(crop ? [crop] : [])])
        for (const row of rows) {
          const { figure: words, note } = cellOf(row, { column: c, base: weighing.base });
          expect(`${words} ${note ?? ''}`, `${id} ${row.id}`).not.toMatch(/NaN|undefined|Infinity/);
          expect(words, `${id} ${row.id}`).not.toBe('');
          const why = row.why({ column: c, base: weighing.base }, '2026-11-27');
          expect(why.formula, `${id} ${row.id}`).not.toBe('');
          expect(JSON.stringify(why), `${id} ${row.id}`).not.toMatch(/NaN|undefined/);
        }
    }
  });

  it('the base differs from itself in nothing, a converter in what it changes', () => {
    for (const row of rows)
      expect(cellOf(row, { column: waders.base, base: waders.base }).matters, row.id).toBe(false);
    expect(figure('focal', column('×1.40')).matters).toBe(true);
    expect(figure('depth, same place', column('×1.40')).matters).toBe(false);
    expect(figure('contacts', column('×1.40')).matters).toBe(false);
  });

  it('light is exact with the customary figure beside it', () => {
    const { figure: exact, note } = figure('light', column('×0.71'));
    // −2 log₂ 0.71 = 0.9882, less the glass: log₂ 0.96 = −0.0589.
    expect(lightAgainst({ column: column('×0.71'), base: waders.base })).toBeCloseTo(0.9293, 3);
    expect(exact).toBe('+0.93 stop');
    expect(note).toBe('often said +1.0 stop');
  });

  it('from one place, at one depth, only the glass costs light', () => {
    expect(figure('noise depth', column('×2.00')).figure).toBe('+0.10 stop'); // log₂ 0.93
    expect(figure('noise depth', waders.base).figure).toBe('–');
  });

  it('autofocus is by the body’s limit, with what the detectors get less', () => {
    expect(figure('autofocus', column('×1.40')).note).toBe('1.0 stop dimmer for it');
    expect(figure('autofocus', column('×1.40 ×2.00')).figure).toBe('fails');
  });

  it('a front converter keeps the subject where it is', () => {
    const front = column('×0.70 in front').report.picture.subjectM;
    expect(front).toBeCloseTo(60, 0);
  });
});

describe('converter, crop, or closer', () => {
  it('says who wins, by how much, and how sure that is', () => {
    const { headline, because, sure, steps } = verdictOfWeighing(waders.base, column('×1.40'));
    expect(headline).toBe('The ×1.40 converter');
    expect(because).toMatch(/10 % more detail.*1\.04 stops of light/);
    expect(sure).toMatch(/^It is not settled/);
    expect(steps).toMatch(/from 60\.0 m to 43\.0 m/);
  });

  it('the gain lies within its range, which is narrower for a lens whose figure is its own', () => {
    const { low, mid, high } = gainRange(waders.base, 1.4);
    expect(low).toBeLessThan(mid);
    expect(mid).toBeLessThan(high);
    const told = {
      ...waders.base,
      rig: { ...waders.base.rig, lens: { ...waders.base.rig.lens, resolutionLpMm: 110 } },
    };
    const own = gainRange(told, 1.4);
    expect(own.high - own.low).toBeLessThan(high - low);
  });

  it('a step closer frames as the converter does: 60 m ÷ 1.4, a focal length or two aside', () => {
    expect(stepDistanceM(waders.base, 1.4)).toBeCloseTo(60 / 1.4, 0);
    const infinite = {
      ...waders.base,
      report: { ...waders.base.report, picture: { ...waders.base.report.picture, subjectM: null } },
    };
    expect(stepDistanceM(infinite, 1.4)).toBeNull();
  });

  it('a reducer gives light and view, and says what it costs the corners', () => {
    const { headline, because } = verdictOfWeighing(waders.base, column('×0.71'));
    expect(headline).toBe('×0.71 gives light and view, and costs corners');
    expect(because).toMatch(
      /gives 0\.93 stop of light \(often said 1\.0\).*Keyhole, Clear without it/,
    );
    expect(verdictOfWeighing(waders.base, column('×0.70 in front')).headline).toMatch(/no light/);
  });

  it('glass before the lens that reaches takes no light but its own', () => {
    const front = partOf('front converter', {
      id: 'front',
      factor: 1.5,
      transmission: 0.9,
      thicknessMm: 60,
    });
    const rig = plainRig({ settings: { focusM: 10 } });
    const { base, converters } = weigh(rig, trainsFor(rig, [partOf('plain adapter'), front]));
    const long = converters.find((c) => c.reach === 1.5)!;
    expect(long.report.optics.train.fNumber).toBe(2);
    const { headline, because, sure } = verdictOfWeighing(base, long);
    expect(headline).toBe('×1.50 in front reaches farther');
    expect(because).toContain('75 mm on 36×24 in place of 50 mm'); // 50 × 1.5
    expect(because).toContain('takes 0.15 stop'); // log₂ 0.9, STANDARDS, 3
    expect(sure).toMatch(/no figure here tells/);
  });

  it('notes are said where they hold, each with its cause', () => {
    const ids = techniquesFor(column('×2.00')).map((t) => t.id);
    expect(ids).toEqual(expect.arrayContaining(['support', 'stop down', 'haze', 'dim', 'hood']));
    const wide = weighed('wheel-house-wide');
    expect(techniquesFor(wide.base).map((t) => t.id)).not.toContain('support');
    for (const { because } of techniquesFor(column('×2.00'))) expect(because).not.toBe('');
  });

  it('each basis of depth has its sentence, with the figure that settles it', () => {
    const tele = column('×1.40');
    const said = tele.report.picture.depthBases.map((b) => basisWords(tele, b).sentence);
    expect(said).toHaveLength(3);
    expect(said[0]).toMatch(/entrance pupil has not changed/);
    expect(said[1]).toMatch(/1\.40 times: deeper/);
    expect(said[2]).toMatch(/30\.9 mm diagonal/); // 43.27 / 1.4
  });
});

describe('where it balances', () => {
  it('is Σ m x / Σ m, worked out by hand', () => {
    const rig = plainRig({ lens: { lengthMm: 100, massG: 400 } });
    const parts = [partOf('plain adapter', { massG: 100, thicknessMm: 20 })];
    // (100 × 10 + 400 × 70) / 500 = 58 mm; 0.029 kg m × 9.80665.
    const found = balanceOf({ ...rig, parts });
    expect(found?.aheadMm).toBeCloseTo(58, 9);
    expect(found?.torqueNm).toBeCloseTo(0.28439, 4);
    expect(balanceOf({ ...rig, parts: [partOf('plain adapter', { massG: null })] })).toBeNull();
    expect(balanceOf(plainRig())).toBeNull();
  });
});

describe('what anybody sees', () => {
  it('known against unknown is a difference, both unknown is none', () => {
    expect(differs.byStops(null, 1)).toBe('seen');
    expect(differs.byStops(null, null)).toBe('not seen');
    expect(differs.byShare(1.05, 1, 0.02)).toBe('seen');
    expect(differs.stops(-0.05)).toBe('not seen');
  });
});

it('a body that tells no autofocus limit is not known, never a pass', () => {
  const body = bodyOf({ ...plainRig().body, autofocusLimitFNumber: null });
  const rig = { ...plainRig(), body };
  const { base } = weigh(rig, trainsFor(rig, [partOf('plain adapter')]));
  expect(
    cellOf(
      rows.find((r) => r.id === 'autofocus')!,
      { column: base, base },
    ).figure,
  ).toBe('not known');
});
