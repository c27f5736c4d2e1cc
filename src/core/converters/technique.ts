/** What to do where sharpness is lost, for the rig in hand. All of it common practice, no source. */
import { ELECTRONIC_SHUTTER, stopsBetweenFNumbers, printsAs } from '../optics';
import { openFNumberAt } from '../kit/records';
import { fWords, metres, shutterLimitWords, shutterWords } from '../words';
import type { ConverterColumn } from './columns';
import { spillMm } from './flare';

interface Technique {
  id: string;
  words: string;
  /** Why it is said of this rig. */
  because: string;
}

/** From this focal length on 36x24 a support is worth its weight, mm. */
const LONG_MM = 200;
/** From this distance on warm air shows, m. */
const HAZE_M = 50;
/** Slower than this a blow of mirror or shutter shows, s; and until there. */
const BLOW_SECONDS = { fast: 1 / 250, slow: 1 / 8 } as const;
/** This near wide open a lens gains by one stop down. */
const OPEN_STOPS = 0.5;
/** From this f-number on dim light eats the gain. */
const DIM_FNUMBER = 8;

interface Rule {
  id: string;
  words: (column: ConverterColumn) => string;
  holds: (column: ConverterColumn) => string | null;
}

const equivalent = ({ report }: ConverterColumn) => report.optics.equivalents.focalMm;

const RULES: readonly Rule[] = [
  {
    id: 'support',
    words: () => 'Stand it: a tripod or a bag at the lens’s own foot, hands off, a remote release.',
    holds: (c) =>
      equivalent(c) >= LONG_MM ? `It sees like ${Math.round(equivalent(c))} mm on 36×24.` : null,
  },
  {
    id: 'blow',
    words: ({ rig }) =>
      rig.body.mirrorDepthMm === null
        ? 'The mechanical shutter’s blow shows here: first curtain by electronics, or wait after the release.'
        : 'Mirror up before the release: its blow and the shutter’s show here.',
    holds: (c) => {
      const time = c.report.steady.handHeldSeconds;
      return equivalent(c) >= LONG_MM && time > BLOW_SECONDS.fast && time < BLOW_SECONDS.slow
        ? `Times about ${shutterWords(time)} are where a blow is sharpest.`
        : null;
    },
  },
  {
    id: 'electronic shutter',
    words: () =>
      'The electronic shutter gives no blow, and reads line by line: what moves leans, and lamps may band.',
    holds: (c) =>
      equivalent(c) >= LONG_MM && c.rig.mode.use === 'stills'
        ? 'How fast this body reads its sensor is not recorded.'
        : null,
  },
  {
    id: 'stop down',
    words: ({ rig }) =>
      `One stop down, ${printsAs(rig.settings.fNumber * Math.SQRT2)[0] ?? ''} on the lens, is where most lenses gain behind glass.`,
    holds: ({ rig, kind }) =>
      kind === 'converter' &&
      stopsBetweenFNumbers(rig.settings.fNumber, openFNumberAt(rig.lens, rig.settings.focalMm)) <
        OPEN_STOPS
        ? 'It stands wide open.'
        : null,
  },
  {
    id: 'haze',
    words: () =>
      'Warm air between ripples the picture: early, over water or grass in place of stone, and closer.',
    holds: ({ rig, report }) => {
      const { focusM } = rig.settings;
      return focusM !== null && focusM >= HAZE_M && report.optics.equivalents.focalMm >= LONG_MM
        ? `The subject is ${metres(focusM)} away.`
        : null;
    },
  },
  {
    id: 'dim',
    words: () => 'Dim light eats the gain: what the converter resolves, noise takes again.',
    holds: ({ report, kind }) =>
      kind === 'converter' && report.optics.train.fNumber >= DIM_FNUMBER
        ? `It works at ${fWords(report.optics.train.fNumber, 1)}.`
        : null,
  },
  {
    id: 'hood',
    words: () => 'Hood on, and a flocked adapter: what falls beside the picture veils it.',
    holds: (column) => (spillMm(column) === null ? null : 'The halo is wider than the picture.'),
  },
  {
    id: 'burst',
    words: () =>
      'A burst of three or four at the slowest time by hand: one of them is the sharp one.',
    holds: (c) =>
      c.rig.settings.stabiliser || equivalent(c) < LONG_MM || c.rig.mode.use === 'video'
        ? null
        : `By hand no longer than ${shutterLimitWords(c.report.steady.handHeldSeconds)}.`,
  },
  {
    id: 'electronic stabilisation',
    words: () =>
      `Electronic stabilisation wants ${shutterWords(ELECTRONIC_SHUTTER.enough)} or shorter: a frame blurred in itself cannot be steadied.`,
    holds: ({ rig }) => (rig.settings.cropId === null ? null : 'It is on.'),
  },
];

/** What is worth doing with one of the columns, the weightiest first. */
export const techniquesFor = (column: ConverterColumn): Technique[] =>
  RULES.flatMap(({ id, words, holds }) => {
    const because = holds(column);
    return because === null ? [] : [{ id, words: words(column), because }];
  });
