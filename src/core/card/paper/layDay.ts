/** A day's plan on paper, and after it the card of each of its rigs. */
import type { Day } from '../../kit/records';
import { counted, riskFigure } from '../../words';
import { grams, orUnknown } from '../../rig/readings';
import type { PrintedCode } from './code';
import { type DayPlan, type CardSection, type RigCard } from '../../card';
import { layCard, laySections } from './layCard';
import { INKS, type Paper, type PaperSize } from './paper';
import { sheetOf, type Sheet } from './sheet';
import type { Typesetter } from './typeset';

/** Said at the foot of every page. */
const FOOT = 'Wandering Halo, a planner: makers’ data and your own check come first';

export interface CardWithCode {
  card: RigCard;
  code: PrintedCode | null;
}

/** One rig's card. */
export function cardPaper(
  size: PaperSize,
  type: Typesetter,
  { card, code }: CardWithCode,
  today: string,
): Paper {
  const sheet = sheetOf(size, type);
  layCard(sheet, card, code);
  return sheet.done(card.name, `${today} · ${FOOT}`);
}

const packLines = (plan: DayPlan): CardSection => ({
  title: 'To pack, and for which of them',
  lines: plan.pack.map(({ name, count, massG, forRigs }) => ({
    name: count > 1 ? `${count} × ${name}` : name,
    figure: `${orUnknown(massG, grams)} · ${forRigs.join(', ')}`,
  })),
  notes: [
    `${counted(
      plan.pack.reduce((n, row) => n + row.count, 0),
      'piece',
    )}, ${plan.massWords}.`,
  ],
});

const testLines = (plan: DayPlan): CardSection => ({
  title: 'To test before',
  lines: plan.tests.map((test) => ({
    name: `${test.rigName}: ${test.lensName}`,
    figure: riskFigure(test.risk, test.evidence),
    note: `${test.where}. ${test.words}`,
  })),
  notes: plan.tests.length === 0 ? ['Nothing: every halo of the day is measured.'] : [],
});

/** Rear glass to be measured before anything is mounted; no section where all of it is known. */
const glassLines = ({ rearGlass }: DayPlan): CardSection[] =>
  rearGlass.length === 0
    ? []
    : [
        {
          title: 'To measure before it is mounted',
          lines: rearGlass.map((name) => ({ name, figure: 'how deep its rear glass stands' })),
          notes: ['What it may strike is not known until then.'],
        },
      ];

function layPlan(sheet: Sheet, day: Day, plan: DayPlan): void {
  const { k } = sheet;
  sheet.flow(day.name, { size: 5, weight: 'bold' });
  sheet.flow(day.date, { size: 3.2 });
  sheet.flow(day.note, { size: 2.35 });
  sheet.y += k;
  sheet.rule();
  plan.rigs.forEach(({ name, rig, lacks }, i) => {
    const what = rig
      ? `${rig.lens.name} on ${rig.body.name}, ${rig.mode.name}`
      : `it lacks its ${lacks ?? 'record'}`;
    sheet.need(11 * k);
    sheet.flow(`${i + 1}  ${name}`, { size: 3, weight: 'bold' });
    sheet.flow(what, { size: 2.35, ink: INKS.muted }, 4 * k);
    const standing = plan.standings[i];
    if (standing) sheet.flow(standing, { size: 2.35, weight: 'bold' }, 4 * k);
    sheet.y += 0.6 * k;
  });
  sheet.y += k;
  sheet.rule();
  laySections(sheet, [...glassLines(plan), packLines(plan), testLines(plan)]);
}

/** The plan of a day, then its cards, each on a page of its own. */
export function dayPaper(
  size: PaperSize,
  type: Typesetter,
  { day, plan, cards }: { day: Day; plan: DayPlan; cards: readonly CardWithCode[] },
  today: string,
): Paper {
  const sheet = sheetOf(size, type);
  layPlan(sheet, day, plan);
  for (const { card, code } of cards) {
    sheet.newPage();
    layCard(sheet, card, code);
  }
  return sheet.done(day.name, `${today} · ${FOOT}`);
}
