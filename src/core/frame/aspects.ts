/** Aspects people deliver, width over height. */
export interface Aspect {
  id: string;
  name: string;
  /** Null delivers the whole read-out. */
  aspect: number | null;
}

export const ASPECTS: readonly Aspect[] = [
  { id: 'whole', name: 'the whole read-out', aspect: null },
  { id: '1x1', name: '1:1', aspect: 1 },
  { id: '5x4', name: '5:4', aspect: 1.25 },
  { id: '4x3', name: '4:3', aspect: 4 / 3 },
  { id: '3x2', name: '3:2', aspect: 1.5 },
  { id: '16x9', name: '16:9', aspect: 16 / 9 },
  { id: '2x1', name: '2:1', aspect: 2 },
  { id: '2.39x1', name: '2.39:1', aspect: 2.39 },
  { id: '65x24', name: '65:24', aspect: 65 / 24 },
];

/** The named aspect nearest to `aspect` within a thousandth; undefined for an odd one. */
export const namedAspect = (aspect: number | null): Aspect | undefined =>
  ASPECTS.find((a) =>
    a.aspect === null || aspect === null
      ? a.aspect === aspect
      : Math.abs(a.aspect / aspect - 1) < 0.001,
  );
