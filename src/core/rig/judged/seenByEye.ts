/**
 * What somebody saw by eye on the camera, at the counter or on set, as a sample of the lens: less than a test frame
 * tells, more than a published figure, because it was this lens on this camera.
 */
import { judge, NO_TRAVEL } from '../../frame';
import { edgeSpread, evidenceFor, lensAt, predictHalo, priorFor, SOFTNESS_SIGMA } from '../../halo';
import {
  behindWords,
  haloSampleOf,
  isFormatUntold,
  isZoom,
  openFNumberAt,
  fullName,
  type HaloSample,
} from '../../kit/records';
import { whereBeginning } from '../../maths';
import { diagonalMm } from '../../optics';
import { situationOf, turned, type Rig } from '../../rig';
import { fail, ok, type Result } from '../../words';

/** A border that can be turned to: the darkest corner is just clear, or just black. */
export type Look = 'just clear' | 'just black';
export const LOOKS: readonly Look[] = ['just clear', 'just black'];

/** Light the rims let through to a corner that an eye calls so: the likeliest, and where most eyes agree. Assumptions. */
const LIGHT: Readonly<Record<Look, { likeliest: number; from: number; to: number }>> = {
  'just clear': { likeliest: 0.66, from: 0.45, to: 0.85 },
  'just black': { likeliest: 0.03, from: 0.005, to: 0.1 },
};
/** Four of five eyes lie between the two; so many standard deviations of a normal distribution are that. */
const AGREED_SIGMAS = 2 * 1.2816;
/** How far a zoom mark is read off its ring, as a share of the halo's radius. An assumption. */
const MARK_SIGMA = 0.02;
/** The edge is looked for within so many half diagonals of the format the lens was made for. */
const SEARCHED = { least: 0.15, most: 4 };
const HALVINGS = 40;
/** A lens one standard deviation softer than is usual, times. */
const SOFTER = Math.exp(SOFTNESS_SIGMA.seen);

/** A lens whose one rim has a given edge as it is set, mm, and is so many times as soft as is usual. */
function sampleOf(rig: Rig, edgeRadiusMm: number, softer = 1): HaloSample {
  const { lens, settings } = rig;
  const { focalMm, fNumber, focusM } = settings;
  const { softness } = priorFor(lens, focalMm);
  const softMm = (softer * softness * edgeRadiusMm * openFNumberAt(lens, focalMm)) / fNumber;
  return haloSampleOf({
    id: 'seen',
    focalMm,
    fNumber,
    focusM,
    front: { edgeRadiusMm, softnessMm: Math.min(edgeRadiusMm, softMm) },
    evidence: { kind: 'seen', date: '', frames: 0, source: '' },
  });
}

/** Light of the rims in the darkest corner of a rig at rest, if the lens had such an edge, 0..1. */
function cornerLight(rig: Rig, edgeRadiusMm: number, softer: number): number {
  const lens = { ...rig.lens, halo: [sampleOf(rig, edgeRadiusMm, softer)] };
  const { halo, delivered, limitStops } = situationOf({ ...rig, lens });
  return judge(halo, delivered, NO_TRAVEL, limitStops).worstCornerTransmission;
}

/** Edge radius of the lens that lets so much light to the darkest corner, mm; null where none does. */
function edgeFor(rig: Rig, light: number, softer: number): number | null {
  const half = diagonalMm(rig.lens.designFormat) / 2;
  const [least, most] = [SEARCHED.least * half, SEARCHED.most * half];
  const isBright = (edgeMm: number) => cornerLight(rig, edgeMm, softer) >= light;
  return !isBright(most) || isBright(least)
    ? null
    : whereBeginning(isBright, least, most, HALVINGS);
}

export interface SeenByEye {
  look: Look;
  id: string;
  /** ISO date. */
  date: string;
}

/** Farther than so many standard deviations from what is usual, a lens is unlike its kind, and what is usual says nothing of it. */
const UNLIKE_SIGMAS = 2;

interface Figure {
  value: number;
  sigma: number;
}

/** Two figures of one thing, each with the weight of how sure it is (weighted mean; any handbook of statistics). */
function together(a: Figure, b: Figure): Figure {
  const [wa, wb] = [1 / a.sigma ** 2, 1 / b.sigma ** 2];
  return { value: (a.value * wa + b.value * wb) / (wa + wb), sigma: 1 / Math.sqrt(wa + wb) };
}

/** What the eye says of the edge, weighed with what is usual of such a lens: an eye alone may say less than that. */
function weighed({ lens, settings }: Rig, seen: Figure): Figure {
  if (isFormatUntold(lens)) return seen;
  const { focalMm, fNumber, focusM } = settings;
  const at = lensAt({ ...lens, halo: [] }, { focalMm, fNumber, focusM });
  const halo = predictHalo(at);
  const value = halo.rims[0]?.edgeRadiusMm ?? 0;
  const { inwardMm, outwardMm } = edgeSpread(halo, evidenceFor(at));
  const usual = { value, sigma: seen.value < value ? inwardMm : outwardMm };
  const apart = Math.abs(seen.value - value) / Math.hypot(seen.sigma, usual.sigma);
  return apart > UNLIKE_SIGMAS ? seen : together(seen, usual);
}

/** A sample of the lens from what the picture of a rig showed as it is set, the sensor at rest. */
export function seenSample(rig: Rig, { look, id, date }: SeenByEye): Result<HaloSample> {
  const still = turned(rig, { stabiliser: false });
  const { likeliest, from, to } = LIGHT[look];
  const edges = [
    [likeliest, 1],
    [from, 1],
    [to, 1],
    [likeliest, 1 / SOFTER],
    [likeliest, SOFTER],
  ] as const;
  const [edge, low, high, harder, softer] = edges.map(([light, times]) =>
    edgeFor(still, light, times),
  );
  if (edge == null || low == null || high == null || harder == null || softer == null)
    return fail(
      'tellsNothing',
      '/look',
      'That tells nothing of the lens: as it is set here, something else cuts the corners, or nothing could.',
    );
  const mark = isZoom(rig.lens) ? MARK_SIGMA * edge : 0;
  const sigma = Math.hypot((high - low) / AGREED_SIGMAS, (softer - harder) / 2, mark);
  const known = weighed(still, { value: edge, sigma });
  return ok({
    ...sampleOf(still, known.value),
    id,
    edgeSigmaMm: known.sigma,
    evidence: {
      kind: 'seen',
      date,
      frames: 0,
      source:
        `corners ${look} by eye on ${fullName(rig.body)}, ${rig.mode.name}${behindWords(rig.parts)}`.slice(
          0,
          400,
        ),
    },
  });
}

/** The samples of a lens with one seen by eye; it takes the place of what was seen by eye at that setting before. */
export const withSeen = (samples: readonly HaloSample[], seen: HaloSample): HaloSample[] => [
  ...samples.filter(
    ({ evidence, focalMm, fNumber }) =>
      evidence.kind !== 'seen' || focalMm !== seen.focalMm || fNumber !== seen.fNumber,
  ),
  seen,
];
