/** What stands on a rig's card: what to dial, where it is safe, what to mind. Words and figures; no layout. */
import { cornerLift, frameGains, type CornerLift } from '../frame/lift';
import { namedAspect } from '../frame/aspects';
import { cropInForce } from '../frame/pipeline';
import type { VerdictKind } from '../frame/coverage';
import type { Halo } from '../halo/rims';
import type { FrameSize } from '../optics/formats';
import { fullName } from '../kit/records/body';
import { isZoom } from '../kit/records/lens';
import type { Window } from '../maths/windows';
import { AUTOFOCUS_WORDS } from '../rig/report/handling';
import { evaluate, type Report } from '../rig/report/evaluate';
import { evidenceSentence } from '../rig/readings/why';
import { gearOf, grams, massG, orUnknown, sumOf } from '../rig/readings/carried';
import { knownAt } from '../rig/readings/known';
import { layTrain, type TrainLayout } from '../rig/readings/trainLayout';
import { troubleWords } from '../rig/readings/trainWords';
import { turned, type Rig } from '../rig/rig';
import { sweepAnswer, type SweepAnswer } from '../sweep/answer';
import { focalSteps } from '../sweep/axes';
import { engraved, focal, gapWords, spotWords, whereClear } from '../sweep/words';
import { darknessWords } from '../words/corners';
import {
  diameterMm,
  fixed,
  fWords,
  metres,
  mm,
  scaleUpWords,
  shutterWords,
  signedStops,
  sizeMm,
  times,
  tWords,
} from '../words/figures';
import { riskWords } from '../words/risk';

/** One figure with its name. */
export interface CardLine {
  name: string;
  figure: string;
  note?: string;
}

export interface CardSection {
  title: string;
  lines: CardLine[];
  /** Whole sentences under them. */
  notes: string[];
}

/** Where the zoom stands and where it is Clear, for the engraved arc. */
export interface CardWindow {
  span: Window;
  windows: Window[];
  focalMm: number;
}

export interface RigCard {
  name: string;
  /** Body and mode. */
  on: string;
  verdict: VerdictKind;
  /** What stands before all coverage; null where it goes together. */
  fitProblem: string | null;
  sentence: string;
  /** "risk 4 %, measured". */
  risk: string;
  /** What is dialled, large. */
  dials: CardLine[];
  /** Scene to sensor. */
  train: CardLine[];
  layout: TrainLayout;
  window: CardWindow | null;
  halo: Halo;
  delivered: FrameSize;
  readOut: FrameSize;
  sections: CardSection[];
  cautions: string[];
  evidence: string;
  note: string;
}

/** A focal length as it is read off a barrel, with its unit. */
const focalWords = (value: number): string => `${focal(value)} mm`;

function deliverWords({ settings }: Rig): string {
  const named = namedAspect(settings.aspect);
  return named?.name ?? `${fixed(settings.aspect ?? 1, 2)}:1`;
}

/** What is dialled on the lens. */
function lensDials(rig: Rig, { optics }: Report): CardLine[] {
  const { settings } = rig;
  const { train } = optics;
  const isBent = train.factor !== 1;
  const printed = optics.printsAs.map((p) => p.slice(2)).join(' or ');
  return [
    {
      name: isZoom(rig.lens) ? 'Zoom' : 'Focal length',
      figure: focalWords(settings.focalMm),
      note: isBent ? `works as ${mm(train.focalMm)}` : undefined,
    },
    {
      name: 'Aperture ring',
      figure: engraved(settings.fNumber),
      note: isBent ? `works as ${fWords(train.fNumber)}, prints ${printed}` : undefined,
    },
    { name: 'Focus', figure: metres(settings.focusM) },
  ];
}

function stabiliserDial({ settings }: Rig, { steady }: Report): CardLine {
  if (!settings.stabiliser) return { name: 'Stabiliser', figure: 'off, locked' };
  return {
    name: 'Stabiliser',
    figure: `on, ${focalWords(steady.menuFocalMm ?? steady.enterFocalMm)}`,
    note: steady.toldByLens ? 'told by the lens' : `exact ${mm(steady.enterFocalMm)}`,
  };
}

/** What is dialled at all only where it is not at rest. */
function restlessDials({ settings, mode }: Rig): CardLine[] {
  const crop = mode.crops.find((c) => c.id === settings.cropId);
  const { digitalZoom, postScale, shiftXMm, shiftYMm, helicoidMm } = settings;
  const dials: (CardLine | false)[] = [
    digitalZoom !== 1 && { name: 'Digital zoom', figure: times(digitalZoom, 1) },
    crop !== undefined && {
      name: 'Stabilisation crop',
      figure: crop.name,
      note: `${times(cropInForce(crop))}${crop.measured === null ? ', as its maker states' : ', measured'}`,
    },
    postScale !== 1 && { name: 'Scale up in post', figure: scaleUpWords(postScale) },
    (shiftXMm !== 0 || shiftYMm !== 0) && {
      name: 'Shift',
      figure: `${fixed(shiftXMm, 1)} right, ${fixed(shiftYMm, 1)} down mm`,
    },
    helicoidMm !== 0 && { name: 'Helicoid', figure: mm(helicoidMm) },
  ];
  return dials.filter((dial) => dial !== false);
}

const dialsOf = (rig: Rig, report: Report): CardLine[] => [
  ...lensDials(rig, report),
  { name: 'Deliver', figure: deliverWords(rig) },
  ...(rig.body.sensorTravel === null ? [] : [stabiliserDial(rig, report)]),
  ...restlessDials(rig),
];

/** Scene to sensor, what is screwed to what. */
const trainOf = (layout: TrainLayout): CardLine[] =>
  layout.pieces.map(({ name, fact }) => ({ name, figure: fact }));

/** What to tell the stabiliser at each mark of a zoom that tells the body nothing. */
function stabiliserLines(rig: Rig, report: Report): CardLine[] {
  if (!rig.settings.stabiliser || report.steady.toldByLens || !isZoom(rig.lens)) return [];
  return focalSteps(rig, 5).flatMap(({ value }) => {
    if (value === null) return [];
    const at = turned(rig, { focalMm: value });
    const { enterFocalMm, menuFocalMm } = evaluate(at).steady;
    return [
      {
        name: `at ${focalWords(value)}`,
        figure: focalWords(menuFocalMm ?? enterFocalMm),
        note: menuFocalMm === null ? undefined : `exact ${mm(enterFocalMm)}`,
      },
    ];
  });
}

/** Apertures at which a focal length is Clear: "f/2.8 to f/16". */
function clearApertures(answer: SweepAnswer, focalMm: number): string {
  const clear = answer.byAperture.filter(({ windows }) =>
    windows.some(({ from, to }) => focalMm >= from - 1e-9 && focalMm <= to + 1e-9),
  );
  const [first, last] = [clear[0]?.label, clear.at(-1)?.label];
  if (first === undefined || last === undefined) return 'at no aperture';
  return first === last ? `at ${first}` : `${first} to ${last}`;
}

/** What windows and apertures are worth where nobody measured the halo; null where somebody did. */
function unsureWords({ halo }: Report): string | null {
  const { kind, edgeSigmaMm } = halo.evidence;
  return kind === 'measured'
    ? null
    : `${kind === 'published' ? 'Published' : 'Estimated'}, not measured: the edge is known to ± ${mm(edgeSigmaMm)}. Test before you rely on it.`;
}

function safeSection(rig: Rig, report: Report, answer: SweepAnswer): CardSection {
  const zoom = isZoom(rig.lens);
  const { focalMm } = rig.settings;
  const here = { name: `Clear at ${focalWords(focalMm)}`, figure: clearApertures(answer, focalMm) };
  const lines = answer.byAperture.map((windows) => ({
    name: windows.label,
    figure: zoom ? whereClear(windows) : windows.windows.length > 0 ? 'Clear' : 'not Clear',
  }));
  const unsure = unsureWords(report);
  const notes = [
    ...(unsure === null ? [] : [unsure]),
    ...(zoom ? answer.now.gaps.map((gap) => `${gapWords(gap)}.`) : []),
    ...(answer.roomiest === null
      ? ['No setting of zoom and aperture is Clear in this mode.']
      : [`Most room: ${spotWords(answer.roomiest)}.`]),
  ];
  return {
    title: zoom ? 'Safe zoom window' : 'Safe apertures',
    lines: zoom ? [here, ...lines] : lines,
    notes,
  };
}

function lightSection({ optics }: Report): CardSection {
  const { train, isoFactor, customDisagrees } = optics;
  const lines: CardLine[] = [{ name: 'Light', figure: signedStops(train.lightStops, 2) }];
  if (Math.abs(isoFactor - 1) >= 0.005)
    lines.push({
      name: 'ISO for the same exposure',
      figure: isoFactor < 1 ? `÷ ${fixed(1 / isoFactor, 2)}` : times(isoFactor),
    });
  if (train.tStop !== null) lines.push({ name: 'T-stop', figure: tWords(train.tStop) });
  if (Math.abs(optics.effectiveFNumber / train.fNumber - 1) > 0.02)
    lines.push({ name: 'At this distance', figure: fWords(optics.effectiveFNumber, 1) });
  return {
    title: 'Light',
    lines,
    notes:
      customDisagrees && train.customaryStops !== null
        ? [`Often said to be ${signedStops(train.customaryStops, 1)}.`]
        : [],
  };
}

/** How the corners are graded, in a sentence. */
function gradeWords({ verdict, isoFactor }: CornerLift, stops: number | null): string {
  switch (verdict) {
    case 'nothing to lift':
      return 'Nothing to lift.';
    case 'a hard edge':
      return 'A hard edge: no grading brings it back. Crop, scale up, or change the setting.';
    case 'can be lifted':
    case 'too dark for the school':
      return `Lift by ${darknessWords(stops).slice(1)}: noise there as at ISO ${times(isoFactor ?? 1, 1)}.${verdict === 'can be lifted' ? '' : ' That is more than you accept.'}`;
  }
}

/** What holds of the frame at rest alone says so where it moves. */
const standing = (moves: boolean, words: string): string =>
  moves ? `Standing still: ${words.charAt(0).toLowerCase()}${words.slice(1)}` : words;

function cornersSection(rig: Rig, report: Report): CardSection {
  const { verdict, coverage, frame, halo, native, wander } = report;
  const lift = cornerLift(halo.model, frame.delivered, verdict.limitStops);
  const gains = frameGains(halo.model, frame.delivered);
  const gain = (value: number | null) => (value === null ? 'none' : times(value));
  const lines: CardLine[] = [
    {
      name: 'Darkest corner',
      figure: darknessWords(verdict.worstCornerStops),
      note: frame.travel.xMm > 0 ? 'stabiliser at its end' : undefined,
    },
    {
      name: 'Gain in the corner',
      figure: gain(gains.corner),
      note: `side ${gain(gains.side)}, top ${gain(gains.top)}`,
    },
    {
      name: 'Halo',
      figure: diameterMm(coverage.radiiMm.half),
      note: `black ${diameterMm(coverage.radiiMm.black)}`,
    },
    { name: 'Frame', figure: sizeMm(frame.delivered) },
  ];
  if (coverage.scaleUp !== null && coverage.scaleUp > 1)
    lines.push({ name: 'Scale up to clear it', figure: scaleUpWords(coverage.scaleUp) });
  const known = knownAt(rig.lens, rig.settings);
  return {
    title: 'Corners',
    lines,
    notes: [
      standing(frame.travel.xMm > 0, gradeWords(lift, lift.stops)),
      ...(frame.travel.xMm > 0 && (wander.flickerStops ?? 1) > 0.3
        ? ['They flicker as the stabiliser moves: lock it for stills on sticks.']
        : []),
      native.sentence,
      ...known.map(({ name, word, where }) => `${name}: ${word}, seen ${where}.`),
    ],
  };
}

function pictureSection(rig: Rig, { optics, picture, autofocus, steady }: Report): CardSection {
  const { view, equivalents: equal } = optics;
  return {
    title: 'Picture and handling',
    lines: [
      {
        name: 'View',
        figure: `${fixed(view.horizontal, 1)}° × ${fixed(view.vertical, 1)}°`,
        note: `like ${mm(equal.focalMm, 0)} on 36×24`,
      },
      {
        name: 'In focus',
        figure: `${metres(picture.depth.nearM)} to ${metres(picture.depth.farM)}`,
      },
      { name: 'Autofocus', figure: AUTOFOCUS_WORDS[autofocus.state] },
      { name: 'By hand', figure: `${shutterWords(steady.handHeldSeconds)} or shorter` },
      { name: 'Mass', figure: orUnknown(sumOf(gearOf(rig), massG), grams) },
    ],
    notes: [steady.zoomWarning, steady.shutterAdvice].flatMap((words) => words ?? []),
  };
}

/** The card of a rig as it is set. `today` is an ISO date. */
export function rigCard(rig: Rig, note: string, today: string): RigCard {
  const report = evaluate(rig);
  const answer = sweepAnswer(rig);
  const layout = layTrain(rig, report);
  const told = stabiliserLines(rig, report);
  const { verdict, halo, frame, cautions, fitProblem } = report;
  return {
    name: rig.name,
    on: `${fullName(rig.body)} · ${rig.mode.name}`,
    verdict: verdict.kind,
    fitProblem: fitProblem?.words ?? null,
    sentence: verdict.sentence,
    risk: `risk ${riskWords(verdict.risk)}, ${halo.evidence.kind}`,
    dials: dialsOf(rig, report),
    train: trainOf(layout),
    layout,
    window: isZoom(rig.lens)
      ? {
          span: { from: rig.lens.focalMinMm, to: rig.lens.focalMaxMm },
          windows: answer.now.windows,
          focalMm: rig.settings.focalMm,
        }
      : null,
    halo: halo.model,
    delivered: frame.delivered,
    readOut: frame.readOut,
    sections: [
      safeSection(rig, report, answer),
      ...(told.length > 0
        ? [
            {
              title: 'Stabiliser entry',
              lines: told,
              notes: ['It is told nothing: enter it anew after zooming.'],
            },
          ]
        : []),
      cornersSection(rig, report),
      lightSection(report),
      pictureSection(rig, report),
    ],
    cautions: [...troubleWords(report), ...cautions.map((c) => c.words)],
    evidence: evidenceSentence(report, today),
    note,
  };
}
