'use client';
import styled from 'styled-components';
import { findMount, type MountClues } from '@/core/kit';
import { readQuantity } from '@/core/kit/fields';
import { isNumber, orNull, readTold } from '@/core/kit/starter';
import type { Workspace } from '@/core/kit/records';
import { Choice } from '@/ui/controls/Choice';
import { DialogSheet } from '@/ui/controls/DialogSheet';
import { EntryField } from '@/ui/form/EntryField';
import { FormName, useTold } from '@/ui/form/useTyped';

const List = styled.ul`
  max-height: 38vh;
  overflow-y: auto;
`;

const Found = styled.button`
  display: block;
  width: 100%;
  padding: 6px 2px;
  border: 0;
  border-bottom: 1px solid var(--line);
  background: none;
  text-align: left;
  cursor: pointer;
  &:hover,
  &:focus-visible {
    background: var(--raised);
    color: var(--amber);
  }
  small {
    display: block;
    color: var(--muted);
    font-size: 12px;
  }
`;

const CLUES = [
  { key: 'registerMm', label: 'Flange to film, mm' },
  { key: 'throatMm', label: 'Throat, mm' },
  { key: 'threadMm', label: 'Thread diameter, mm' },
  { key: 'pitchMm', label: 'Thread pitch, mm' },
] as const;

const LOCKS = ['bayonet', 'screw', 'clamp', 'fixed'] as const;

const NO_CLUES: MountClues = {
  registerMm: null,
  throatMm: null,
  threadMm: null,
  pitchMm: null,
  locking: null,
};

const FORM = 'which mount';

const readClues = (text: string | null): MountClues =>
  readTold(text, NO_CLUES, {
    registerMm: orNull(isNumber),
    throatMm: orNull(isNumber),
    threadMm: orNull(isNumber),
    pitchMm: orNull(isNumber),
    locking: (lock) => LOCKS.some((known) => known === lock),
  });

interface MountFinderDialogProps {
  workspace: Workspace;
  onFound: (mountId: string) => void;
  onClose: () => void;
}

/** For those who do not know what they hold: a ruler and a caliper find the mount. */
export function MountFinderDialog({ workspace, onFound, onClose }: MountFinderDialogProps) {
  const [clues, tell] = useTold(FORM, readClues);
  const told = Object.values(clues).some((v) => v !== null);
  const found = findMount(clues, workspace.mounts).filter((f) => !told || f.agrees.length > 0);
  return (
    <DialogSheet title="Which mount is this?" open onClose={onClose}>
      <p>Measure what you can; what you leave empty counts for nothing. Inches are taken too.</p>
      <div>
        <FormName.Provider value={FORM}>
          <Choice
            inForm
            label="It locks by"
            groups={[
              {
                title: 'Locking',
                options: [{ id: '', label: 'not sure' }, ...LOCKS.map((id) => ({ id, label: id }))],
              },
            ]}
            chosen={clues.locking ?? ''}
            onChoose={(id) => tell({ locking: LOCKS.find((lock) => lock === id) ?? null })}
          />
          {CLUES.map(({ key, label }) => (
            <EntryField
              key={key}
              label={label}
              figure
              shown={clues[key] === null ? '' : String(clues[key])}
              placeholder="not measured"
              complain={(text) =>
                text.trim() === '' || readQuantity(text, 'mm') !== null
                  ? null
                  : 'A length such as 42, 42 mm or 1.65 in.'
              }
              onEnter={(text) => tell({ [key]: readQuantity(text, 'mm') })}
            />
          ))}
        </FormName.Provider>
      </div>
      <p role="status">
        {workspace.mounts.length === 0
          ? 'There are no mounts in this workspace to compare with.'
          : told
            ? `${found.length} of ${workspace.mounts.length} mounts agree in something, the likeliest first.`
            : 'All mounts of this workspace.'}
      </p>
      <List aria-label="Mounts found">
        {found.map(({ mount, agrees, differs }) => (
          <li key={mount.id}>
            <Found type="button" onClick={() => onFound(mount.id)}>
              {mount.name}
              <small>
                {mount.registerMm} mm
                {mount.aliases.length > 0 ? ` · ${mount.aliases.join(', ')}` : ''}
                {agrees.length > 0 ? ` · agrees in ${agrees.join(', ')}` : ''}
                {differs.length > 0 ? ` · differs in ${differs.join(', ')}` : ''}
              </small>
            </Found>
          </li>
        ))}
      </List>
    </DialogSheet>
  );
}
