/** halo evaluate: the report on a rig file or a rig of a workspace file. */
import { verdictWords } from '@/core/frame';
import { evaluate, type Report } from '@/core/rig/report';
import { edgeKnownWords } from '@/core/rig/readings';
import { waysOut, type Way } from '@/core/rig/search';
import { readArgs, type Command } from './command';
import { rigFrom } from './rigInput';
import {
  diameterMm,
  fWords,
  mm,
  percent,
  signedStops,
  sizeMm,
  times,
  cornerWords,
  darknessWords,
  riskWords,
  inFocusWords,
} from '@/core/words';

const usage = 'halo evaluate RIG.json | WORKSPACE.json#rig-id | - [--json]';

function rows(report: Report): (readonly [string, string])[] {
  const { verdict, coverage, optics, halo, frame } = report;
  const { train, equivalents: equal } = optics;
  return [
    ['rig', report.name],
    ['verdict', `${verdictWords(verdict)}. ${verdict.sentence}`],
    ['risk', riskWords(verdict.risk)],
    ['evidence', `${halo.evidence.kind}, ${edgeKnownWords(report)}`],
    ['corners, top left clockwise', coverage.cornerStops.map(cornerWords).join(', ')],
    ['worst corner over the travel', darknessWords(verdict.worstCornerStops, 2)],
    ['halo at half light', diameterMm(coverage.radiiMm.half, 2)],
    ['margin of the corners', mm(coverage.acceptedMarginMm, 2)],
    ['frame', sizeMm(frame.delivered, 2)],
    ['frame accepted', percent(coverage.areaShare)],
    ['clean frame, centred', sizeMm(coverage.cleanFrame.concentric, 2)],
    ['scale-up needed', coverage.scaleUp === null ? 'none is enough' : times(coverage.scaleUp, 3)],
    ['focal length', mm(train.focalMm)],
    ['f-number', `${fWords(train.fNumber)}, prints ${optics.printsAs.join(' or ')}`],
    ['light', `${signedStops(train.lightStops, 2)}, ISO ${times(optics.isoFactor)}`],
    ['36×24 equivalent', `${mm(equal.focalMm)} ${fWords(equal.fNumber, 1)} (${equal.basis})`],
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
  return `${mm(steady.enterFocalMm)}${menu}${steady.zoomWarning ? `; ${steady.zoomWarning}` : ''}`;
}

function depthWords({ picture }: Report): string {
  return `${inFocusWords(picture.depth)} from the sensor (c ${mm(picture.circleMm, 4)})`;
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
