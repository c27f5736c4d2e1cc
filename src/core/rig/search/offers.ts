/** What could stand at a place of a rig, in order of fit, each with what speaks against it. */
import { type Body, isTold, type Lens, isFront, type Part } from '../../kit/records';
import { fitOf, isStrikeUnknown, keptOffBy, takerOf, type FitReport, type Rig } from '../../rig';
import { metres, mm } from '../../words';

export type FitGrade = 'fits' | 'with a catch' | 'does not fit';

export interface Offer<T> {
  record: T;
  grade: FitGrade;
  /** What speaks against it, short; empty where nothing does. */
  reasons: string[];
}

export interface PartOffer extends Offer<Part> {
  /** Place in the train where it would stand. */
  index: number;
}

const GRADES: readonly FitGrade[] = ['fits', 'with a catch', 'does not fit'];

/** Best grade first, otherwise as they come. */
export const byGrade = <T extends Offer<unknown>>(offers: readonly T[]): T[] =>
  offers.toSorted((a, b) => GRADES.indexOf(a.grade) - GRADES.indexOf(b.grade));

/** Place among the parts behind the lens of the part at `index` of the train. */
const rearPlace = (parts: readonly Part[], index: number): number =>
  parts.slice(0, index).filter((p) => !isFront(p)).length;

const TAB = 'a tab on the lens’s mount keeps it off';

/** Joints on the two sides of a place that do not join; `before` and `after` are places of joints. */
function jointReasons(rig: Rig, fit: FitReport, before: number | null, after: number | null) {
  const name = (id: string) => rig.mounts.get(id)?.name ?? id;
  return fit.joints.flatMap(({ index, hasMountId, takesMountId, isByTab }) => {
    if (isByTab) return index === before || index === after ? [TAB] : [];
    if (index === before) return [`the lens side has ${name(hasMountId)}`];
    return index === after ? [`the body side takes ${name(takesMountId)}`] : [];
  });
}

function catches(rig: Rig, fit: FitReport): string[] {
  const { strike, register, carried } = fit;
  const reasons: string[] = [];
  if (isStrikeUnknown(rig, fit))
    reasons.push('the lens’s rear glass was never measured: measure before mounting');
  if (keptOffBy(rig.lens, takerOf(rig)) === null)
    reasons.push('a tab on the lens’s mount may keep it off: look at both');
  if (fit.aperture === 'nothing') reasons.push('nothing works its aperture: it stays open');
  if (strike?.state === 'close') reasons.push('rear glass comes within a millimetre');
  if (register.reachesInfinity === false && register.farthestFocusM !== null)
    reasons.push(`in focus to ${metres(register.farthestFocusM)} only, never at infinity`);
  const lost = (['focus', 'aperture', 'metadata'] as const).filter(
    (k) => rig.lens.electronics[k] && !carried[k],
  );
  if (lost.length > 0) reasons.push(`contacts carry no ${lost.join(', ')}`);
  return reasons;
}

/**
 * How a rig stands with what was put at one place, judged by the joints on both sides of it, by what the
 * rear glass may strike, by infinity and by what the contacts carry.
 */
function offerOf<T>(record: T, rig: Rig, before: number | null, after: number | null): Offer<T> {
  const fit = fitOf(rig);
  const against = jointReasons(rig, fit, before, after);
  const { strike } = fit;
  if (strike?.state === 'strikes' && strike.clearMm !== null)
    against.push(`rear glass stands ${mm(strike.standsMm)} deep, ${mm(strike.clearMm)} are free`);
  if (against.length > 0) return { record, grade: 'does not fit', reasons: against };
  const reasons = catches(rig, fit);
  return { record, grade: reasons.length > 0 ? 'with a catch' : 'fits', reasons };
}

const withParts = (rig: Rig, parts: readonly Part[]): Rig => ({ ...rig, parts });

function offerOfPart(rig: Rig, parts: readonly Part[], part: Part, index: number): PartOffer {
  const place = rearPlace(parts, index);
  const joins = isFront(part) ? null : place;
  const offer = offerOf(part, withParts(rig, parts), joins, joins === null ? null : joins + 1);
  return { ...offer, index };
}

/** Parts that could stand in the place of the one at `index`, best first. */
export const swapOffers = (rig: Rig, index: number, kit: readonly Part[]): PartOffer[] =>
  byGrade(kit.map((part) => offerOfPart(rig, rig.parts.with(index, part), part, index)));

/** Parts that could be put in besides those there, each at the place where it fits best, best first. */
export function addOffers(rig: Rig, kit: readonly Part[]): PartOffer[] {
  const places = rig.parts.map((_, i) => i).concat(rig.parts.length);
  const offers = kit.flatMap((part) => {
    // Toward the body before toward the lens, where both are as good; what stands before the lens is the first.
    const at = (isFront(part) ? [0] : places).map((i) =>
      offerOfPart(rig, rig.parts.toSpliced(i, 0, part), part, i),
    );
    return byGrade(at.reverse()).slice(0, 1);
  });
  return byGrade(offers);
}

/** The facts of a lens its fit rests on: lenses alike in them fit alike. */
const fitFacts = (lens: Lens): string => {
  const { mountId, rearProtrusionMm, apertureRing, electronics } = lens;
  const carried = [electronics.focus, electronics.aperture, electronics.metadata];
  const isKnown = isTold(lens, 'electronics');
  return [mountId, rearProtrusionMm, apertureRing, isKnown, ...carried].join('|');
};

/** Lenses for the rig as it stands otherwise, best first. Of thousands most are alike: each sort is judged once. */
export function lensOffers(rig: Rig, lenses: readonly Lens[]): Offer<Lens>[] {
  const known = new Map<string, Offer<Lens>>();
  return byGrade(
    lenses.map((lens) => {
      const facts = fitFacts(lens);
      const offer = known.get(facts) ?? offerOf(lens, { ...rig, lens }, null, 0);
      known.set(facts, offer);
      return { ...offer, record: lens };
    }),
  );
}

/** Bodies for the rig as it stands otherwise, best first. */
export function bodyOffers(rig: Rig, bodies: readonly Body[]): Offer<Body>[] {
  const last = rearPlace(rig.parts, rig.parts.length);
  return byGrade(bodies.map((body) => offerOf(body, { ...rig, body }, last, null)));
}

/** How a whole chain of parts would serve between the rig's lens and body. */
export const offerOfChain = (rig: Rig, parts: readonly Part[]): Offer<readonly Part[]> =>
  offerOf(parts, withParts(rig, parts), null, null);
