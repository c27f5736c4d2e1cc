/** What to set on the body and what it still does: stabiliser entry, holding still, autofocus. */
import { type Electronics, isTold, isZoom, openFNumberAt } from '../../kit/records';
import { isAsOpenAs, ELECTRONIC_SHUTTER, handHeldSeconds, nearestMenuFocalMm } from '../../optics';
import { focusDriveOf, type Situation } from '../../rig';
import { fNumberBehind } from '../train';
import { fWords, shutterWords } from '../../words';

export interface SteadyReport {
  /** Focal length to tell the stabiliser, mm: f' at the zoom mark in use. */
  enterFocalMm: number;
  /** The nearest value the body's menu offers; null where it takes any. */
  menuFocalMm: number | null;
  /** True where the body learns the focal length by itself. */
  toldByLens: boolean;
  /** Why the entry will be wrong as one zooms; null where it will not. */
  zoomWarning: string | null;
  /**
   * Slowest time most people hold by hand, s, with the stabiliser as it is set; never longer than a frame of
   * the mode lasts.
   */
  handHeldSeconds: number;
  /** The time of the rule by itself, s: keepers are counted from it. */
  ruleSeconds: number;
  /** What electronic stabilisation asks of the shutter; null where it is off. */
  shutterAdvice: string | null;
}

/** `crop` is the crop factor of the picture by its diagonal. */
export function steadyReport(
  { rig, light }: Situation,
  crop: number,
  carried: Electronics,
): SteadyReport {
  const { settings, body, lens } = rig;
  const toldByLens = carried.metadata;
  const stops = settings.stabiliser ? (body.stabiliserStops ?? 0) : 0;
  const zooms = isZoom(lens) && isTold(lens, 'electronics') && !toldByLens && settings.stabiliser;
  const ruleSeconds = handHeldSeconds(light.focalMm, crop, stops);
  return {
    enterFocalMm: light.focalMm,
    menuFocalMm: nearestMenuFocalMm(light.focalMm, body.stabiliserFocalsMm),
    toldByLens,
    zoomWarning: zooms
      ? 'Nothing tells the body where the zoom stands: set the focal length anew after zooming.'
      : null,
    handHeldSeconds: Math.min(
      ruleSeconds,
      rig.mode.framesPerSecond === null ? Infinity : 1 / rig.mode.framesPerSecond,
    ),
    ruleSeconds,
    shutterAdvice:
      settings.cropId === null
        ? null
        : `Electronic stabilisation wants ${shutterWords(ELECTRONIC_SHUTTER.enough)} or shorter, ${shutterWords(ELECTRONIC_SHUTTER.better)} is better. Advice, not law.`,
  };
}

export interface AutofocusReport {
  state: 'works' | 'too slow' | 'manual' | 'not known';
  /** f-number wide open behind the train, which the focus detectors see. */
  openFNumber: number;
  limitFNumber: number | null;
  /** Points that still work; null where the body does not say. */
  points: number | null;
  sentence: string;
}

/** The states in a word, as tables and readings have them. */
export const AUTOFOCUS_WORDS: Readonly<Record<AutofocusReport['state'], string>> = {
  works: 'works',
  'too slow': 'fails',
  manual: 'by hand',
  'not known': 'not known',
};

export function autofocusReport({ rig, train }: Situation): AutofocusReport {
  const { lens, body, settings } = rig;
  const openFNumber = fNumberBehind(train, openFNumberAt(lens, settings.focalMm));
  const limit = body.autofocusLimitFNumber;
  const step = [...body.autofocusPoints]
    .sort((a, b) => a.upToFNumber - b.upToFNumber)
    .find((p) => isAsOpenAs(openFNumber, p.upToFNumber));
  const said = (
    state: AutofocusReport['state'],
    points: number | null,
    sentence: string,
  ): AutofocusReport => ({ state, openFNumber, limitFNumber: limit, points, sentence });
  const drive = focusDriveOf(rig, settings.digitalZoom);
  if (drive.state === 'not known') return said('not known', null, `${drive.why}.`);
  if (drive.state === 'by hand') return said('manual', null, `By hand: ${drive.why}.`);
  const also = drive.why === '' ? '' : ` ${drive.why}.`;
  if (limit === null)
    return said(
      'not known',
      step?.points ?? null,
      `How slow a lens this body still focuses is not known.${also}`,
    );
  const open = fWords(openFNumber, 1);
  return isAsOpenAs(openFNumber, limit)
    ? said(
        'works',
        step?.points ?? null,
        `Works at ${open} open${step ? ` with ${step.points} points` : ''}; the body's limit is f/${limit}.${also}`,
      )
    : said('too slow', 0, `Fails: ${open} open is slower than the body's limit of f/${limit}.`);
}
