/** A kit that is as large as one likes. */
import { tideMill } from '../../src/core/demo';
import type { Workspace } from '../../src/core/kit/records';

/** The demo's kit, repeated until it has at least so many combinations. */
export function repeatedDemo(times: number): Workspace {
  const copies = <T extends { id: string }>(list: readonly T[]): T[] =>
    Array.from({ length: times }, (_, i) => list.map((r) => ({ ...r, id: `${r.id}-${i}` }))).flat();
  return { ...tideMill, bodies: copies(tideMill.bodies), lenses: copies(tideMill.lenses) };
}
