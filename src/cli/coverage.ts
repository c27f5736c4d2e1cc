/** halo coverage: a halo given by its rims over a frame. */
import { limitStops, DEFAULT_JUDGEMENT } from '@/core/kit/records';
import { circleCoverage, coverage, judge, NO_TRAVEL, scaleUp, type Travel } from '@/core/frame';
import type { Halo, Rim } from '@/core/halo';
import {
  badInput,
  frameFrom,
  numberFrom,
  optionalNumber,
  readArgs,
  requiredNumber,
  type Command,
} from './command';
import { mm, percent, sizeMm, times, cornerWords, darknessWords } from '@/core/words';

const usage =
  'halo coverage --frame 36x24 --edge-radius 20 --softness 4 [--rear-edge-radius R --rear-softness W] ' +
  '[--exit-pupil L] [--offset 0.8,-0.5] [--travel 2] [--aspect 1.5] [--json]';

function offsetFrom(text: string | undefined): Halo['centre'] {
  if (text === undefined) return { xMm: 0, yMm: 0 };
  const [x, y, ...rest] = text.split(',');
  if (x === undefined || y === undefined || rest.length > 0) {
    throw badInput(`--offset takes two numbers in mm such as 0.8,-0.5; it is "${text}".`);
  }
  return { xMm: numberFrom(x, '--offset', -200, 200), yMm: numberFrom(y, '--offset', -200, 200) };
}

interface RimOptions {
  'edge-radius'?: string;
  softness?: string;
  'rear-edge-radius'?: string;
  'rear-softness'?: string;
}

function rimsFrom(values: RimOptions): Rim[] {
  const front: Rim = {
    side: 'front',
    edgeRadiusMm: requiredNumber(values['edge-radius'], '--edge-radius', 0.5, 400),
    softnessMm: requiredNumber(values.softness, '--softness', 0, 400),
  };
  const edge = optionalNumber(values['rear-edge-radius'], '--rear-edge-radius', 0.5, 400);
  const soft = optionalNumber(values['rear-softness'], '--rear-softness', 0, 400);
  if (edge === null && soft === null) return [front];
  if (edge === null || soft === null) {
    throw badInput('a rear rim needs both --rear-edge-radius and --rear-softness.');
  }
  return [front, { side: 'rear', edgeRadiusMm: edge, softnessMm: soft }];
}

const OPTIONS = {
  frame: { type: 'string' },
  'edge-radius': { type: 'string' },
  softness: { type: 'string' },
  'rear-edge-radius': { type: 'string' },
  'rear-softness': { type: 'string' },
  'exit-pupil': { type: 'string' },
  offset: { type: 'string' },
  travel: { type: 'string' },
  aspect: { type: 'string' },
} as const;

type Values = { [K in keyof typeof OPTIONS]?: string };

export const coverageCommand: Command = {
  usage,
  run(args) {
    const values = readArgs(args, OPTIONS).values as Values;
    const frame = frameFrom(values.frame, '--frame');
    const rims = rimsFrom(values);
    const halo: Halo = {
      rims,
      exitPupilMm: optionalNumber(values['exit-pupil'], '--exit-pupil', 5, 10_000),
      coneTangent: 0,
      centre: offsetFrom(values.offset),
    };
    const travel: Travel = {
      ...NO_TRAVEL,
      discMm: optionalNumber(values.travel, '--travel', 0, 20) ?? 0,
    };
    const cleanAspect = optionalNumber(values.aspect, '--aspect', 0.2, 6) ?? undefined;
    const verdict = judge(halo, frame, travel, limitStops(DEFAULT_JUDGEMENT));
    const covered = coverage(halo, frame, travel);
    const edgeRadius = Math.min(...rims.map((r) => r.edgeRadiusMm));
    const circle = circleCoverage(frame, halo.centre, edgeRadius, NO_TRAVEL, cleanAspect);
    const { clear, half, black } = covered.marginMm;
    const json = {
      cornerStops: covered.cornerStops,
      worstCornerStops: verdict.worstCornerStops,
      areaShare: circle.areaShare,
      marginMm: { clear, half, black },
      cleanFrame: circle.cleanFrame,
      scaleUp: scaleUp(frame, halo.centre, edgeRadius, travel),
      verdict: verdict.kind,
    };
    return {
      json,
      rows: [
        ['verdict', verdict.kind],
        ['corners, top left clockwise', covered.cornerStops.map(cornerWords).join(', ')],
        ['worst corner over the travel', darknessWords(verdict.worstCornerStops, 2)],
        ['margin to half light', mm(half, 2)],
        ['frame inside the edge circle', percent(circle.areaShare)],
        ['largest clean frame, centred', sizeMm(circle.cleanFrame.concentric, 2)],
        ['largest clean frame, anywhere', sizeMm(circle.cleanFrame.free, 2)],
        ['scale-up needed', json.scaleUp === null ? 'none is enough' : times(json.scaleUp, 3)],
      ],
    };
  },
};
