/** Changes that might mend a verdict, before anyone asks what they cost. */
import { ASPECTS } from '../../frame/aspects';
import { fullName } from '../../kit/records/body';
import { isZoom, openFNumberAt } from '../../kit/records/lens';
import { isFront, magnifies, type Part } from '../../kit/records/part';
import type { RigSettings } from '../../kit/records/rigRecord';
import { quickPart } from '../../kit/starter/quickPart';
import { deliveredOf } from '../framed';
import { isClear, scaleUpOf } from '../verdicts';
import { diagonalMm } from '../../optics/formats';
import { jointProblems } from '../joints';
import { whereBeginning } from '../../maths/rootFinding';
import { turned, type Rig } from '../rig';
import { fWords, fixed, mm, scaleUpWords } from '../../words/figures';

/** What applying a way does to a rig. */
export interface WayChange {
  settings: Partial<RigSettings>;
  modeId?: string;
  partIds?: string[];
  /** A part among `partIds` that is in no kit yet. */
  newPart?: Part;
}

export type WayKind =
  | 'zoom'
  | 'aperture'
  | 'focus'
  | 'mode'
  | 'aspect'
  | 'crop'
  | 'scale up'
  | 'stabiliser off'
  | 'centre'
  | 'swap part'
  | 'add part';

/** A change before its price is known. */
export interface Idea {
  kind: WayKind;
  words: string;
  limit: number | null;
  change: WayChange;
  rig: Rig;
}

/** The rig with a change applied. */
export function applied(rig: Rig, change: WayChange, kit: readonly Part[]): Rig {
  const mode = rig.body.modes.find((m) => m.id === change.modeId) ?? rig.mode;
  const known = [...kit, ...rig.parts, ...(change.newPart ? [change.newPart] : [])];
  const parts = change.partIds
    ? change.partIds.flatMap((id) => known.find((p) => p.id === id) ?? [])
    : rig.parts;
  return turned({ ...rig, mode, parts }, change.settings);
}

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
      words: (v, way) =>
        way > 0 ? `Stop down to ${fWords(v, 1)} or more` : `Open up to ${fWords(v, 1)} or wider`,
    },
    {
      kind: 'focus',
      min: lens.closestFocusM,
      max: far,
      value: Math.min(settings.focusM ?? far, far),
      setting: (focusM) => ({ focusM: focusM >= far * 0.999 ? null : focusM }),
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
      words: (v, way) => `Zoom to ${mm(v)} or ${way > 0 ? 'longer' : 'wider'}`,
    });
  }
  return rings;
}

/** Rounded to the side that is still Clear. */
const towards = (value: number, way: 1 | -1, digits: number): number => {
  const factor = 10 ** digits;
  return (way > 0 ? Math.ceil(value * factor) : Math.floor(value * factor)) / factor;
};

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
      const rounded = Math.min(ring.max, Math.max(ring.min, towards(limit, way, 2)));
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

const setting = (rig: Rig, kind: WayKind, words: string, settings: Partial<RigSettings>): Idea => ({
  kind,
  words,
  limit: null,
  change: { settings },
  rig: turned(rig, settings),
});

/** Whether a setting makes the delivered frame another one. */
function changesFrame(rig: Rig, settings: Partial<RigSettings>): boolean {
  const [before, after] = [deliveredOf(rig), deliveredOf(turned(rig, settings))];
  return (
    Math.abs(before.widthMm - after.widthMm) > 0.01 ||
    Math.abs(before.heightMm - after.heightMm) > 0.01
  );
}

/** Other modes, aspects and crops, and keeping the sensor still. */
export function frameIdeas(rig: Rig): Idea[] {
  const { settings, body, mode } = rig;
  const ideas: Idea[] = [];
  for (const other of body.modes) {
    if (other.id === mode.id || other.use !== mode.use) continue;
    const moved = turned({ ...rig, mode: other }, {});
    ideas.push({
      kind: 'mode',
      words: `Record in ${other.name}`,
      limit: null,
      change: { settings: {}, modeId: other.id },
      rig: moved,
    });
  }
  for (const { name, aspect } of ASPECTS) {
    if (aspect !== null && changesFrame(rig, { aspect })) {
      ideas.push(setting(rig, 'aspect', `Deliver ${name}`, { aspect }));
    }
  }
  for (const zoom of mode.digitalZooms) {
    if (zoom > settings.digitalZoom)
      ideas.push(setting(rig, 'crop', `Digital zoom ×${zoom}`, { digitalZoom: zoom }));
  }
  for (const crop of mode.crops) {
    if (crop.id !== settings.cropId)
      ideas.push(setting(rig, 'crop', `Switch on ${crop.name} stabilisation`, { cropId: crop.id }));
  }
  if (settings.stabiliser && body.sensorTravel) {
    ideas.push(
      setting(rig, 'stabiliser off', 'Switch the sensor stabiliser off', { stabiliser: false }),
    );
  }
  if (settings.shiftXMm !== 0 || settings.shiftYMm !== 0) {
    ideas.push(setting(rig, 'centre', 'Shift back to the middle', { shiftXMm: 0, shiftYMm: 0 }));
  }
  return ideas;
}

/** Largest scale-up still offered: beyond it the picture is another one. */
const MOST_SCALE_UP = 2;

/** The least scale-up in post that clears the corners, as the readings say it; null where none up to twice does. */
export function scaleIdea(rig: Rig): Idea | null {
  const good = scaleUpOf(rig);
  if (good === null || good > MOST_SCALE_UP) return null;
  const scale = rig.settings.postScale * towards(good, 1, 3);
  const more = rig.settings.postScale === 1 ? '' : ' more';
  return {
    kind: 'scale up',
    words: `Scale up ${scaleUpWords(good)}${more} in post`,
    limit: good * rig.settings.postScale,
    change: { settings: { postScale: scale } },
    rig: turned(rig, { postScale: scale }),
  };
}

/** Teleconverters are made for long lenses; on a wide one nobody asks for them. */
const TELE_FROM_DIAGONALS = 1.5;
const isTeleOnWide = (part: Part, { lens }: Rig): boolean =>
  part.kind === 'teleconverter' &&
  lens.focalMinMm < TELE_FROM_DIAGONALS * diagonalMm(lens.designFormat);

const joined = (rig: Rig): boolean => jointProblems(rig).length === 0;

/** Whether two parts join the same mounts. */
const joinsAlike = (a: Part, b: Part): boolean =>
  a.frontMountId === b.frontMountId && a.rearMountId === b.rearMountId;

/** The plain adapter that would stand in a converter's place, where one can be built and the kit has none. */
function plainInsteadOf(part: Part, { mounts }: Rig, kit: readonly Part[]): Part | null {
  const front = mounts.get(part.frontMountId);
  const rear = mounts.get(part.rearMountId);
  if (!magnifies(part) || !front || !rear) return null;
  const plain = quickPart({ kind: 'plain adapter', factor: 1, front, rear, designFormat: null });
  const isThere = (p: Part) =>
    (plain.ok && p.id === plain.value.id) || (p.kind === 'plain adapter' && joinsAlike(p, part));
  return plain.ok && !kit.some(isThere) ? plain.value : null;
}

/** Another part in a converter's place, or one more where its mounts let it in. */
export function partIdeas(rig: Rig, kit: readonly Part[]): Idea[] {
  const ideas: Idea[] = [];
  const tryParts = (kind: WayKind, words: string, parts: readonly Part[], newPart?: Part) => {
    const changed: Rig = { ...rig, parts };
    if (joined(changed)) {
      ideas.push({
        kind,
        words,
        limit: null,
        change: {
          settings: {},
          partIds: parts.map((p) => p.id),
          ...(newPart ? { newPart } : {}),
        },
        rig: changed,
      });
    }
  };
  rig.parts.forEach((part, i) => {
    if (isFront(part)) return;
    const plain = plainInsteadOf(part, rig, kit);
    if (plain) {
      const words = `A plain adapter of ${mm(plain.thicknessMm, 2)} instead of ${fullName(part)}`;
      tryParts('swap part', words, rig.parts.with(i, plain), plain);
    }
    for (const other of kit) {
      if (
        joinsAlike(other, part) &&
        other.id !== part.id &&
        !isFront(other) &&
        (magnifies(part) || magnifies(other)) &&
        !isTeleOnWide(other, rig)
      ) {
        tryParts(
          'swap part',
          `${fullName(other)} instead of ${fullName(part)}`,
          rig.parts.with(i, other),
        );
      }
    }
  });
  for (const extra of kit) {
    if (!magnifies(extra) || extra.factor < 1 || extra.frontMountId !== extra.rearMountId) continue;
    if (rig.parts.some((p) => p.id === extra.id) || isTeleOnWide(extra, rig)) continue;
    const mountsAlong = [rig.lens.mountId, ...rig.parts.map((p) => p.rearMountId)];
    const at = mountsAlong.indexOf(extra.frontMountId);
    if (at >= 0) tryParts('add part', `Add ${fullName(extra)}`, rig.parts.toSpliced(at, 0, extra));
  }
  return ideas;
}
