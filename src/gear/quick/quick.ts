import type { KitTable } from '@/core/kit/fields';
import type { Mount, Tables, Workspace } from '@/core/kit/records';

/** What a dialog that takes a record by a few facts is given. */
export interface QuickProps<T extends KitTable> {
  workspace: Workspace;
  /** Takes the record, and the mounts it needs that are not here yet. */
  onAdd: (record: Tables[T], mounts: readonly Mount[]) => void;
  /**
   * Where not all of what is asked fits, and the record may be filled in field by field, from what was told so far.
   */
  onByHand?: (record?: Tables[T], mounts?: readonly Mount[]) => void;
  onClose: () => void;
}

/** Those of some mounts that are not in the workspace as they are now. */
export const newAmong = (some: readonly Mount[], here: readonly Mount[]): Mount[] =>
  some.filter((m) => !here.includes(m));
