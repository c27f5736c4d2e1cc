/**
 * A starter set of the common mounts, told by class and dimension. Registers in air, mm, from the mounts' own
 * standards and common practice (docs/optics.md, "Registers"); throats where they are commonly told, from memory.
 */
import { mountOf, type Mount } from '../records';

export interface StarterMount extends Mount {
  /** Id of the format lenses and sensors on it usually are of, the largest where there are several. */
  formatId: string;
  /** Whether cameras people use today have it. */
  onCameras: boolean;
}

type Told = Pick<Mount, 'id' | 'name' | 'registerMm'> & Partial<Mount>;

const onCamera = (formatId: string, told: Told): StarterMount => ({
  ...mountOf(told),
  formatId,
  onCameras: true,
});
const onLenses = (formatId: string, told: Told): StarterMount => ({
  ...mountOf(told),
  formatId,
  onCameras: false,
});

const bayonet = (id: string, word: string, registerMm: number, throatMm: number | null): Told => ({
  id,
  name: `${word} ${registerMm.toFixed(2)}`,
  registerMm,
  locking: 'bayonet',
  throatMm,
});

const screw = (
  id: string,
  name: string,
  registerMm: number,
  throatMm: number,
  [threadMm, pitchMm]: readonly [number, number],
): Told => ({ id, name, registerMm, locking: 'screw', throatMm, threadMm, pitchMm });

/** By register, the shortest first. */
export const STARTER_MOUNTS: readonly StarterMount[] = [
  onCamera('36x24', bayonet('ml-16', 'Mirrorless bayonet', 16, 55)),
  onCamera('16', screw('s-17.526', 'Screw 1-32 17.526', 17.526, 25.4, [25.4, 0.794])),
  onCamera('crop-1.5', bayonet('ml-17.7', 'Mirrorless bayonet', 17.7, null)),
  onCamera('36x24', bayonet('ml-18', 'Mirrorless bayonet', 18, 46.1)),
  onCamera('four-thirds-inch', bayonet('sr-19.25', 'Short-register bayonet', 19.25, 38)),
  onCamera('36x24', bayonet('ml-20', 'Mirrorless bayonet', 20, null)),
  onCamera('44x33', bayonet('ml-26.7', 'Mirrorless bayonet', 26.7, 65)),
  onCamera('36x24', bayonet('rf-27.8', 'Rangefinder bayonet', 27.8, null)),
  onLenses('36x24', screw('m39-28.8', 'Screw M39x1 28.80', 28.8, 37, [39, 1])),
  onCamera('four-thirds-inch', bayonet('slr-38.67', 'SLR bayonet', 38.67, null)),
  onLenses('36x24', bayonet('slr-42', 'SLR bayonet', 42, null)),
  onLenses('36x24', bayonet('slr-43.5', 'SLR bayonet', 43.5, null)),
  onCamera('36x24', bayonet('slr-44', 'SLR bayonet', 44, 54)),
  onCamera('large-cine', bayonet('cine-44', 'Cine bayonet, large throat,', 44, null)),
  onCamera('36x24', bayonet('slr-44.5', 'SLR bayonet', 44.5, null)),
  onLenses('36x24', screw('m42-45.46', 'Screw M42x1 45.46', 45.46, 40, [42, 1])),
  onCamera('36x24', bayonet('slr-45.46', 'SLR bayonet', 45.46, null)),
  onLenses('36x24', bayonet('slr-46', 'SLR bayonet', 46, null)),
  onCamera('36x24', bayonet('slr-46.5', 'SLR bayonet', 46.5, 44)),
  onLenses('36x24', bayonet('slr-47', 'SLR bayonet', 47, null)),
  onCamera('two-thirds-inch', bayonet('video-48', 'Video bayonet', 48, null)),
  onCamera('35-full-gate', bayonet('cine-52', 'Cine bayonet', 52, 54)),
  onLenses('36x24', screw('t-55', 'T-thread 55.00', 55, 40, [42, 0.75])),
  onLenses('645', bayonet('mf-63.3', 'Medium-format bayonet', 63.3, 60)),
  onLenses('6x6', bayonet('mf-74.1', 'Medium-format bayonet', 74.1, null)),
  onLenses('6x6', bayonet('mf-74.9', 'Medium-format bayonet', 74.9, null)),
];

/** The starter set and the mounts of a workspace that are none of it, by register. */
export function knownMounts(mounts: readonly Mount[]): StarterMount[] {
  const starters = STARTER_MOUNTS.map((m) => ({ ...m, ...mountHere(m, mounts), id: m.id }));
  const here = new Set(STARTER_MOUNTS.flatMap((m) => mountHere(m, mounts)?.id ?? []));
  const others = mounts
    .filter((m) => !here.has(m.id))
    .map((m): StarterMount => ({ ...m, formatId: '36x24', onCameras: true }));
  return [...starters, ...others].toSorted((a, b) => a.registerMm - b.registerMm);
}

/** The record of a starter mount, without what only the starter set knows of it. */
export function mountRecord({ formatId: _, onCameras: __, ...mount }: StarterMount): Mount {
  return mount;
}

const SAME_MM = 0.005;

/** The same mount among those that are here already, by id or by what it measures; null where it is new. */
export const mountHere = (starter: Mount, mounts: readonly Mount[]): Mount | null =>
  mounts.find((m) => m.id === starter.id) ??
  mounts.find(
    (m) =>
      Math.abs(m.registerMm - starter.registerMm) < SAME_MM &&
      m.locking === starter.locking &&
      (m.throatMm === starter.throatMm || m.throatMm === null || starter.throatMm === null) &&
      m.name.split(' ')[0] === starter.name.split(' ')[0],
  ) ??
  null;
