'use client';
import { newId, quickLens } from '@/core/kit';
import { MainButton, TextButton } from '@/ui/controls/Buttons';
import { DialogActions, DialogSheet } from '@/ui/controls/DialogSheet';
import { LensFactsForm, newMountOf, useLensFacts } from './LensFactsForm';
import type { QuickProps } from './quick';

/** A lens by four facts; the rest is what is usual, and marked so until someone tells. */
export function QuickLensDialog({ workspace, onAdd, onClose }: QuickProps<'lenses'>) {
  const form = useLensFacts(workspace, 'quick lens');
  const { facts, missing, nonsense } = form;
  return (
    <DialogSheet title="I have a lens" open onClose={onClose}>
      <p>
        Type what stands on it: focal length and aperture are read off, the format too where you
        know its marking. The rest is filled in with what is usual and marked as estimated.
      </p>
      <LensFactsForm workspace={workspace} form={form} />
      <DialogActions>
        <TextButton onPress={onClose}>Leave it</TextButton>
        <MainButton
          isDisabled={facts === null}
          onPress={() => {
            if (!facts) return;
            const mount = newMountOf(facts.mountId, workspace.mounts);
            onAdd(quickLens(facts, newId()), mount ? [mount] : []);
            onClose();
          }}
        >
          {facts
            ? 'Put it in the cabinet'
            : nonsense
              ? 'No such lens'
              : `Still to say: ${missing.join(', ')}`}
        </MainButton>
      </DialogActions>
    </DialogSheet>
  );
}
