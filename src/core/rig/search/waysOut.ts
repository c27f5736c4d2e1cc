/** Ways out of a bad verdict: changes that mend it, each with its price. Single changes first, then pairs. */
import type { School, Part, RigSettings } from '../../kit/records';
import { apertureValue } from '../../optics';
import { deliveredOf, situationOf, fitProblemOf, type Rig } from '../../rig';
import { isClear } from '../judged';
import { frameIdeas, scaleIdea } from './ideas/frameIdeas';
import { type Idea, type WayChange, type WayKind } from './ideas/idea';
import { partIdeas } from './ideas/partIdeas';
import { ringIdeas } from './ideas/ringIdeas';
import { short, signed, signedStops } from '../../words';

interface WayCost {
  /** Light gained (+) or lost (-), stops. */
  lightStops: number;
  /** Width of the view after over before; below 1 is tighter. */
  view: number;
  /** Pixels left after over before. */
  pixels: number;
  /** Height of the frame after over before, seen from the same place. */
  height: number;
}

export interface Way {
  /** One change, or two for a pair. */
  kinds: WayKind[];
  /** What to do: "Zoom to 23.6 mm or longer". */
  words: string;
  /** The exact limit value where there is one: focal length, f-number, metres, crop or scale. */
  limit: number | null;
  change: WayChange;
  cost: WayCost;
  costWords: string;
}

/** What the picture is before or after: the measures the price is told in. */
function measures(rig: Rig): { light: number; view: number; pixels: number; height: number } {
  const light = situationOf(rig).light;
  const delivered = deliveredOf(rig);
  const { lens, settings } = rig;
  const speed = -apertureValue(settings.fNumber);
  return {
    light: light.lightStops + speed,
    view: (delivered.widthMm * lens.squeeze) / light.focalMm,
    pixels: delivered.widthPx * delivered.heightPx,
    height: delivered.heightMm / light.focalMm,
  };
}

const changed = (ratio: number): boolean => Math.abs(ratio - 1) >= 0.005;
const byPercent = (ratio: number): string => `${signed((ratio - 1) * 100, 0)} %`;

/** What a change costs besides light, view and pixels. */
function besides(ideas: readonly Idea[]): string[] {
  return ideas.flatMap(({ kind, rig, change }) => {
    if (change.newPart) return ['not in the kit: to be found'];
    if (kind === 'stabiliser off') {
      const stops = rig.body.stabiliserStops;
      return [
        stops === null ? 'nothing steadies it' : `${short(stops, 1)} stops of steadying lost`,
      ];
    }
    return kind === 'focus' ? ['the subject must move there'] : [];
  });
}

function costWords(cost: WayCost, ideas: readonly Idea[]): string {
  const { lightStops, view, pixels, height } = cost;
  const words: string[] = [];
  if (Math.abs(lightStops) >= 0.05) words.push(signedStops(lightStops));
  if (changed(view)) words.push(`view ${byPercent(view)}`);
  // A frame cut to another aspect keeps its width and loses height, or the other way round.
  if (changed(height) && changed(height / view)) words.push(`height ${byPercent(height)}`);
  if (changed(pixels)) words.push(`pixels ${byPercent(pixels)}`);
  return [...words, ...besides(ideas)].join(', ') || 'costs nothing';
}

/** How much each school minds a stop of light, an octave of view, an octave of pixels. */
const WEIGHTS: Record<School, { light: number; view: number; pixels: number }> = {
  strict: { light: 0.8, view: 1.2, pixels: 0.4 },
  'grade it out': { light: 1, view: 1.4, pixels: 0.5 },
  'as a look': { light: 0.9, view: 2.2, pixels: 0.5 },
};
/** Weight of mounting something else: it takes time on a set. */
const REMOUNT = 0.5;
const SECOND_CHANGE = 0.4;
/** Weight of a change of focus: the subject has to be moved for it. */
const REFOCUS = 1;

function pain(way: Way, school: School): number {
  const weight = WEIGHTS[school];
  const { lightStops, view, pixels } = way.cost;
  return (
    weight.light * Math.max(0, -lightStops) +
    weight.view * Math.abs(Math.log2(view)) +
    weight.pixels * Math.max(0, -Math.log2(pixels)) +
    (way.kinds.some((k) => k === 'swap part' || k === 'add part') ? REMOUNT : 0) +
    (way.kinds.includes('focus') ? REFOCUS : 0) +
    (way.kinds.length - 1) * SECOND_CHANGE
  );
}

function wayOf(ideas: readonly Idea[], from: ReturnType<typeof measures>): Way | null {
  const last = ideas.at(-1);
  if (!last || !isClear(last.rig) || !goesTogether(last.rig)) return null;
  const to = measures(last.rig);
  const cost: WayCost = {
    lightStops: to.light - from.light,
    view: to.view / from.view,
    pixels: to.pixels / from.pixels,
    height: to.height / from.height,
  };
  return {
    kinds: ideas.map((i) => i.kind),
    words: ideas
      .map((i, k) => (k === 0 ? i.words : i.words.charAt(0).toLowerCase() + i.words.slice(1)))
      .join(' and '),
    limit: ideas.length === 1 ? last.limit : null,
    change: Object.assign({}, ...ideas.map((i) => i.change), {
      settings: Object.assign({}, ...ideas.map((i) => i.change.settings)) as Partial<RigSettings>,
    }) as WayChange,
    cost,
    costWords: costWords(cost, ideas),
  };
}

/** Of several ways of one kind only the cheapest few are told. */
const MOST_OF_A_KIND = 2;
const MOST_WAYS = 10;

function ranked(ways: readonly Way[], school: School): Way[] {
  const sorted = [...ways].sort((a, b) => pain(a, school) - pain(b, school));
  const told = new Map<string, number>();
  return sorted
    .filter((way) => {
      const key = way.kinds.join('+');
      const count = told.get(key) ?? 0;
      told.set(key, count + 1);
      return count < MOST_OF_A_KIND;
    })
    .slice(0, MOST_WAYS);
}

/** Whether it joins, nothing strikes and it reaches infinity: coverage is not what ails it otherwise. */
const goesTogether = (rig: Rig): boolean => fitProblemOf(rig) === null;

/** Pairs are a change of frame or part, then a turn of a ring or a scale-up. */
const BEGINS_A_PAIR: readonly WayKind[] = [
  'mode',
  'aspect',
  'crop',
  'stabiliser off',
  'swap part',
  'add part',
];
const ENDS_A_PAIR: readonly WayKind[] = ['zoom', 'aperture'];

/**
 * Changes that make the verdict Clear, cheapest first as the school sees it. `kit` is the parts at hand.
 * Pairs are looked for where fewer than three single changes do. Empty where the rig is Clear already,
 * and where it does not go together: then that comes first.
 */
export function waysOut(rig: Rig, kit: readonly Part[]): Way[] {
  if (isClear(rig) || !goesTogether(rig)) return [];
  const { school } = rig.judgement;
  const from = measures(rig);
  const firsts = [...frameIdeas(rig), ...partIdeas(rig, kit)];
  const scale = scaleIdea(rig);
  const singles = [...ringIdeas(rig), ...firsts, ...(scale ? [scale] : [])]
    .map((idea) => wayOf([idea], from))
    .filter((way) => way !== null);
  if (singles.length >= 3) return ranked(singles, school);
  const pairs = firsts
    .filter((idea) => BEGINS_A_PAIR.includes(idea.kind) && !isClear(idea.rig))
    .flatMap((idea) => {
      const then = scaleIdea(idea.rig);
      return [...ringIdeas(idea.rig, ENDS_A_PAIR), ...(then ? [then] : [])].map((next) =>
        wayOf([idea, next], from),
      );
    })
    .filter((way) => way !== null);
  return ranked([...singles, ...pairs], school);
}
