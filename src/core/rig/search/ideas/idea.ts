/** A change that might mend a verdict, before anyone asks what it costs. */
import type { Part, RigSettings } from '../../../kit/records';
import { turned, type Rig } from '../../../rig';

/** What applying a way does to a rig. */
export interface WayChange {
  settings: Partial<RigSettings>;
  modeId?: string;
  partIds?: string[];
  /** A part among `partIds` that is in no kit yet. */
  newPart?: Part;
}

export type WayKind =
  | 'zoom'
  | 'aperture'
  | 'focus'
  | 'mode'
  | 'aspect'
  | 'crop'
  | 'scale up'
  | 'stabiliser off'
  | 'centre'
  | 'swap part'
  | 'add part';

/** A change before its price is known. */
export interface Idea {
  kind: WayKind;
  words: string;
  limit: number | null;
  change: WayChange;
  rig: Rig;
}

/** The rig with a change applied. */
export function applied(rig: Rig, change: WayChange, kit: readonly Part[]): Rig {
  const mode = rig.body.modes.find((m) => m.id === change.modeId) ?? rig.mode;
  const known = [...kit, ...rig.parts, ...(change.newPart ? [change.newPart] : [])];
  const parts = change.partIds
    ? change.partIds.flatMap((id) => known.find((p) => p.id === id) ?? [])
    : rig.parts;
  return turned({ ...rig, mode, parts }, change.settings);
}
