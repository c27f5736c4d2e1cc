/** Repeatable chance: the same seed gives the same frames. */

export interface Random {
  /** 0..1, 1 left out. */
  next: () => number;
  between: (low: number, high: number) => number;
  /** A whole number from `low` to `high`, both possible. */
  whole: (low: number, high: number) => number;
  chance: (probability: number) => boolean;
}

/** Mulberry32 (public domain, T. Ettinger): 32 bits of state, good enough for noise and dust. */
export function randomOf(seed: number): Random {
  let state = seed >>> 0;
  const next = () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
  };
  const between = (low: number, high: number) => low + (high - low) * next();
  return {
    next,
    between,
    whole: (low, high) => Math.floor(between(low, high + 1)),
    chance: (probability) => next() < probability,
  };
}

const DEVIATES = 1 << 16;
let deviates: Float32Array | undefined;

/** 65,536 normal deviates (Box-Muller), to be picked from at random: fast enough for every pixel. */
export function normalDeviates(): Float32Array {
  if (deviates) return deviates;
  const random = randomOf(20260512);
  deviates = new Float32Array(DEVIATES);
  for (let i = 0; i < DEVIATES; i += 2) {
    const radius = Math.sqrt(-2 * Math.log(1 - random.next()));
    const angle = 2 * Math.PI * random.next();
    deviates[i] = radius * Math.cos(angle);
    deviates[i + 1] = radius * Math.sin(angle);
  }
  return deviates;
}
