/**
 * What to expect of a lens nobody has measured: the diameter of its halo as a share of the diagonal it
 * was designed for. Assumptions of this program, shown as "estimated" and never as fact; that primes
 * cover better than zooms, long lenses better than short and macros best is common practice, no source.
 */
import { isZoom, type Lens } from '../kit/records/lens';
import { diagonalMm } from '../optics/formats';

export interface Prior {
  /** Mean of 2R / design diagonal. */
  mean: number;
  /** Its standard deviation. */
  sigma: number;
  /**
   * Exit-pupil distance as a share of the design diagonal: the distance whose natural falloff gives the
   * middle of what lenses of that kind still lose in the corner at f/8, from the quartiles in
   * docs/optics.md "What is normal".
   */
  exitPupil: number;
  /** In words, for the reader who asks why. */
  kind: string;
}

const prior = (kind: string, mean: number, sigma: number, exitPupil: number): Prior => ({
  kind,
  mean,
  sigma,
  exitPupil,
});

const ZOOM = [
  prior('zoom, wide end', 1.04, 0.05, 0.72),
  prior('zoom, middle', 1.1, 0.06, 0.95),
  prior('zoom, long end', 1.08, 0.06, 1.25),
] as const;

const MACRO = prior('macro', 1.2, 0.12, 1.2);
const CINE = prior('cine prime', 1.12, 0.06, 1.1);
const ANAMORPHIC = prior('anamorphic', 1.06, 0.06, 1.1);
const SHORT = prior('short prime', 1.08, 0.06, 0.83);
const NORMAL = prior('normal prime', 1.12, 0.07, 1.11);
const LONG = prior('long prime', 1.3, 0.15, 1.5);

/** Prior of a zoom at `focalMm`: wide, middle and long figures blended in log f. */
function zoomPrior(lens: Lens, focalMm: number): Prior {
  const share = Math.log(focalMm / lens.focalMinMm) / Math.log(lens.focalMaxMm / lens.focalMinMm);
  const t = Math.min(1, Math.max(0, share)) * 2;
  const [a, b] = t <= 1 ? [ZOOM[0], ZOOM[1]] : [ZOOM[1], ZOOM[2]];
  const s = t <= 1 ? t : t - 1;
  const nearest = ZOOM[Math.round(t)] ?? ZOOM[1];
  const blend = (of: (p: Prior) => number) => of(a) + (of(b) - of(a)) * s;
  return prior(
    nearest.kind,
    blend((p) => p.mean),
    blend((p) => p.sigma),
    blend((p) => p.exitPupil),
  );
}

/** What to expect of a lens at `focalMm` without a measurement. */
export function priorFor(lens: Lens, focalMm: number): Prior {
  if (lens.character === 'macro') return MACRO;
  if (lens.character === 'anamorphic') return ANAMORPHIC;
  if (isZoom(lens)) return zoomPrior(lens, focalMm);
  if (lens.character === 'cine') return CINE;
  const ratio = focalMm / diagonalMm(lens.designFormat);
  if (ratio < 0.8) return SHORT;
  return ratio >= 2 ? LONG : NORMAL;
}

/** Softness of an unmeasured halo: w = 0.12 R at f/2, so w·N = 0.24 R. An assumption. */
export const PRIOR_SOFTNESS_TIMES_N = 0.24;
