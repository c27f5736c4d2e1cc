/** Aspects people deliver, width over height. */
export interface Aspect {
  name: string;
  /** Null delivers the whole read-out. */
  aspect: number | null;
}

export const ASPECTS: readonly Aspect[] = [
  { name: 'the whole read-out', aspect: null },
  { name: '1:1', aspect: 1 },
  { name: '5:4', aspect: 1.25 },
  { name: '4:3', aspect: 4 / 3 },
  { name: '3:2', aspect: 1.5 },
  { name: '16:9', aspect: 16 / 9 },
  { name: '2:1', aspect: 2 },
  { name: '2.39:1', aspect: 2.39 },
  { name: '65:24', aspect: 65 / 24 },
];

/** The named aspect nearest to `aspect` within a thousandth; undefined for an odd one. */
export const namedAspect = (aspect: number | null): Aspect | undefined =>
  ASPECTS.find((a) =>
    a.aspect === null || aspect === null
      ? a.aspect === aspect
      : Math.abs(a.aspect / aspect - 1) < 0.001,
  );
