/**
 * Frames of one setting at several apertures, measured together and each alone. Wide open, natural falloff
 * and soft rims look alike, so the exit pupil is taken from the most stopped-down frame and kept for the
 * others. What the joint fit says of each aperture is held against what its own frame says.
 */
import { fitHalo, type FrameLight, type HaloFit } from './haloFit';
import { halfLightOf } from './haloModel';
import { halfLightInterval } from './interval';
import { openInterval, tellsFalloff } from './openInterval';

interface Together {
  /** One pair of rims for every aperture. */
  joint: HaloFit;
  /** What each frame says at its own aperture, in their order. */
  alone: readonly HaloFit[];
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

/**
 * A frame alone, with an exit pupil it cannot tell itself, as long as that does not leave what the frame itself says of
 * half light: neither a guess nor another frame outweighs what was seen.
 */
function aloneWith(frame: FrameLight, exitPupilMm: number | null): HaloFit {
  const seen = fitHalo([frame]);
  const own = halfLightInterval(seen);
  const { low, high } = tellsFalloff(frame) ? own : openInterval(seen, frame, own);
  const told = fitHalo([frame], { exitPupilMm });
  return told.halfLightMm >= low && told.halfLightMm <= (high ?? Infinity) ? told : seen;
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
  if (!last) {
    const fit = tellsFalloff(first) ? fitHalo([first]) : aloneWith(first, usualPupilMm);
    return { joint: fit, alone: [fit], disagreementMm: 0 };
  }
  const closed = fitHalo([last]);
  const { exitPupilMm } = closed;
  const alone = frames.map((frame) => (frame === last ? closed : aloneWith(frame, exitPupilMm)));
  const apart = (fit: HaloFit): number =>
    Math.max(
      ...alone.map(({ halfLightMm }, i) =>
        Math.abs(halfLightAt(fit, first.fNumber, frames[i]?.fNumber ?? 1) - halfLightMm),
      ),
    );
  return [fitHalo(frames), fitHalo(frames, { exitPupilMm })]
    .map((joint) => ({ joint, alone, disagreementMm: apart(joint) }))
    .reduce((a, b) => (b.disagreementMm < a.disagreementMm ? b : a));
}
