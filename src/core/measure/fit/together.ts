/**
 * Frames of one setting at several apertures, measured together and each alone. Wide open, natural falloff
 * and soft rims look alike, so the exit pupil is taken from the most stopped-down frame and kept for the
 * others. What the joint fit says of each aperture is held against what its own frame says: where the two
 * part, the joint fit is as unsure as that.
 */
import { fitHalo, type FrameLight, type HaloFit } from './haloFit';
import { halfLightOf } from './haloModel';
import { halfLightInterval } from './interval';

interface Together {
  fit: HaloFit;
  /** Farthest the joint fit's half light is from that of a frame alone, mm; 0 for a single frame. */
  disagreementMm: number;
}

/** Half light of a joint fit at the aperture of one of its frames, mm. */
function halfLightAt(fit: HaloFit, firstFNumber: number, fNumber: number): number {
  const harder = firstFNumber / fNumber;
  return halfLightOf(
    fit.rims.map((rim) => ({
      ...rim,
      softnessMm: Math.min(rim.edgeRadiusMm, rim.softnessMm * harder),
    })),
  );
}

/** Wider than this, one frame cannot tell natural falloff from soft rims. */
export const TELLS_FALLOFF_FROM = 5.6;

/**
 * A frame alone. One too wide open to tell its falloff is fitted with a usual one, as long as that does not leave what the
 * frame itself says of half light: no guess outweighs what was seen.
 */
function aloneOf(frame: FrameLight & { fNumber: number }, usualPupilMm: number): HaloFit {
  const seen = fitHalo([frame]);
  if (frame.fNumber >= TELLS_FALLOFF_FROM) return seen;
  const { low, high } = halfLightInterval(seen);
  const usual = fitHalo([frame], { exitPupilMm: usualPupilMm });
  return usual.halfLightMm >= low && usual.halfLightMm <= (high ?? Infinity) ? usual : seen;
}

/**
 * Frames with their f-numbers, the widest aperture first. `usualPupilMm` is the exit pupil to expect of the
 * kind of lens, for a single frame too wide open to tell its own.
 */
export function fitTogether(
  frames: readonly (FrameLight & { fNumber: number })[],
  usualPupilMm: number,
): Together {
  const [first, ...others] = frames;
  const last = others.at(-1);
  if (!first) throw new RangeError('no frames to measure');
  if (!last) return { fit: aloneOf(first, usualPupilMm), disagreementMm: 0 };
  const closed = fitHalo([last]);
  const { exitPupilMm } = closed;
  const alone = frames.map((frame) =>
    frame === last ? closed : fitHalo([frame], { exitPupilMm }),
  );
  const apart = (fit: HaloFit): number =>
    Math.max(
      ...alone.map(({ halfLightMm }, i) =>
        Math.abs(halfLightAt(fit, first.fNumber, frames[i]?.fNumber ?? 1) - halfLightMm),
      ),
    );
  const joint = [fitHalo(frames), fitHalo(frames, { exitPupilMm })].map((fit) => ({
    fit,
    disagreementMm: apart(fit),
  }));
  return joint.reduce((a, b) => (b.disagreementMm < a.disagreementMm ? b : a));
}
