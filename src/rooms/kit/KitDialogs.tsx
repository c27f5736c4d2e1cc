'use client';
import type { KitTable } from '@/core/kit/fields';
import type { Mount, Tables, Workspace } from '@/core/kit/records';
import type { QuickProps } from '@/gear/quick/quick';
import type { Tell } from '@/shell/tell';
import { BargainDialog } from './finding/BargainDialog';
import { CsvDialog } from './files/CsvDialog';
import { LensfunDialog } from './files/LensfunDialog';
import { MountFinderDialog } from './finding/MountFinderDialog';
import { QuickBodyDialog } from '@/gear/quick/QuickBodyDialog';
import { QuickLensDialog } from '@/gear/quick/QuickLensDialog';
import { QuickMountDialog } from '@/gear/quick/QuickMountDialog';
import { QuickPartDialog } from '@/gear/quick/QuickPartDialog';
import type { KitActions } from './useKit';

export type KitDialog = `quick ${QuickTable}` | 'bargain' | 'finder' | 'csv-in' | 'lensfun';

/** Tables whose records are told by a few facts. */
type QuickTable = Exclude<KitTable, 'markings'>;

interface KitDialogsProps {
  open: KitDialog | null;
  table: KitTable;
  workspace: Workspace;
  actions: KitActions;
  tell: Tell;
  onMount: (mountId: string) => void;
  /** Puts a record in that is filled in by hand; it begins with what was told of it so far, and the mounts that needs. */
  onByHand: (
    table: Exclude<QuickTable, 'lenses'>,
    record?: Tables[KitTable],
    mounts?: readonly Mount[],
  ) => void;
  onClose: () => void;
}

/** The one dialog of the kit that is open, if any. */
export function KitDialogs({ open, table, onMount, onByHand, ...given }: KitDialogsProps) {
  const { workspace, actions, tell, onClose } = given;
  const quick = <T extends QuickTable>(to: T): QuickProps<T> => ({
    workspace,
    onAdd: (record, mounts) => actions.add(to, record, mounts),
    ...(to === 'lenses'
      ? {}
      : {
          onByHand: (record?: Tables[T], mounts?: readonly Mount[]) => onByHand(to, record, mounts),
        }),
    onClose,
  });
  switch (open) {
    case 'quick lenses':
      return <QuickLensDialog {...quick('lenses')} />;
    case 'quick bodies':
      return <QuickBodyDialog {...quick('bodies')} />;
    case 'quick parts':
      return <QuickPartDialog {...quick('parts')} />;
    case 'quick mounts':
      return <QuickMountDialog {...quick('mounts')} />;
    case 'bargain':
      return <BargainDialog workspace={workspace} actions={actions} onClose={onClose} />;
    case 'finder':
      return (
        <MountFinderDialog
          workspace={workspace}
          onFound={(id) => {
            onClose();
            onMount(id);
          }}
          onClose={onClose}
        />
      );
    case 'csv-in':
      return (
        <CsvDialog
          table={table}
          workspace={workspace}
          actions={actions}
          tell={tell}
          onClose={onClose}
        />
      );
    case 'lensfun':
      return (
        <LensfunDialog workspace={workspace} actions={actions} tell={tell} onClose={onClose} />
      );
    case null:
      return null;
  }
}
