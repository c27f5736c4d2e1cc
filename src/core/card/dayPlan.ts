/** A day of shooting: its rigs in order, what to pack, and what is still to be tested before. */
import { verdictWords } from '../frame';
import { fullName, type Day, type EvidenceKind, type Workspace } from '../kit/records';
import { evaluate, type Report } from '../rig/report';
import { grams, orUnknown, sumOf, type Gear } from '../rig/readings';
import { isMissing, resolveRig, type Rig } from '../rig';
import { spotWords } from '../sweep';
import { counted, riskFigure } from '../words';

/** One rig of a day, or why it cannot be had. */
export interface DayRig {
  id: string;
  name: string;
  rig: Rig | null;
  /** Which record it lacks; null where it is whole. */
  lacks: string | null;
  note: string;
}

interface PackRow {
  kind: 'body' | 'lens' | 'part';
  name: string;
  /** How many are needed at once: as often as one rig holds it. */
  count: number;
  massG: number | null;
  /** Rigs of the day that need it, by their place from 1. */
  forRigs: number[];
}

interface TestRow {
  rigName: string;
  lensName: string;
  /** "18 mm at f/1.8". */
  where: string;
  evidence: EvidenceKind;
  risk: number;
  words: string;
}

export interface DayPlan {
  rigs: readonly DayRig[];
  /** Of each rig what stands before all else: "Clear, risk 4 %, measured"; null where it lacks gear. */
  standings: (string | null)[];
  /** Lenses of rigs whose rear glass may strike something and was never measured. */
  rearGlass: string[];
  pack: PackRow[];
  /** Null where some of it does not say. */
  massG: number | null;
  massWords: string;
  /** Rigs whose halo nobody measured, the likeliest to fail first. */
  tests: TestRow[];
}

/** Days by their date; those that have none yet stand last, by name. */
export const daysInOrder = (days: readonly Day[]): Day[] =>
  days.toSorted(
    (a, b) => (a.date || UNDATED).localeCompare(b.date || UNDATED) || a.name.localeCompare(b.name),
  );
const UNDATED = '9999';

/** The rigs a day names, in order. */
export function rigsOfDay(workspace: Workspace, day: Day): DayRig[] {
  return day.rigIds.map((id) => {
    const record = workspace.rigs.find((r) => r.id === id);
    if (!record)
      return { id, name: 'A rig that was deleted', rig: null, lacks: 'record', note: '' };
    const rig = resolveRig(workspace, record);
    return isMissing(rig)
      ? { id, name: record.name, rig: null, lacks: rig.missing, note: record.note }
      : { id, name: record.name, rig, lacks: null, note: record.note };
  });
}

const KINDS = { body: 0, lens: 1, part: 2 } as const;

function packOf(rigs: readonly DayRig[]): PackRow[] {
  const rows = new Map<string, PackRow>();
  rigs.forEach(({ rig }, i) => {
    if (!rig) return;
    const inThis = new Map<string, number>();
    const take = (kind: PackRow['kind'], item: Gear) => {
      const key = `${kind}/${item.id}`;
      const held = (inThis.get(key) ?? 0) + 1;
      inThis.set(key, held);
      const row = rows.get(key) ?? {
        kind,
        name: fullName(item),
        count: 0,
        massG: item.massG,
        forRigs: [],
      };
      rows.set(key, {
        ...row,
        count: Math.max(row.count, held),
        forRigs: row.forRigs.includes(i + 1) ? row.forRigs : [...row.forRigs, i + 1],
      });
    };
    take('body', rig.body);
    take('lens', rig.lens);
    for (const part of rig.parts) take('part', part);
  });
  return [...rows.values()].toSorted(
    (a, b) => KINDS[a.kind] - KINDS[b.kind] || a.name.localeCompare(b.name),
  );
}

/** A rig with its report, worked out once for all that is said of it. */
interface Reported {
  rig: Rig;
  name: string;
  report: Report;
}

const standingOf = ({ report: { verdict, halo, fitProblem } }: Reported): string =>
  `${fitProblem ? `${fitProblem.words}; ` : ''}${verdictWords(verdict)}, ${riskFigure(verdict.risk, halo.evidence.kind)}`;

function testOf({ rig, name, report }: Reported): TestRow[] {
  const { halo, verdict, surer } = report;
  const { kind, doubts } = halo.evidence;
  if (kind === 'measured' && doubts.length === 0) return [];
  return [
    {
      rigName: name,
      lensName: fullName(rig.lens),
      where: spotWords(rig.settings),
      evidence: kind,
      risk: verdict.risk,
      words: surer ?? doubts[0] ?? '',
    },
  ];
}

/** What is packed and tested for a day. Unmeasured rigs come first, by their risk. */
export function dayPlan(rigs: readonly DayRig[]): DayPlan {
  const pack = packOf(rigs);
  const mass = sumOf(pack, (row) => (row.massG === null ? null : row.count * row.massG));
  const unknown = pack.filter((row) => row.massG === null).length;
  const reported = rigs.map(({ rig, name }): Reported | null =>
    rig ? { rig, name, report: evaluate(rig) } : null,
  );
  const there = reported.filter((one) => one !== null);
  const tests = there
    .flatMap(testOf)
    .toSorted(
      (a, b) =>
        Number(a.evidence === 'measured') - Number(b.evidence === 'measured') || b.risk - a.risk,
    );
  const unknownGlass = there.filter(({ report }) =>
    report.cautions.some((caution) => caution.id === 'strike unknown'),
  );
  return {
    rigs,
    standings: reported.map((one) => one && standingOf(one)),
    rearGlass: [...new Set(unknownGlass.map(({ rig }) => fullName(rig.lens)))],
    pack,
    massG: mass,
    massWords:
      unknown > 0
        ? `${orUnknown(mass, grams)}: ${counted(unknown, 'piece')} without a known mass`
        : orUnknown(mass, grams),
    tests,
  };
}
