'use client';
import { useContext, useMemo } from 'react';
import type { Mount } from '@/core/kit/records';
import { knownMounts, type StarterMount } from '@/core/kit/starter';
import { fixed } from '@/core/words';
import { Chips, type Chip } from '@/ui/controls/Chips';
import { EntryField } from '@/ui/form/EntryField';
import { FormName } from '@/ui/form/useTyped';
import { MountPicture } from './MountPicture';
import { UNKNOWN, unknownChip } from './unknown';

const noteOf = ({ throatMm, locking, aliases }: StarterMount): string =>
  [
    ...aliases.slice(0, 1),
    throatMm === null ? 'throat unknown' : `throat ${fixed(throatMm, 1)}`,
    locking,
  ].join(' · ');

const chipOf = (mount: StarterMount): Chip => ({
  id: mount.id,
  label: mount.name,
  note: noteOf(mount),
  picture: <MountPicture mount={mount} />,
});

interface MountQuestionProps {
  label: string;
  mounts: readonly Mount[];
  /** Only those today's cameras have. */
  onCameras?: boolean;
  chosen: string | null;
  onChoose: (id: string | null) => void;
  /** What its owner calls it, and where that goes. */
  ownName?: string;
  onOwnName?: (name: string) => void;
  /** Whether "I do not know" is an answer. */
  mayBeUnknown?: boolean;
}

/** Which mount: told by class, register, throat and flange, each drawn to one scale. */
export function MountQuestion(props: MountQuestionProps) {
  const { label, mounts, onCameras = false, chosen, onChoose, mayBeUnknown = true } = props;
  const { ownName = '', onOwnName } = props;
  const form = useContext(FormName);
  const chips = useMemo(
    () =>
      knownMounts(mounts)
        .filter((m) => !onCameras || m.onCameras)
        .map(chipOf),
    [mounts, onCameras],
  );
  return (
    <>
      <Chips
        label={label}
        chips={mayBeUnknown ? [unknownChip, ...chips] : chips}
        chosen={chosen ?? (mayBeUnknown ? UNKNOWN : '')}
        onChoose={(id) => onChoose(id === UNKNOWN ? null : id)}
      />
      {chosen !== null && onOwnName && (
        <EntryField
          label="What you call this mount"
          // A form may ask for two mounts.
          keptAs={form === null ? undefined : `${form} ${label} ${chosen}`}
          shown={ownName}
          placeholder="if you like"
          complain={(text) => (text.length > 120 ? 'A name of up to 120 letters.' : null)}
          onEnter={onOwnName}
        />
      )}
    </>
  );
}
