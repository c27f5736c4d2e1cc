/**
 * Cards as PDF, read back by Debian's poppler-utils: page size, fonts, text and where it stands; and their code by
 * the decoder library jsqr.
 */
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import jsqr from 'jsqr';
import sharp from 'sharp';
import { afterAll, describe, expect, it } from 'vitest';
import {
  codeOf,
  cardPaper,
  dayPaper,
  type CardWithCode,
  PAPERS,
  type Paper,
  type PaperSize,
  paperPdf,
  typesetter,
} from '@/core/card/paper';
import { dayPlan, rigsOfDay, rigCard } from '@/core/card';
import { tideMill } from '@/core/demo';
import { dayOf } from '@/core/kit/records';
import { packRig, unpackRig } from '@/core/exchange/links';
import type { Rig } from '@/core/rig';
import { demoRig } from '../support/demo';
import { PAPER_FONTS } from '../support/paperFonts';

const folder = mkdtempSync(join(tmpdir(), 'halo-paper-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const TODAY = '2026-06-01';
const AT = 'http://192.168.100.20:3000/bench#';
const type = typesetter(PAPER_FONTS);
const cardFor = (rig: Rig, note = ''): CardWithCode => ({
  card: rigCard(rig, note, TODAY),
  code: codeOf(AT + packRig(rig)),
});

async function pdfOf(paper: Paper, name: string): Promise<string> {
  const file = join(folder, `${name}.pdf`);
  writeFileSync(file, await paperPdf(paper, PAPER_FONTS, type, TODAY));
  return file;
}
const asked = (tool: string, ...args: string[]): string =>
  execFileSync(tool, args, { encoding: 'utf8', maxBuffer: 64e6 });
/** The text of a PDF as one line. */
const textOf = (file: string): string => asked('pdftotext', '-raw', file, '-').replace(/\s+/g, ' ');

interface Word {
  text: string;
  left: number;
  right: number;
  top: number;
  bottom: number;
}
function wordsOf(file: string): { width: number; height: number; words: Word[] }[] {
  return asked('pdftotext', '-bbox', file, '-')
    .split('<page ')
    .slice(1)
    .map((page) => {
      const [, width = 0, height = 0] = (/width="([\d.]+)" height="([\d.]+)"/.exec(page) ?? []).map(
        Number,
      );
      const words = [
        ...page.matchAll(
          /<word xMin="([-\d.]+)" yMin="([-\d.]+)" xMax="([-\d.]+)" yMax="([-\d.]+)">(.*?)<\/word>/g,
        ),
      ].map(([, left, top, right, bottom, text = '']) => ({
        text,
        left: Number(left),
        top: Number(top),
        right: Number(right),
        bottom: Number(bottom),
      }));
      return { width, height, words };
    });
}

const SIZES: readonly PaperSize[] = ['A4', 'letter', 'A6'];

describe.each(SIZES)('a card on %s', (size) => {
  it('has the size of the paper, every font embedded, and nothing outside its margins', async () => {
    const file = await pdfOf(
      cardPaper(size, type, cardFor(demoRig('wheel-house-wide')), TODAY),
      size,
    );
    const [, width = 0, height = 0] = (
      /Page size:\s+([\d.]+) x ([\d.]+)/.exec(asked('pdfinfo', file)) ?? []
    ).map(Number);
    expect(width).toBeCloseTo((PAPERS[size].widthMm * 72) / 25.4, 1);
    expect(height).toBeCloseTo((PAPERS[size].heightMm * 72) / 25.4, 1);
    const fonts = asked('pdffonts', file).trim().split('\n').slice(2);
    expect(fonts.length).toBeGreaterThan(0);
    // Columns "emb sub uni": embedded, and with a table back to characters.
    for (const line of fonts) expect(line).toMatch(/ yes (yes|no) +yes +\d+ +\d+$/);
    for (const page of wordsOf(file))
      for (const { left, right, top, bottom } of page.words) {
        expect(left).toBeGreaterThan(12);
        expect(right).toBeLessThan(page.width - 12);
        expect(top).toBeGreaterThan(8);
        expect(bottom).toBeLessThan(page.height - 8);
      }
  });

  it('says everything on the card as text that can be selected', async () => {
    for (const id of ['wheel-house-wide', 'waders-at-dawn', 'long-wall']) {
      const one = cardFor(demoRig(id), 'Power is off until ten.');
      const text = textOf(await pdfOf(cardPaper(size, type, one, TODAY), `${size}-${id}`));
      const { card } = one;
      const all = [
        card.name,
        card.on,
        card.sentence,
        card.risk,
        card.evidence,
        card.note,
        ...card.dials.flatMap((d) => [d.name, d.figure]),
        ...card.sections.flatMap((s) => [
          s.title,
          ...s.lines.flatMap((l) => [l.name, l.figure]),
          ...s.notes,
        ]),
        ...card.cautions,
      ];
      // Lines of two columns run into one another in reading order: word by word they are all there.
      const words = new Set(text.split(' '));
      for (const each of all)
        for (const word of type.plain(each).split(' ').filter(Boolean))
          expect(words).toContain(word);
    }
  });

  it('cuts no name, however long, and sets Latin, Greek and Cyrillic', async () => {
    const rig = demoRig('wheel-house-wide');
    const long = 'Ünterwässerungskammerzugangsschleusentor–Łódź–Ωμέγα–Свет'.repeat(3);
    const named: Rig = {
      ...rig,
      name: long,
      lens: { ...rig.lens, name: `${long} f/1.8` },
      body: { ...rig.body, name: long },
      mode: { ...rig.mode, name: `${long} 25 fps` },
    };
    const paper = cardPaper(size, type, cardFor(named, long), TODAY);
    expect(paper.missing).toEqual([]);
    const file = await pdfOf(paper, `${size}-long`);
    const squeezed = asked('pdftotext', '-raw', file, '-').replace(/\s+/g, '');
    expect(squeezed.split(long).length - 1).toBeGreaterThanOrEqual(3);
    for (const page of wordsOf(file))
      for (const { right } of page.words) expect(right).toBeLessThan(page.width - 12);
  });

  it('holds a code that a decoder reads back to the same rig', async () => {
    const rig = demoRig('wheel-house-wide');
    const file = await pdfOf(cardPaper(size, type, cardFor(rig), TODAY), `${size}-code`);
    const picture = join(folder, `${size}-code`);
    asked(
      'pdftoppm',
      '-r',
      size === 'A6' ? '300' : '250',
      '-f',
      '1',
      '-l',
      '1',
      '-png',
      file,
      picture,
    );
    const png =
      execFileSync('sh', ['-c', `ls ${picture}*.png`], { encoding: 'utf8' })
        .trim()
        .split('\n')[0] ?? '';
    const { data, info } = await sharp(readFileSync(png))
      .ensureAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true });
    const read = jsqr(new Uint8ClampedArray(data), info.width, info.height);
    expect(read?.data).toBe(AT + packRig(rig));
    const back = unpackRig((read?.data ?? '').split('#')[1] ?? '');
    expect(back.ok && back.value.name).toBe(rig.name);
  });
});

describe('a day on paper', () => {
  it('lists its rigs in order, what to pack once, and then every card', async () => {
    const [day] = tideMill.days;
    if (!day) throw new Error('the demo has days');
    const plan = dayPlan(rigsOfDay(tideMill, day));
    const cards = plan.rigs.flatMap(({ rig, note }) => (rig ? [cardFor(rig, note)] : []));
    const file = await pdfOf(dayPaper('A4', type, { day, plan, cards }, TODAY), 'day');
    const text = textOf(file);
    expect(text).toContain(`${day.name} ${day.date}`);
    const places = plan.rigs.map(({ name }, i) => text.indexOf(`${i + 1} ${name}`));
    expect(places).toEqual(places.toSorted((a, b) => a - b));
    expect(places[0]).toBeGreaterThan(0);
    expect(wordsOf(file).length).toBeGreaterThan(day.rigIds.length);
    expect(text).toContain('To pack');
  });
});

describe('much on paper', () => {
  it('runs on to further pages, and nothing leaves them', async () => {
    const many = tideMill.rigs.map((r) => r.id);
    const note = 'The tide comes at nine. '.repeat(160).trim();
    const day = dayOf({
      id: 'long',
      name: 'Everything at once '.repeat(10).trim(),
      date: '2026-06-05',
      note,
      rigIds: [...many, ...many, 'gone'],
    });
    const lenses = tideMill.lenses.map((l) => ({
      ...l,
      name: `${l.name} ${'of the old mill '.repeat(9)}`,
    }));
    const plan = dayPlan(rigsOfDay({ ...tideMill, lenses }, day));
    const cards = [cardFor(demoRig('wheel-house-wide'), note)];
    const paper = dayPaper('A6', type, { day, plan, cards }, TODAY);
    const file = await pdfOf(paper, 'much');
    const pages = wordsOf(file);
    expect(pages.length).toBeGreaterThan(8);
    for (const page of pages)
      for (const { left, right, top, bottom } of page.words) {
        expect(left).toBeGreaterThan(12);
        expect(right).toBeLessThan(page.width - 12);
        expect(top).toBeGreaterThan(8);
        expect(bottom).toBeLessThan(page.height - 8);
      }
    const squeezed = textOf(file).replace(/ /g, '');
    expect(squeezed.split('tide').length - 1).toBe(320);
    expect(squeezed).toContain('itlacksitsrecord');
    for (const { name } of plan.pack) expect(squeezed).toContain(name.replace(/ /g, ''));
  });
});

describe('names on paper', () => {
  it('keep markup and formulas as text, lose control characters, and tell what no font has', async () => {
    const rig = demoRig('mill-pond');
    const odd = { ...rig, name: '<b>=1+1</b> (a) \\ \u0000\u0007\u202e 東' };
    const paper = cardPaper('A6', type, cardFor(odd), TODAY);
    expect(paper.missing).toContain('東');
    const text = textOf(await pdfOf(paper, 'odd'));
    expect(text).toContain('<b>=1+1</b> (a) \\');
    expect(text).not.toContain('\u0007');
  });
});
