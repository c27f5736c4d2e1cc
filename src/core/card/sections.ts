/** What a card says under its headings: where it is safe, what the corners do, light, picture and handling. */
import { cornerLift, frameGains, type CornerLift, isMoving } from '../frame';
import { isZoom } from '../kit/records';
import { BEYOND_OWN_CORNER } from '../rig/judged';
import { edgeKnownWords, gearOf, grams, massG, orUnknown, sumOf, knownAt } from '../rig/readings';
import { evaluate, type Report, AUTOFOCUS_WORDS } from '../rig/report';
import { atEndWords, turned, type Rig } from '../rig';
import {
  type SweepAnswer,
  focalSteps,
  aperturesClearAt,
  gapWords,
  spotWords,
  whereClear,
  primeWords,
  tossWords,
} from '../sweep';
import { isOffMiddle } from '../optics';
import {
  darknessWords,
  diameterMm,
  fixed,
  fWords,
  mm,
  placeWords,
  scaleUpWords,
  shutterLimitWords,
  signedStops,
  sizeMm,
  times,
  tWords,
  inFocusWords,
} from '../words';
import type { CardLine, CardSection } from './cardLine';
import { focalWords } from './dials';

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

const NOT_MEASURED = {
  seen: 'Seen by eye',
  published: 'Published',
  estimated: 'Estimated',
} as const;

/** What windows and apertures are worth where nobody measured the halo; null where somebody did. */
function unsureWords(report: Report): string | null {
  const { evidence, isBeyondOwnCorner } = report.halo;
  const { kind } = evidence;
  if (kind === 'measured') return null;
  const beyond = isBeyondOwnCorner ? ` ${BEYOND_OWN_CORNER}.` : '';
  return `${NOT_MEASURED[kind]}, not measured: the edge is known to ${edgeKnownWords(report, 1)}.${beyond} Test before you rely on it.`;
}

function safeSection(rig: Rig, report: Report, answer: SweepAnswer): CardSection {
  const zoom = isZoom(rig.lens);
  const { focalMm } = rig.settings;
  const here = {
    name: `Clear at ${focalWords(focalMm)}`,
    figure: aperturesClearAt(answer, focalMm),
  };
  const lines = answer.byAperture.map((windows) => ({
    name: windows.label,
    figure: zoom ? whereClear(rig.lens, windows) : primeWords(windows),
  }));
  const unsure = unsureWords(report);
  const notes = [
    ...(unsure === null ? [] : [unsure]),
    ...(zoom
      ? [...answer.now.tosses.map(tossWords), ...answer.now.gaps.map(gapWords)].map((w) => `${w}.`)
      : []),
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
    case 'too dark to lift':
      return 'It fades too far to be lifted: less than an eighth comes through there. Crop, scale up, or change the setting.';
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
      note: atEndWords(rig) ?? undefined,
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
    {
      name: 'Frame',
      figure: sizeMm(frame.delivered),
      note: isOffMiddle(frame.middle)
        ? `${placeWords(frame.middle)} of the sensor’s middle`
        : undefined,
    },
  ];
  if (coverage.scaleUp !== null && coverage.scaleUp > 1)
    lines.push({ name: 'Scale up to clear it', figure: scaleUpWords(coverage.scaleUp) });
  const known = knownAt(rig.lens, rig.settings);
  return {
    title: 'Corners',
    lines,
    notes: [
      standing(isMoving(frame.travel), gradeWords(lift, lift.stops)),
      ...(isMoving(frame.travel) && (wander.flickerStops ?? 1) > 0.3
        ? ['They flicker as the picture is steadied: lock the stabiliser for stills on sticks.']
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
        figure: inFocusWords(picture.depth),
      },
      { name: 'Autofocus', figure: AUTOFOCUS_WORDS[autofocus.state] },
      { name: 'By hand', figure: `${shutterLimitWords(steady.handHeldSeconds)} or shorter` },
      { name: 'Mass', figure: orUnknown(sumOf(gearOf(rig), massG), grams) },
    ],
    notes: [steady.zoomWarning, steady.shutterAdvice].flatMap((words) => words ?? []),
  };
}

/** Everything a card says under a heading, what is asked first first. */
export function sectionsOf(rig: Rig, report: Report, answer: SweepAnswer): CardSection[] {
  const told = stabiliserLines(rig, report);
  return [
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
  ];
}
