'use client';
import { isFront, type RigRecord, type Workspace } from '@/core/kit/records';
import type { Rig } from '@/core/rig';
import { addOffers } from '@/core/rig/search';
import { QuickBodyDialog } from '@/gear/quick/QuickBodyDialog';
import { QuickLensDialog } from '@/gear/quick/QuickLensDialog';
import { QuickPartDialog } from '@/gear/quick/QuickPartDialog';
import type { BenchActions } from '@/shell/rig/useBench';

/** A lens, a body, a part for the place of another, or one besides those there. */
export type Gear = 'lens' | 'body' | 'part' | { instead: number };

interface SayGearProps {
  gear: Gear;
  workspace: Workspace;
  record: RigRecord;
  /** Null where something of it is missing. */
  rig: Rig | null;
  actions: BenchActions;
  onClose: () => void;
}

/** The mounts at both ends of a gap in the train: behind `before` parts, before the one at `next`. */
function endsOf({ workspace, record }: SayGearProps, before: number, next: number) {
  const behindLens = (ids: readonly string[]) =>
    ids.flatMap((id) => workspace.parts.filter((p) => p.id === id && !isFront(p)));
  const lens = workspace.lenses.find((l) => l.id === record.lensId);
  const body = workspace.bodies.find((b) => b.id === record.bodyId);
  return {
    frontMountId: behindLens(record.partIds.slice(0, before)).at(-1)?.rearMountId ?? lens?.mountId,
    rearMountId: behindLens(record.partIds.slice(next))[0]?.frontMountId ?? body?.mountId,
  };
}

/** A part told for the place of another. */
function SayInstead({ at, ...props }: SayGearProps & { at: number }) {
  const { workspace, record, actions, onClose } = props;
  return (
    <QuickPartDialog
      workspace={workspace}
      onClose={onClose}
      {...endsOf(props, at, at + 1)}
      onAdd={(part, mounts) =>
        actions.change(
          'Swap a part',
          { partIds: record.partIds.with(at, part.id) },
          { parts: [part], mounts },
        )
      }
    />
  );
}

/** A part told besides those there; it goes where it fits best. */
function SayPart(props: SayGearProps) {
  const { workspace, record, rig, actions, onClose } = props;
  return (
    <QuickPartDialog
      workspace={workspace}
      onClose={onClose}
      {...endsOf(props, 0, 0)}
      onAdd={(part, mounts) => {
        const { partIds } = record;
        const [offer] = rig ? addOffers(rig, [part]) : [];
        const place = offer?.index ?? partIds.length;
        // One that is in the train already is not put in twice.
        const next = partIds.includes(part.id) ? partIds : partIds.toSpliced(place, 0, part.id);
        actions.change('Put a part in', { partIds: next }, { parts: [part], mounts });
      }}
    />
  );
}

/** Gear that is not in the kit, told by a few facts and put on the rig. */
export function SayGear(props: SayGearProps) {
  const { gear, workspace, actions, onClose } = props;
  const shared = { workspace, onClose };
  if (typeof gear === 'object') return <SayInstead {...props} at={gear.instead} />;
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
      return <SayPart {...props} />;
  }
}
