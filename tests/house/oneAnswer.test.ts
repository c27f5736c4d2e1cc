/**
 * One rig, one answer: Bench, Sweep, Choose, Converters, Card, file, link and command line say the same halo, frame,
 * light and verdict of any rig, however inconvenient.
 */
import { verdictWords } from '@/core/frame';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { rigCard } from '@/core/card';
import { cardPaper, PAPER_SIZES, typesetter } from '@/core/card/paper';
import { rigOf, passes, choose } from '@/core/choose';
import { weigh } from '@/core/converters';
import { rigFileOf, rigInMode, rigOfFile } from '@/core/exchange/json';
import { packRig, unpackRig } from '@/core/exchange/links';
import { guideOf } from '@/core/guides';
import { jobOf, EMPTY_WORKSPACE, type Workspace } from '@/core/kit/records';
import { lightAtPlace } from '@/core/halo';
import { evaluate } from '@/core/rig/report';
import { recordedOf, turned, type Rig, situationOf } from '@/core/rig';
import { verdictOf, isClear } from '@/core/rig/judged';
import { apertureInUse, sweep, spanWords, sweepAnswer } from '@/core/sweep';
import { evaluateCommand } from '@/cli/evaluate';
import { inconvenientRigs, openedRigs } from '../support/inconvenientRig';
import { runs } from '../support/seed';
import { waysOut } from '@/core/rig/search';
import { comparedRows, type ComparedQuestion } from '@/core/rig/readings';
import { FARTHEST_M, FRAMING_ROWS, shotAt, USUAL_SCENE } from '@/core/framing';
import { cornerWords, fWords, inFocusWords, riskFigure, signedStops, tWords } from '@/core/words';
import { PAPER_FONTS } from '../support/paperFonts';
import { nearestMarked, type Offset } from '@/core/optics';

const RUNS = { numRuns: runs(150) };
const RIGS = fc.oneof(
  { arbitrary: inconvenientRigs, weight: 6 },
  { arbitrary: openedRigs, weight: 1 },
);
const everyRig = (holds: (rig: Rig) => void, { numRuns } = RUNS) =>
  fc.assert(fc.property(RIGS, holds), { numRuns, endOnFailure: true });

/** The aperture behind what is engraved. */
const exactOf = (engraved: number): number => {
  const { exact, marks } = nearestMarked(engraved, 'third');
  return marks.some((mark) => Number(mark) === engraved) ? exact : engraved;
};

const unspaced = (text: string): string => text.replace(/\s/g, '');

/** As JSON has it: what a file, a link or a pipe carries. */
const asJson = (value: unknown): unknown => JSON.parse(JSON.stringify(value));

describe('any rig', () => {
  it('has the verdict of its report alone, as its halo lies on its frame', () => {
    everyRig((rig) => {
      const report = evaluate(rig);
      const { halo, delivered, light } = situationOf(rig);
      expect(verdictOf(rig)).toEqual({
        kind: report.verdict.kind,
        or: report.verdict.or,
        worstCornerStops: report.verdict.worstCornerStops,
        worstCornerTransmission: report.verdict.worstCornerTransmission,
      });
      expect(report.halo.model).toEqual(halo);
      expect(report.frame.delivered).toEqual(delivered);
      expect(report.optics.train).toEqual(light);
    });
  });

  it('has its subject between the limits of what is in focus, all from the sensor', () => {
    everyRig((rig) => {
      const { depth, depthBases, subjectM } = evaluate(rig).picture;
      expect(depth.focusM).toBe(subjectM);
      for (const { nearM, focusM, farM } of [
        depth,
        ...depthBases.flatMap((b) => [b.withPart, b.bareLens]),
      ]) {
        expect(nearM).toBeLessThanOrEqual(focusM ?? Infinity);
        expect(farM ?? Infinity).toBeGreaterThanOrEqual(focusM ?? 0);
      }
      // A converter that moves the image moves the sensor with it: nothing else parts subject and engraving.
      const [first] = depthBases;
      if (first) expect(first.ratio ?? 1).toBeCloseTo(1, 9);
    });
  });

  it('has its worst corner within the read-out and what the sensor travels, and records no more pixels than its file has', () => {
    everyRig((rig) => {
      const { mode, body, settings } = rig;
      const { frame, coverage, halo } = evaluate(rig);
      const sensor = settings.stabiliser ? body.sensorTravel : null;
      const isDisc = sensor?.shape === 'disc';
      const across = mode.widthMm / 2 + (sensor?.xMm ?? 0);
      const down = mode.heightMm / 2 + (sensor ? (isDisc ? sensor.xMm : sensor.yMm) : 0);
      const { xMm, yMm } = halo.model.centre;
      const most = Math.hypot(across + Math.abs(xMm), down + Math.abs(yMm));
      expect(coverage.worstCornerRadiusMm).toBeLessThanOrEqual(most * (1 + 1e-9));
      // A file is as wide as the mode records; video made up from fewer pixels read has no more either.
      const wide = mode.recordedWidthPx ?? mode.widthPx;
      expect(frame.delivered.recordedPx.across).toBeLessThanOrEqual(wide * (1 + 1e-9));
      expect(recordedOf(rig).widthPx).toBeLessThanOrEqual(wide * (1 + 1e-9));
    });
  });

  it('holds every limit that is told, as it is told: zoomed, stopped down and swept', () => {
    let told = 0;
    everyRig((rig) => {
      for (const { words, kinds } of waysOut(rig, rig.parts)) {
        const zoom = kinds.length === 1 && /^Zoom to ([\d.]+) mm/.exec(words);
        const ring = kinds.length === 1 && /^(?:Stop down|Open up) to f\/([\d.]+)/.exec(words);
        const dial = zoom
          ? { focalMm: Number(zoom[1]) }
          : ring && { fNumber: exactOf(Number(ring[1])) };
        if (!dial) continue;
        told += 1;
        expect(isClear(turned(rig, dial)), words).toBe(true);
      }
      const { now } = sweepAnswer(rig);
      for (const window of now.windows)
        for (const end of spanWords(window).split('–')) {
          told += 1;
          const { focalMinMm, focalMaxMm } = rig.lens;
          // The ends of the barrel are told as they are engraved.
          const isEnd = [focalMinMm, focalMaxMm].some((e) => Math.abs(e - Number(end)) < 0.1);
          const at = turned(rig, { focalMm: Number(end) });
          if (!isEnd) expect(isClear(at), `${end} of ${spanWords(window)}`).toBe(true);
        }
    });
    expect(told).toBeGreaterThan(RUNS.numRuns / 3);
  });

  it('is swept to what the Bench says of it', () => {
    everyRig((rig) => {
      const here = { ...apertureInUse(rig), axis: 'stabiliser' as const };
      const same = { ...here, asked: { settings: {} } };
      for (const cell of sweep(rig, [same], [apertureInUse(rig)])) {
        const { kind, or } = verdictOf(rig);
        expect(cell.verdict).toEqual({ kind, or });
        expect(cell.worstCornerStops).toBe(verdictOf(rig).worstCornerStops);
        expect(situationOf(cell.rig).halo).toEqual(situationOf(rig).halo);
      }
    });
  });

  it('is weighed among converters as it stands on the Bench', () => {
    everyRig((rig) => {
      const { base, converters } = weigh(rig, {
        base: rig.parts,
        converters: [rig.parts],
        left: 0,
        unfitting: [],
      });
      for (const column of [base, ...converters]) expect(column.report).toEqual(evaluate(rig));
    });
  });

  it('is on its card as on the Bench, and its guide lies where the halo does', () => {
    everyRig((rig) => {
      const report = evaluate(rig);
      const card = rigCard(rig, '', '2026-11-30');
      expect(verdictWords(card.verdict)).toBe(verdictWords(report.verdict));
      expect(card.sentence).toBe(report.verdict.sentence);
      expect(card.halo).toEqual(report.halo.model);
      expect(card.delivered).toEqual(report.frame.delivered);
      const guide = guideOf(rig, report, { protection: 0, desqueezed: false });
      if (!guide.ok) return;
      const { delivered, edge, widthPx, heightPx } = guide.value;
      const recorded = recordedOf(rig);
      const [across, down] = [recorded.widthMm / widthPx, recorded.heightMm / heightPx];
      // The corner of the frame on the picture lies from the halo's centre as on the sensor.
      const corners = [0, 1].flatMap((i) =>
        [0, 1].map((k) => ({
          xMm: (delivered.x + i * delivered.width - edge.cx) * across,
          yMm: (delivered.y + k * delivered.height - edge.cy) * down,
        })),
      );
      const reach = (place: Offset) => Math.hypot(place.xMm, place.yMm);
      const farthest = corners.reduce((most, c) => (reach(c) > reach(most) ? c : most));
      const still = turned(rig, { stabiliser: false });
      const { halo } = situationOf(rig);
      const atRest = Math.max(...evaluate(still).coverage.cornerStops.map((v) => v ?? Infinity));
      const { light } = lightAtPlace(halo, farthest);
      if (Number.isFinite(atRest)) expect(-Math.log2(light)).toBeCloseTo(atRest, 6);
      else expect(light).toBe(0);
    });
  });

  it('is compared and framed in the Bench’s figures, and they stand on its paper', () => {
    const type = typesetter(PAPER_FONTS);
    let framed = 0;
    everyRig((rig) => {
      const report = evaluate(rig);
      const { optics, picture, verdict } = report;
      const compared = (question: ComparedQuestion, name: string) =>
        comparedRows(question)
          .find((row) => row.name === name)!
          .cell({ rig, report });
      const corner = compared('coverage', 'Darkest corner');
      expect(corner.replace(' stops', '')).toBe(cornerWords(verdict.worstCornerStops));
      const inFocus = compared('depth', 'In focus');
      expect(inFocus).toBe(inFocusWords(picture.depth));
      expect(compared('light', 'Light by the train')).toBe(signedStops(optics.train.lightStops, 2));

      // Its paper, read as it is drawn: on a small sheet names and figures may stand apart.
      const card = rigCard(rig, '', '2026-11-30');
      for (const size of PAPER_SIZES) {
        const paper = cardPaper(size, type, { card, code: null }, '2026-11-30');
        // Glyphs of several fonts are drawn one by one, and no font of paper has ∞.
        const drawn = unspaced(
          paper.pages
            .flatMap(({ items }) =>
              items.flatMap((item) => (item.kind === 'text' ? item.text : [])),
            )
            .join(''),
        );
        for (const words of [
          inFocus,
          compared('light', 'Light by the train'),
          verdictWords(verdict),
          riskFigure(verdict.risk, report.halo.evidence.kind),
        ])
          expect(drawn).toContain(unspaced(words.replace('∞', 'infinity')));
      }

      // Before the scene, from where it is focused: the same rig, if a hair off where that is found by search.
      const { subjectM } = picture;
      if (subjectM === null || subjectM > FARTHEST_M) return;
      const shot = shotAt(rig, subjectM);
      // About life size, of the lens's own picture, two settings of the ring are equally far from the sensor.
      if (shot.askedM !== null || situationOf(rig).at.magnification > 0.5) return;
      framed += 1;
      const row = (id: string) => FRAMING_ROWS.find((r) => r.id === id)!;
      const figure = (id: string) => row(id).figure(shot, USUAL_SCENE);
      expect(figure('noise')).toBe(compared('light', 'All light, against 36×24'));
      const { tStop, fNumber } = optics.train;
      expect(figure('light')).toBe(tStop === null ? fWords(fNumber) : tWords(tStop));
      expect(shot.distanceM / subjectM).toBeCloseTo(1, 4);
      const dark = shot.report.verdict.worstCornerStops;
      if (dark === null || verdict.worstCornerStops === null) return;
      expect(dark).toBeCloseTo(verdict.worstCornerStops, 2);
    });
    expect(framed).toBeGreaterThan(RUNS.numRuns / 10);
  });

  it('is the same through a file, a link and the command line', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'halo-rigs-'));
    await fc.assert(
      fc.asyncProperty(RIGS, async (rig) => {
        const report = asJson(evaluate(rig));
        const file = rigOfFile(asJson(rigFileOf(rig)));
        expect(file.ok && asJson(evaluate(file.value))).toEqual(report);
        const link = unpackRig(packRig(rig));
        if (!link.ok) throw new Error(link.problems[0]?.sentence);
        const mode = link.value.body.modes.find((m) => m.id === link.value.modeId)!;
        expect(asJson(evaluate({ ...rigInMode(link.value, mode), name: rig.name }))).toEqual(
          report,
        );
        const path = join(folder, 'rig.json');
        writeFileSync(path, JSON.stringify(rigFileOf(rig)));
        const output = await evaluateCommand.run([path]);
        expect('json' in output && asJson(output.json)).toEqual(report);
      }),
      { numRuns: runs(60) },
    );
  });
});

/** A kit of one lens, its train and one body. */
const kitOf = ({ lens, parts, body, judgement, mounts }: Rig): Workspace => ({
  ...EMPTY_WORKSPACE,
  mounts: [...mounts.values()],
  bodies: [body],
  lenses: [lens],
  parts: parts.filter((p) => p.kind !== 'front converter' && p.kind !== 'extension tube'),
  judgement,
});

/** Each is a whole kit to choose from. */
const CHOSEN = { numRuns: runs(90) };

describe('a rig that was chosen', () => {
  it('has on the Bench the halo, light, pixels and verdict it was chosen by', () => {
    let handedOver = 0;
    everyRig((rig) => {
      const { settings, mode } = rig;
      const job = jobOf({
        id: 'job',
        name: 'job',
        use: mode.use,
        aspect: settings.aspect,
        viewFromMm: 8,
        viewToMm: 400,
        stabilised: settings.stabiliser && rig.body.sensorTravel !== null,
        crops: true,
        postScale: 1.1,
      });
      for (const candidate of choose(kitOf(rig), job)) {
        if (!candidate?.at || !passes(candidate)) continue;
        handedOver += 1;
        const handed = rigOf(candidate, job, kitOf(rig))!;
        const { verdict, optics, frame } = evaluate(handed);
        expect(verdict.kind, JSON.stringify(candidate)).toBe('Clear');
        // No place it serves is told as likelier dark than it is; this is one of them.
        expect(verdict.risk).toBeLessThanOrEqual((candidate.risk?.risk ?? 0) + 1e-6);
        const t = optics.train.tStop ?? null;
        if (candidate.light === 'T') expect(candidate.tStop).toBeCloseTo(t!, 9);
        if (candidate.light === 'f') expect(candidate.tStop).toBeCloseTo(optics.train.fNumber, 9);
        expect(candidate.pixelsAcross / candidate.at.postScale).toBeCloseTo(
          frame.delivered.widthPx,
          6,
        );
        expect(optics.equivalents.focalMm).toBeGreaterThan(candidate.views[0]!.from / 1.002);
        expect(optics.equivalents.focalMm).toBeLessThan(candidate.views[0]!.to * 1.002);
      }
    }, CHOSEN);
    expect(handedOver).toBeGreaterThan(CHOSEN.numRuns / 3);
  });
});
