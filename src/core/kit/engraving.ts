/**
 * What is engraved on a lens, read in all usual orders: "18–35/1.8", "28-80mm f/3.5-5.6", "1:2 58", "2.8/50",
 * "24-70 2.8", "50mm T1.5 ⌀ 58", "F=10,5 cm", '3" f/2.5'. Speeds stand before or after the focal length and are told as
 * 1:, f/, T or by a slash, which binds. It never guesses: what the engraving does not say is null, and what reads two ways
 * is told both ways.
 */
import type { FrameSize } from '../optics';
import { markingIn, type Marking } from './records';

/** A focal length with a speed, as far as it is said. */
export interface EngravedReading {
  focalMinMm: number | null;
  focalMaxMm: number | null;
  openFNumberWide: number | null;
  openFNumberLong: number | null;
  /** The T-stop where the speed is engraved as one; the f-numbers are then null. */
  tStop: number | null;
}

/** Facts read off an engraving; null where it does not say. */
export interface EngravedFacts extends EngravedReading {
  designFormat: FrameSize | null;
  /** Where it reads two ways or more; none of them is then among the facts. */
  readings: readonly EngravedReading[];
}

type Role = 'focal' | 'length' | 'speed' | 'T-stop' | 'plain' | 'other';

interface Token {
  role: Role;
  low: number;
  high: number;
  /** Told as a ratio 1:x, which macros also tell their magnification by. */
  isRatio: boolean;
  afterMacro: boolean;
  /** A width of film that the lens is for. */
  isFilm: boolean;
  /** Whether a slash and nothing else stands between it and the next figure. */
  isBound: boolean;
}

const NUMBER = String.raw`\d{1,4}(?:\.\d{1,3})?`;
const TOKEN = new RegExp(
  String.raw`(?<prefix>[⌀Øø∅φ]\s*|1\s*:\s*|\bf\s*[/:]?\s*1\s*:\s*|\bf\s*=\s*|(?:(?<=mm)|(?<!\p{L}))f\s*[/:]?\s*|(?:(?<=mm)|(?<!\p{L}))t\s*/?\s*)?` +
    String.raw`(?<![\d.])(?<low>${NUMBER})(?:\s*-\s*(?<high>${NUMBER}))?(?!\d)` +
    String.raw`(?<suffix>\s*mm|\s*cm|\s*m\b|\s*[x×]|\s*"|\s*inch(?:es)?|\s*in\b|\p{L}+)?`,
  'giu',
);

/** Longest focal length and slowest speed that are engraved. */
const LONGEST_MM = 5000;
const SLOWEST = 64;
const FASTEST = 0.5;
const MM_PER_INCH = 25.4;
/** Lengths told in another unit are taken to a tenth of a millimetre. */
const PARTS_OF_MM = 10;

/** Filter threads, mm, and widths of film, mm: they stand on barrels too. Standards and common practice. */
const FILTERS = [
  22.5, 25.5, 27, 30.5, 35.5, 37, 39, 40.5, 43, 46, 48, 49, 52, 55, 58, 62, 67, 72, 77, 82, 86, 95,
  105, 112, 127,
];
const FILMS = [8, 9.5, 16, 17.5, 35, 65, 70];
/** Speeds that are engraved without a fraction. */
const WHOLE_SPEEDS = [1, 2, 3, 4, 5, 6, 7, 8, 9, 11, 16, 22];

const FOR_FILM = /^\s*(?:lens|film|cine|movie|camera|gauge|format|projector|projection)\b/iu;
const AFTER_FILM = /(?:\bfor|\bsuper|\bregular|\bstandard|\bdouble)\s*-?\s*$/iu;
const AFTER_SERIAL = /(?:\bno|\bnr|\bs\/?n|\bserial|№|#)\.?\s*$/iu;

/** mm in what a figure is told in. */
function unitMm(suffix: string): number {
  if (/^cm$/iu.test(suffix)) return 10;
  return /^("|in|inch|inches)$/iu.test(suffix) ? MM_PER_INCH : 1;
}

function roleOf(prefix: string, suffix: string, before: string): Role {
  if (/^[⌀Øø∅φ]/u.test(prefix) || AFTER_SERIAL.test(before)) return 'other';
  if (/^mm$/iu.test(suffix) || prefix.includes('=')) return 'focal';
  if (unitMm(suffix) !== 1) return 'length';
  if (/^(m|x|×)$/iu.test(suffix)) return 'other';
  // Letters grown onto a speed are the maker's: "f/2.8D".
  if (/:\s*$/u.test(prefix) && prefix.includes('1')) return 'speed';
  if (/^f/iu.test(prefix)) return 'speed';
  if (/^t/iu.test(prefix)) return 'T-stop';
  if (suffix !== '') return 'other';
  // A figure grown onto a word belongs to the lens's name: "XZ35", "Name-12".
  return /\p{L}-?$/u.test(before) ? 'other' : 'plain';
}

/** No barrel has room for more; what is longer is not read to its end. */
const LONGEST_TEXT = 300;

const HALVES: readonly [RegExp, string][] = [
  [/\s*½/gu, '.5'],
  [/\s*¼/gu, '.25'],
  [/\s*¾/gu, '.75'],
];

/** As it would be written today: points for commas, inches as a decimal and one sign for them. */
function cleaned(text: string): string {
  const spelled = text
    .slice(0, LONGEST_TEXT)
    .replace(/\s+/gu, ' ')
    .replace(/(\d),(\d)/gu, '$1.$2')
    .replace(/[–—−~]/gu, '-')
    .replace(/[″”“]|''|’’/gu, '"')
    .replace(/ƒ/gu, 'f');
  return HALVES.reduce((all, [half, figure]) => all.replace(half, figure), spelled).replace(
    /(?:(\d{1,2})\s+)?(\d)\/(\d)(?=\s*(?:"|inch|in\b))/giu,
    (_, whole: string | undefined, over: string, under: string) =>
      String(Number(whole ?? 0) + Number(over) / Number(under)),
  );
}

function tokensOf(text: string): Token[] {
  const clean = cleaned(text);
  return [...clean.matchAll(TOKEN)].map((match): Token => {
    const { prefix = '', low = '', high, suffix = '' } = match.groups ?? {};
    const before = clean.slice(0, match.index);
    const after = clean.slice(match.index + match[0].length);
    const unit = unitMm(suffix.trim());
    const mm = (figure: string) =>
      unit === 1 ? Number(figure) : Math.round(Number(figure) * unit * PARTS_OF_MM) / PARTS_OF_MM;
    const figures = [mm(low), mm(high ?? low)];
    return {
      role: roleOf(prefix, suffix.trim(), before),
      low: Math.min(...figures),
      high: Math.max(...figures),
      isRatio: prefix.includes(':'),
      afterMacro: /(macro|makro|micro)\s*$/iu.test(before),
      isFilm:
        high === undefined &&
        FILMS.includes(Number(low)) &&
        (FOR_FILM.test(after) || AFTER_FILM.test(before)),
      isBound: /^\s*\/\s*\d/u.test(after),
    };
  });
}

const canBeFocal = ({ low, high }: Token): boolean => low >= 1 && high <= LONGEST_MM;
const canBeSpeed = ({ low, high }: Token): boolean => low >= FASTEST && high <= SLOWEST;
const isPlain = ({ role }: Token): boolean => role === 'plain';
const isSpeed = ({ role }: Token): boolean => role === 'speed' || role === 'T-stop';
/** Whether a figure without a word looks like a speed: a fraction, or one that is engraved whole. */
const looksFast = (token: Token): boolean =>
  canBeSpeed(token) &&
  [token.low, token.high].every((v) => !Number.isInteger(v) || WHOLE_SPEEDS.includes(v));
const isFilter = ({ low, high, role }: Token): boolean =>
  role === 'focal' && low === high && FILTERS.includes(low);

/** Whether a ratio is how large a macro shows things, and no speed. */
const isMagnification = (token: Token, tokens: readonly Token[]): boolean =>
  token.isRatio &&
  (token.afterMacro || (token.low <= 1 && tokens.some((t) => t !== token && isSpeed(t))));

interface Found {
  focal: Token | undefined;
  speed: Token | undefined;
}

const NOTHING: Found = { focal: undefined, speed: undefined };

/** The shortest focal length that is told without a word, mm. */
const SHORTEST_PLAIN_MM = 4;

/** Two figures as focal length and speed, whichever is which; null where they cannot be. */
function paired(a: Token, b: Token): Found | null {
  const speed = [a, b].find(isSpeed) ?? (a.low > b.high ? b : a);
  const focal = speed === a ? b : a;
  if (isSpeed(focal) || !(isPlain(speed) || isSpeed(speed))) return null;
  const isPair = focal.low > speed.high && focal.low >= SHORTEST_PLAIN_MM && canBeFocal(focal);
  return isPair && (isSpeed(speed) ? canBeSpeed(speed) : looksFast(speed))
    ? { focal, speed }
    : null;
}

/** Figures next to each other, as pairs that could be focal length and speed. */
const neighbours = (
  tokens: readonly Token[],
  isWanted: (a: Token) => boolean = () => true,
): Found[] =>
  tokens.flatMap((a, i) => {
    const b = tokens[i + 1];
    return b && isWanted(a) ? (paired(a, b) ?? []) : [];
  });

/** Figures of a kind that stand right before or after one. */
const beside = (tokens: readonly Token[], token: Token, of: (t: Token) => boolean): Token[] => {
  const i = tokens.indexOf(token);
  return [tokens[i - 1], tokens[i + 1]].flatMap((t) => (t && of(t) ? [t] : []));
};

/** What may be the focal length of a lens whose speed is told, the likeliest kind of figure alone. */
function focalsFor(tokens: readonly Token[], speed: Token | undefined): Token[] {
  const isPlainFocal = (t: Token) =>
    isPlain(t) && canBeFocal(t) && !t.isFilm && t.low > (speed?.high ?? 0);
  const plain = speed ? beside(tokens, speed, isPlainFocal) : [];
  const inPairs = speed ? [] : neighbours(tokens.filter(isPlain));
  const told = tokens.filter((t) => t.role === 'focal' && canBeFocal(t));
  const lengths = tokens.filter((t) => t.role === 'length' && canBeFocal(t));
  const isOther = (t: Token) =>
    isFilter(t) && (told.length > 1 || plain.length + inPairs.length + lengths.length > 0);
  const sure = told.filter((t) => !t.isFilm && !isOther(t));
  const nearby = speed ? lengths.filter((t) => beside(tokens, t, isSpeed).length > 0) : [];
  const far = speed ? tokens.filter(isPlainFocal) : [];
  const kinds = [sure, nearby, plain, inPairs.length > 0 ? [] : lengths, far.slice(0, 1)];
  const likeliest = kinds.find((kind) => kind.length > 0);
  return likeliest ?? (inPairs.length > 0 ? [] : told);
}

const isSame = (a: Found, b: Found): boolean =>
  a.focal?.low === b.focal?.low &&
  a.focal?.high === b.focal?.high &&
  a.speed?.low === b.speed?.low &&
  a.speed?.high === b.speed?.high;

/** All that an engraving may say; one where it is plain. */
function found(tokens: readonly Token[]): Found[] {
  // A slash binds two figures whatever else stands there.
  const bound = neighbours(tokens, ({ isBound }) => isBound);
  if (bound.length > 0) return bound;
  const speed = tokens.find((t) => isSpeed(t) && canBeSpeed(t));
  const focals = focalsFor(tokens, speed);
  if (focals.length > 0) {
    return focals.map((focal) => {
      const isFaster = (t: Token) => isPlain(t) && looksFast(t) && t.high < focal.low;
      const [near] = beside(tokens, focal, isFaster);
      return { focal, speed: speed ?? near ?? tokens.find(isFaster) };
    });
  }
  if (speed) return [{ focal: undefined, speed }];
  return neighbours(tokens.filter(isPlain));
}

function readingOf({ focal, speed }: Found): EngravedReading {
  const isT = speed?.role === 'T-stop';
  return {
    focalMinMm: focal?.low ?? null,
    focalMaxMm: focal?.high ?? null,
    openFNumberWide: isT ? null : (speed?.low ?? null),
    openFNumberLong: isT ? null : (speed?.high ?? null),
    tStop: isT ? speed.low : null,
  };
}

/** A reading in words: "25 mm f/1.4", "18–35 mm T2". */
export function readingWords(reading: EngravedReading): string {
  const { focalMinMm, focalMaxMm, openFNumberWide, openFNumberLong, tStop } = reading;
  const range = (low: number, high: number | null) =>
    high === null || high === low ? `${low}` : `${low}–${high}`;
  const focal = focalMinMm === null ? '' : `${range(focalMinMm, focalMaxMm)} mm`;
  const fast = openFNumberWide === null ? '' : `f/${range(openFNumberWide, openFNumberLong)}`;
  return [focal, tStop === null ? fast : `T${tStop}`].filter(Boolean).join(' ');
}

export function readEngraving(text: string, markings: readonly Marking[]): EngravedFacts {
  const tokens = tokensOf(text);
  const said = tokens.filter((t) => t.role !== 'other' && !isMagnification(t, tokens));
  const all = found(said).filter((one, i, list) => list.findIndex((o) => isSame(o, one)) === i);
  const [first = NOTHING, second] = all;
  return {
    ...readingOf(second ? NOTHING : first),
    designFormat: markingIn(text, markings)?.designFormat ?? null,
    readings: second ? all.map(readingOf) : [],
  };
}
