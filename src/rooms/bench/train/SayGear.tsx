'use client';
import type { RigRecord, Workspace } from '@/core/kit/records';
import { QuickBodyDialog } from '@/gear/quick/QuickBodyDialog';
import { QuickLensDialog } from '@/gear/quick/QuickLensDialog';
import { QuickPartDialog } from '@/gear/quick/QuickPartDialog';
import type { BenchActions } from '@/shell/rig/useBench';

export type Gear = 'lens' | 'body' | 'part';

interface SayGearProps {
  gear: Gear;
  workspace: Workspace;
  record: RigRecord;
  actions: BenchActions;
  onClose: () => void;
}

/** Gear that is not in the kit, told by a few facts and put on the rig. */
export function SayGear({ gear, workspace, record, actions, onClose }: SayGearProps) {
  const { partIds } = record;
  const shared = { workspace, onClose };
  const mountOf = (records: readonly { id: string; mountId: string }[], id: string) =>
    records.find((r) => r.id === id)?.mountId;
  switch (gear) {
    case 'lens':
      return (
        <QuickLensDialog
          {...shared}
          onAdd={(lens, mounts) =>
            actions.change('Put another lens on', { lensId: lens.id }, { lenses: [lens], mounts })
          }
        />
      );
    case 'body':
      return (
        <QuickBodyDialog
          {...shared}
          onAdd={(body, mounts) =>
            actions.change(
              'Put it on another body',
              { bodyId: body.id, modeId: body.modes[0]?.id ?? '' },
              { bodies: [body], mounts },
            )
          }
        />
      );
    case 'part':
      return (
        <QuickPartDialog
          {...shared}
          frontMountId={mountOf(workspace.lenses, record.lensId)}
          rearMountId={mountOf(workspace.bodies, record.bodyId)}
          onAdd={(part, mounts) =>
            actions.change(
              'Put a part in',
              { partIds: [...partIds.filter((id) => id !== part.id), part.id] },
              { parts: [part], mounts },
            )
          }
        />
      );
  }
}
