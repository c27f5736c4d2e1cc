/** What of a rig nobody told and was taken as usual: how it shows in the risk, and what would make the verdict surer. */
import type { HaloEvidence } from '../../halo';
import { isTold, isFormatUntold, isOneFrame } from '../../kit/records';
import { isAreaTold } from '../../kit/starter';
import { areMountsTold, type Rig } from '../../rig';

/** Share of rigs in which such a guess is wrong; an assumption. */
const OTHERWISE_SHARE = 0.3;

interface Untold {
  holds: (rig: Told) => boolean;
  doubt: (rig: Told) => string;
  /** Whether the coverage hangs on it. */
  decides: boolean;
  /** What to do about it. */
  surer: string;
}

const size = ({ widthMm, heightMm }: { widthMm: number; heightMm: number }): string =>
  `${widthMm}×${heightMm}`;

/** What of a rig somebody may not have told. */
type Told = Pick<Rig, 'body' | 'mode' | 'lens' | 'parts'>;

/** What somebody may not have told, the weightiest first. Asked of every place of a ring: words are made where it holds. */
const UNTOLD: readonly Untold[] = [
  {
    holds: ({ body, mode }) => !isAreaTold(body, mode.id),
    doubt: ({
      body: {
        modes: [whole],
      },
    }) => `nobody told which sensor the camera has: taken as ${whole ? size(whole) : 'usual'}`,
    decides: true,
    surer: 'Say in the Kit how large the sensor is: everything hangs on it.',
  },
  {
    holds: ({ parts }) => parts.some((part) => !isTold(part, 'kind')),
    doubt: () => 'nobody told what stands between: taken as a plain adapter',
    decides: true,
    surer: 'Look what stands between lens and camera: glass in it would change the halo.',
  },
  {
    holds: ({ lens }) => lens.halo.length === 0 && !isTold(lens, 'focalMinMm'),
    doubt: () => 'nobody told which lens it is: taken as a normal one',
    decides: true,
    surer: 'Say in the Kit what is engraved on the lens.',
  },
  {
    holds: ({ lens }) => lens.halo.length === 0 && isFormatUntold(lens),
    doubt: ({ lens }) =>
      `nobody told which format the lens was made for: taken as ${size(lens.designFormat)}`,
    decides: true,
    surer: 'Find out which format the lens was made for; two test frames would tell even more.',
  },
  {
    holds: (rig) => !areMountsTold(rig),
    doubt: () => 'nobody told which mounts these are: whether it goes together is not known',
    decides: false,
    surer: 'Find out which mounts these are: the mount finder in the Kit helps.',
  },
];

const untoldOf = (rig: Told): Untold[] => UNTOLD.filter(({ holds }) => holds(rig));

/** Least share of rigs that are otherwise than was taken for granted, 0..1. */
export const untoldShare = (rig: Told): number =>
  UNTOLD.some(({ decides, holds }) => decides && holds(rig)) ? OTHERWISE_SHARE : 0;

/** The evidence, less sure by what nobody told of a rig. */
export function withUntold(rig: Rig, evidence: HaloEvidence): HaloEvidence {
  const untold = untoldOf(rig);
  if (untold.length === 0) return evidence;
  const doubts = [...untold.map(({ doubt }) => doubt(rig)), ...evidence.doubts];
  if (!untold.some((u) => u.decides)) return { ...evidence, doubts };
  const unlikeShare = Math.max(evidence.unlikeShare, OTHERWISE_SHARE);
  return { ...evidence, kind: 'estimated', unlikeShare, doubts };
}

/** What is said wherever an estimate is asked about places farther out than it knows of. */
export const BEYOND_OWN_CORNER = 'Nobody knows beyond the corner of its own format';

/**
 * The one thing that would make the verdict surer; null where two frames were measured. `isBeyond` tells whether corners
 * lie beyond the own corner of a lens nobody measured.
 */
export function surerOf(rig: Rig, isBeyond: boolean): string | null {
  const [first] = untoldOf(rig);
  if (first) return first.surer;
  const { lens } = rig;
  const measured = lens.halo.filter((s) => s.evidence.kind === 'measured');
  if (measured.length === 0)
    return isBeyond
      ? `${BEYOND_OWN_CORNER}: two test frames of an even wall, wide open and at f/8, would settle it.`
      : 'Two test frames of an even wall, wide open and at f/8, would measure the halo.';
  return measured.every((s) => isOneFrame(s.evidence))
    ? 'A second test frame, at f/8, would settle the other apertures.'
    : null;
}
