/** A rig's card on paper. Whatever is long runs on, none of it is cut. */
import { verdictWords } from '../../frame';
import { focal } from '../../sweep';
import {
  type Place,
  pieceMiddles,
  stageItems,
  trainItems,
  verdictItems,
  windowItems,
  windowMarks,
} from './drawings';
import { codeItem, type PrintedCode } from './code';
import { INKS } from './paper';
import type { CardLine, CardSection, RigCard } from '../../card';
import type { Sheet } from './sheet';

const NAME = { size: 2.15, ink: INKS.muted } as const;
const BODY = { size: 2.35 } as const;
const FIGURE = { size: 2.35, weight: 'bold' } as const;
const HEADING = { size: 2.5, weight: 'bold' } as const;
const DIAL = { size: 5.4, weight: 'bold', leading: 1.04 } as const;
const LONG_DIAL = { size: 3.6, weight: 'bold', leading: 1.12 } as const;
const TITLE = { size: 5, weight: 'bold', leading: 1.15 } as const;
const GAP = 2.2;
const DIALS_A_ROW = 3;
/** Figures of more letters than this are set smaller. */
const LONG_FIGURE = 9;

function layHead(sheet: Sheet, card: RigCard): void {
  const { k, left, width } = sheet;
  sheet.flow(card.name, TITLE);
  sheet.flow(card.on, NAME);
  sheet.y += k;
  const mark: Place = { x: left + 0.4 * k, y: sheet.y + 0.6 * k, width: 9.5 * k, height: 6.4 * k };
  sheet.put(...verdictItems(card.verdict, mark));
  const words = { x: left + 13 * k, y: sheet.y, width: width - 13 * k };
  const headline = card.fitProblem ?? verdictWords(card.verdict);
  let high = sheet.text(headline, { size: 3.6, weight: 'bold' }, words);
  high += sheet.text(card.sentence, BODY, { ...words, y: sheet.y + high });
  high += sheet.text(card.risk, NAME, { ...words, y: sheet.y + high });
  sheet.y += Math.max(high, 8 * k) + GAP * k * 0.6;
  sheet.rule();
}

const dialStyle = ({ figure }: CardLine) => (figure.length > LONG_FIGURE ? LONG_DIAL : DIAL);

function dialHeight(sheet: Sheet, dial: CardLine, width: number): number {
  const note = dial.note === undefined ? 0 : sheet.height(dial.note, NAME, width);
  return (
    sheet.height(dial.name, NAME, width) + sheet.height(dial.figure, dialStyle(dial), width) + note
  );
}

function layDials(sheet: Sheet, { dials }: RigCard): void {
  const { k, left, width } = sheet;
  const gap = GAP * k;
  const each = (width - gap * (DIALS_A_ROW - 1)) / DIALS_A_ROW;
  for (let i = 0; i < dials.length; i += DIALS_A_ROW) {
    const row = dials.slice(i, i + DIALS_A_ROW);
    const high = Math.max(...row.map((dial) => dialHeight(sheet, dial, each)));
    sheet.need(high);
    row.forEach((dial, j) => {
      const at = { x: left + j * (each + gap), y: sheet.y, width: each };
      at.y += sheet.text(dial.name, NAME, at);
      at.y += sheet.text(dial.figure, dialStyle(dial), at);
      if (dial.note !== undefined) sheet.text(dial.note, NAME, at);
    });
    sheet.y += high + k;
  }
  sheet.rule();
}

function layWindow(sheet: Sheet, { window }: RigCard): void {
  if (!window) return;
  const { k, left, width } = sheet;
  const height = 11 * k;
  sheet.need(height);
  const place = { x: left + 4 * k, y: sheet.y, width: width - 8 * k, height };
  sheet.put(...windowItems(window, place));
  for (const { focalMm, x, y } of windowMarks(window, place)) {
    const words = focal(focalMm);
    const half = 6 * k;
    const middle = Math.min(left + width - half, Math.max(left + half, x));
    sheet.text(words, FIGURE, { x: middle - half, y: y - k, width: 2 * half, centred: true });
  }
  sheet.y += height + k;
}

/** Train and stage side by side, the list of what is screwed to what under them, the code beside the list. */
function layTrain(sheet: Sheet, card: RigCard, code: PrintedCode | null): void {
  const { k, left, width } = sheet;
  const gap = GAP * k;
  const stageWide = width * 0.36;
  const height = 18 * k;
  sheet.need(height);
  const trainWide = width - stageWide - gap;
  sheet.put(...trainItems(card, { x: left, y: sheet.y, width: trainWide, height }));
  sheet.put(
    ...stageItems(card, { x: left + trainWide + gap, y: sheet.y, width: stageWide, height }),
  );
  layNumbers(sheet, card, { x: left, y: sheet.y, width: trainWide, height });
  sheet.y += height + k;
  const codeSide = code ? Math.min(33 * k, MOST_CODE_MM) : 0;
  const listWide = code ? width - codeSide - gap : width;
  const rows = card.train.map(({ name, figure }, i) => ({ name: `${i + 1}  ${name}`, figure }));
  const high = rows.reduce((sum, row) => sum + lineHeight(sheet, row, listWide), 0);
  const textHigh = code ? sheet.height(CODE_WORDS, NAME, codeSide) : 0;
  sheet.need(Math.max(high, codeSide + textHigh));
  const top = sheet.y;
  for (const row of rows) sheet.y += layLine(sheet, row, left, listWide);
  if (code) {
    sheet.put(codeItem(code, left + listWide + gap, top, codeSide));
    sheet.text(CODE_WORDS, NAME, { x: left + listWide + gap, y: top + codeSide, width: codeSide });
  }
  sheet.y = Math.max(sheet.y, top + codeSide + textHigh) + k;
  sheet.rule();
}

/** The pieces' numbers, each in its box; in the list they have their names. */
function layNumbers(sheet: Sheet, card: RigCard, place: Place): void {
  const half = 3 * sheet.k;
  pieceMiddles(card, place).forEach((x, i) => {
    const y = place.y + place.height * 0.5 + 0.8 * sheet.k;
    sheet.text(String(i + 1), FIGURE, { x: x - half, y, width: 2 * half, centred: true });
  });
}

const CODE_WORDS = 'opens this rig';
/** Larger codes are no easier to read. */
const MOST_CODE_MM = 40;

/** A name left and its figure right, each on as many lines as it needs. */
function lineHeight(sheet: Sheet, { name, figure, note }: CardLine, width: number): number {
  const half = width * 0.52;
  const noteHigh = note === undefined ? 0 : sheet.height(note, NAME, width);
  return (
    Math.max(sheet.height(name, BODY, half), sheet.height(figure, FIGURE, width - half)) +
    noteHigh +
    0.3 * sheet.k
  );
}

function layLine(sheet: Sheet, line: CardLine, x: number, width: number): number {
  const half = width * 0.52;
  const left = sheet.text(line.name, BODY, { x, y: sheet.y, width: half });
  const right = sheet.text(line.figure, FIGURE, {
    x: x + half,
    y: sheet.y,
    width: width - half,
    right: true,
  });
  const high = Math.max(left, right);
  const note =
    line.note === undefined
      ? 0
      : sheet.text(line.note, NAME, { x, y: sheet.y + high, width, right: true });
  return high + note + 0.3 * sheet.k;
}

function sectionHeight(sheet: Sheet, section: CardSection, width: number): number {
  return (
    sheet.height(section.title, HEADING, width) +
    section.lines.reduce((sum, line) => sum + lineHeight(sheet, line, width), 0) +
    section.notes.reduce((sum, note) => sum + sheet.height(note, BODY, width), 0) +
    GAP * sheet.k
  );
}

function laySection(sheet: Sheet, section: CardSection, x: number, width: number): void {
  sheet.y += sheet.text(section.title, HEADING, { x, y: sheet.y, width });
  for (const line of section.lines) sheet.y += layLine(sheet, line, x, width);
  for (const note of section.notes) sheet.y += sheet.text(note, BODY, { x, y: sheet.y, width });
  sheet.y += GAP * sheet.k;
}

/** A section in pieces none of which is higher than a page; all but the first without its title. */
function pieces(sheet: Sheet, section: CardSection, width: number): CardSection[] {
  const most = sheet.whole - GAP * sheet.k;
  const found: CardSection[] = [];
  let piece: CardSection = { title: section.title, lines: [], notes: [] };
  const add = (longer: CardSection, alone: CardSection) => {
    if (sectionHeight(sheet, longer, width) <= most) piece = longer;
    else {
      found.push(piece);
      piece = alone;
    }
  };
  for (const line of section.lines)
    add({ ...piece, lines: [...piece.lines, line] }, { title: '', lines: [line], notes: [] });
  for (const note of section.notes)
    add({ ...piece, notes: [...piece.notes, note] }, { title: '', lines: [], notes: [note] });
  return [...found, piece];
}

/** Sections in two columns, each where there is more room; on to the next page where both are full. */
export function laySections(sheet: Sheet, sections: readonly CardSection[]): void {
  const { k, left, width } = sheet;
  const gap = 2 * GAP * k;
  const column = (width - gap) / 2;
  let heights = [sheet.y, sheet.y];
  for (const section of sections.flatMap((each) => pieces(sheet, each, column))) {
    const high = sectionHeight(sheet, section, column);
    const bottom = sheet.y + sheet.room();
    const shorter = (heights[0] ?? 0) <= (heights[1] ?? 0) ? 0 : 1;
    let at = shorter;
    if ((heights[at] ?? 0) + high > bottom) {
      const other = 1 - shorter;
      if ((heights[other] ?? 0) + high <= bottom) at = other;
      else {
        sheet.newPage();
        heights = [sheet.y, sheet.y];
        at = 0;
      }
    }
    sheet.y = heights[at] ?? sheet.y;
    laySection(sheet, section, left + at * (column + gap), column);
    heights[at] = sheet.y;
    sheet.y = Math.min(...heights);
  }
  sheet.y = Math.max(...heights);
}

function layWords(sheet: Sheet, title: string, words: readonly string[]): void {
  if (words.length === 0) return;
  const { k } = sheet;
  // A heading does not stand alone at the foot of a page.
  sheet.need((HEADING.size + 2 * BODY.size) * k * 1.3);
  sheet.flow(title, HEADING);
  for (const each of words) {
    sheet.flow(each, BODY);
    sheet.y += 0.4 * k;
  }
  sheet.y += k;
}

/** Lays a card from where the sheet stands. */
export function layCard(sheet: Sheet, card: RigCard, code: PrintedCode | null): void {
  layHead(sheet, card);
  layDials(sheet, card);
  layWindow(sheet, card);
  layTrain(sheet, card, code);
  laySections(sheet, card.sections);
  layWords(sheet, 'Mind', card.cautions);
  layWords(sheet, 'How it is known', [card.evidence, ...(card.note ? [card.note] : [])]);
}
