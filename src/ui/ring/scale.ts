/** A barrel scale: values laid out along the ring, 0 at its left end, 1 at its right. */
import { clamp } from '@/core/maths';
import { apertureSeries } from '@/core/optics';
import { short } from '@/core/words';

export interface Mark {
  value: number;
  /** Engraved figure; empty for a bare tick. */
  label: string;
}

export interface BarrelScale {
  min: number;
  max: number;
  /** Place of a value, 0..1. */
  place: (value: number) => number;
  /** Value at a place. */
  value: (place: number) => number;
  marks: readonly Mark[];
  /** Values it clicks into, in order; the ends among them. */
  detents: readonly number[];
}

function logScale(min: number, max: number): Pick<BarrelScale, 'min' | 'max' | 'place' | 'value'> {
  const span = Math.log(max / min) || 1;
  return {
    min,
    max,
    place: (v) => clamp(Math.log(v / min) / span, 0, 1),
    value: (p) => clamp(min * Math.exp(clamp(p, 0, 1) * span), min, max),
  };
}

const sortedUnique = (values: readonly number[]): number[] =>
  [...new Set(values)].sort((a, b) => a - b);

const within = (values: readonly number[], min: number, max: number): number[] =>
  values.filter((v) => v > min * 1.0001 && v < max * 0.9999);

/** Focal lengths engraved on zooms; common practice, no source. */
const ENGRAVED_FOCALS = [
  8, 9, 10, 11, 12, 14, 16, 18, 20, 21, 24, 28, 31, 35, 40, 45, 50, 60, 70, 85, 100, 120, 135, 150,
  180, 200, 250, 300, 400, 500, 600, 800,
];

/** Steps of a zoom ring: every engraved figure, and whole millimetres between where there is room. */
export function focalScale(min: number, max: number): BarrelScale {
  const engraved = within(ENGRAVED_FOCALS, min, max);
  const wholes: number[] = [];
  const step = max - min <= 60 ? 1 : max - min <= 200 ? 5 : 10;
  for (let v = Math.ceil(min / step) * step; v < max; v += step) wholes.push(v);
  return {
    ...logScale(min, max),
    marks: [min, ...engraved, max].map((value) => ({
      value,
      label: short(value, 1),
    })),
    detents: sortedUnique([min, ...within(wholes, min, max), ...engraved, max]),
  };
}

/** Third stops of an aperture ring between its ends; full stops are engraved, thirds are ticks. */
export function apertureScale(open: number, closed: number): BarrelScale {
  const top = Math.max(closed, open * 1.0001);
  const inside = apertureSeries('third').filter(
    (m) => m.exact > open * 1.02 && m.exact < top * 0.98,
  );
  const full = new Set(apertureSeries('full').map((m) => m.exact.toFixed(4)));
  const mark = (exact: number, label: string): Mark => ({
    value: exact,
    label: full.has(exact.toFixed(4)) ? label : '',
  });
  return {
    ...logScale(open, top),
    marks: [
      { value: open, label: short(open, 1) },
      ...inside.map((m) => mark(m.exact, m.marks[0] ?? '')),
      { value: top, label: short(top, 1) },
    ],
    detents: sortedUnique([open, ...inside.map((m) => m.exact), top]),
  };
}

const ENGRAVED_DISTANCES = [
  0.1, 0.15, 0.2, 0.25, 0.3, 0.35, 0.4, 0.5, 0.6, 0.7, 0.85, 1, 1.2, 1.5, 2, 2.5, 3, 4, 5, 7, 10,
  15, 20, 30, 50, 70, 100, 200, 300, 500,
];
/** The last part of the ring, from the farthest engraved distance to infinity. */
const INFINITY_SHARE = 0.06;

/** Focus distances in m from the closest to infinity; Infinity stands at the right end. */
export function focusScale(closest: number, focalMm: number): BarrelScale {
  const far = Math.max(closest * 24, clamp(focalMm * 0.6, 8, 300));
  const farthest = ENGRAVED_DISTANCES.find((d) => d >= far) ?? far;
  const log = logScale(closest, farthest);
  const near = 1 - INFINITY_SHARE;
  const inside = within(ENGRAVED_DISTANCES, closest * 1.02, farthest);
  return {
    min: closest,
    max: Infinity,
    place: (v) => (v === Infinity ? 1 : log.place(v) * near),
    value: (p) => (p > near + INFINITY_SHARE / 2 ? Infinity : log.value(p / near)),
    marks: [
      { value: closest, label: short(closest, 2) },
      ...inside.map((value) => ({ value, label: String(value) })),
      { value: farthest, label: short(farthest, 2) },
      { value: Infinity, label: '∞' },
    ],
    detents: sortedUnique([closest, ...inside, farthest, Infinity]),
  };
}

/** The detent nearest to `value` on the ring. */
export function nearestDetent(scale: BarrelScale, value: number): number {
  const place = scale.place(value);
  return scale.detents.reduce((best, d) =>
    Math.abs(scale.place(d) - place) < Math.abs(scale.place(best) - place) ? d : best,
  );
}

/** `steps` detents up (+) or down (-) from `value`. */
export function stepDetents(scale: BarrelScale, value: number, steps: number): number {
  const place = scale.place(value);
  const { detents } = scale;
  const tiny = 1e-6;
  if (steps > 0) {
    const next = detents.findIndex((d) => scale.place(d) > place + tiny);
    return next < 0
      ? scale.max
      : (detents[Math.min(detents.length - 1, next + steps - 1)] ?? scale.max);
  }
  const before = detents.filter((d) => scale.place(d) < place - tiny);
  return before.at(Math.max(-before.length, steps)) ?? scale.min;
}

/** Labels that fit side by side: engraved figures nearer than `gap` to a kept one lose their figure. */
export function legibleMarks(scale: BarrelScale, gap: number): Mark[] {
  const ends = [scale.marks[0], scale.marks.at(-1)].filter((m): m is Mark => m !== undefined);
  const taken = ends.map((m) => scale.place(m.value));
  return scale.marks.map((mark) => {
    if (ends.includes(mark)) return mark;
    const place = scale.place(mark.value);
    if (mark.label === '' || taken.some((t) => Math.abs(t - place) < gap))
      return { ...mark, label: '' };
    taken.push(place);
    return mark;
  });
}
