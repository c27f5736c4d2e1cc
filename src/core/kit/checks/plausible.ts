/** Checks a schema cannot state: figures that contradict each other, ids that stand twice. */
import {
  type Body,
  type Job,
  type Lens,
  type Part,
  type PartKind,
  TABLE_NAMES,
  TABLE_WORDS,
  type TableName,
  type Tables,
  type Workspace,
} from '../records';
import type { Problem } from '../../words';

type Say = (field: string, sentence: string) => Problem;

function lensProblems(lens: Lens, say: Say): Problem[] {
  const found: Problem[] = [];
  if (lens.focalMaxMm < lens.focalMinMm) {
    found.push(
      say(
        'focalMaxMm',
        `the long end, ${lens.focalMaxMm} mm, is shorter than the wide end, ${lens.focalMinMm} mm`,
      ),
    );
  }
  if (lens.closedFNumber < Math.max(lens.openFNumberWide, lens.openFNumberLong)) {
    found.push(
      say(
        'closedFNumber',
        `the smallest aperture, f/${lens.closedFNumber}, is wider than the widest`,
      ),
    );
  }
  if (lens.tStop !== null && lens.tStop < lens.openFNumberWide * 0.99) {
    found.push(
      say(
        'tStop',
        `T${lens.tStop} would be brighter than f/${lens.openFNumberWide}; glass only takes light`,
      ),
    );
  }
  if (lens.closestFocusM * 1000 <= lens.focalMinMm) {
    found.push(
      say(
        'closestFocusM',
        `closest focus, ${lens.closestFocusM} m, is nearer than the focal length, ${lens.focalMinMm} mm`,
      ),
    );
  }
  return found;
}

const FACTOR_RULE: Record<PartKind, { holds: (factor: number) => boolean; words: string }> = {
  'plain adapter': { holds: (f) => f === 1, words: 'exactly 1' },
  'focal reducer': { holds: (f) => f < 1, words: 'below 1' },
  teleconverter: { holds: (f) => f > 1, words: 'above 1' },
  expander: { holds: (f) => f > 1, words: 'above 1' },
  'front converter': { holds: () => true, words: '' },
  'extension tube': { holds: (f) => f === 1, words: 'exactly 1' },
  helicoid: { holds: (f) => f === 1, words: 'exactly 1' },
  'shift adapter': { holds: () => true, words: '' },
  'drop-in glass': { holds: (f) => f === 1, words: 'exactly 1' },
};

function partProblems(part: Part, say: Say): Problem[] {
  const rule = FACTOR_RULE[part.kind];
  return rule.holds(part.factor)
    ? []
    : [say('factor', `a ${part.kind} has a factor ${rule.words}; it is ${part.factor}`)];
}

function twice(ids: readonly string[]): string[] {
  const seen = new Set<string>();
  return ids.filter((id) => (seen.has(id) ? true : (seen.add(id), false)));
}

function bodyProblems(body: Body, say: Say): Problem[] {
  return twice(body.modes.map((m) => m.id)).map((id) =>
    say('modes', `two modes have the id "${id}"`),
  );
}

function jobProblems(job: Job, say: Say): Problem[] {
  const { viewFromMm, viewToMm, shallowFNumber, deepFNumber } = job;
  return [
    ...(viewToMm < viewFromMm
      ? [say('viewToMm', `its views end at ${viewToMm} mm, before they begin at ${viewFromMm} mm`)]
      : []),
    ...(shallowFNumber !== null && deepFNumber !== null && shallowFNumber < deepFNumber
      ? [
          say(
            'deepFNumber',
            `nothing is as shallow as f/${shallowFNumber} and as deep as f/${deepFNumber}`,
          ),
        ]
      : []),
  ];
}

/** Contradictions within one record. `at` is the record's own path. */
export function recordProblems<T extends TableName>(
  table: T,
  value: Tables[T],
  at: string,
): Problem[] {
  const say: Say = (field, sentence) => ({
    code: 'implausible',
    path: `${at}/${field}`,
    sentence: `${TABLE_WORDS[table][0]} ${value.name}: ${sentence}.`,
  });
  if (table === 'lenses') return lensProblems(value as Lens, say);
  if (table === 'parts') return partProblems(value as Part, say);
  if (table === 'bodies') return bodyProblems(value as Body, say);
  if (table === 'jobs') return jobProblems(value as Job, say);
  return [];
}

/** Contradictions within a workspace. A rig that names an absent record is allowed: the Bench says so. */
export function workspaceProblems(workspace: Workspace): Problem[] {
  return TABLE_NAMES.flatMap((table) => {
    const records: readonly Tables[TableName][] = workspace[table];
    const doubles = twice(records.map((r) => r.id)).map((id) => ({
      code: 'twice',
      path: `/${table}`,
      sentence: `two ${TABLE_WORDS[table][1]} have the id "${id}"; each needs its own.`,
    }));
    return [...doubles, ...records.flatMap((r, i) => recordProblems(table, r, `/${table}/${i}`))];
  });
}
