/** halo evaluate: the report on a rig file or a rig of a workspace file. */
import { evaluate, type Report } from '@/core/rig/report/evaluate';
import { waysOut, type Way } from '@/core/rig/search/waysOut';
import { readArgs, type Command } from './command';
import { rigFrom } from './rigInput';
import { mm, percent, signed, size, stops } from './words';

const usage = 'halo evaluate RIG.json | WORKSPACE.json#rig-id | - [--json]';

function rows(report: Report): (readonly [string, string])[] {
  const { verdict, coverage, optics, halo, frame } = report;
  const { train, equivalents: equal } = optics;
  return [
    ['rig', report.name],
    ['verdict', `${verdict.kind}. ${verdict.sentence}`],
    ['risk', percent(verdict.risk)],
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
    ['stabiliser focal length', stabiliserWords(report)],
    ['autofocus', report.autofocus.sentence],
    ['depth of field', depthWords(report)],
    ['native lenses', report.native.sentence],
    ...report.cautions.map((c) => ['mind', `${c.words} ${c.why}`] as const),
    ...report.fit.joints.map((j) => ['does not join', j.sentence] as const),
  ];
}

function stabiliserWords({ steady }: Report): string {
  const menu = steady.menuFocalMm === null ? '' : `, menu ${steady.menuFocalMm}`;
  return `${steady.enterFocalMm.toFixed(1)} mm${menu}${steady.zoomWarning ? `; ${steady.zoomWarning}` : ''}`;
}

function depthWords({ picture }: Report): string {
  const { nearM, farM } = picture.depth;
  return `${nearM.toFixed(2)} m to ${farM === null ? 'infinity' : `${farM.toFixed(2)} m`} (c ${picture.circleMm.toFixed(4)} mm)`;
}

const wayRows = (ways: readonly Way[]): (readonly [string, string])[] =>
  ways.map((way) => ['way out', `${way.words}: ${way.costWords}`]);

export const evaluateCommand: Command = {
  usage,
  async run(args) {
    const { positionals } = readArgs(args, {});
    const { rig, kit } = await rigFrom(positionals, usage);
    const report = evaluate(rig);
    return { json: report, rows: [...rows(report), ...wayRows(waysOut(rig, kit))] };
  },
};
