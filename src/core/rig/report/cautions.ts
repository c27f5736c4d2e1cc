/** Cautions as data: which one holds for which rig, and why. Shown where the act happens. */
import { fullName, isFront, magnifies, type Part } from '../../kit/records';
import {
  givesDigitalZoom,
  isStrikeUnknown,
  keptOffBy,
  takerOf,
  type FitReport,
  type Rig,
} from '../../rig';
import { fixed, mm } from '../../words';

type CautionId =
  | 'sun'
  | 'strike'
  | 'strike unknown'
  | 'tab'
  | 'digital zoom'
  | 'tolerance'
  | 'support'
  | 'overhead'
  | 'radioactive'
  | 'power';

/** Where in the rig a caution is due: at the lens, at the body, or at the part in that place of the train. */
export type CautionPlace = 'lens' | 'body' | number;

export interface Caution {
  id: CautionId;
  at: CautionPlace;
  /** What to mind, short. */
  words: string;
  /** Why it holds for this rig. */
  why: string;
}

interface Reason {
  why: string;
  at: CautionPlace;
}

interface Rule {
  id: CautionId;
  words: string;
  /** Why it holds and where; null where it does not. */
  holds: (rig: Rig, fit: FitReport) => Reason | null;
}

/** From this focal length on the sun burns, mm behind the train. */
const BURNING_FOCAL_MM = 200;
/** From this mass on a lens hangs from a foot or a support, g. */
export const HEAVY_LENS_G = 1200;
/** From so many parts in a row on their tolerances matter; common practice, no source. */
const MANY_ADAPTERS = 2;
/** Adapters that miss the registers by more were made to other tolerances, mm; common practice, no source. */
const LOOSE_MM = 0.1;

const rigMass = (rig: Rig): number =>
  (rig.lens.massG ?? 0) + rig.parts.reduce((sum, p) => sum + (p.massG ?? 0), 0);

const atLens = (why: string): Reason => ({ at: 'lens', why });

/** The first part that answers, if any does. */
function atPart(
  { parts }: Rig,
  test: (part: Part) => boolean,
  why: (part: Part) => string,
): Reason | null {
  const at = parts.findIndex(test);
  const part = parts[at];
  return part ? { at, why: why(part) } : null;
}

/** The most urgent first. */
const RULES: readonly Rule[] = [
  {
    id: 'strike',
    words:
      'Rear glass may strike here and break lens, shutter or sensor cover. Measure first, mount slowly, stop at resistance; test mirror clearance with care.',
    holds: (_, { strike }) =>
      strike && (strike.state === 'strikes' || strike.state === 'close')
        ? {
            at: strike.partIndex ?? 'body',
            why: `Rear glass stands ${mm(strike.standsMm)} deep; ${strike.against} leaves ${mm(strike.clearMm ?? 0)}.`,
          }
        : null,
  },
  {
    id: 'strike unknown',
    words: 'How deep the rear glass stands is not known: measure the protrusion before mounting.',
    holds: (rig, fit) => {
      const { strike } = fit;
      if (strike?.state === 'not known')
        return {
          at: strike.partIndex ?? 'body',
          why: `${strike.against} does not say how much room it leaves.`,
        };
      return isStrikeUnknown(rig, fit)
        ? atLens(`${fullName(rig.lens)} was never measured behind its flange.`)
        : null;
    },
  },
  {
    id: 'tab',
    words: 'A tab on its mount may keep this lens off: look at both before mounting, do not force.',
    holds: (rig) => {
      const taker = takerOf(rig);
      if (keptOffBy(rig.lens, taker) !== null) return null;
      const why = `${fullName(rig.lens)} has one; whether ${fullName(taker)} takes it is not known.`;
      const behind = atPart(
        rig,
        (p) => !isFront(p),
        () => why,
      );
      return behind ?? { at: 'body', why };
    },
  },
  {
    id: 'digital zoom',
    words:
      'A camera may refuse its digital zoom to a lens it does not know: try it before the day.',
    holds: (rig) =>
      rig.settings.digitalZoom !== 1 && givesDigitalZoom(rig.body, rig) === null
        ? { at: 'body', why: `${fullName(rig.body)} does not say to which lenses it gives it.` }
        : null,
  },
  {
    id: 'sun',
    words: 'Sun through this glass can blind and burn: never look, cap the lens, mind the sensor.',
    holds: (rig) => {
      const focal = rig.lens.focalMaxMm * rig.parts.reduce((m, p) => m * p.factor, 1);
      if (focal >= BURNING_FOCAL_MM)
        return atLens(`${mm(focal, 0)} gathers the sun into a hot point.`);
      return atPart(
        rig,
        (p) => magnifies(p) && p.factor < 1,
        (p) => `${fullName(p)} gathers the light more tightly.`,
      );
    },
  },
  {
    id: 'radioactive',
    words:
      'This old glass is mildly radioactive: do not dismantle or grind it; follow local rules.',
    holds: ({ lens }) => (lens.radioactive ? atLens(`${fullName(lens)} is marked so.`) : null),
  },
  {
    id: 'support',
    words: 'A heavy lens hangs from its own foot or a support, never from the camera mount.',
    holds: (rig) => {
      const mass = rigMass(rig);
      return mass >= HEAVY_LENS_G
        ? atLens(`Lens and parts weigh ${fixed(mass / 1000, 1)} kg.`)
        : null;
    },
  },
  {
    id: 'overhead',
    words:
      'Anything rigged overhead or on a vehicle needs secondary safety and a qualified rigger, as local rules say.',
    holds: (rig) =>
      rig.settings.overhead
        ? { at: 'body', why: 'This rig is set to hang overhead or ride on a vehicle.' }
        : null,
  },
  {
    id: 'power',
    words: 'Powered adapters: switch the camera off before changing.',
    holds: (rig) =>
      atPart(
        rig,
        (p) => p.electronics.aperture || p.electronics.focus,
        (p) => `${fullName(p)} carries power.`,
      ),
  },
  {
    id: 'tolerance',
    words: 'Caps and adapters made to other tolerances can jam: do not force.',
    holds: (rig, { register }) => {
      const between = rig.parts.flatMap((p, at) => (isFront(p) ? [] : [at]));
      const last = between.at(-1);
      if (last === undefined) return null;
      if (between.length >= MANY_ADAPTERS)
        return { at: last, why: `${between.length} parts in a row: their tolerances add up.` };
      const error = register.errorMm ?? 0;
      return Math.abs(error) > LOOSE_MM
        ? { at: last, why: `The adapters miss the registers by ${mm(Math.abs(error), 2)}.` }
        : null;
    },
  },
];

export const CAUTION_IDS: readonly CautionId[] = RULES.map((r) => r.id);

/** The cautions that hold for a rig, most urgent first. */
export function cautionsFor(rig: Rig, fit: FitReport): Caution[] {
  const cautions: Caution[] = [];
  for (const { id, words, holds } of RULES) {
    const reason = holds(rig, fit);
    if (reason) cautions.push({ id, words, why: reason.why, at: reason.at });
  }
  return cautions;
}
