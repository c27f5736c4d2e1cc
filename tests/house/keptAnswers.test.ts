/**
 * What every room says of some inconvenient rigs, kept in files: a change of any figure or sentence has to be
 * meant. It tells that an answer changed, never that it is right; that is for the outside checks. Retake it with
 * `npx vitest run --project unit keptAnswers -u`.
 */
import { riskFigure } from '@/core/words';
import { createHash } from 'node:crypto';
import fc from 'fast-check';
import { expect, it } from 'vitest';
import { dayPlan, rigCard } from '@/core/card';
import { cardPaper, codeOf, dayPaper, PAPER_SIZES, typesetter } from '@/core/card/paper';
import {
  byNearness,
  byRank,
  choose,
  coveragePlan,
  passes,
  reasonOf,
  tradeOffsOf,
  wayOutOf,
} from '@/core/choose';
import {
  basisWords,
  cellOf,
  cropOf,
  opticsOf,
  pathAt,
  ROW_GROUPS,
  techniquesFor,
  trainsFor,
  verdictOfWeighing,
  weigh,
} from '@/core/converters';
import { sweepCsv } from '@/core/exchange/csv';
import { writeFraming } from '@/core/exchange/framing-list';
import { lensFileOf, writeLensFile } from '@/core/exchange/json';
import { lensfunProfile } from '@/core/exchange/lensfun';
import { packRig, rigQuery } from '@/core/exchange/links';
import { FRAMING_ROWS, movedWords, shotAt, USUAL_SCENE } from '@/core/framing';
import { guideOf, guideSvg } from '@/core/guides';
import { dayOf, EMPTY_WORKSPACE, jobOf, partOf, type Workspace } from '@/core/kit/records';
import { type Rig, turned } from '@/core/rig';
import {
  COMPARED_QUESTIONS,
  comparedRows,
  differenceWords,
  explain,
  READINGS,
} from '@/core/rig/readings';
import { evaluate } from '@/core/rig/report';
import {
  addOffers,
  bargainCheck,
  beforeBuying,
  lensOffers,
  swapOffers,
  waysOut,
} from '@/core/rig/search';
import {
  apertureSteps,
  commonSteps,
  coverageCurve,
  stepsOf,
  sweep,
  SWEEP_AXES,
  sweepAnswer,
  type SweepAxis,
} from '@/core/sweep';
import { inconvenientRigs } from '../support/inconvenientRig';
import { PAPER_FONTS } from '../support/paperFonts';

const TODAY = '2026-11-30';
const RIGS = fc.sample(inconvenientRigs, { seed: 20261130, numRuns: 12 });

/** Figures to seven digits: more than any screen shows. */
const rounded = (_: string, value: unknown): unknown =>
  typeof value === 'number' ? Number(value.toPrecision(7)) : value;
const sealed = (value: unknown): string =>
  createHash('sha256').update(JSON.stringify(value, rounded)).digest('hex').slice(0, 24);

/** A kit in which there is something to choose, to add and to put right. */
const PARTS = [
  partOf({
    id: 'plain',
    name: 'Plain one',
    kind: 'plain adapter',
    frontMountId: 'slr',
    rearMountId: 'ml',
    factor: 1,
    thicknessMm: 26,
    massG: 90,
    price: 40,
  }),
  partOf({
    id: 'gather',
    name: 'Gatherer',
    kind: 'focal reducer',
    frontMountId: 'slr',
    rearMountId: 'ml',
    factor: 0.71,
    thicknessMm: 21,
    transmission: 0.95,
    price: 400,
  }),
  partOf({
    id: 'long',
    name: 'Longer',
    kind: 'teleconverter',
    frontMountId: 'slr',
    rearMountId: 'slr',
    factor: 1.4,
    thicknessMm: 17,
    massG: 200,
  }),
  partOf({
    id: 'wide',
    name: 'Wider',
    kind: 'front converter',
    frontMountId: 'slr',
    rearMountId: 'slr',
    factor: 0.8,
    thicknessMm: 40,
  }),
];
const kitOf = (rig: Rig): Workspace => ({
  ...EMPTY_WORKSPACE,
  mounts: [...rig.mounts.values()],
  bodies: [rig.body],
  lenses: [rig.lens],
  parts: [...rig.parts, ...PARTS],
  judgement: rig.judgement,
});

const convertersOf = (rig: Rig) => {
  const weighing = weigh(rig, trainsFor(rig, kitOf(rig).parts));
  const { base, converters, baseJoins } = weighing;
  const crop = cropOf(weighing, 1.4);
  const optics = opticsOf(rig);
  return {
    baseJoins,
    columns: [base, ...converters, ...(crop ? [crop] : [])].map((column) => ({
      title: column.title,
      catches: column.catches,
      cells: ROW_GROUPS.flatMap(({ rows }) => rows).map((row) => {
        const { figure, note, matters } = cellOf(row, { column, base });
        return `${row.id}: ${figure}${note ? ` (${note})` : ''}${matters ? ' *' : ''}`;
      }),
      whys: sealed(
        ROW_GROUPS.flatMap(({ rows }) => rows).map((row) => row.why({ column, base }, TODAY)),
      ),
      verdict: column === base ? null : verdictOfWeighing(base, column),
      techniques: techniquesFor(column).map((t) => `${t.id}: ${t.words} ${t.because}`),
      bases: column.report.picture.depthBases.map((b) => basisWords(column, b)),
    })),
    paths: optics && sealed([0.3, 1].map((t) => pathAt(optics, t))),
  };
};

const sweptOf = (rig: Rig) => {
  const choice = { chains: [rig.parts, ...PARTS.map((part) => [part])], focals: 4 };
  const longer: Rig = { ...rig, lens: { ...rig.lens, focalMaxMm: 2 * rig.lens.focalMaxMm } };
  const swept = (rows: SweepAxis) => {
    const cells = [...sweep(rig, stepsOf(rig, rows, choice), apertureSteps(rig).slice(0, 6))];
    return sweepCsv(cells, { rows, columns: 'aperture' });
  };
  return {
    answer: sweepAnswer(rig),
    csv: swept('stabiliser').split('\r\n').slice(0, 8),
    steps: SWEEP_AXES.map((axis) => ({
      axis,
      labels: stepsOf(rig, axis, choice).map((s) => s.label),
      common: sealed(commonSteps(rig, longer, axis, choice).map((s) => [s.label, s.mark, s.value])),
      cells: axis === 'aperture' ? null : sealed(swept(axis)),
    })),
    curves: (['focal', 'aperture'] as const).map((along) => {
      const { points, ...curve } = coverageCurve(rig, along);
      return { ...curve, points: sealed(points) };
    }),
  };
};

const chosenOf = (rig: Rig) => {
  const job = jobOf({
    id: 'job',
    name: 'the job',
    use: rig.mode.use,
    aspect: rig.settings.aspect,
    viewFromMm: 20,
    viewToMm: 200,
    stabilised: rig.settings.stabiliser,
    postScale: 1.1,
  });
  const all = [...choose(kitOf(rig), job)].filter((c) => c !== null);
  const passing = all.filter(passes).toSorted(byRank);
  const near = all.filter((c) => !passes(c)).toSorted(byNearness);
  return {
    rows: [...passing, ...near].map(
      (c) => `${c.partIds.join('/')} ${c.modeId}: ${reasonOf(c, job)} ${wayOutOf(c) ?? ''}`,
    ),
    candidates: sealed(all),
    tradeOffs: tradeOffsOf(passing, 'price').map((c) => c.partIds.join('/')),
    plan: coveragePlan(passing, near, job),
  };
};

const writtenOf = (rig: Rig) => {
  const report = evaluate(rig);
  const guide = guideOf(rig, report, { protection: 0.1, desqueezed: false });
  const profile = lensfunProfile(rig);
  return {
    guide: guide.ok ? guide.value : guide.problems,
    svg: guide.ok && sealed(guideSvg(guide.value, 'a "guide" <b>', 'of & for')),
    framing: guide.ok && sealed(writeFraming(rig, report, guide.value, { uuid: '0'.repeat(32) })),
    profile: profile.ok ? sealed(profile.value) : profile.problems,
    lens: sealed(writeLensFile(lensFileOf(kitOf(rig), rig.lens, 'a friend'))),
    link: sealed(packRig(rig)),
    address: rigQuery('rig', rig.settings),
  };
};

const framedOf = (rig: Rig) => {
  const far = shotAt(rig, Math.max(3, rig.lens.closestFocusM * 4));
  const near = shotAt(rig, Math.max(2, rig.lens.closestFocusM * 2.5));
  return {
    rows: FRAMING_ROWS.map(({ id, figure }) => `${id}: ${figure(far, USUAL_SCENE)}`),
    whys: sealed(FRAMING_ROWS.map(({ why }) => why(far, USUAL_SCENE, TODAY))),
    moved: movedWords(far, near, USUAL_SCENE),
  };
};

const searchedOf = (rig: Rig) => {
  const kit = kitOf(rig);
  const offered = (
    offers: readonly { record: { id: string }; grade: string; reasons: readonly string[] }[],
  ) => offers.map((o) => `${o.record.id}: ${o.grade} ${o.reasons.join(', ')}`);
  const bargain = bargainCheck(rig.lens, kit);
  return {
    waysOut: waysOut(rig, kit.parts),
    lenses: offered(lensOffers(rig, kit.lenses)),
    add: offered(addOffers(rig, kit.parts)),
    swap: rig.parts.map((_, i) => offered(swapOffers(rig, i, kit.parts))),
    bargain: bargain.map(({ body, mode, parts, ...row }) => ({
      at: `${body.id} ${mode.id} ${parts?.map((p) => p.id).join('/') ?? 'nothing joins'}`,
      ...row,
    })),
    beforeBuying: beforeBuying(rig.lens, bargain),
  };
};

const comparedOf = (rig: Rig) => {
  const open = turned(rig, { fNumber: rig.lens.openFNumberWide, stabiliser: false });
  const [a, b] = [rig, open].map((each) => ({ rig: each, report: evaluate(each) }));
  if (!a || !b) throw new Error('there are two');
  return {
    rows: (Object.keys(COMPARED_QUESTIONS) as (keyof typeof COMPARED_QUESTIONS)[]).map((q) =>
      comparedRows(q).map((row) => `${row.name}: ${row.cell(a)}`),
    ),
    difference: differenceWords(a, b),
  };
};

const answersOf = (rig: Rig) => {
  const report = evaluate(rig);
  return {
    report,
    whys: sealed(READINGS.map((reading) => explain(reading, rig, report, TODAY))),
    compared: comparedOf(rig),
    searched: searchedOf(rig),
    swept: sweptOf(rig),
    chosen: chosenOf(rig),
    converters: convertersOf(rig),
    framed: framedOf(rig),
    written: writtenOf(rig),
    card: { ...rigCard(rig, 'mind the "weir"', TODAY), halo: undefined, delivered: undefined },
  };
};

it.each(RIGS.map((rig, i) => [i, rig] as const))(
  'what is said of inconvenient rig %i is what was kept',
  async (i, rig) => {
    await expect(`${JSON.stringify(answersOf(rig), rounded, 1)}\n`).toMatchFileSnapshot(
      `../fixtures/kept-answers/rig-${i}.json`,
    );
  },
);

it('so is what is printed of them, and of a day with all of them', async () => {
  const type = typesetter(PAPER_FONTS);
  const cards = RIGS.map((rig) => ({
    card: rigCard(rig, 'a note', TODAY),
    code: codeOf(`https://halo.example/#${packRig(rig)}`),
  }));
  const plan = dayPlan(
    RIGS.map((rig, i) => ({ id: `${i}`, name: `Rig ${i}`, rig, lacks: null, note: '' })),
  );
  const day = dayOf({ id: 'day', name: 'The day', date: TODAY, rigIds: [] });
  const printed = {
    pack: plan.pack,
    mass: plan.massWords,
    tests: plan.tests.map(
      (t) => `${t.rigName} ${t.where} ${riskFigure(t.risk, t.evidence)}: ${t.words}`,
    ),
    papers: PAPER_SIZES.map((size) => ({
      size,
      cards: cards.map((card) => sealed(cardPaper(size, type, card, TODAY))),
      day: sealed(dayPaper(size, type, { day, plan, cards }, TODAY)),
    })),
  };
  await expect(`${JSON.stringify(printed, rounded, 1)}\n`).toMatchFileSnapshot(
    '../fixtures/kept-answers/printed.json',
  );
});
