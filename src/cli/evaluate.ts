/** halo evaluate: the report on a rig file or a rig of a workspace file. */
import { checkSize, parseJson } from '@/core/exchange/json';
import { rigOfFile, rigOfWorkspace } from '@/core/exchange/rigFile';
import { readWorkspace } from '@/core/exchange/workspaceFile';
import { evaluate, type Report } from '@/core/rig/evaluate';
import type { Rig } from '@/core/rig/rig';
import { badInput, CANNOT_ANSWER, CliError, readArgs, refused, type Command } from './command';
import { readInput } from './input';
import { mm, percent, signed, size, stops } from './words';

const usage = 'halo evaluate RIG.json | WORKSPACE.json#rig-id | - [--json]';

function rigFrom(text: string, file: string, rigId: string | null): Rig {
  const size = checkSize(Buffer.byteLength(text), file);
  if (!size.ok) throw refused(size.problems);
  if (rigId !== null) {
    const workspace = readWorkspace(text, file);
    if (!workspace.ok) throw refused(workspace.problems);
    const rig = rigOfWorkspace(workspace.value, rigId);
    if (rig.ok) return rig.value;
    throw new CliError(CANNOT_ANSWER, `${file}: ${rig.problems[0]?.sentence ?? ''}`);
  }
  const parsed = parseJson(text, file);
  if (!parsed.ok) throw refused(parsed.problems);
  const rig = rigOfFile(parsed.value);
  if (!rig.ok)
    throw refused(rig.problems.map((p) => ({ ...p, sentence: `${file}, ${p.sentence}` })));
  return rig.value;
}

function rows(report: Report): (readonly [string, string])[] {
  const { verdict, coverage, optics, halo, frame } = report;
  const { train, equivalents: equal } = optics;
  return [
    ['rig', report.name],
    ['verdict', `${verdict.kind}. ${verdict.sentence}`],
    ['evidence', `${halo.evidence.kind}, ± ${mm(halo.evidence.edgeSigmaMm)}`],
    ['corners, top left clockwise', coverage.cornerStops.map(stops).join(', ')],
    ['worst corner over the travel', stops(verdict.worstCornerStops)],
    ['halo at half light', `⌀ ${mm(coverage.radiiMm.half * 2)}`],
    ['margin to half light', mm(coverage.marginMm.half)],
    ['frame', size(frame.delivered)],
    ['frame inside half light', percent(coverage.areaShare)],
    ['clean frame, centred', size(coverage.cleanFrame.concentric)],
    [
      'scale-up needed',
      coverage.scaleUp === null ? 'none is enough' : `× ${coverage.scaleUp.toFixed(3)}`,
    ],
    ['focal length', `${train.focalMm.toFixed(1)} mm`],
    ['f-number', `f/${train.fNumber.toFixed(2)}, prints ${optics.printsAs.join(' or ')}`],
    ['light', `${signed(train.lightStops)} stops, ISO × ${optics.isoFactor.toFixed(2)}`],
    [
      '36×24 equivalent',
      `${equal.focalMm.toFixed(1)} mm f/${equal.fNumber.toFixed(1)} (${equal.basis})`,
    ],
    ...report.fit.joints.map((j) => ['does not join', j.sentence] as const),
  ];
}

export const evaluateCommand: Command = {
  usage,
  async run(args) {
    const { positionals } = readArgs(args, {});
    const [target, ...rest] = positionals;
    if (target === undefined || rest.length > 0) throw badInput(`name one file: ${usage}`);
    const hash = target.indexOf('#');
    const file = hash < 0 ? target : target.slice(0, hash);
    const text = await readInput(file);
    const rig = rigFrom(
      text,
      file === '-' ? 'standard input' : file,
      hash < 0 ? null : target.slice(hash + 1),
    );
    const report = evaluate(rig);
    return { json: report, rows: rows(report) };
  },
};
