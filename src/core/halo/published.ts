/**
 * What a published radius says of the halo's edge. A tester's circle of so many stops is turned into the edge
 * that darkens so; a maker's image circle is the part the maker answers for, and the edge lies a little
 * outside it. How far each may be off is common practice, no source.
 */
import type { FigureMeaning, HaloSample } from '../kit/records';
import { whereBeginning } from '../maths';
import { lightAt, type Halo } from './rims';

/** The edge of a halo over the image circle its maker answers for. */
const EDGE_OVER_IMAGE_CIRCLE = 1.04;
const STOPS: Partial<Record<FigureMeaning, number>> = { '-1 stop': 1, '-2 stops': 2 };

/** How far the edge may lie from what a figure of each meaning says, share of it. */
export const MEANING_SIGMA: Record<FigureMeaning, number> = {
  'half light': 0.025,
  'image circle': 0.05,
  '-1 stop': 0.035,
  '-2 stops': 0.03,
};

/** Edge radius a sample tells, mm; `exitPupilMm` is its own or what is usual. */
export function edgeTold(sample: HaloSample, exitPupilMm: number): number {
  const { front, fNumber, meaning, evidence } = sample;
  const told = front.edgeRadiusMm;
  if (evidence.kind !== 'published' || meaning === 'half light') return told;
  const stops = STOPS[meaning];
  if (stops === undefined) return told * EDGE_OVER_IMAGE_CIRCLE;
  const haloOf = (edgeRadiusMm: number): Halo => ({
    rims: [{ side: 'front', edgeRadiusMm, softnessMm: Math.min(edgeRadiusMm, front.softnessMm) }],
    exitPupilMm,
    coneTangent: 1 / (2 * fNumber),
    centre: { xMm: 0, yMm: 0 },
  });
  const isBright = (edge: number) => lightAt(haloOf(edge), told).light >= 2 ** -stops;
  // Natural falloff alone may be darker than told: then the rims take nothing there.
  const [least, most] = [told * 0.7, told * 2];
  return isBright(most) ? whereBeginning(isBright, least, most, 30) : most;
}
