/** How far a train carries the picture out beyond its register. */
import { convertersShiftMm, type Link, type Train } from './train';

export interface CarriedOut {
  /** How far the lens itself is carried out, mm: by what stands before all glass. */
  lensMm: number;
  /** How much farther out than that its own picture has to lie, mm, for what stands out behind glass. */
  behindMm: number;
  /**
   * Product of the factors as the converters then work: of one whose picture is taken e farther back than it is made for,
   * with glass of focal length F, m - e/F in place of m.
   */
  factor: number;
  /** How far all of it together carries the lens from the sensor, mm. */
  totalMm: number;
}

/** A converter carried farther out than its glass can follow is held at this share of its factor. */
const LEAST_SHARE_OF_FACTOR = 0.05;

/** The factor of a converter whose picture is taken so far behind where it is made to be. */
function factorAt({ factor, thin }: Link, backMm: number): number {
  if (!thin) return factor;
  return Math.max(LEAST_SHARE_OF_FACTOR * factor, factor - backMm / thin.focalMm);
}

/**
 * What follows for the lens where each link of a train carries the picture out by `outMm`: followed from the sensor to
 * the lens. Its picture before a converter m, then m′, lies e/(m m′) farther back for e behind it. Source: thin-lens
 * equation, docs/optics.md.
 */
export function carriedOut(
  { links }: Pick<Train, 'links'>,
  outMm: (link: Link) => number,
): CarriedOut {
  const carried: CarriedOut = { lensMm: 0, behindMm: 0, factor: 1, totalMm: 0 };
  for (const link of links.toReversed()) {
    const out = outMm(link);
    carried.lensMm += out;
    carried.totalMm += out;
    if (link.factor === 1) continue;
    const back = carried.lensMm + carried.behindMm;
    const factor = factorAt(link, back);
    carried.factor *= factor;
    carried.behindMm = back / (link.factor * factor);
    carried.lensMm = 0;
  }
  return carried;
}

/** How far a link carries the picture out, mm: a tube by its thickness, a helicoid by how far it is run out. */
export const extensionOf =
  (helicoidMm: number) =>
  ({ part, imageShiftMm }: Link): number => {
    if (part.kind === 'extension tube') return Math.max(0, -(imageShiftMm ?? -part.thicknessMm));
    return part.kind === 'helicoid' ? Math.min(helicoidMm, part.helicoidMm) : 0;
  };

/**
 * From the sensor to the plane from which distances of a thin lens count, mm: its image distance f (1 + m), less how far
 * converters carry the image toward the lens, and with tubes behind them as long as they are. Principal planes are taken as
 * one, as nobody tells how far they are apart; where registers do not tell where a converter stands, its shift is left out.
 */
export const wayFromSensorMm = (
  train: Train,
  { lensMm, behindMm, totalMm }: CarriedOut,
  focalMm: number,
  magnification: number,
): number => focalMm * (1 + magnification) + totalMm - lensMm - behindMm - convertersShiftMm(train);
