/** Ways out by turning one ring. */
import { isZoom, openFNumberAt, type RigSettings } from '../../../kit/records';
import { towards, whereBeginning } from '../../../maths';
import { engravedWords, marksBetween } from '../../../optics';
import { fixed, mm } from '../../../words';
import { turned, type Rig } from '../../../rig';
import { isClear } from '../../judged';
import type { Idea, WayKind } from './idea';

const STEPS = 16;
const HALVINGS = 11;

/**
 * The nearest place to `from` on a ring, going `way` (+1 or -1), where the rig becomes Clear: the exact
 * border, found by halving. Null where there is none.
 */
function nearestClear(from: number, way: 1 | -1, rigAt: (place: number) => Rig): number | null {
  let last = from;
  for (let i = 1; i <= STEPS; i += 1) {
    const place = from + (way * i) / STEPS;
    const end = Math.min(1, Math.max(0, place));
    if (end === last) return null;
    if (isClear(rigAt(end))) {
      return whereBeginning((at) => isClear(rigAt(at)), last, end, HALVINGS);
    }
    last = end;
  }
  return null;
}

interface LogRing {
  kind: WayKind;
  min: number;
  max: number;
  value: number;
  setting: (value: number) => Partial<RigSettings>;
  /** The first place from a limit on that one can dial, on the side that is still Clear. */
  dialled: (limit: number, way: 1 | -1) => number;
  words: (value: number, way: 1 | -1) => string;
}

function ringsOf({ lens, settings }: Rig): LogRing[] {
  const open = openFNumberAt(lens, settings.focalMm);
  const far = Math.max(lens.closestFocusM * 200, 50);
  const rings: LogRing[] = [
    {
      kind: 'aperture',
      min: open,
      max: Math.max(open, lens.closedFNumber),
      value: settings.fNumber,
      setting: (fNumber) => ({ fNumber }),
      dialled: (limit, way) => {
        const marks = marksBetween('third', open, lens.closedFNumber).map((m) => m.exact);
        const fits = marks.filter((n) => (way > 0 ? n >= limit : n <= limit));
        return (way > 0 ? fits[0] : fits.at(-1)) ?? (way > 0 ? lens.closedFNumber : open);
      },
      words: (v, way) =>
        way > 0
          ? `Stop down to ${engravedWords(v)} or more`
          : `Open up to ${engravedWords(v)} or wider`,
    },
    {
      kind: 'focus',
      min: lens.closestFocusM,
      max: far,
      value: Math.min(settings.focusM ?? far, far),
      setting: (focusM) => ({ focusM: focusM >= far * 0.999 ? null : focusM }),
      dialled: (limit, way) => towards(limit, way, 2),
      words: (v, way) => `Focus at ${fixed(v, 2)} m or ${way > 0 ? 'farther' : 'closer'}`,
    },
  ];
  if (isZoom(lens)) {
    rings.unshift({
      kind: 'zoom',
      min: lens.focalMinMm,
      max: lens.focalMaxMm,
      value: settings.focalMm,
      setting: (focalMm) => ({ focalMm }),
      dialled: (limit, way) => towards(limit, way, 1),
      words: (v, way) => `Zoom to ${mm(v)} or ${way > 0 ? 'longer' : 'wider'}`,
    });
  }
  return rings;
}

/** Turning one ring to the nearest place where the corners are Clear, either way. */
export function ringIdeas(rig: Rig, only?: readonly WayKind[]): Idea[] {
  const rings = ringsOf(rig).filter((ring) => !only || only.includes(ring.kind));
  return rings.flatMap((ring): Idea[] => {
    const span = Math.log(ring.max / ring.min);
    if (span < 1e-6) return [];
    const valueAt = (place: number) => ring.min * Math.exp(place * span);
    const rigAt = (place: number) => turned(rig, ring.setting(valueAt(place)));
    const from = Math.min(1, Math.max(0, Math.log(ring.value / ring.min) / span));
    return ([1, -1] as const).flatMap((way): Idea[] => {
      const place = nearestClear(from, way, rigAt);
      if (place === null) return [];
      const limit = valueAt(place);
      const rounded = Math.min(ring.max, Math.max(ring.min, ring.dialled(limit, way)));
      const settings = ring.setting(rounded);
      return [
        {
          kind: ring.kind,
          words: ring.words(rounded, way),
          limit,
          change: { settings },
          rig: turned(rig, settings),
        },
      ];
    });
  });
}
