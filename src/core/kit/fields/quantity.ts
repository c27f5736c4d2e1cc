/** Quantities as people type them: "25,4 mm", "1 in", "3 ft 6 in", "12 oz", "1/2 in". */

export type Unit = 'mm' | 'm' | 'g' | 'px' | 'fps' | 'stops' | 'lp/mm' | '';

/** How many of the field's unit one of the typed unit is. Inch 25.4 mm, foot 304.8 mm, pound 453.59237 g. */
const UNITS: Record<Unit, Readonly<Record<string, number>>> = {
  mm: { mm: 1, cm: 10, m: 1000, in: 25.4, '"': 25.4, '″': 25.4, inch: 25.4, inches: 25.4 },
  m: {
    m: 1,
    cm: 0.01,
    mm: 0.001,
    ft: 0.3048,
    "'": 0.3048,
    '′': 0.3048,
    feet: 0.3048,
    foot: 0.3048,
    in: 0.0254,
    '"': 0.0254,
    '″': 0.0254,
  },
  g: { g: 1, kg: 1000, oz: 28.349523125, lb: 453.59237, lbs: 453.59237 },
  px: { px: 1 },
  fps: { fps: 1, p: 1 },
  stops: { stops: 1, stop: 1 },
  'lp/mm': { 'lp/mm': 1 },
  '': { '%': 0.01, x: 1, '×': 1 },
};

const NUMBER = String.raw`[-−+]?\d+(?:[.,]\d+)?(?:e[-+]?\d+)?(?:\s*\/\s*\d+)?`;
const PIECE = new RegExp(
  String.raw`^\s*(?:(\d+)\s+(?=\d+\s*\/))?(${NUMBER})\s*([a-z/%"'′″×]*)`,
  'i',
);

const numberOf = (text: string): number => {
  const [top = '', bottom] = text.replace(',', '.').replace('−', '-').split('/');
  return bottom === undefined ? Number(top) : Number(top) / Number(bottom);
};

/**
 * The typed quantity in `unit`, or null where it is none. A bare number counts in the field's own unit;
 * several pieces add up ("5 ft 6 in"); a leading f/, T or × is taken as said.
 */
export function readQuantity(text: string, unit: Unit): number | null {
  let rest = text.trim().replace(/^(?:[ft]\s*\/?\s*(?=\d)|[×x]\s*(?=\d))/i, '');
  if (rest === '') return null;
  let sum = 0;
  let pieces = 0;
  while (rest !== '') {
    const match = PIECE.exec(rest);
    if (!match?.[2]) return null;
    const typed = (match[3] ?? '').toLowerCase();
    const scale = typed === '' ? 1 : UNITS[unit][typed];
    if (scale === undefined || (typed === '' && pieces > 0)) return null;
    sum += (Number(match[1] ?? 0) + numberOf(match[2])) * scale;
    rest = rest.slice(match[0].length).trim();
    pieces += 1;
    if (rest !== '' && typed === '') return null;
  }
  return Number.isFinite(sum) ? Number(sum.toPrecision(12)) : null;
}

/** What a field of this unit also takes, for its sentence. */
export const UNIT_WORDS: Record<Unit, string> = {
  mm: 'mm, cm or in',
  m: 'm, cm, ft or in',
  g: 'g, kg, oz or lb',
  px: 'px',
  fps: 'frames a second',
  stops: 'stops',
  'lp/mm': 'lp/mm',
  '': '',
};
