/** A lens seen for sale against every body one owns, before any of it is bought or saved. */
import { type VerdictFace, cleanMegapixels } from '../../frame';
import {
  fullName,
  type Body,
  type Mode,
  isZoom,
  type Lens,
  type Part,
  restingSettings,
  type Workspace,
} from '../../kit/records';
import { findChains } from './chains';
import { evaluate } from '../report';
import { mountsById, turned, type Rig } from '../../rig';
import { isClear, mayBeClear } from '../judged';
import { byGrade, offerOfChain } from './offers';
import { mm } from '../../words';

export interface BargainRow {
  body: Body;
  mode: Mode;
  /** What stands between, from the kit; null where nothing at hand joins them. */
  parts: readonly Part[] | null;
  /** Whether an adapter for it would have to be bought, and could be; null where registers are not known. */
  adapterToBuy: boolean | null;
  /** Whether it cannot go on: no adapter can be had without glass, or the one at hand would let glass strike. */
  cannotGoOn: boolean;
  /** What it needs to mount, or what speaks against it, in words. */
  needs: string;
  /** At the short end, wide open, far focus; as if it were joined where nothing at hand joins it. */
  verdict: VerdictFace;
  risk: number;
  /** Shortest focal length from which on it is Clear, mm; null where it nowhere is, or only by a coin's toss. */
  clearFromMm: number | null;
  /** The same where it may be Clear. */
  mayBeClearFromMm: number | null;
  /** Megapixels in the largest clean frame of the delivered aspect. */
  cleanMegapixels: number;
}

const STEPS = 16;

/** The shortest focal length from which on something holds, mm; null where it does not hold at the long end. */
function holdsFrom(rig: Rig, holds: (rig: Rig) => boolean): number | null {
  const { focalMinMm: short, focalMaxMm: long } = rig.lens;
  const focals = isZoom(rig.lens)
    ? Array.from({ length: STEPS + 1 }, (_, i) => short * (long / short) ** (i / STEPS))
    : [short];
  const lastBad = focals.map((focalMm) => holds(turned(rig, { focalMm }))).lastIndexOf(false);
  return focals[lastBad + 1] ?? null;
}

type Between = Pick<BargainRow, 'parts' | 'adapterToBuy' | 'cannotGoOn' | 'needs'>;

function between(rig: Rig, kit: readonly Part[]): Between {
  const { chains, plainThicknessMm, plainCanBeBuilt } = findChains(
    rig.lens,
    rig.body,
    kit,
    rig.mounts,
  );
  const [best] = byGrade(chains.map((c) => offerOfChain(rig, c.parts)));
  if (best) {
    const words =
      best.record.length === 0 ? 'goes straight on' : best.record.map(fullName).join(' + ');
    return {
      parts: best.record,
      adapterToBuy: false,
      cannotGoOn: best.grade === 'does not fit',
      needs: [words, ...best.reasons].join('; '),
    };
  }
  if (plainThicknessMm === null)
    return {
      parts: null,
      adapterToBuy: null,
      cannotGoOn: false,
      needs: 'a register is not known here',
    };
  return {
    parts: null,
    adapterToBuy: plainCanBeBuilt,
    cannotGoOn: plainCanBeBuilt === false,
    needs: plainCanBeBuilt
      ? `a plain adapter ${mm(plainThicknessMm, 2)} thick, to be bought`
      : `cannot be adapted without glass: the registers leave ${mm(plainThicknessMm, 2)}`,
  };
}

/** How `lens` would do on every body and mode of the workspace; where it cannot go on stands last. */
export function bargainCheck(lens: Lens, workspace: Workspace): BargainRow[] {
  const mounts = mountsById(workspace.mounts);
  const rows = workspace.bodies.flatMap((body) =>
    body.modes.map((mode): BargainRow => {
      const bare: Rig = {
        name: fullName(lens),
        body,
        mode,
        lens,
        parts: [],
        settings: restingSettings(lens.focalMinMm, lens.openFNumberWide),
        judgement: workspace.judgement,
        mounts,
      };
      const { parts, adapterToBuy, cannotGoOn, needs } = between(bare, workspace.parts);
      const rig = { ...bare, parts: parts ?? [] };
      const { verdict, coverage, frame } = evaluate(rig);
      const { delivered } = frame;
      const clean = coverage.cleanFrame.concentric;
      return {
        body,
        mode,
        parts,
        adapterToBuy,
        cannotGoOn,
        needs,
        verdict: { kind: verdict.kind, or: verdict.or },
        risk: verdict.risk,
        clearFromMm: holdsFrom(rig, isClear),
        mayBeClearFromMm: holdsFrom(rig, mayBeClear),
        cleanMegapixels: cleanMegapixels(delivered, clean),
      };
    }),
  );
  return rows.toSorted((a, b) => Number(a.cannotGoOn) - Number(b.cannotGoOn));
}

/** What to look at or ask before buying; common practice, no source. */
export function beforeBuying(lens: Lens, rows: readonly BargainRow[]): string[] {
  const glassBetween = rows.some((r) => r.parts?.some((p) => p.factor !== 1));
  const ask: string[] = [
    'Hold it against a lamp, both caps off: haze, fungus, scratches and loose cement show, the rear glass above all.',
    'Turn focus and aperture through their whole range: oil on the blades, play and dry grease are repairs.',
    'Ask whether the aperture has a ring of its own; without one an adapter that carries nothing leaves it as it stands.',
    'Put it on the largest sensor there is, wide open, before an even wall, and look at the corners at every zoom mark.',
    'Measure how deep the rear glass stands behind the flange before it goes near a mirror or a converter.',
  ];
  if (rows.some((r) => r.parts === null && r.adapterToBuy !== false))
    ask.push('Count the adapter into the price, and a support if lens and adapter are heavy.');
  if (glassBetween)
    ask.push('Try it on the reducer slowly and stop at resistance: glass must not meet glass.');
  if (lens.openFNumberWide <= 2 && !lens.electronics.focus)
    ask.push(
      'Old fast glass that has yellowed may be mildly radioactive: never dismantle or grind it; follow local rules.',
    );
  return ask;
}
