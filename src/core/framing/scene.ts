/**
 * A made-up scene: the miller before the beams and lamps of a wheel-house, and whoever stands beside him. Metres;
 * x right, y down, z away from the camera, all from the miller's eyes.
 */

export interface Spot {
  xM: number;
  yM: number;
  zM: number;
}

/** What can be moved in the scene. */
export interface Scene {
  /** How far behind the miller the lamps hang, m. */
  lampsM: number;
  /** How far to his side the second person stands, m; right is positive. */
  besideM: number;
}

export const USUAL_SCENE: Scene = { lampsM: 2.7, besideM: 0.85 };
/** How far each may be moved, m. */
export const SCENE_RANGE = { lampsM: [0.5, 60], besideM: [-4, 4] } as const;

/** What a shape is of: painters know its colour. */
export type Ink = 'wall' | 'floor' | 'beam' | 'coat' | 'coat beside' | 'skin' | 'hat' | 'lamp';

/** An outline in one plane of the scene. */
export interface Outline {
  ink: Ink;
  points: readonly Spot[];
}

type Flat = readonly [xM: number, yM: number];

const at = (points: readonly Flat[], zM: number, shiftM = 0): Spot[] =>
  points.map(([x, y]) => ({ xM: x + shiftM, yM: y, zM }));

const AROUND = 28;

function ellipse(x: number, y: number, halfWidth: number, halfHeight: number): Flat[] {
  return Array.from({ length: AROUND }, (_, i): Flat => {
    const angle = (i / AROUND) * 2 * Math.PI;
    return [x + halfWidth * Math.cos(angle), y + halfHeight * Math.sin(angle)];
  });
}

/** Corners between two points of a rounded outline. */
const BETWEEN = 5;

/** A closed outline rounded through its points (Catmull-Rom spline). */
function rounded(points: readonly Flat[]): Flat[] {
  const point = (i: number): Flat => points.at(i % points.length) ?? [0, 0];
  return points.flatMap((_, i) => {
    const [a, b, c, d] = [point(i - 1 + points.length), point(i), point(i + 1), point(i + 2)];
    return Array.from({ length: BETWEEN }, (_step, k): Flat => {
      const t = k / BETWEEN;
      const along = (n: 0 | 1) =>
        b[n] +
        0.5 *
          t *
          (c[n] -
            a[n] +
            t * (2 * a[n] - 5 * b[n] + 4 * c[n] - d[n] + t * (3 * (b[n] - c[n]) + d[n] - a[n])));
      return [along(0), along(1)];
    });
  });
}

const mirrored = (half: readonly Flat[]): Flat[] => [
  ...half,
  ...half.toReversed().map(([x, y]): Flat => [-x, y]),
];

/** How far below the eyes the floor lies, m. */
const FLOOR_M = 1.64;
/** Half of a standing figure by height below the eyes, m: neck, shoulders, arms, coat to the boots. */
const COAT = rounded(
  mirrored([
    [0.055, 0.1],
    [0.075, 0.17],
    [0.18, 0.215],
    [0.235, 0.29],
    [0.255, 0.5],
    [0.265, 0.78],
    [0.225, 0.84],
    [0.235, 1.1],
    [0.25, 1.3],
    [0.16, FLOOR_M - 0.02],
    [0.04, FLOOR_M],
  ]),
);
const HEAD = ellipse(0, 0.01, 0.078, 0.12);
const HAT = rounded(
  mirrored([
    [0.03, -0.215],
    [0.088, -0.19],
    [0.098, -0.105],
    [0.19, -0.062],
    [0.185, -0.045],
    [0.05, -0.052],
  ]),
);

/** From crown to chin, m: what "as large" is judged by. */
export const HEAD_M = 0.24;

/** Beams of the wheel-house: x and y, and how far behind the lamps. Posts stand on the floor. */
const BEAMS: readonly { points: readonly Flat[]; behindM: number }[] = [
  {
    behindM: 0.5,
    points: [
      [-30, -1.6],
      [30, -1.1],
      [30, -0.88],
      [-30, -1.38],
    ],
  },
  {
    behindM: 0.7,
    points: [
      [-3.3, -9],
      [-3.05, -9],
      [-1.75, FLOOR_M],
      [-2.05, FLOOR_M],
    ],
  },
  {
    behindM: 0.6,
    points: [
      [-0.7, -9],
      [-0.45, -9],
      [-0.55, FLOOR_M],
      [-0.85, FLOOR_M],
    ],
  },
  {
    behindM: 0.9,
    points: [
      [0.45, -9],
      [0.7, -9],
      [0.95, FLOOR_M],
      [0.65, FLOOR_M],
    ],
  },
  {
    behindM: 0.6,
    points: [
      [2.1, -9],
      [2.35, -9],
      [1.8, FLOOR_M],
      [1.5, FLOOR_M],
    ],
  },
  {
    behindM: 0.8,
    points: [
      [4.3, -9],
      [4.55, -9],
      [3.1, FLOOR_M],
      [2.8, FLOOR_M],
    ],
  },
];
const WALL_BEHIND_M = 1.6;
const FAR_M = 40;
const WALL: readonly Flat[] = [
  [-FAR_M, -FAR_M],
  [FAR_M, -FAR_M],
  [FAR_M, FAR_M],
  [-FAR_M, FAR_M],
];

/** The floor from the wall to the people's feet, and straight down from there: nearer boards are below the frame. */
const floorOf = (wallM: number): Spot[] => [
  { xM: -FAR_M, yM: FLOOR_M, zM: wallM },
  { xM: FAR_M, yM: FLOOR_M, zM: wallM },
  ...at(
    [
      [FAR_M, FLOOR_M],
      [FAR_M, FAR_M],
      [-FAR_M, FAR_M],
      [-FAR_M, FLOOR_M],
    ],
    0,
  ),
];

/** Lamps: x, y, and how far before or behind the plane they hang about. */
const LAMPS: readonly Spot[] = [
  { xM: -1.25, yM: -0.3, zM: 0.1 },
  { xM: -0.7, yM: -0.52, zM: -0.25 },
  { xM: -0.42, yM: 0.28, zM: 0.3 },
  { xM: 0.38, yM: -0.6, zM: 0.15 },
  { xM: 0.78, yM: -0.18, zM: -0.1 },
  { xM: 0.62, yM: 0.42, zM: 0.2 },
  { xM: 1.35, yM: -0.5, zM: 0.05 },
  { xM: 2, yM: 0.1, zM: -0.2 },
  { xM: -1.9, yM: 0.15, zM: 0.25 },
];

/** Where each lamp hangs; none nearer than the miller's back. */
export const lampsOf = ({ lampsM }: Scene): Spot[] =>
  LAMPS.map((l) => ({ ...l, zM: Math.max(0.3, lampsM + l.zM) }));

/** Wall, floor and beams, the farthest first. */
export const backgroundOf = ({ lampsM }: Scene): Outline[] => [
  { ink: 'wall', points: at(WALL, lampsM + WALL_BEHIND_M) },
  { ink: 'floor', points: floorOf(lampsM + WALL_BEHIND_M) },
  ...BEAMS.toSorted((a, b) => b.behindM - a.behindM).map(({ points, behindM }): Outline => ({
    ink: 'beam',
    points: at(points, lampsM + behindM),
  })),
];

const person = (ink: 'coat' | 'coat beside', shiftM: number): Outline[] => [
  { ink, points: at(COAT, 0, shiftM) },
  { ink: 'skin', points: at(HEAD, 0, shiftM) },
  { ink: 'hat', points: at(HAT, 0, shiftM) },
];

/** The miller and whoever stands beside him, in the plane that is in focus. */
export const peopleOf = ({ besideM }: Scene): Outline[] => [
  ...person('coat beside', besideM),
  ...person('coat', 0),
];
