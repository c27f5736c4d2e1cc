/** The practice lens: made up, its halo hidden, for trying one's hand at measuring. */
import { quickLens } from '../kit';
import { type Lens, PRACTICE_MAKER } from '../kit/records';
import { diagonalMm, type FrameSize, type Offset } from '../optics';
import type { ShotSettings } from './exif';
import type { Exposure } from './expose';
import { hiddenLens } from './hiddenLens';
import type { RayLens } from './rays';

export interface PracticeShot {
  sensor: FrameSize;
  /** Where the middle of the frame lies from the lens's axis, mm. */
  middle: Offset;
  focalMm: number;
  fNumber: number;
  /** ISO time of the frame. */
  takenAt: string;
  file: 'jpeg' | 'png';
  /** The stabiliser was left on: the sensor stands elsewhere in each frame. */
  stabiliser?: boolean;
  seed: number;
}

const OPEN = 2;
const FOCAL_MM = 40;

/** What the hidden halo is, in shares of the sensor's half-diagonal, so that it shows on any body. */
const EDGE_SHARE = 0.82;
const SOFT_SHARE = 0.11;

export function practiceLens(mountId: string, sensor: FrameSize): Lens {
  return {
    ...quickLens(
      {
        name: '40/2 with a hidden halo',
        maker: PRACTICE_MAKER,
        mountId,
        focalMinMm: FOCAL_MM,
        focalMaxMm: FOCAL_MM,
        openFNumberWide: OPEN,
        openFNumberLong: OPEN,
        designFormat: { widthMm: sensor.widthMm * 0.8, heightMm: sensor.heightMm * 0.8 },
      },
      `practice-${Math.round(diagonalMm(sensor) * 10)}`,
    ),
    note: 'Made up for practice with the simulated camera.',
  };
}

const WIDTH_PX = 2400;
/** How far a stabiliser left on carries the sensor, share of the half-diagonal. */
const WANDER_SHARE = 0.03;

/** Where the halo's centre falls in a frame, mm. */
function centreIn({ middle, stabiliser, seed }: PracticeShot, half: number): Exposure['centre'] {
  const still = { xMm: half * 0.012 - middle.xMm, yMm: -half * 0.008 - middle.yMm };
  if (!stabiliser) return still;
  const turn = 2.4 * seed;
  const by = half * WANDER_SHARE;
  return { xMm: still.xMm + by * Math.cos(turn), yMm: still.yMm + by * Math.sin(turn) };
}

export function practiceRig(shot: PracticeShot): {
  lens: RayLens;
  exposure: Exposure;
  settings: ShotSettings;
  reachMm: number;
} {
  const half = diagonalMm(shot.sensor) / 2;
  const lens = hiddenLens({
    frontEdgeMm: half * EDGE_SHARE,
    frontSoftnessMm: half * SOFT_SHARE,
    rearEdgeMm: half * EDGE_SHARE * 1.06,
    rearSoftnessMm: half * SOFT_SHARE * 1.2,
    exitPupilMm: half * 2.8,
    openFNumber: OPEN,
    blades: 8,
    pupilGrowth: 0.04,
    pupilDrift: 0.01,
    spherical: 0.03,
  });
  return {
    lens,
    reachMm: half * 1.4 + Math.hypot(shot.middle.xMm, shot.middle.yMm),
    exposure: {
      sensor: shot.sensor,
      widthPx: WIDTH_PX,
      heightPx: Math.round((WIDTH_PX * shot.sensor.heightMm) / shot.sensor.widthMm),
      level: 0.55,
      centre: centreIn(shot, half),
      gradient: { x: 0.03, y: -0.02 },
      noise: 0.006,
      readNoise: 0.001,
      dust: 12,
      tone: 'srgb',
      depth: shot.file === 'png' ? 16 : 8,
      channels: shot.file === 'png' ? 1 : 3,
      seed: shot.seed,
    },
    settings: {
      focalMm: shot.focalMm,
      fNumber: shot.fNumber,
      exposureS: Math.max(1 / 4000, (shot.fNumber / OPEN) ** 2 / 400),
      iso: 100,
      takenAt: shot.takenAt.replace('T', ' ').slice(0, 19),
      srgb: true,
    },
  };
}
