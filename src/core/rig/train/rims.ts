/** The rims of a train: the bare lens's halo as it falls behind it, each part's own rim joined. */
import {
  FARTHEST_PUPIL_MM,
  isFront,
  isTold,
  type Lens,
  magnifies,
  type Opening,
  type OwnRim,
  type Part,
} from '../../kit/records';
import { type Halo, haloFartherBack, rectangularRim, type Rim } from '../../halo';
import { type ThinConverter, diagonalMm } from '../../optics';
import { extensionOf } from './extension';
import type { Link, Mounts, Train } from './train';

/** Nearest an exit pupil may come to the sensor in the model, mm. */
const NEAREST_PUPIL_MM = 10;

/** Exit-pupil distance from the new image behind a thin converter, mm; null where it is too far to matter. */
function pupilBehind(thin: ThinConverter, pupilMm: number): number | null {
  const object = pupilMm - thin.frontMm;
  const denominator = object - thin.focalMm;
  if (Math.abs(denominator) < 1e-6) return null;
  const behind = thin.backMm - (thin.focalMm * object) / denominator;
  if (Math.abs(behind) > FARTHEST_PUPIL_MM) return null;
  return Math.abs(behind) < NEAREST_PUPIL_MM ? NEAREST_PUPIL_MM * (behind < 0 ? -1 : 1) : behind;
}

/** A hole between sensor and exit pupil: how far from the sensor, and its radius, mm. */
interface Hole {
  zMm: number;
  radiusMm: number;
}

/** Least share of the way to the exit pupil that is left beyond a hole; nearer to it none is a rim. */
const LEAST_PAST = 0.1;
const pastHole = (zMm: number, pupilMm: number | null): number =>
  pupilMm === null ? 1 : Math.max(LEAST_PAST, 1 - zMm / pupilMm);

/**
 * The rim a hole makes for a lens whose exit pupil stands `pupilMm` from the sensor, at f-number N:
 * R = h/(1 - z/L), w = z/(2 N (1 - z/L)). Rays from the rim of the pupil past the rim of the hole.
 */
function rimOfHole({ zMm, radiusMm }: Hole, fNumber: number, pupilMm: number | null): Rim {
  const past = pastHole(zMm, pupilMm);
  const edgeRadiusMm = radiusMm / past;
  return {
    side: 'rear',
    edgeRadiusMm,
    softnessMm: Math.min(edgeRadiusMm, zMm / (2 * fNumber * past)),
  };
}

/**
 * The rim of a rectangular opening, `fartherMm` farther from the sensor than where its flange sits on a camera: by the
 * tubes behind it. Its sides fall where those of a round hole do, and as softly. Where no mount tells how far away it
 * stands it is taken to lie on the sensor, as small as it can look.
 */
function rimOfOpening(
  opening: Opening,
  rearMountId: string,
  fNumber: number,
  mounts: Mounts,
  pupilMm: number | null,
  fartherMm: number,
): Rim {
  const register = mounts.get(rearMountId)?.registerMm ?? null;
  const zMm = register === null ? 0 : Math.max(0, register + opening.beforeFlangeMm + fartherMm);
  const side = (mm: number) => rimOfHole({ zMm, radiusMm: mm / 2 }, fNumber, pupilMm);
  const [across, down] = [side(opening.widthMm), side(opening.heightMm)];
  const softnessMm = Math.min(across.softnessMm, down.softnessMm);
  return rectangularRim('rear', across.edgeRadiusMm, down.edgeRadiusMm, softnessMm);
}

/** The hole that a rim seen past an exit pupil must be: the same formulas the other way round. */
function holeOfRim({ edgeRadiusMm, softnessMm, fNumber }: OwnRim, pupilMm: number): Hole {
  const slope = 2 * fNumber * softnessMm;
  const zMm = slope / (1 + slope / pupilMm);
  return { zMm, radiusMm: edgeRadiusMm * pastHole(zMm, pupilMm) };
}

/** A converter's rear hole over the throat it stands in, and over half the format it was made for. */
const HOLE_SHARE_OF_THROAT = 0.42;
const EDGE_SHARE_OF_FORMAT = 1.12;
/** Softness of a rim nobody measured over its radius, at f/4. All three: common practice, no source. */
const ASSUMED_SOFTNESS_N = 0.4;

/**
 * The rim a converter must have though nobody measured it, edge radius behind it, mm: from the format it was
 * made for, and not wider than a hole in its rear mount's throat, seen past an exit pupil `pupilMm` from the
 * sensor. Null where neither format nor throat is known, and where one was measured.
 */
export function assumedEdgeMm(part: Part, mounts: Mounts, pupilMm: number | null): number | null {
  if (part.ownRim || part.opening || !magnifies(part)) return null;
  const rear = mounts.get(part.rearMountId);
  const edges: number[] = [];
  if (part.designFormat) edges.push((EDGE_SHARE_OF_FORMAT * diagonalMm(part.designFormat)) / 2);
  if (rear && rear.throatMm !== null) {
    const hole = { zMm: rear.registerMm, radiusMm: HOLE_SHARE_OF_THROAT * rear.throatMm };
    edges.push(rimOfHole(hole, 1, pupilMm).edgeRadiusMm);
  }
  return edges.length > 0 ? Math.min(...edges) : null;
}

/** The part's own rim at f-number `fNumber` behind it: as measured, or as it must be. */
function ownRimOf(part: Part, fNumber: number, mounts: Mounts, pupilMm: number | null): Rim | null {
  const { ownRim } = part;
  if (!ownRim) {
    const edge = assumedEdgeMm(part, mounts, pupilMm);
    return edge === null
      ? null
      : {
          side: 'rear',
          edgeRadiusMm: edge,
          softnessMm: Math.min(edge, (ASSUMED_SOFTNESS_N * edge) / fNumber),
        };
  }
  if (ownRim.exitPupilMm !== null && !isFront(part))
    return rimOfHole(holeOfRim(ownRim, ownRim.exitPupilMm), fNumber, pupilMm);
  const { edgeRadiusMm, softnessMm, fNumber: at } = ownRim;
  return {
    side: isFront(part) ? 'front' : 'rear',
    edgeRadiusMm,
    softnessMm: Math.min(edgeRadiusMm, (softnessMm * at) / fNumber),
  };
}

/** Whether a part behind the lens has a rectangular opening. */
export const opensInRectangle = (part: Part): boolean => part.opening !== null && !isFront(part);

/** The rims a part joins to the halo behind it: its own, and that of its rectangular opening. */
function rimsOf(
  part: Part,
  fNumber: number,
  mounts: Mounts,
  pupilMm: number | null,
  fartherMm: number,
): Rim[] {
  const { opening, rearMountId } = part;
  const own = ownRimOf(part, fNumber, mounts, pupilMm);
  const rims = own ? [own] : [];
  if (opening && opensInRectangle(part))
    rims.push(rimOfOpening(opening, rearMountId, fNumber, mounts, pupilMm, fartherMm));
  return rims;
}

/** How far own rims scatter about what is known of them, share of the radius; common practice, no source. */
const RIM_SIGMA = { assumed: 0.1, 'pupil unknown': 0.06, measured: 0.02 } as const;

/** How a rim of a part is known, and how far it scatters. */
interface RimKnown {
  how: keyof typeof RIM_SIGMA;
  sigma: number;
}
const known = (how: keyof typeof RIM_SIGMA): RimKnown => ({ how, sigma: RIM_SIGMA[how] });

/** How a part's own rim is known; null where it has none. */
function ownRimKnown(part: Part, mounts: Mounts): RimKnown | null {
  // Whether there is one to assume, no exit pupil changes.
  if (!part.ownRim) return assumedEdgeMm(part, mounts, null) === null ? null : known('assumed');
  if (isFront(part)) return known('measured');
  return known(part.ownRim.exitPupilMm === null ? 'pupil unknown' : 'measured');
}

/** How each rim of a part is known, in the order of rimsOf. */
export function rimsKnown(part: Part, mounts: Mounts): RimKnown[] {
  const own = ownRimKnown(part, mounts);
  return [...(own ? [own] : []), ...(opensInRectangle(part) ? [known('measured')] : [])];
}

/**
 * How far an assumed rim may be off because nobody told how thick the part is, and so where its glass stands and the pupil
 * falls, share of its radius: as far as it is from what a lens with its pupil far away has.
 */
export function placeDoubt(part: Part, mounts: Mounts, pupilMm: number | null): number {
  if (isTold(part, 'thicknessMm')) return 0;
  const [edge, far] = [assumedEdgeMm(part, mounts, pupilMm), assumedEdgeMm(part, mounts, null)];
  return edge === null || far === null ? 0 : Math.abs(1 - far / edge);
}

/**
 * Whether nothing at all tells how wide a converter's own rim is: neither measured, nor its format or throat known. What a
 * front converter was made for tells nothing: how it cuts hangs on how far before the pupil it stands.
 */
export const isRimUnknown = (part: Part, mounts: Mounts): boolean =>
  part.factor !== 1 && rimsKnown(part, mounts).length === 0;

/** Teleconverters are made for lenses from this many design diagonals on. Common practice, no source. */
const TELE_FROM_DIAGONALS = 1.5;

/** Whether a teleconverter stands behind a lens of the kind it is made for: a long one. */
export const isMadeForLens = (
  { kind }: Pick<Part, 'kind'>,
  { focalMinMm, designFormat }: Pick<Lens, 'focalMinMm' | 'designFormat'>,
): boolean =>
  kind === 'teleconverter' && focalMinMm >= TELE_FROM_DIAGONALS * diagonalMm(designFormat);

const scaled = (rim: Rim, factor: number): Rim => ({
  ...rim,
  edgeRadiusMm: rim.edgeRadiusMm * factor,
  softnessMm: rim.softnessMm * factor,
});

/** A halo behind a converter: R -> mR, w -> mw, pupil distance recomputed, or kept where registers do not tell its place. */
function behindConverter({ factor, thin }: Link, halo: Halo): Halo {
  const { rims, exitPupilMm, coneTangent, centre } = halo;
  return {
    rims: rims.map((rim) => scaled(rim, factor)),
    exitPupilMm: exitPupilMm !== null && thin ? pupilBehind(thin, exitPupilMm) : exitPupilMm,
    coneTangent: coneTangent / factor,
    centre: { xMm: centre.xMm * factor, yMm: centre.yMm * factor },
  };
}

/** How far the tubes that come before the next glass carry what stands before them from its picture, mm. */
function tubesBefore(links: readonly Link[], outMm: (link: Link) => number): number {
  const glass = links.findIndex(({ factor }) => factor !== 1);
  const tubes = glass < 0 ? links : links.slice(0, glass);
  return tubes.reduce((sum, link) => sum + outMm(link), 0);
}

/**
 * The bare lens's halo as it falls behind the train: through each converter in turn, farther back by each tube behind one
 * (those before all glass carry the lens out, and are in its halo already), each part's own rim joined on its side.
 */
export function haloBehind(
  { links, mounts }: Train,
  halo: Halo,
  lensFNumber: number,
  helicoidMm = 0,
): Halo {
  const outMm = extensionOf(helicoidMm);
  let behind = halo;
  let fNumber = lensFNumber;
  let isBehindGlass = false;
  for (const [i, link] of links.entries()) {
    if (link.factor !== 1) {
      fNumber *= link.factor;
      behind = behindConverter(link, behind);
      isBehindGlass = true;
    } else if (isBehindGlass) {
      const farther = haloFartherBack(behind, fNumber, outMm(link));
      fNumber *= behind.coneTangent / farther.coneTangent;
      behind = farther;
    }
    // Behind glass each tube carries all that is there already, in its turn.
    const fartherMm = isBehindGlass ? 0 : tubesBefore(links.slice(i + 1), outMm);
    const joined = rimsOf(link.part, fNumber, mounts, behind.exitPupilMm, fartherMm);
    if (joined.length > 0) behind = { ...behind, rims: [...behind.rims, ...joined] };
  }
  return behind;
}
