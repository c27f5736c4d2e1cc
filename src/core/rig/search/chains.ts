/** Every chain of parts that joins a lens to a body. */
import { type Body, type Lens, type Mount, isFront, magnifies, type Part } from '../../kit/records';
import { canBePlain, plainThicknessMm } from '../../optics';
import { keptOffBy, takerOf } from '../../rig';
import { trainFactor } from '../train';

export interface Chain {
  parts: readonly Part[];
  /** Product of the factors. */
  factor: number;
  /** How many of them carry the lens's electronics whole. */
  carrying: number;
}

export interface ChainSearch {
  chains: Chain[];
  /** Thickness a plain adapter would have, mm; null without both registers. */
  plainThicknessMm: number | null;
  /** Whether one could be built; null without both registers. */
  plainCanBeBuilt: boolean | null;
}

/** Longest chain looked for. */
const MOST_IN_CHAIN = 3;
/** Chains with more converters than this are not searched: no one mounts them. */
const MOST_CONVERTERS = 2;

const carriesAll = (part: Part): boolean => part.electronics.focus && part.electronics.metadata;

/**
 * All chains of up to `most` parts whose mounts join `lens` to `body`, no part twice, shortest first, then
 * nearest to no magnification, then those that carry electronics, then the plainest. Also whether a plain
 * adapter could be.
 */
export function findChains(
  lens: Lens,
  body: Body,
  parts: readonly Part[],
  mounts: ReadonlyMap<string, Mount>,
  most = MOST_IN_CHAIN,
): ChainSearch {
  const byFront = new Map<string, Part[]>();
  for (const part of parts.filter((p) => !isFront(p))) {
    byFront.set(part.frontMountId, [...(byFront.get(part.frontMountId) ?? []), part]);
  }
  const chains: Chain[] = [];
  const follow = (mountId: string, chain: readonly Part[]) => {
    if (mountId === body.mountId && !keptOffBy(lens, takerOf({ parts: chain, body }))) {
      const carrying = chain.filter(carriesAll).length;
      chains.push({ parts: chain, factor: trainFactor(chain), carrying });
    }
    if (chain.length === most) return;
    for (const next of byFront.get(mountId) ?? []) {
      if (chain.includes(next)) continue;
      if (magnifies(next) && chain.filter(magnifies).length >= MOST_CONVERTERS) continue;
      follow(next.rearMountId, [...chain, next]);
    }
  };
  follow(lens.mountId, []);
  const distance = (c: Chain) => Math.abs(Math.log(c.factor));
  const special = (c: Chain) => c.parts.filter((p) => p.kind !== 'plain adapter').length;
  chains.sort(
    (a, b) =>
      a.parts.length - b.parts.length ||
      distance(a) - distance(b) ||
      b.carrying - a.carrying ||
      special(a) - special(b),
  );
  const front = mounts.get(lens.mountId)?.registerMm;
  const rear = mounts.get(body.mountId)?.registerMm;
  const known = front !== undefined && rear !== undefined;
  return {
    chains,
    plainThicknessMm: known ? plainThicknessMm(front, rear) : null,
    plainCanBeBuilt: known ? canBePlain(front, rear) : null,
  };
}
