/** Why a combination passes or fails, in words, and what would mend a near miss. */
import type { Job } from '../kit/records/job';
import type { Window } from '../maths/windows';
import { fWords, fixed, scaleUpWords, short, stopsWords, tWords } from '../words/figures';
import { passes, type Candidate, type Fail, type Unknown } from './candidate';
import { WHOLE_SHARE } from './judge';

const whole = (value: number): string => fixed(value, 0);
const view = (value: number): string => short(value, value < 100 ? 1 : 0);

/** Views as they are said: "24–35.2 mm and 40–50 mm". */
export const viewWords = (views: readonly Window[]): string =>
  views
    .map(({ from, to }) =>
      view(from) === view(to) ? `${view(from)} mm` : `${view(from)}–${view(to)} mm`,
    )
    .join(' and ');

/** Light as it is known: "T2.0", "T2.0 at best", "f/4.0". */
export function lightWords({ tStop, light }: Pick<Candidate, 'tStop' | 'light'>): string {
  if (tStop === null) return 'not known';
  if (light === 'f') return fWords(tStop, 1);
  return light === 'T' ? tWords(tStop, 1) : `${tWords(tStop, 1)} at best`;
}

/** Stops between two f-numbers. */
const stopsBetween = (a: number, b: number): string =>
  stopsWords(Math.abs(2 * Math.log2(a / b)), 1);

const over = (has: number | null, wants: number | null): number =>
  Math.abs((has ?? 0) - (wants ?? 0));

const DEPTH = (has: number, wants: number): string =>
  has > wants
    ? `not shallow enough: as ${fWords(has, 1)} on 36×24, ${fWords(wants, 1)} is wanted`
    : `not deep enough: as ${fWords(has, 1)} on 36×24, ${fWords(wants, 1)} is wanted`;

const FAIL_WORDS: Readonly<Record<Fail['code'], (fail: Fail, job: Job) => string>> = {
  fit: ({ words = '' }) => words.replace(/\.$/, ''),
  stabiliser: () => 'the sensor does not move: no stabiliser',
  autofocus: ({ has, wants }) =>
    has === null
      ? 'nothing drives its focus'
      : `autofocus fails: ${fWords(has, 1)} open, the body’s limit is ${fWords(wants ?? 0, 1)}`,
  'frame rate': ({ has, wants }) =>
    `${short(has ?? 0, 2)} frames a second; ${short(wants ?? 0, 2)} are wanted`,
  pixels: ({ has, wants }) =>
    `${whole(over(has, wants))} pixels short across: ${whole(has ?? 0)} of ${whole(wants ?? 0)}`,
  view: ({ has, wants }) =>
    (has ?? 0) > (wants ?? 0)
      ? `too long: from ${view(has ?? 0)} mm, ${view(wants ?? 0)} is wanted`
      : `too short: to ${view(has ?? 0)} mm, ${view(wants ?? 0)} is wanted`,
  light: ({ has, wants }) =>
    `${stopsBetween(has ?? 1, wants ?? 1)} too slow: ${tWords(has ?? 0, 1)} at best, T${short(wants ?? 0, 1)} is wanted`,
  depth: ({ has, wants }) => DEPTH(has ?? 0, wants ?? 0),
  corners: ({ has }) =>
    has === null
      ? 'corners dark at every setting, and no scale-up mends them'
      : `corners dark at every setting; ${scaleUpWords(has)} of scale-up would clear them`,
  range: ({ has }) =>
    `serves ${whole(Math.floor(100 * (has ?? 0)))} % of the views, all are wanted`,
  mass: ({ has, wants }) => `${whole(over(has, wants))} g too heavy: ${whole(has ?? 0)} g`,
  price: ({ has, wants }) => `${whole(over(has, wants))} too dear: ${whole(has ?? 0)}`,
  source: ({ words = '' }) => `${words === 'rentable' ? 'has to be rented' : 'has to be bought'}`,
};

export const failWords = (fail: Fail, job: Job): string => FAIL_WORDS[fail.code](fail, job);

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** What one would do about a near miss; null where the words of its failing say it already. */
export function wayOutOf({ fails }: Candidate, job: Job): string | null {
  const [fail] = fails;
  if (!fail || fails.length > 1) return null;
  switch (fail.code) {
    case 'corners':
      return fail.has === null ? null : `allow ${scaleUpWords(fail.has)} of scale-up`;
    case 'pixels':
      return `deliver ${whole(fail.has ?? 0)} across`;
    case 'light':
      return `take T${fixed(fail.has ?? 0, 1)}`;
    case 'view':
      return `take ${view(fail.has ?? 0)} mm for ${view(fail.wants ?? 0)}`;
    case 'frame rate':
      return `shoot at ${short(fail.has ?? 0, 2)} frames a second`;
    case 'mass':
      return `carry ${whole(over(fail.has, fail.wants))} g more`;
    case 'price':
      return `spend ${whole(over(fail.has, fail.wants))} more`;
    case 'source':
      return fail.words === 'rentable' ? 'rent it' : 'buy it';
    case 'range':
      return 'take it for part of the views';
    case 'depth':
      return `take the depth of ${fWords(fail.has ?? 0, 1)} on 36×24`;
    default:
      return job.stabilised && fail.code === 'stabiliser' ? 'lock the camera off' : null;
  }
}

const UNKNOWN_WORDS: Readonly<Record<Unknown, string>> = {
  mass: 'mass not known',
  price: 'price not known',
  source: 'how it is to be had not known',
  autofocus: 'whether autofocus works not known',
  'frame rate': 'frame rate not known',
  'rear glass': 'rear glass never measured',
};

export const unknownWords = (unknowns: readonly Unknown[]): string =>
  unknowns.map((u) => UNKNOWN_WORDS[u]).join(', ');

/** Why it passes, or everything it is known to fail by, in one sentence. */
export function reasonOf(candidate: Candidate, job: Job): string {
  const { views, share, scale, unknowns } = candidate;
  const unsure = unknowns.length > 0 ? `; ${unknownWords(unknowns)}` : '';
  if (!passes(candidate))
    return `${capital(candidate.fails.map((f) => failWords(f, job)).join('; '))}${unsure}.`;
  const all = share >= WHOLE_SHARE ? ', all that is wanted' : '';
  const scaled = scale > 1.0005 ? `, scaled up by as much as ${scaleUpWords(scale)}` : '';
  return `Clear at ${viewWords(views)}${all}, ${lightWords(candidate)}${scaled}${unsure}.`;
}
