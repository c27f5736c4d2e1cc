'use client';
import styled from 'styled-components';
import { knownMounts, mountHere, mountRecord, readAnswers, quickPart } from '@/core/kit/starter';
import type { Mount } from '@/core/kit/records';
import { problemText } from '@/core/words';
import { MainButton, TextButton } from '@/ui/controls/Buttons';
import { Choice } from '@/ui/controls/Choice';
import { DialogActions, DialogSheet } from '@/ui/controls/DialogSheet';
import { FormName, useTold } from '@/ui/form/useTyped';
import { BetweenQuestion } from './BetweenQuestion';
import { newAmong, type QuickProps } from './quick';

const Trouble = styled.p`
  color: var(--clipped);
`;

interface QuickPartDialogProps extends QuickProps<'parts'> {
  /** Mounts to begin with: those of a rig it is for. */
  frontMountId?: string;
  rearMountId?: string;
}

/** The record of a mount to choose from; one of the workspace where it has it. */
function mountAt(id: string | null, mounts: readonly Mount[]): Mount | null {
  const known = knownMounts(mounts).find((m) => m.id === id || mountHere(m, mounts)?.id === id);
  return known ? (mountHere(known, mounts) ?? mountRecord(known)) : null;
}

/** What is told of a part so far, and what it comes to. */
function usePartFacts({ workspace, frontMountId, rearMountId }: QuickPartDialogProps) {
  const form = `quick part ${frontMountId ?? ''} ${rearMountId ?? ''}`;
  const [told, answer] = useTold(form, readAnswers);
  const { between } = told;
  const frontId = told.lensMountId ?? frontMountId ?? null;
  const rearId = told.cameraMountId ?? rearMountId ?? null;
  const front = mountAt(frontId, workspace.mounts);
  const rear = mountAt(rearId, workspace.mounts);
  const facts =
    between && between.kind !== 'nothing' && front && rear
      ? { ...between, front, rear, designFormat: null }
      : null;
  const missing = [
    ...(front ? [] : ['the mount that takes the lens']),
    ...(rear ? [] : ['the mount on the camera']),
    ...(between ? [] : ['what it is']),
  ];
  return { form, answer, between, frontId, rearId, front, rear, facts, missing };
}

/** An adapter or converter by its kind and two mounts; its thickness follows from the registers. */
export function QuickPartDialog(props: QuickPartDialogProps) {
  const { workspace, onAdd, onByHand, onClose } = props;
  const { mounts } = workspace;
  const { form, answer, between, frontId, rearId, front, rear, facts, missing } =
    usePartFacts(props);
  const made = facts && quickPart(facts);
  const groups = [
    {
      title: 'By register',
      options: knownMounts(mounts).map((m) => ({
        id: mountHere(m, mounts)?.id ?? m.id,
        label: m.name,
        note: m.aliases[0],
      })),
    },
  ];
  return (
    <DialogSheet title="I have an adapter or converter" open wide onClose={onClose}>
      <Choice
        inForm
        label="Takes a lens with"
        groups={groups}
        chosen={frontId}
        onChoose={(id) => answer({ lensMountId: id })}
      />
      <Choice
        inForm
        label="Goes on a camera with"
        groups={groups}
        chosen={rearId}
        onChoose={(id) => answer({ cameraMountId: id })}
      />
      <FormName.Provider value={form}>
        <BetweenQuestion
          label="What it is"
          between={between}
          ends={{ front, rear }}
          mayBeNothing={false}
          onChoose={(kind) => answer({ between: kind })}
        />
      </FormName.Provider>
      {made && !made.ok && <Trouble role="alert">{problemText(made.problems)}</Trouble>}
      <DialogActions>
        {onByHand && (
          <TextButton
            onPress={() =>
              made?.ok && facts
                ? onByHand(made.value, newAmong([facts.front, facts.rear], mounts))
                : onByHand()
            }
          >
            Something else: fill it in by hand
          </TextButton>
        )}
        <TextButton onPress={onClose}>Leave it</TextButton>
        <MainButton
          isDisabled={!made?.ok}
          onPress={() => {
            if (!made?.ok || !facts) return;
            // One that is there already keeps what is known of it.
            const part = workspace.parts.find((p) => p.id === made.value.id) ?? made.value;
            onAdd(part, newAmong([facts.front, facts.rear], mounts));
            onClose();
          }}
        >
          {missing.length > 0 ? `Still to say: ${missing.join(', ')}` : 'Put it in the cabinet'}
        </MainButton>
      </DialogActions>
    </DialogSheet>
  );
}
