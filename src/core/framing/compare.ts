/** Pictures beside each other: what moved, and what that did, in figures and one sentence. */
import {
  cornerWords,
  EXACT,
  fixed,
  sizeMm,
  fWords,
  metres,
  mm,
  percent,
  signed,
  signedStops,
  tWords,
  stopsWords,
} from '../words';
import { stopsBetweenFNumbers, PERSON_HALF_M } from '../optics';
import { knownAt, whyKnown, explain, type Why } from '../rig/readings';
import { HEAD_M, lampsOf, type Scene } from './scene';
import { seenAt, type Shot } from './shot';

export interface FramingRow {
  id: string;
  name: string;
  figure: (shot: Shot, scene: Scene) => string;
  why: (shot: Shot, scene: Scene, today: string) => Why;
}

const THIN = 'Thin lens, no distortion; distances from the entrance pupil.';

/** Height of the miller's head as a share of the picture's. */
export const headShare = ({ subject, picture }: Shot): number =>
  (subject.magnification * HEAD_M * 1000) / picture.heightMm;

/** How large a thing at the lamps shows against the same thing at the miller: u / (u + z). */
export const lampScale = ({ subject }: Shot, { lampsM }: Scene): number =>
  subject.distanceMm / (subject.distanceMm + lampsM * 1000);

/** Diameter of a lamp's disc as a share of the picture's height. */
function lampShare(shot: Shot, { lampsM }: Scene): number {
  const seen = seenAt(shot, { xM: 0, yM: 0, zM: lampsM });
  return (seen?.blurHeightMm ?? 0) / shot.picture.heightMm;
}

export type Fits = 'yes' | 'partly' | 'no';

/** Whether the second person is in the picture with the miller, who stands in its middle. */
export function secondFits({ field }: Shot, { besideM }: Scene): Fits {
  const half = field.widthM / 2;
  const side = Math.abs(besideM);
  if (side + PERSON_HALF_M <= half) return 'yes';
  return side - PERSON_HALF_M < half ? 'partly' : 'no';
}

/** How many lamps are in the picture. */
const lampsIn = (shot: Shot, scene: Scene): number =>
  lampsOf(scene).filter((lamp) => {
    const seen = seenAt(shot, lamp);
    return (
      seen !== null &&
      Math.abs(seen.xMm) <= shot.picture.widthMm / 2 &&
      Math.abs(seen.yMm) <= shot.picture.heightMm / 2
    );
  }).length;

const lightWords = ({ report: { optics } }: Shot): string =>
  optics.train.tStop === null ? fWords(optics.train.fNumber) : tWords(optics.train.tStop);

/** Light of the whole picture against 36x24 at the same f-number and time, stops. */
const wholeLight = ({ report }: Shot): number => report.optics.equivalents.totalLightStops;

/** A lamp that is there is never of no size. */
const LEAST_DISC = 0.0005;
const discWords = (share: number): string =>
  share > 0 && share < LEAST_DISC ? '< 0.1 %' : percent(share, share < 0.1 ? 1 : 0);

/** What its owner said of the lens, or that nobody did. */
function knownInputs({ lens, settings }: Shot['rig']): Why['inputs'] {
  const known = knownAt(lens, settings);
  return known.length === 0
    ? [['said of it near here', 'nothing']]
    : known.map((k) => [k.name, `${k.word}, seen ${k.where}`]);
}

export const FRAMING_ROWS: readonly FramingRow[] = [
  {
    id: 'from',
    name: 'From',
    figure: (shot) => metres(shot.distanceM),
    why: (shot) => ({
      title: 'Where the camera stands',
      formula: 'from the sensor to the miller’s eyes, as lenses are engraved',
      inputs: [
        ['to the entrance pupil', metres(shot.subject.distanceMm / 1000)],
        ['closest focus', metres(shot.rig.lens.closestFocusM)],
      ],
      evidence:
        shot.askedM === null
          ? THIN
          : `It cannot focus from ${metres(shot.askedM)}: shown from where it can.`,
    }),
  },
  {
    id: 'field',
    name: 'Field at the miller',
    figure: ({ field }) => `${fixed(field.widthM, 2)} × ${fixed(field.heightM, 2)} m`,
    why: (shot) => ({
      title: 'Field at the miller',
      formula: 'side of the picture ÷ magnification; the width times the squeeze',
      inputs: [
        ['picture', `${fixed(shot.picture.widthMm, 2)} × ${mm(shot.picture.heightMm, 2)}`],
        ['magnification', `× ${fixed(shot.subject.magnification, 5)}`],
      ],
      evidence: THIN,
    }),
  },
  {
    id: 'head',
    name: 'His head, of the height',
    figure: (shot) => percent(headShare(shot)),
    why: (shot) => ({
      title: 'How large he stands',
      formula: 'magnification × 0.24 m ÷ height of the picture',
      inputs: [['magnification', `× ${fixed(shot.subject.magnification, 5)}`]],
      evidence: `Crown to chin is taken as ${fixed(HEAD_M, 2)} m.`,
    }),
  },
  {
    id: 'second',
    name: 'A second person fits',
    figure: (shot, scene) => secondFits(shot, scene),
    why: (shot, scene) => ({
      title: 'Whether a second person fits',
      formula: 'how far beside the miller + half a person ≤ half the field',
      inputs: [
        ['beside him', metres(Math.abs(scene.besideM))],
        ['half a person', metres(PERSON_HALF_M)],
        ['half the field', metres(shot.field.widthM / 2)],
      ],
      evidence: 'With the miller in the middle of the picture.',
    }),
  },
  {
    id: 'focus',
    name: 'In focus, about him',
    figure: ({ report: { picture }, distanceM }) => {
      const about = (m: number) => signed(m - distanceM, 2);
      const far = picture.depth.farM === null ? '∞' : `${about(picture.depth.farM)} m`;
      return `${about(picture.depth.nearM)} to ${far}`;
    },
    why: (shot, _, today) => explain('depth', shot.rig, shot.report, today),
  },
  {
    id: 'discs',
    name: 'Lamp discs, of the height',
    figure: (shot, scene) => discWords(lampShare(shot, scene)),
    why: (shot, scene) => ({
      title: 'Discs of the lamps',
      formula: 'E m z/(u + z) on the sensor, E = f′/N′, as a share of the picture’s height',
      inputs: [
        ['entrance pupil E', mm(shot.subject.entrancePupilMm)],
        ['magnification m', `× ${fixed(shot.subject.magnification, 5)}`],
        ['behind him z', metres(scene.lampsM)],
        ['from the pupil u', metres(shot.subject.distanceMm / 1000)],
        ['on the sensor', mm(lampShare(shot, scene) * shot.picture.heightMm, 3)],
      ],
      evidence: THIN,
    }),
  },
  {
    id: 'size',
    name: 'Lamps, against him',
    figure: (shot, scene) => percent(lampScale(shot, scene), 0),
    why: (shot, scene) => ({
      title: 'How large the far stands beside the near',
      formula: 'u / (u + z): perspective follows the distance alone',
      inputs: [
        ['from the pupil u', metres(shot.subject.distanceMm / 1000)],
        ['behind him z', metres(scene.lampsM)],
        ['lamps in the picture', String(lampsIn(shot, scene))],
      ],
      evidence: 'Central projection; no lens changes it.',
    }),
  },
  {
    id: 'zone',
    name: 'Edge of the halo in frame',
    figure: ({ report }) => percent(report.picture.zones.edge, 0),
    why: (shot, _, today) => explain('zones', shot.rig, shot.report, today),
  },
  {
    id: 'character',
    name: 'Corners and character',
    figure: ({ rig }) => {
      const said = knownAt(rig.lens, rig.settings).filter(
        (k) => k.aspect === 'corners' || k.aspect === 'character',
      );
      return said.map((k) => k.word).join(', ') || 'not judged';
    },
    why: ({ rig }) => whyKnown(knownInputs(rig)),
  },
  {
    id: 'corner',
    name: 'Darkest corner',
    figure: ({ report }) => {
      const words = cornerWords(report.verdict.worstCornerStops);
      return words === 'black' ? words : `${words} stops`;
    },
    why: (shot, _, today) => explain('corners', shot.rig, shot.report, today),
  },
  {
    id: 'light',
    name: 'Light',
    figure: lightWords,
    why: (shot, _, today) => explain('light', shot.rig, shot.report, today),
  },
  {
    id: 'noise',
    name: 'All light, against 36×24',
    figure: (shot) => signedStops(wholeLight(shot), 1),
    why: (shot) => ({
      title: 'Light of the whole picture',
      formula:
        'log₂ of its area on the sensor over that of 36×24, at the same f-number and time: what is missing is seen as noise',
      inputs: [['on the sensor', sizeMm(shot.report.frame.delivered)]],
      evidence: EXACT,
    }),
  },
];

/** Differences below these are not mentioned: a step, a ratio of sizes, light. */
const SAME = { stepM: 0.01, size: 0.02, stops: 0.1 } as const;

/** Whether two discs are as large: by their ratio, and never where their figures differ. */
const isSameDisc = (a: number, b: number): boolean =>
  discWords(a) === discWords(b) || Math.abs(b / a - 1) <= SAME.size;

/**
 * Light on the sensor from one shot to another at the same time and ISO, stops: by their T-stops where both are known,
 * else by their f-numbers and the glass of what stands between, as far as that is known.
 */
function lightBetween(first: Shot, other: Shot): { stops: number; isGlassKnown: boolean } {
  const [a, b] = [first.report.optics.train, other.report.optics.train];
  if (a.tStop !== null && b.tStop !== null)
    return { stops: stopsBetweenFNumbers(a.tStop, b.tStop), isGlassKnown: true };
  const glass = (b.glassLossStops ?? 0) - (a.glassLossStops ?? 0);
  return {
    stops: stopsBetweenFNumbers(a.fNumber, b.fNumber) + glass,
    isGlassKnown: a.glassLossStops !== null && b.glassLossStops !== null,
  };
}

/** Whether two pictures show the miller as large. */
export const isAsLarge = (first: Shot, other: Shot): boolean =>
  Math.abs(headShare(other) / headShare(first) - 1) <= SAME.size;

interface FramingWords {
  headline: string;
  sentence: string;
}

/** What changes from the first picture to another. */
export function movedWords(first: Shot, other: Shot, scene: Scene): FramingWords {
  const step = other.distanceM - first.distanceM;
  const size = headShare(other) / headShare(first);
  const lamps = lampScale(other, scene) / lampScale(first, scene);
  const [a, b] = [lampShare(first, scene), lampShare(other, scene)];
  const light = lightBetween(first, other);
  const headline =
    Math.abs(step) <= SAME.stepM
      ? 'From the same place'
      : `Step ${step > 0 ? 'back' : 'closer'} ${metres(Math.abs(step))}`;
  const words = [
    Math.abs(size - 1) <= SAME.size
      ? 'the miller stands as large'
      : `the miller stands ${percent(Math.abs(size - 1), 0)} ${size > 1 ? 'larger' : 'smaller'}`,
    Math.abs(lamps - 1) <= SAME.size
      ? 'near and far keep their proportions'
      : `the lamps come ${percent(Math.abs(lamps - 1), 0)} ${lamps > 1 ? 'larger' : 'smaller'} beside him`,
    isSameDisc(a, b)
      ? `their discs stay at ${discWords(a)} of the height`
      : `their discs ${b > a ? 'grow' : 'shrink'} from ${discWords(a)} to ${discWords(b)} of the height`,
    ...(Math.abs(light.stops) > SAME.stops
      ? [
          `the exposure ${light.stops > 0 ? 'gains' : 'loses'} ${stopsWords(Math.abs(light.stops), 2)}${light.isGlassKnown ? '' : ' but for glass nobody told of'}`,
        ]
      : []),
  ];
  const sentence = `${words.slice(0, -1).join(', ')}, and ${words.at(-1) ?? ''}.`;
  return { headline, sentence: `${sentence.charAt(0).toUpperCase()}${sentence.slice(1)}` };
}
