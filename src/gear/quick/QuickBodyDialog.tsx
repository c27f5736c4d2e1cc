'use client';
import { newId } from '@/core/kit';
import { readAnswers, startedBody } from '@/core/kit/starter';
import { MainButton, TextButton } from '@/ui/controls/Buttons';
import { DialogActions, DialogSheet } from '@/ui/controls/DialogSheet';
import { FormName, useTold } from '@/ui/form/useTyped';
import { CameraQuestions } from './CameraQuestions';
import { newAmong, type QuickProps } from './quick';

const FORM = 'quick camera';

/** A camera by what people know of it; its modes are what is usual, and can be told later. */
export function QuickBodyDialog({ workspace, onAdd, onByHand, onClose }: QuickProps<'bodies'>) {
  const [answers, answer] = useTold(FORM, readAnswers);
  const { mounts } = workspace;
  const made = () => startedBody(answers, workspace, newId());
  return (
    <DialogSheet title="I have a camera" open wide onClose={onClose}>
      <FormName.Provider value={FORM}>
        <CameraQuestions answers={answers} mounts={mounts} onAnswer={answer} />
      </FormName.Provider>
      <DialogActions>
        {onByHand && (
          <TextButton
            onPress={() => {
              const { body, mount } = made();
              onByHand(body, newAmong([mount], mounts));
            }}
          >
            Fill it in by hand
          </TextButton>
        )}
        <TextButton onPress={onClose}>Leave it</TextButton>
        <MainButton
          isDisabled={answers.sensorId === null}
          onPress={() => {
            const { body, mount } = made();
            onAdd(body, newAmong([mount], mounts));
            onClose();
          }}
        >
          {answers.sensorId === null ? 'Still to say: its sensor' : 'Put it in the cabinet'}
        </MainButton>
      </DialogActions>
    </DialogSheet>
  );
}
