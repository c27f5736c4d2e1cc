/**
 * Lenses drawn another way than those the method was made with: rims anywhere before and behind the iris,
 * told by where they stand and how wide they are, not by what they do. None takes light from the axis.
 */
import { expose, trueRadii, type Group, type Opening, type RayLens } from '@/core/bench-camera';
import { diagonalMm } from '@/core/optics';
import { randomOf, type Random } from '@/core/maths';
import {
  exposureOf,
  FORMATS,
  mapOf,
  pick,
  throughJpeg,
  type DrawnFrame,
  type DrawnRig,
} from './frames';

/** Where a ray from (rMm, 0) on the sensor towards `qMm` in the pupil meets the plane at `zMm`, mm. */
function heightAt(lens: Omit<RayLens, 'openings'>, rMm: number, qMm: number, zMm: number): number {
  let slope = (qMm - rMm) / lens.exitPupilMm;
  let height = rMm;
  let at = 0;
  for (const group of lens.groups) {
    if (group.zMm >= zMm) break;
    height += slope * (group.zMm - at);
    slope -= height / group.focalMm;
    at = group.zMm;
  }
  return height + slope * (zMm - at);
}

/** An opening at `zMm` whose rim the ray through the pupil's middle from the edge radius just meets. */
const openingAt = (lens: Omit<RayLens, 'openings'>, zMm: number, edgeMm: number): Opening => ({
  zMm,
  radiusMm: Math.abs(heightAt(lens, edgeMm, 0, zMm)),
});

/**
 * Kinds of lenses: one thin group before the iris; two apart, which bend off axis as thick glass does; wide ones with a
 * strong negative group far ahead and a near pupil; long ones whose pupil stands far away; one hard edge near the sensor
 * and nothing else that cuts; four groups.
 */
export const LENS_KINDS = ['thin', 'thick', 'retrofocus', 'far pupil', 'baffle', 'four'] as const;
type LensKind = (typeof LENS_KINDS)[number];

/** What stands before the iris. */
function groupsOf(random: Random, halfMm: number, exitPupilMm: number, kind: LensKind): Group[] {
  const first: Group = {
    zMm: exitPupilMm + random.between(2, 14),
    focalMm: halfMm * random.between(3, 9),
    spherical: random.between(-0.08, 0.1),
  };
  if (kind === 'retrofocus') {
    const zMm = first.zMm + random.between(20, 45);
    return [first, { zMm, focalMm: -halfMm * random.between(2, 4), spherical: first.spherical }];
  }
  if (kind === 'four') {
    const at = (step: number) => first.zMm + step * random.between(5, 12);
    const focal = (sign: number) => sign * halfMm * random.between(4, 10);
    return [
      first,
      ...[1, 2, 3].map((k) => ({ ...first, zMm: at(k), focalMm: focal(k % 2 ? -1 : 1) })),
    ];
  }
  if (kind !== 'thick') return [first];
  // A negative group ahead, as in wide lenses, or a second positive one.
  const focalMm = halfMm * random.between(4, 10) * (random.chance(0.5) ? -1 : 1);
  const second = { zMm: first.zMm + random.between(6, 25), focalMm, spherical: first.spherical };
  return [first, second];
}

/** Exit pupils over half the diagonal, by kind where it matters. */
const PUPILS = {
  retrofocus: [1.4, 2.4],
  'far pupil': [4.5, 9],
} as const satisfies Partial<Record<LensKind, readonly [number, number]>>;
const USUAL_PUPILS = [1.5, 4.5] as const;

const pupilsOf = (kind: LensKind): readonly [number, number] =>
  kind === 'retrofocus' || kind === 'far pupil' ? PUPILS[kind] : USUAL_PUPILS;

function drawLens(
  random: Random,
  halfMm: number,
  edgeMm: number,
  kind: LensKind = 'thin',
): RayLens {
  const exitPupilMm = halfMm * random.between(...pupilsOf(kind));
  const lens = {
    exitPupilMm,
    openFNumber: pick(random, [1.4, 2, 2.8, 4]),
    blades: random.whole(5, 9),
    pupilGrowth: random.between(-0.05, kind === 'retrofocus' ? 0.3 : 0.15),
    pupilDrift: random.between(-0.05, 0.05),
    groups: groupsOf(random, halfMm, exitPupilMm, kind),
  };
  const ahead = Math.max(...lens.groups.map((g) => g.zMm));
  if (kind === 'baffle')
    return {
      ...lens,
      openings: [openingAt(lens, exitPupilMm * random.between(0.12, 0.4), edgeMm)],
    };
  const edge = () => edgeMm * random.between(1, 1.25);
  const before = Array.from({ length: random.whole(1, 2) }, () =>
    openingAt(lens, ahead + random.between(15, 90), edge()),
  );
  const behind = Array.from({ length: random.whole(0, 2) }, () =>
    openingAt(lens, exitPupilMm * random.between(0.2, 0.85), edge()),
  );
  return { ...lens, openings: [...before, ...behind] };
}

/** The f-number is what it says only if no rim is narrower than the beam to the sensor's middle. */
const isHonest = (lens: RayLens): boolean =>
  lens.openings.every(
    ({ zMm, radiusMm }) =>
      radiusMm > 1.02 * Math.abs(heightAt(lens, 0, lens.exitPupilMm / (2 * lens.openFNumber), zMm)),
  );

/** A lens by its number, with the sensor it is tried on; null where no honest lens came of it. */
export function drawOtherLens(number: number, kind: LensKind = 'thin'): DrawnRig | null {
  const random = randomOf(300_000 + number);
  const sensor = pick(random, FORMATS);
  const half = diagonalMm(sensor) / 2;
  const lens = drawLens(random, half, half * random.between(0.7, 1.15), kind);
  const [away, turn] = [random.between(0, 0.6), random.between(0, 2 * Math.PI)];
  const centre = { xMm: away * Math.cos(turn), yMm: away * Math.sin(turn) };
  return isHonest(lens) ? { lens, sensor, openFNumber: lens.openFNumber, centre } : null;
}

/** A frame of 2 MP by its number; null where no honest lens came of it, or its edge is far off the frame. */
export async function drawOtherFrame(number: number): Promise<DrawnFrame | null> {
  const random = randomOf(700_000 + number);
  const sensor = pick(random, FORMATS);
  const half = diagonalMm(sensor) / 2;
  const lens = drawLens(random, half, half * random.between(0.6, 1.15));
  if (!isHonest(lens)) return null;
  const { openFNumber } = lens;
  const [away, turn] = [random.between(0, 1), random.between(0, 2 * Math.PI)];
  const centre = { xMm: away * Math.cos(turn), yMm: away * Math.sin(turn) };
  const rig = { lens, sensor, openFNumber, centre };
  const steps = Math.floor(4 * Math.log2(16 / openFNumber));
  const fNumber = openFNumber * 2 ** (random.whole(0, steps) / 4);
  const map = mapOf(rig, fNumber);
  const truth = trueRadii(map);
  if (truth.halfLight === null || truth.halfLight > 1.25 * half) return null;
  const jpeg = random.chance(0.5);
  const exposure = exposureOf(rig, random, {
    depth: jpeg ? 8 : 16,
    tone: jpeg ? 'srgb' : 'linear',
  });
  const taken = expose(map, exposure);
  return { rig, fNumber, image: jpeg ? await throughJpeg(taken) : taken, truth, exposure };
}
