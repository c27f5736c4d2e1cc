/** The figures of a measured frame, and why each is what it is. */
import { limitStops, type Judgement } from '@/core/kit/records';
import type { Halo } from '@/core/halo';
import { cornerLift, frameGains } from '@/core/frame';
import type { FrameMeasure } from '@/core/measure';
import type { Why } from '@/core/rig/readings';
import { type Frame, predictedHalfLight, settingOf } from './frames';
import type { Session } from './session';
import { fixed, mm, percent, darknessWords, diameterMm, diameterFigure } from '@/core/words';

export type FrameReading =
  | 'half'
  | 'bound'
  | 'minus1'
  | 'minus2'
  | 'clear'
  | 'black'
  | 'centre'
  | 'predicted'
  | 'wall'
  | 'lift'
  | 'gain';

interface FigureRow {
  reading: FrameReading;
  name: string;
  figure: string;
  note?: string;
}

/** A circle by its diameter, as the Bench tells it, where it lies in the frame. */
const inFrame = (radiusMm: number | null | undefined): string =>
  radiusMm == null ? 'not in the frame' : diameterMm(radiusMm, 2);

/** How a halo's diameter lies to what had been expected; `mmOff` is the radius expected less the one found. */
export function offWords(mmOff: number): string {
  const size = mm(2 * Math.abs(mmOff), 2);
  if (size === mm(0, 2)) return 'as expected';
  return `${size} ${mmOff > 0 ? 'smaller' : 'larger'}`;
}

/** The halo a frame was found to have. */
function measuredHalo(measure: FrameMeasure, fNumber: number): Halo {
  const [xMm, yMm] = measure.centreMm ?? [0, 0];
  return {
    rims: measure.rims,
    exitPupilMm: measure.exitPupilMm,
    coneTangent: 1 / (2 * fNumber),
    centre: { xMm, yMm },
  };
}

const factor = (gain: number | null): string => (gain === null ? 'none' : `×${fixed(gain, 2)}`);

/** What evening the frame out would take, and what its darkest corner allows. */
function liftRows(halo: Halo, session: Session, judgement: Judgement): FigureRow[] {
  const lift = cornerLift(halo, session.mode, limitStops(judgement));
  const { side, top, corner } = frameGains(halo, session.mode);
  return [
    {
      reading: 'lift',
      name: 'Darkest corner',
      figure: darknessWords(lift.stops),
      note: lift.verdict,
    },
    {
      reading: 'gain',
      name: 'Gain to even out',
      figure: `${factor(top)} ${factor(side)} ${factor(corner)}`,
      note: 'top, side, corner',
    },
  ];
}

export function figureRows(frame: Frame, session: Session, judgement: Judgement): FigureRow[] {
  const measure = frame.answer?.measure;
  if (!measure || measure.status === 'refused') return [];
  const setting = settingOf(frame, session);
  const half = measure.halfLightRadiusMm;
  // What was expected before a frame was kept stays; what the lens knows since then had it in view.
  const predicted =
    frame.expectedHalfLightMm ?? (setting ? predictedHalfLight(session, setting) : null);
  const rows: FigureRow[] = [
    half
      ? {
          reading: 'half',
          name: 'Half light at',
          figure: inFrame(half.value),
          note: `${diameterFigure(half.low, 2)} to ${diameterFigure(half.high, 2)}`,
        }
      : {
          reading: 'bound',
          name: 'Half light at least',
          figure: inFrame(measure.lowerBoundMm),
          note: 'edge not in frame',
        },
    { reading: 'minus1', name: '−1 stop at', figure: inFrame(measure.stopRadiiMm[1]) },
    { reading: 'minus2', name: '−2 stops at', figure: inFrame(measure.stopRadiiMm[2]) },
  ];
  if (predicted !== null)
    rows.push({
      reading: 'predicted',
      name: 'Was expected at',
      figure: inFrame(predicted),
      note: half ? `found ${offWords(predicted - half.value)}` : undefined,
    });
  if (half) {
    rows.push(
      { reading: 'clear', name: 'Clear to', figure: inFrame(measure.clearRadiusMm) },
      { reading: 'black', name: 'Black from', figure: inFrame(measure.blackRadiusMm) },
    );
    rows.push(...liftRows(measuredHalo(measure, setting?.fNumber ?? 4), session, judgement));
  }
  if (measure.centreMm)
    rows.push({
      reading: 'centre',
      name: 'Centre',
      figure: measure.centreMm.map((v) => fixed(v, 2)).join(', '),
      note: 'mm right, down',
    });
  if (measure.wallShare !== null)
    rows.push({
      reading: 'wall',
      name: 'Slope of the wall',
      figure: percent(measure.wallShare),
    });
  return rows;
}

const WHYS: Record<FrameReading, Pick<Why, 'title' | 'formula'>> = {
  half: {
    title: 'Half-light circle',
    formula:
      'Rims, natural falloff and a slope of the wall are fitted to the root of the light; the circle is where the rims let half the light through. Its interval holds with 90 %: the fit was held to other circles until it got clearly worse.',
  },
  bound: {
    title: 'Lower bound',
    formula:
      'Rims let through at least the light there is against the middle: everything still above half lies inside the half-light circle. No model enters.',
  },
  minus1: {
    title: '−1 stop circle',
    formula: 'Where the median of the light around the centre falls to half of the middle’s.',
  },
  minus2: {
    title: '−2 stop circle',
    formula: 'Where the median of the light around the centre falls to a quarter of the middle’s.',
  },
  clear: { title: 'Clear circle', formula: 'Where the fitted rims take a tenth of a stop.' },
  black: {
    title: 'Black circle',
    formula: 'Where the fitted rims leave one hundredth of the light.',
  },
  centre: {
    title: 'Centre of the halo',
    formula: 'Fitted with the rims; against the middle of the frame.',
  },
  predicted: {
    title: 'Expected half-light circle',
    formula:
      'What the lens’s samples, or what is usual for its kind, foretold for this setting; behind a train of parts as the Bench reckons it.',
  },
  wall: {
    title: 'Slope of the wall',
    formula: 'Change of the wall’s light over half the frame’s diagonal, fitted as a plane.',
  },
  lift: {
    title: 'Darkest corner',
    formula:
      'Stops = −log2(rims × natural falloff) at the farthest corner. Lifting it multiplies values by 2^stops and makes the noise of an ISO as many times higher. Under an eighth through the rims nothing can be lifted.',
  },
  gain: {
    title: 'Gain to even out the frame',
    formula:
      'Linear values times 1 / light at that place, light against the middle. Noise grows alike: ×2 in a corner is the noise of twice the ISO there. Under 1/256 of the middle’s light there is nothing to bring back.',
  },
};

/** Explains one figure of a frame. */
export function whyOf(
  reading: FrameReading,
  frame: Frame,
  session: Session,
  judgement: Judgement,
): Why {
  const row = figureRows(frame, session, judgement).find((r) => r.reading === reading);
  const measure = frame.answer?.measure;
  const setting = settingOf(frame, session);
  const inputs: [string, string][] = [
    ['frame', frame.file.name],
    ['sensor', `${session.mode.widthMm} × ${session.mode.heightMm} mm`],
    ['tone response', frame.answer?.tone ?? ''],
    ...(setting
      ? [['set to', `${setting.focalMm} mm f/${setting.fNumber}`] as [string, string]]
      : []),
    ...(measure?.rims ?? []).map((rim, i): [string, string] => [
      `rim ${i + 1}`,
      `edge ${diameterMm(rim.edgeRadiusMm, 2)}, softness ${mm(rim.softnessMm, 2)}`,
    ]),
    ...(measure?.exitPupilMm
      ? [['exit pupil', mm(measure.exitPupilMm, 0)] as [string, string]]
      : []),
  ];
  if (session.parts.length > 0)
    inputs.push(['behind', session.parts.map((p) => p.name).join(', ')]);
  return {
    ...WHYS[reading],
    inputs: [['figure', row?.figure ?? ''], ...inputs],
    evidence:
      reading === 'predicted' ? 'Known before the frame was measured.' : 'Measured in this frame.',
  };
}
