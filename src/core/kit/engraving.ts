/**
 * What is engraved on a lens, read in all usual orders: "18–35/1.8", "28-80mm f/3.5-5.6", "1:2 58", "2.8/50",
 * "24-70 2.8", "50mm T1.5 ⌀ 58". Speeds stand before or after the focal length and are told as 1:, f/, T or by
 * a slash. It never guesses: what the engraving does not say is null.
 */
import { diagonalMm, type FrameSize } from '../optics';
import { markingIn, type Marking } from './records';

/** Facts read off an engraving; null where it does not say. */
export interface EngravedFacts {
  focalMinMm: number | null;
  focalMaxMm: number | null;
  openFNumberWide: number | null;
  openFNumberLong: number | null;
  /** The T-stop where the speed is engraved as one; the f-numbers are then null. */
  tStop: number | null;
  designFormat: FrameSize | null;
}

type Role = 'focal' | 'speed' | 'T-stop' | 'plain' | 'other';

interface Token {
  role: Role;
  low: number;
  high: number;
  /** Told as a ratio 1:x, which macros also tell their magnification by. */
  isRatio: boolean;
  afterMacro: boolean;
}

const NUMBER = String.raw`\d{1,4}(?:\.\d{1,3})?`;
const TOKEN = new RegExp(
  String.raw`(?<prefix>[⌀Øø∅φ]\s*|1\s*:\s*|\bf\s*[/:]?\s*1\s*:\s*|\bf\s*=\s*|(?:(?<=mm)|(?<![a-z]))f\s*[/:]?\s*|(?:(?<=mm)|(?<![a-z]))t\s*/?\s*)?` +
    String.raw`(?<![\d.])(?<low>${NUMBER})(?:\s*-\s*(?<high>${NUMBER}))?(?!\d)` +
    String.raw`(?<suffix>\s*mm|\s*cm|\s*m\b|\s*[x×]|[a-z]+)?`,
  'gi',
);

/** Longest focal length and slowest speed that are engraved. */
const LONGEST_MM = 5000;
const SLOWEST = 64;
const FASTEST = 0.5;

function roleOf(prefix: string, suffix: string, before: string): Role {
  if (/^[⌀Øø∅φ]/.test(prefix)) return 'other';
  if (/^mm$/i.test(suffix)) return 'focal';
  if (/^(cm|m|x|×)$/i.test(suffix)) return 'other';
  // Letters grown onto a speed are the maker's: "f/2.8D".
  if (/:\s*$/.test(prefix) && prefix.includes('1')) return 'speed';
  if (/=/.test(prefix)) return 'focal';
  if (/^f/i.test(prefix)) return 'speed';
  if (/^t/i.test(prefix)) return 'T-stop';
  if (suffix !== '') return 'other';
  // A figure grown onto a word belongs to the lens's name.
  return /[a-z]$/i.test(before) ? 'other' : 'plain';
}

/** No barrel has room for more; what is longer is not read to its end. */
const LONGEST_TEXT = 300;

function tokensOf(text: string): Token[] {
  const clean = text
    .slice(0, LONGEST_TEXT)
    .replace(/\s+/g, ' ')
    .replace(/(\d),(\d)/g, '$1.$2')
    .replace(/[–—−~]/g, '-')
    .replace(/ƒ/g, 'f');
  return [...clean.matchAll(TOKEN)].map((match): Token => {
    const { prefix = '', low = '', high, suffix = '' } = match.groups ?? {};
    const before = clean.slice(0, match.index);
    const figures = [Number(low), Number(high ?? low)];
    return {
      role: roleOf(prefix, suffix.trim(), before),
      low: Math.min(...figures),
      high: Math.max(...figures),
      isRatio: prefix.includes(':'),
      afterMacro: /(macro|makro|micro)\s*$/i.test(before),
    };
  });
}

const canBeFocal = ({ low, high }: Token): boolean => low >= 1 && high <= LONGEST_MM;
const canBeSpeed = ({ low, high }: Token): boolean => low >= FASTEST && high <= SLOWEST;

/** Whether a ratio is how large a macro shows things, and no speed. */
const isMagnification = (token: Token, tokens: readonly Token[]): boolean =>
  token.isRatio &&
  (token.afterMacro ||
    (token.low <= 1 &&
      tokens.some((t) => t !== token && (t.role === 'speed' || t.role === 'T-stop'))));

interface Found {
  focal: Token | undefined;
  speed: Token | undefined;
}

/** Of two figures without a word the larger is the focal length. */
function amongPlain({ focal, speed }: Found, plain: readonly Token[]): Found {
  if (focal && speed) return { focal, speed };
  if (focal) {
    const below = plain.find((t) => canBeSpeed(t) && t.high < focal.low);
    return { focal, speed: below };
  }
  if (speed) return { focal: plain.find((t) => canBeFocal(t) && t.low > speed.high), speed };
  const [first, second] = plain;
  if (!first || !second) return { focal: undefined, speed: undefined };
  const [longer, faster] = first.low > second.high ? [first, second] : [second, first];
  return longer.low > faster.high && canBeSpeed(faster) && canBeFocal(longer)
    ? { focal: longer, speed: faster }
    : { focal: undefined, speed: undefined };
}

export function readEngraving(text: string, markings: readonly Marking[]): EngravedFacts {
  const tokens = tokensOf(text);
  const said = tokens.filter((t) => !isMagnification(t, tokens));
  const told: Found = {
    focal: said.find((t) => t.role === 'focal' && canBeFocal(t)),
    speed: said.find((t) => (t.role === 'speed' || t.role === 'T-stop') && canBeSpeed(t)),
  };
  const { focal, speed } = amongPlain(
    told,
    said.filter((t) => t.role === 'plain'),
  );
  const isT = speed?.role === 'T-stop';
  return {
    focalMinMm: focal?.low ?? null,
    focalMaxMm: focal?.high ?? null,
    openFNumberWide: isT ? null : (speed?.low ?? null),
    openFNumberLong: isT ? null : (speed?.high ?? null),
    tStop: isT ? speed.low : null,
    designFormat: markingIn(text, markings)?.designFormat ?? null,
  };
}

/** The widest front anybody polishes, mm; common practice, no source. */
const WIDEST_PUPIL_MM = 250;
/** Nothing faster is engraved on a lens for pictures; common practice, no source. */
const FASTEST_BUILT = 0.7;
/** How fast lenses shorter than a share of the diagonal are built at most; common practice, no source. */
const FASTEST_SHORT = [
  { below: 0.12, fNumber: 3.5 },
  { below: 0.2, fNumber: 2.5 },
  { below: 0.32, fNumber: 1.3 },
] as const;

interface SpeedFacts {
  focalMinMm: number;
  focalMaxMm: number;
  openFNumberWide: number;
  openFNumberLong: number;
  designFormat: FrameSize;
}

/** Why no such lens can have been meant; null where one could exist. */
export function nonsenseIn(facts: SpeedFacts): string | null {
  const { focalMinMm, focalMaxMm, openFNumberWide, openFNumberLong, designFormat } = facts;
  const said = `${focalMinMm === focalMaxMm ? focalMinMm : `${focalMinMm}–${focalMaxMm}`} mm f/${openFNumberWide}`;
  const wrong = 'Is one of the figures something else, such as the filter or the magnification?';
  if (openFNumberWide < FASTEST_BUILT)
    return `No lens is as fast as f/${openFNumberWide}. ${wrong}`;
  if (focalMaxMm / openFNumberLong > WIDEST_PUPIL_MM)
    return `${said} would be ${Math.round(focalMaxMm / openFNumberLong)} mm wide in front. ${wrong}`;
  const share = focalMinMm / diagonalMm(designFormat);
  const limit = FASTEST_SHORT.find(({ below }) => share < below);
  if (limit && openFNumberWide < limit.fNumber)
    return `A lens of ${said} is not built for ${designFormat.widthMm}×${designFormat.heightMm}. ${wrong}`;
  return null;
}
