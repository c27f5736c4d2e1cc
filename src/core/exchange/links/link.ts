/** A rig and its settings as the query of an address, and back. */
import type { RigSettings } from '../../kit/records';

interface RigLink {
  rigId: string;
  settings: Partial<RigSettings>;
}

const NAMES = {
  focalMm: 'focal',
  fNumber: 'aperture',
  focusM: 'focus',
  aspect: 'deliver',
  digitalZoom: 'zoom',
  cropId: 'crop',
  stabiliser: 'stabiliser',
  postScale: 'post',
  shiftXMm: 'right',
  shiftYMm: 'down',
  helicoidMm: 'helicoid',
  overhead: 'held',
} as const satisfies Record<keyof RigSettings, string>;

/** Whole read-out, no crop and infinity have words in an address. */
const WHOLE = 'whole';
const NONE = 'none';
const INFINITY = 'inf';
const OVERHEAD = 'overhead';

const figure = (v: number): string => String(Number(v.toPrecision(8)));

/** The query that opens a rig as it is set, without the leading "?". */
export function rigQuery(rigId: string, settings: RigSettings): string {
  const query = new URLSearchParams({ rig: rigId });
  query.set(NAMES.focalMm, figure(settings.focalMm));
  query.set(NAMES.fNumber, figure(settings.fNumber));
  query.set(NAMES.focusM, settings.focusM === null ? INFINITY : figure(settings.focusM));
  query.set(NAMES.aspect, settings.aspect === null ? WHOLE : figure(settings.aspect));
  query.set(NAMES.digitalZoom, figure(settings.digitalZoom));
  query.set(NAMES.cropId, settings.cropId ?? NONE);
  query.set(NAMES.stabiliser, settings.stabiliser ? 'on' : 'off');
  if (settings.postScale !== 1) query.set(NAMES.postScale, figure(settings.postScale));
  for (const key of ['shiftXMm', 'shiftYMm', 'helicoidMm'] as const) {
    if (settings[key] !== 0) query.set(NAMES[key], figure(settings[key]));
  }
  if (settings.overhead) query.set(NAMES.overhead, OVERHEAD);
  return query.toString();
}

function within(text: string | null, min: number, max: number): number | undefined {
  if (text === null || text.trim() === '') return undefined;
  const value = Number(text);
  return value >= min && value <= max ? value : undefined;
}

const orNull = (
  text: string | null,
  word: string,
  min: number,
  max: number,
): number | null | undefined => (text === word ? null : within(text, min, max));

/**
 * Reads a query. Null where it names no rig. What a setting cannot be is left out, so that the rig's own
 * stands.
 */
export function readRigQuery(query: string): RigLink | null {
  const q = new URLSearchParams(query);
  const rigId = q.get('rig');
  if (!rigId || rigId.length > 80) return null;
  // A link that says how the lens is set leaves shift and helicoid out where they are at rest.
  const rest = q.has(NAMES.focalMm) ? '0' : null;
  const crop = q.get(NAMES.cropId);
  const stabiliser = q.get(NAMES.stabiliser);
  const found: { [K in keyof RigSettings]: RigSettings[K] | undefined } = {
    focalMm: within(q.get(NAMES.focalMm), 1, 5000),
    fNumber: within(q.get(NAMES.fNumber), 0.5, 128),
    focusM: orNull(q.get(NAMES.focusM), INFINITY, 0.01, 100_000),
    aspect: orNull(q.get(NAMES.aspect), WHOLE, 0.2, 6),
    digitalZoom: within(q.get(NAMES.digitalZoom), 1, 8),
    cropId: crop === null || crop.length > 80 ? undefined : crop === NONE ? null : crop,
    stabiliser: stabiliser === null ? undefined : stabiliser === 'on',
    postScale: within(q.get(NAMES.postScale) ?? (rest === null ? null : '1'), 1, 8),
    shiftXMm: within(q.get(NAMES.shiftXMm) ?? rest, -40, 40),
    shiftYMm: within(q.get(NAMES.shiftYMm) ?? rest, -40, 40),
    helicoidMm: within(q.get(NAMES.helicoidMm) ?? rest, 0, 200),
    overhead:
      rest === null && !q.has(NAMES.overhead) ? undefined : q.get(NAMES.overhead) === OVERHEAD,
  };
  const settings = Object.fromEntries(
    Object.entries(found).filter(([, value]) => value !== undefined),
  ) as Partial<RigSettings>;
  return { rigId, settings };
}
