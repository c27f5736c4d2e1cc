'use client';
import { useState } from 'react';
import { Input, Label, TextField } from 'react-aria-components';
import styled from 'styled-components';
import { MainButton, TextButton } from '@/ui/controls/Buttons';
import { DialogActions, DialogSheet } from '@/ui/controls/DialogSheet';

const Field = styled(TextField)`
  display: grid;
  gap: 4px;
  label {
    color: var(--muted);
  }
  input {
    padding: 8px 10px;
    font-size: 15px;
    background: var(--well);
    border: 1px solid var(--line);
    border-radius: var(--radius);
  }
`;

interface RigNameDialogProps {
  name: string;
  onName: (name: string) => void;
  onClose: () => void;
}

export function RigNameDialog({ name, onName, onClose }: RigNameDialogProps) {
  const [typed, setTyped] = useState(name);
  const usable = typed.trim().length > 0;
  return (
    <DialogSheet title="Name this rig" open onClose={onClose}>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          if (usable) onName(typed.trim());
        }}
        style={{ display: 'grid', gap: 14 }}
      >
        <Field autoFocus value={typed} onChange={setTyped} maxLength={200} isInvalid={!usable}>
          <Label>Name</Label>
          <Input />
        </Field>
        {!usable && <p role="alert">A rig needs a name of at least one character.</p>}
        <DialogActions>
          <TextButton onPress={onClose}>Leave it</TextButton>
          <MainButton type="submit" isDisabled={!usable}>
            Keep the name
          </MainButton>
        </DialogActions>
      </form>
    </DialogSheet>
  );
}
