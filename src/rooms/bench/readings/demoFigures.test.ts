/**
 * Every figure and sentence the screens show of the demo's rigs, kept in a file: a change of any of them
 * has to be meant. Retake it with `npx vitest run --project unit demoFigures -u`.
 */
import { verdictWords } from '@/core/frame';
import { expect, it } from 'vitest';
import { tideMill } from '@/core/demo';
import { bargainCheck, findChains, lensOffers, waysOut } from '@/core/rig/search';
import { evaluate } from '@/core/rig/report';
import { explain, READINGS } from '@/core/rig/readings';
import { sweepAnswer, apertureSteps, focalSteps, sweep } from '@/core/sweep';
import { demoRig } from '../../../../tests/support/demo';
import { readingGroups } from './readingRows';
import { ringRibbon, ringSpecs } from '@/gear/rings';

/** Figures to nine digits: more than any screen shows, fewer than a processor's last bit. */
const rounded = (_: string, value: unknown): unknown =>
  typeof value === 'number' ? Number(value.toPrecision(9)) : value;

function figuresOf(id: string) {
  const rig = demoRig(id);
  const report = evaluate(rig);
  return {
    report,
    readings: readingGroups(rig, report),
    whys: READINGS.map((reading) => explain(reading, rig, report, '2026-06-01')),
    waysOut: waysOut(rig, tideMill.parts),
    ribbons: ringSpecs(rig).map((ring) => ({
      ring: ring.name,
      shown: ring.words(ring.value),
      stretches: ringRibbon(rig, ring),
    })),
    sweep: [...sweep(rig, apertureSteps(rig), focalSteps(rig, 5))].map((c) =>
      c.cannot === null
        ? `${c.row} ${c.column}: ${c.verdict ? verdictWords(c.verdict) : ''} ${c.worstCornerStops?.toFixed(4) ?? 'no light'}`
        : `${c.row} ${c.column}: ${c.cannot}`,
    ),
    windows: sweepAnswer(rig),
    lenses: lensOffers(rig, tideMill.lenses).map(
      (o) => `${o.record.id}: ${o.grade} ${o.reasons.join(', ')}`,
    ),
    chains: findChains(rig.lens, rig.body, tideMill.parts, rig.mounts).chains.map((c) =>
      c.parts.map((p) => p.id).join(' + '),
    ),
  };
}

it.each(tideMill.rigs.map((r) => r.id))(
  'the figures of %s are those that were kept',
  async (id) => {
    await expect(JSON.stringify(figuresOf(id), rounded, 1)).toMatchFileSnapshot(
      `../../../../tests/fixtures/demo-figures/${id}.json`,
    );
  },
);

it('so are those of a lens seen for sale', async () => {
  const [lens] = tideMill.lenses;
  const rows = bargainCheck(lens!, tideMill).map(({ body, mode, parts, ...row }) => ({
    body: body.id,
    mode: mode.id,
    parts: parts?.map((p) => p.id) ?? null,
    ...row,
  }));
  await expect(JSON.stringify(rows, rounded, 1)).toMatchFileSnapshot(
    '../../../../tests/fixtures/demo-figures/seen-for-sale.json',
  );
});
