'use client';
import { Input, Label, TextField } from 'react-aria-components';
import styled from 'styled-components';
import { useTypedInForm } from '../form/useTyped';
import { MainButton, TextButton } from './Buttons';
import { DialogActions, DialogSheet } from './DialogSheet';

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

interface NameDialogProps {
  /** What gets the name: "rig". */
  what: string;
  name: string;
  onName: (name: string) => void;
  onClose: () => void;
}

/** Asks for the name of something. */
export function NameDialog({ what, name, onName, onClose }: NameDialogProps) {
  const [kept, setTyped] = useTypedInForm(`name ${what} ${name}`);
  const typed = kept ?? name;
  const usable = typed.trim().length > 0;
  return (
    <DialogSheet title={`Name this ${what}`} open onClose={onClose}>
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
        {!usable && <p role="alert">A {what} needs a name of at least one character.</p>}
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
