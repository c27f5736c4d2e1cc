/** Why a combination passes or fails, in words, and what would mend a near miss. */
import type { Body, Job } from '../kit/records';
import type { Window } from '../maths';
import { stopsBetweenFNumbers } from '../optics';
import {
  fWords,
  fixed,
  riskFigure,
  riskWords,
  scaleUpWords,
  short,
  stopsWords,
  tWords,
} from '../words';
import { passes, type Candidate, type CropUsed, type Fail, type Unknown } from './candidate';
import { servesAll } from './views';
import type { Plan } from './plan';
import { spanWords, focal } from '../sweep';

const whole = (value: number): string => fixed(value, 0);

/** Views as they are said, never more than is served: "24–35.2 mm and 40–50 mm". */
export const viewWords = (views: readonly Window[]): string =>
  views.map((view) => `${spanWords(view)} mm`).join(' and ');

/** Views nothing serves, never less than is open. */
export const openWords = (gap: Window): string => `${spanWords(gap, 'outward')} mm`;

/** What a plan rests on that nobody measured, said before its steps; empty where all of it is measured. */
export function planDoubts({ steps }: Pick<Plan, 'steps'>): string[] {
  const rigs = steps.map((s) => s.candidate);
  const unmeasured = rigs.flatMap(({ risk }) =>
    risk !== null && risk.evidence !== 'measured' ? [risk] : [],
  );
  const worst = unmeasured.toSorted((a, b) => b.risk - a.risk)[0];
  const glass = rigs.filter(({ unknowns }) => unknowns.includes('rear glass')).length;
  const rests = (n: number) =>
    rigs.length === 1 ? 'It rests' : `${n} of ${rigs.length} rigs ${n === 1 ? 'rests' : 'rest'}`;
  return [
    ...(worst
      ? [
          `${rests(unmeasured.length)} on halos nobody measured: ${riskFigure(worst.risk, worst.evidence)}.`,
        ]
      : []),
    ...(glass > 0
      ? [`${rests(glass)} on rear glass nobody measured: look before it is mounted.`]
      : []),
  ];
}

/** Limits that cannot be met together, in a sentence; null where they can. */
export function contradictionOf(job: Job): string | null {
  const { shallowFNumber: shallow, deepFNumber: deep, sources, viewFromMm, viewToMm } = job;
  if (viewToMm < viewFromMm)
    return `No view is both at least ${focal(viewFromMm)} mm and at most ${focal(viewToMm)} mm.`;
  if (shallow !== null && deep !== null && deep > shallow)
    return `No depth is both as shallow as ${fWords(shallow, 1)} and as deep as ${fWords(deep, 1)}.`;
  return sources.length === 0
    ? 'No way of having gear is allowed: at hand, rented or bought.'
    : null;
}

/** How the sensor stands in what was judged; null where no body's moves. */
export function judgedWords({ stabilised }: Job, bodies: readonly Body[]): string | null {
  if (bodies.every((body) => body.sensorTravel === null)) return null;
  return stabilised
    ? 'Judged with the sensor at the end of its stabiliser’s travel.'
    : 'Judged with the sensor’s stabiliser off and locked, as it is then on the Bench too.';
}

/** Light as it is known: "T2.0", "T2.0 at best", "f/4.0". */
export function lightWords({ tStop, light }: Pick<Candidate, 'tStop' | 'light'>): string {
  if (tStop === null) return 'not known';
  if (light === 'f') return fWords(tStop, 1);
  return light === 'T' ? tWords(tStop, 1) : `${tWords(tStop, 1)} at best`;
}

/** The same in few letters; a question mark says that a part's glass is not known. */
export const lightFigure = (c: Pick<Candidate, 'tStop' | 'light'>): string =>
  c.light === 'T at best' && c.tStop !== null ? `${tWords(c.tStop, 1)}?` : lightWords(c);

/** Stops between two f-numbers. */
const stopsBetween = (a: number, b: number): string =>
  stopsWords(Math.abs(stopsBetweenFNumbers(a, b)), 1);

const over = (has: number | null, wants: number | null): number =>
  Math.abs((has ?? 0) - (wants ?? 0));

const atLeast = (words: string | undefined): string => (words ? `${words} ` : '');

const DEPTH = (has: number, wants: number): string =>
  has > wants
    ? `not shallow enough: as ${fWords(has, 1)} on 36×24, ${fWords(wants, 1)} is wanted`
    : `not deep enough: as ${fWords(has, 1)} on 36×24, ${fWords(wants, 1)} is wanted`;

/** How the corners fail, and what scale-up would do about it. */
const cornersFail = (how: string, scale: number | null): string =>
  scale === null
    ? `${how}, and no scale-up mends it`
    : `${how}; ${scaleUpWords(scale)} of scale-up would make sure`;

const FAIL_WORDS: Readonly<Record<Fail['code'], (fail: Fail, job: Job) => string>> = {
  fit: ({ words = '' }) => words.replace(/\.$/, ''),
  stabiliser: () => 'the sensor does not move: no stabiliser',
  autofocus: ({ has, wants, words = '' }) =>
    has === null
      ? `no autofocus: ${words}`
      : `autofocus fails: ${fWords(has, 1)} open, the body’s limit is ${fWords(wants ?? 0, 1)}`,
  'frame rate': ({ has, wants }) =>
    `${short(has ?? 0, 2)} frames a second; ${short(wants ?? 0, 2)} are wanted`,
  pixels: ({ has, wants }) =>
    `${whole(over(has, wants))} pixels short across: ${whole(has ?? 0)} of ${whole(wants ?? 0)}`,
  view: ({ has, wants }) =>
    (has ?? 0) > (wants ?? 0)
      ? `too long: from ${focal(has ?? 0)} mm, ${focal(wants ?? 0)} is wanted`
      : `too short: to ${focal(has ?? 0)} mm, ${focal(wants ?? 0)} is wanted`,
  light: ({ has, wants }) =>
    `${stopsBetween(has ?? 1, wants ?? 1)} too slow: ${tWords(has ?? 0, 1)} at best, T${short(wants ?? 0, 1)} is wanted`,
  depth: ({ has, wants }) => DEPTH(has ?? 0, wants ?? 0),
  corners: ({ has }) => cornersFail('corners dark at every setting', has),
  toss: ({ has }) => cornersFail('a coin’s toss at the corners: Clear or not', has),
  untold: ({ has }) =>
    `a guess: nobody told what it hangs on, and one in ${short(1 / (has ?? 1), 0)} is otherwise`,
  risk: ({ has, wants }) =>
    `risk ${riskWords(has ?? 1)} that a corner is not Clear; ${riskWords(wants ?? 0)} will do`,
  range: ({ has }) =>
    `serves ${whole(Math.floor(100 * (has ?? 0)))} % of the views, all are wanted`,
  mass: ({ has, wants, words }) =>
    `${atLeast(words)}${whole(over(has, wants))} g too heavy: ${whole(has ?? 0)} g`,
  price: ({ has, wants, words }) =>
    `${atLeast(words)}${whole(over(has, wants))} too dear: ${whole(has ?? 0)}`,
  source: ({ words }) => (words === 'rentable' ? 'has to be rented' : 'has to be bought'),
};

export const failWords = (fail: Fail, job: Job): string => FAIL_WORDS[fail.code](fail, job);

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** What one would do about a single failing; null where nothing would mend it. */
const WAYS_OUT: Readonly<Record<Fail['code'], (fail: Fail) => string | null>> = {
  fit: () => null,
  stabiliser: () => 'lock the camera off',
  autofocus: ({ has }) => (has === null ? null : 'focus by hand'),
  'frame rate': ({ has }) => `shoot at ${short(has ?? 0, 2)} frames a second`,
  pixels: ({ has }) => `deliver ${whole(has ?? 0)} across`,
  view: ({ has, wants }) => `take ${focal(has ?? 0)} mm for ${focal(wants ?? 0)}`,
  light: ({ has }) => `take T${fixed(has ?? 0, 1)}`,
  depth: ({ has }) => `take the depth of ${fWords(has ?? 0, 1)} on 36×24`,
  corners: ({ has }) => (has === null ? null : `allow ${scaleUpWords(has)} of scale-up`),
  toss: () => 'shoot a test frame',
  untold: () => 'say in the Kit what it is',
  risk: () => 'shoot a test frame',
  range: () => 'take it for part of the views',
  mass: ({ has, wants }) => `carry ${whole(over(has, wants))} g more`,
  price: ({ has, wants }) => `spend ${whole(over(has, wants))} more`,
  source: ({ words }) => (words === 'rentable' ? 'rent it' : 'buy it'),
};

/** What one would do about a near miss; null where more than one thing is missing, or nothing would mend it. */
export function wayOutOf({ fails }: Pick<Candidate, 'fails'>): string | null {
  const [fail, ...others] = fails;
  return fail && others.length === 0 ? WAYS_OUT[fail.code](fail) : null;
}

const UNKNOWN_WORDS: Readonly<Record<Unknown, string>> = {
  mass: 'mass not known',
  price: 'price not known',
  source: 'how it is to be had not known',
  autofocus: 'whether autofocus works not known',
  'frame rate': 'frame rate not known',
  light: 'what a part’s glass takes of the light not known',
  aperture: 'what works its aperture not known',
  mounts: 'which mounts these are not known',
  'rear glass': 'rear glass never measured',
  'digital zoom': 'whether the body gives its digital zoom to this lens not known',
};

const unknownWords = (unknowns: readonly Unknown[]): string =>
  unknowns.map((u) => UNKNOWN_WORDS[u]).join(', ');

/** A crop as it is switched on: "digital zoom ×1.5", "stabilisation crop"; the whole read-out has no word. */
const cropWords = ({ cropId, digitalZoom }: CropUsed): string => {
  const ways = [
    ...(cropId === null ? [] : ['a stabilisation crop']),
    ...(digitalZoom === 1 ? [] : [`digital zoom ×${digitalZoom}`]),
  ];
  return ways.length === 0 ? '' : ` with ${ways.join(' and ')}`;
};

/** The views it serves, and with which crops: "24–50 mm and 50–75 mm with digital zoom ×1.5". */
export const servedWords = ({ views, crops }: Pick<Candidate, 'views' | 'crops'>): string =>
  crops.length > 0
    ? crops.map((crop) => `${viewWords(crop.views)}${cropWords(crop)}`).join(', ')
    : viewWords(views);

/** Why it passes, or everything it is known to fail by, in one sentence. */
export function reasonOf(candidate: Candidate, job: Job): string {
  const { scale, unknowns, risk } = candidate;
  const unsure = unknowns.length > 0 ? `; ${unknownWords(unknowns)}` : '';
  if (!passes(candidate))
    return `${capital(candidate.fails.map((f) => failWords(f, job)).join('; '))}${unsure}.`;
  const all = servesAll(candidate) ? ', all that is wanted' : '';
  const scaled = scale > 1.0005 ? `, scaled up by as much as ${scaleUpWords(scale)}` : '';
  const sure = risk === null ? '' : `, ${riskFigure(risk.risk, risk.evidence)}`;
  return `Clear at ${servedWords(candidate)}${all}, ${lightWords(candidate)}${scaled}${sure}${unsure}.`;
}
