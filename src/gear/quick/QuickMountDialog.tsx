'use client';
import { readAnswers, knownMounts, mountHere, mountRecord } from '@/core/kit/starter';
import { MainButton, TextButton } from '@/ui/controls/Buttons';
import { DialogActions, DialogSheet } from '@/ui/controls/DialogSheet';
import { FormName, useTold } from '@/ui/form/useTyped';
import { MountQuestion } from './MountQuestion';
import type { QuickProps } from './quick';

const FORM = 'quick mount';

/** A mount of the common ones, told by what one can measure. */
export function QuickMountDialog(props: QuickProps<'mounts'>) {
  const { workspace, onAdd, onByHand, onClose } = props;
  const [{ cameraMountId: chosen, ownNames }, answer] = useTold(FORM, readAnswers);
  const ownName = ownNames[chosen ?? ''] ?? '';
  const { mounts } = workspace;
  const known = knownMounts(mounts).find((m) => m.id === chosen);
  const here = known && mountHere(known, mounts);
  return (
    <DialogSheet title="Which mount?" open wide onClose={onClose}>
      <FormName.Provider value={FORM}>
        <MountQuestion
          label="By register: mm from flange to sensor"
          mounts={mounts}
          chosen={chosen}
          onChoose={(id) => answer({ cameraMountId: id })}
          ownName={ownName}
          onOwnName={(name) => answer({ ownNames: { ...ownNames, [chosen ?? '']: name } })}
          mayBeUnknown={false}
        />
      </FormName.Provider>
      <DialogActions>
        {onByHand && (
          <TextButton onPress={() => onByHand()}>None of these: fill it in by hand</TextButton>
        )}
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
