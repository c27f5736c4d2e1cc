/** Why the readings of practice are what they are: handling, picture, detail, and whether it goes together. */
import { fullName } from '../../kit/records';
import type { Report } from '../report';
import type { Explain } from './whyTypes';
import {
  fWords,
  fixed,
  lpMm,
  metres,
  mm,
  percent,
  stopsWords,
  times,
  shutterLimitWords,
  shutterWords,
  inFocusWords,
  travelWords,
  riskWords,
} from '../../words';
import { sharpShare } from '../../optics';

export type PracticeReading =
  | 'native'
  | 'flicker'
  | 'shift'
  | 'stabiliser'
  | 'handHeld'
  | 'autofocus'
  | 'shutter'
  | 'depth'
  | 'blur'
  | 'zones'
  | 'detail'
  | 'register'
  | 'strike'
  | 'contacts';

/** Shutter times of which keepers are told, as multiples of the rule's. */
const KEEPER_TIMES = [0.5, 1, 2, 4];
/** What shares of sharp frames rest on. */
export const KEEPERS_ASSUMED =
  'Sharp frames assume three of four at the rule’s time and shake that grows with the time; count your own bursts.';

const THIN_LENS =
  'Thin lens. From the sensor to the lens is taken f (1 + m), its principal planes as one, less what converters move the image.';

/** How the resolution of a lens is known. */
export const resolutionEvidence = ({ evidence }: Report['sharpness']): string =>
  evidence === 'own figure'
    ? 'The lens figure is its owner’s own.'
    : 'The lens figure is what is usual for its class: an assumption.';

export const EXPLAIN_PRACTICE: Record<PracticeReading, Explain> = {
  native: (_, { native, coverage }) => ({
    title: 'What is normal',
    formula: native.sentence,
    inputs: [
      ['kind', native.kind],
      ['a quarter are better than', stopsWords(native.betterQuarter)],
      ['three quarters are better than', stopsWords(native.worseQuarter)],
      [
        'this corner, at rest',
        coverage.atRestStops === null ? 'no light' : stopsWords(coverage.atRestStops, 2),
      ],
    ],
    evidence:
      'Our own statistics of 461 lenses of the Lensfun database (CC BY-SA 3.0), full frame on its own format, between wide open and f/8.',
  }),
  flicker: (_, { wander, frame }) => ({
    title: 'Corner flicker',
    formula:
      'darkest less brightest value of a corner over the travel, for the corner where that is most',
    inputs: [
      ['travel', travelWords(frame.travel)],
      [
        'flicker',
        wander.flickerStops === null ? 'from light to black' : stopsWords(wander.flickerStops, 2),
      ],
    ],
    evidence: 'The travel as the body’s record states it; nobody knows how much of it a shot uses.',
  }),
  shift: (_, { wander, coverage }) => ({
    title: 'Shift left over',
    formula: 'how far the frame may shift before a corner is no longer accepted, travel counted in',
    inputs: [
      ['left, right', `${mm(wander.shiftBudget.leftMm)}, ${mm(wander.shiftBudget.rightMm)}`],
      ['up, down', `${mm(wander.shiftBudget.upMm)}, ${mm(wander.shiftBudget.downMm)}`],
      ['half-light radius', mm(coverage.radiiMm.half, 2)],
    ],
    evidence: 'Geometry of circle and frame; as sure as the halo.',
  }),
  stabiliser: (rig, { steady, optics }) => ({
    title: 'Focal length for the stabiliser',
    formula: 'f′ = M f at the zoom mark in use; from a menu, the value nearest in ratio',
    inputs: [
      ['f on the lens', mm(rig.settings.focalMm)],
      ['M', fixed(optics.train.factor, 4)],
      [
        'nearest in the menu',
        steady.menuFocalMm === null ? 'takes any' : mm(steady.menuFocalMm, 0),
      ],
    ],
    evidence:
      steady.zoomWarning ??
      (steady.toldByLens
        ? 'The contacts tell the body a focal length; check that it is this one.'
        : 'Nothing tells the body: enter it by hand.'),
  }),
  handHeld: (rig, { steady, optics }) => ({
    title: 'Held by hand',
    formula: '1/(f′·C), longer by the stabiliser’s stops',
    inputs: [
      ['f′', mm(optics.train.focalMm)],
      ['C', fixed(optics.equivalents.cropFactor, 3)],
      ['stabiliser', rig.settings.stabiliser ? `${rig.body.stabiliserStops ?? 0} stops` : 'off'],
      ['slowest time', shutterLimitWords(steady.handHeldSeconds)],
      ...KEEPER_TIMES.map(
        (times) =>
          [
            `sharp at ${shutterWords(steady.ruleSeconds * times)}`,
            riskWords(sharpShare(steady.ruleSeconds * times, steady.ruleSeconds)),
          ] as const,
      ),
    ],
    evidence: `A rule of thumb, common practice; your hands decide. ${KEEPERS_ASSUMED}`,
  }),
  autofocus: (rig, { autofocus }) => ({
    title: 'Autofocus',
    formula:
      'works while the open f-number behind the train is no slower than the body’s limit, and the focus drive is carried',
    inputs: [
      ['open f-number', fWords(autofocus.openFNumber)],
      ['limit', autofocus.limitFNumber === null ? 'not known' : `f/${autofocus.limitFNumber}`],
      ['points', autofocus.points === null ? 'not known' : String(autofocus.points)],
    ],
    evidence: `${autofocus.sentence} The limits are those of the record of ${fullName(rig.body)}.`,
  }),
  shutter: (rig, { steady }) => ({
    title: 'Shutter time',
    formula: 'electronic stabilisation cannot steady a frame that is blurred in itself',
    inputs: [
      [
        'stabilisation crop',
        rig.mode.crops.find((c) => c.id === rig.settings.cropId)?.name ?? 'off',
      ],
      [
        'frames a second',
        rig.mode.framesPerSecond === null ? 'stills' : String(rig.mode.framesPerSecond),
      ],
    ],
    evidence: steady.shutterAdvice ?? 'Electronic stabilisation is off; the shutter is yours.',
  }),
  depth: (_, { picture, optics }) => ({
    title: 'Depth of field',
    formula:
      'a point at D blurs to E m |D − s|/D: entrance pupil E, magnification m of the whole rig, subject at s; in focus up to c',
    inputs: [
      ['in focus, from the sensor', inFocusWords(picture.depth)],
      ['subject, from the sensor', metres(picture.subjectM)],
      ['magnification', times(optics.magnification)],
      ['circle of confusion', mm(picture.circleMm, 4)],
      ['hyperfocal distance, from the sensor', metres(picture.hyperfocalM)],
      ['f′, N′', `${mm(optics.train.focalMm)}, ${fWords(optics.train.fNumber)}`],
      ...picture.depthBases.map(
        (b) =>
          [
            `against the bare lens, ${b.basis}`,
            b.ratio === null ? 'endless' : times(b.ratio),
          ] as const,
      ),
    ],
    evidence: `${THIN_LENS} The entrance pupil does not change behind a converter: from the same place the blur on the subject stays.`,
  }),
  blur: (rig, { picture, optics }) => ({
    title: 'Points of light behind the subject',
    formula: 'E m (D − s)/D on the sensor, E = f′/N′, as a share of the frame’s height',
    inputs: [
      ['focused at', metres(rig.settings.focusM)],
      ['f′, N′', `${mm(optics.train.focalMm)}, ${fWords(optics.train.fNumber)}`],
      ['magnification', times(optics.magnification)],
      ...picture.blur.map(
        ({ behindM, share }) =>
          [
            behindM === null ? 'infinitely far' : `${metres(behindM)} behind`,
            percent(share),
          ] as const,
      ),
    ],
    evidence: THIN_LENS,
  }),
  zones: (_, { picture }) => ({
    title: 'Zones of the halo in frame',
    formula: 'area of the frame within 0.6, 0.6 to 0.85 and 0.85 to 1 of the half-light radius',
    inputs: [
      [
        'middle',
        `${percent(picture.zones.middle)}, on its own format ${percent(picture.zonesOfDesign.middle)}`,
      ],
      [
        'outer',
        `${percent(picture.zones.outer)}, on its own format ${percent(picture.zonesOfDesign.outer)}`,
      ],
      [
        'edge',
        `${percent(picture.zones.edge)}, on its own format ${percent(picture.zonesOfDesign.edge)}`,
      ],
    ],
    evidence: 'Geometry. Whether the middle is sharper is for your own test frames to say.',
  }),
  detail: (_, { sharpness }) => ({
    title: 'Detail on the sensor',
    formula:
      '1/r² = 1/lens² + 1/diffraction² + 1/sensor²; the sensor resolves 0.8 of its Nyquist frequency',
    inputs: [
      ['lens behind the train', lpMm(sharpness.lens)],
      ['diffraction', lpMm(sharpness.diffraction)],
      ['sensor', lpMm(sharpness.sensor)],
      ['pixel pitch', `${fixed(sharpness.pitchMm * 1000, 2)} µm`],
    ],
    evidence: [sharpness.converterOrCrop?.sentence, resolutionEvidence(sharpness)]
      .filter(Boolean)
      .join(' '),
  }),
  register: (_, { fit }) => ({
    title: 'Reaching infinity',
    formula:
      'thickness − (register of the lens − register of the body), glass and extension counted; too long by δ focuses to f + f²/δ before the lens; behind a converter of factor m about δ/m² of it count',
    inputs: [
      [
        'plain parts too long by',
        fit.register.errorMm === null ? 'not known' : mm(fit.register.errorMm, 2),
      ],
      [
        'farthest focus',
        fit.register.reachesInfinity === null ? 'not known' : metres(fit.register.farthestFocusM),
      ],
      [
        'cover glass',
        fit.coverGlass === null
          ? 'not known'
          : `carries the focus ${mm(fit.coverGlass.shiftMm, 2)} back, edge rays ${mm(fit.coverGlass.marginalExtraMm, 3)} more`,
      ],
    ],
    evidence:
      'Registers and thicknesses as recorded; converters are taken to be made for their mounts.',
  }),
  strike: (rig, { fit }) => ({
    title: 'Rear glass',
    formula:
      'what stands behind the lens’s flange, less the open parts it passes, against the free depth where it ends',
    inputs: [
      [
        'stands behind the flange',
        rig.lens.rearProtrusionMm === null ? 'never measured' : mm(rig.lens.rearProtrusionMm),
      ],
      ['ends at', fit.strike?.against ?? 'not known'],
      ['free depth there', fit.strike?.clearMm == null ? 'not known' : mm(fit.strike.clearMm)],
    ],
    evidence: 'Measure the protrusion first, mount slowly, stop at resistance.',
  }),
  contacts: (rig, { fit }) => ({
    title: 'What the contacts carry',
    formula: 'the weakest link of lens and parts, for each of four things',
    inputs: (['focus', 'aperture', 'metadata', 'stabiliser'] as const).map((k) => [
      k,
      !fit.carriedKnown
        ? 'not known'
        : fit.carried[k]
          ? 'carried'
          : rig.lens.electronics[k]
            ? 'lost on the way'
            : 'not in the lens',
    ]),
    evidence:
      fit.lostAt.length > 0
        ? `Lost at ${fit.lostAt.join(', ')}.`
        : 'As the records state the contacts.',
  }),
};
