'use client';
import { useState } from 'react';
import { knownMounts, mountHere, mountRecord } from '@/core/kit/starter/mounts';
import { MainButton, TextButton } from '@/ui/controls/Buttons';
import { DialogActions, DialogSheet } from '@/ui/controls/DialogSheet';
import { MountQuestion } from './MountQuestion';
import type { QuickProps } from './quick';

/** A mount of the common ones, told by what one can measure. */
export function QuickMountDialog(props: QuickProps<'mounts'>) {
  const { workspace, onAdd, onByHand, onClose } = props;
  const [chosen, setChosen] = useState<string | null>(null);
  const [ownName, setOwnName] = useState('');
  const { mounts } = workspace;
  const known = knownMounts(mounts).find((m) => m.id === chosen);
  const here = known && mountHere(known, mounts);
  return (
    <DialogSheet title="Which mount?" open wide onClose={onClose}>
      <MountQuestion
        label="By register: mm from flange to sensor"
        mounts={mounts}
        chosen={chosen}
        onChoose={setChosen}
        ownName={ownName}
        onOwnName={setOwnName}
        mayBeUnknown={false}
      />
      <DialogActions>
        {onByHand && <TextButton onPress={onByHand}>None of these: fill it in by hand</TextButton>}
        <MainButton
          isDisabled={!known || here !== null}
          onPress={() => {
            if (!known) return;
            const record = mountRecord(known);
            const name = ownName.trim();
            onAdd(name === '' ? record : { ...record, aliases: [name] }, []);
            onClose();
          }}
        >
          {here ? 'It is in the cabinet' : known ? 'Put it in the cabinet' : 'Choose one'}
        </MainButton>
      </DialogActions>
    </DialogSheet>
  );
}
