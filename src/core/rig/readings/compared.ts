/** Rigs beside each other: rows by what is asked, what differs in words, and whether it is a rig for photo or video. */
import { largestMode, type Mode } from '../../kit/records';
import { cleanMegapixels, deliveredFrame } from '../../frame';
import { stopsBetweenFNumbers } from '../../optics';
import {
  cornerWords,
  fixed,
  fWords,
  megapixels,
  metres,
  mm,
  percent,
  short,
  signedStops,
  stopsWords,
  tWords,
  inFocusWords,
} from '../../words';
import { evaluate, type Report } from '../report';
import type { Rig } from '../../rig';
import { sampledWords } from './sampled';
import { gearOf, grams, massG, orUnknown, price, sumOf, type Fact, type Gear } from './carried';

export interface Beside {
  rig: Rig;
  report: Report;
}

interface ComparedRow {
  name: string;
  cell: (beside: Beside) => string;
}

/** How much more of something there is; what both carry need not be known. */
function moreOf(first: Beside, other: Beside, fact: Fact): number | null {
  const [a, b] = [gearOf(first.rig), gearOf(other.rig)];
  const without = (gear: Gear[], common: Gear[]) => gear.filter((item) => !common.includes(item));
  return minus(sumOf(without(b, a), fact), sumOf(without(a, b), fact));
}

/** Light the whole picture gathers against 36x24 at the same f-number and exposure, stops. */
const noiseStops = ({ report }: Beside): number => report.optics.equivalents.totalLightStops;

const rateOf = ({ framesPerSecond }: Mode): string =>
  framesPerSecond === null ? 'stills' : `${short(framesPerSecond, 2)} fps`;

const ROWS = {
  coverage: [
    {
      name: 'Darkest corner',
      cell: ({ report }) => {
        const words = cornerWords(report.verdict.worstCornerStops);
        return words === 'black' ? words : `${words} stops`;
      },
    },
    {
      name: 'Halo, and needed',
      cell: ({ report: { coverage } }) =>
        `⌀ ${fixed(coverage.radiiMm.half * 2, 1)} of ${mm(coverage.worstCornerRadiusMm * 2)}`,
    },
    {
      name: 'Covered share',
      cell: ({ report: { coverage } }) => percent(coverage.areaShare, 0),
    },
  ],
  light: [
    { name: 'Aperture', cell: ({ report: { optics } }) => fWords(optics.train.fNumber) },
    { name: 'T-stop', cell: ({ report: { optics } }) => orUnknown(optics.train.tStop, tWords) },
    {
      name: 'Light by the train',
      cell: ({ report: { optics } }) => signedStops(optics.train.lightStops, 2),
    },
    {
      name: 'All light, against 36×24',
      cell: (beside) => signedStops(noiseStops(beside), 1),
    },
  ],
  view: [
    { name: 'Focal length', cell: ({ report: { optics } }) => mm(optics.train.focalMm) },
    {
      name: 'Equivalent',
      cell: ({ report: { optics } }) =>
        `${mm(optics.equivalents.focalMm)} · ${optics.equivalents.basis}`,
    },
    {
      name: 'View, across',
      cell: ({ report: { optics } }) => `${fixed(optics.view.horizontal, 1)}°`,
    },
  ],
  depth: [
    {
      name: 'Equivalent aperture',
      cell: ({ report: { optics } }) => fWords(optics.equivalents.fNumber, 1),
    },
    { name: 'Hyperfocal', cell: ({ report: { picture } }) => metres(picture.hyperfocalM) },
    {
      name: 'In focus',
      cell: ({ report: { picture } }) => inFocusWords(picture.depth),
    },
  ],
  pixels: [
    { name: 'Delivered', cell: ({ report: { frame } }) => megapixels(frame.delivered.megapixels) },
    { name: 'Sampled', cell: ({ rig, report }) => sampledWords(rig.mode, report.frame.delivered) },
    { name: 'Mode', cell: ({ rig }) => rig.mode.name },
    { name: 'Frame rate', cell: ({ rig }) => rateOf(rig.mode) },
    { name: 'Photo or video', cell: ({ rig }) => photoOrVideo(rig) },
  ],
  carrying: [
    { name: 'Mass', cell: (beside) => orUnknown(sumOf(gearOf(beside.rig), massG), grams) },
    {
      name: 'Price, used',
      cell: (beside) => orUnknown(sumOf(gearOf(beside.rig), price), (v) => fixed(v, 0)),
    },
  ],
} as const satisfies Readonly<Record<string, readonly ComparedRow[]>>;

export type ComparedQuestion = keyof typeof ROWS;

/** What people ask of rigs side by side, in their words. */
export const COMPARED_QUESTIONS: Readonly<Record<ComparedQuestion, string>> = {
  coverage: 'does it cover',
  light: 'light and noise',
  view: 'how wide',
  depth: 'depth of field',
  pixels: 'photo or video',
  carrying: 'mass and price',
};

export const comparedRows = (question: ComparedQuestion): readonly ComparedRow[] => ROWS[question];

/** Smaller differences are not mentioned: stops, shares, grams. */
const SAME_STOPS = 0.05;
const SAME_VIEW = 0.01;
const SAME_GRAMS = 5;

/** "more" or "less" of something, where the difference is worth mentioning. */
function differs(
  by: number | null,
  same: number,
  words: (size: number, more: boolean) => string,
): string[] {
  return by === null || Math.abs(by) < same ? [] : [words(Math.abs(by), by > 0)];
}

const minus = (a: number | null, b: number | null): number | null =>
  a === null || b === null ? null : a - b;

/** What is different of a rig against another, in words; "much the same" where nothing is. */
export function differenceWords(first: Beside, other: Beside): string {
  const [a, b] = [first.report, other.report];
  const [lightA, lightB] = [a.optics.train, b.optics.train];
  const byT = lightA.tStop !== null && lightB.tStop !== null;
  const light = byT
    ? stopsBetweenFNumbers(lightA.tStop ?? 1, lightB.tStop ?? 1)
    : stopsBetweenFNumbers(lightA.fNumber, lightB.fNumber);
  const view = b.optics.equivalents.focalMm / a.optics.equivalents.focalMm - 1;
  const corner = minus(b.verdict.worstCornerStops, a.verdict.worstCornerStops);
  const pixels = b.frame.delivered.megapixels - a.frame.delivered.megapixels;
  const words = [
    ...differs(light, SAME_STOPS, (s, more) => `${stopsWords(s)} ${more ? 'brighter' : 'dimmer'}`),
    ...differs(view, SAME_VIEW, (s, more) => `${percent(s, 0)} ${more ? 'tighter' : 'wider'}`),
    ...differs(corner, SAME_STOPS, (s, more) =>
      more ? `corners ${stopsWords(s)} darker` : `corners ${stopsWords(s)} lighter`,
    ),
    ...differs(noiseStops(other) - noiseStops(first), SAME_STOPS, (s, more) =>
      more
        ? `${stopsWords(s)} less noise at one exposure`
        : `${stopsWords(s)} more noise at one exposure`,
    ),
    ...differs(pixels, 0.5, (s, more) => `${fixed(s, 1)} MP ${more ? 'more' : 'fewer'}`),
    ...differs(moreOf(first, other, massG), SAME_GRAMS, (s, more) =>
      more ? `${grams(s)} heavier` : `${grams(s)} lighter`,
    ),
    ...differs(moreOf(first, other, price), 1, (s, more) =>
      more ? `dearer by ${fixed(s, 0)}` : `cheaper by ${fixed(s, 0)}`,
    ),
  ];
  return words.length > 0 ? words.join(', ') : 'much the same';
}

/** A frame rate that reads less of the sensor than another mode does, by more than this, is a crop. */
const SAME_WIDTH = 1.02;

/** Megapixels of stills within the accepted circle, in the largest stills mode; null without one. */
function stillsLeft(rig: Rig): number | null {
  const mode = largestMode(rig.body.modes.filter((m) => m.use === 'stills'));
  if (!mode) return null;
  const { frame, coverage } = evaluate({
    ...rig,
    mode,
    settings: { ...rig.settings, aspect: null, cropId: null, digitalZoom: 1, postScale: 1 },
  });
  return cleanMegapixels(frame.delivered, coverage.cleanFrame.concentric);
}

/** What frame rates force: how much narrower each reads than the widest video mode. */
function forcedCrops(modes: readonly Mode[], full: Mode): string[] {
  const rates = [...new Set(modes.map((m) => m.framesPerSecond ?? 0))].toSorted((a, b) => a - b);
  return rates.flatMap((rate) => {
    const mode = largestMode(modes.filter((m) => m.framesPerSecond === rate));
    const crop = mode ? full.widthMm / mode.widthMm : 1;
    return crop > SAME_WIDTH ? [`${short(rate, 2)} fps crops ×${fixed(crop, 2)}`] : [];
  });
}

/** How a video mode's pixels become those of its file, whole: "video 3840 across, ×1.56 oversampled". */
function videoWords(mode: Mode): string {
  const whole = { aspect: null, digitalZoom: 1, cropId: null, postScale: 1, squeeze: 1 };
  const frame = deliveredFrame(mode, whole);
  return `video ${fixed(frame.recordedPx.across, 0)} across, ${sampledWords(mode, frame)}`;
}

/** "Photo or video?" of a rig in one line: megapixels left, oversampling, crops that frame rates force. */
export function photoOrVideo(rig: Rig): string {
  const stills = stillsLeft(rig);
  const videos = rig.body.modes.filter((m) => m.use === 'video');
  const full = largestMode(videos);
  const words: string[] = [];
  words.push(stills === null ? 'no stills mode' : `stills ${megapixels(stills)} within the halo`);
  if (!full) words.push('no video mode');
  else {
    words.push(videoWords(full), ...forcedCrops(videos, full));
  }
  return words.join(', ');
}
