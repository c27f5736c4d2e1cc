'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useState } from 'react';
import styled from 'styled-components';
import { TABLE_NAMES, TABLE_WORDS } from '@/core/kit/records';
import { listBackups } from '@/store/keeping/backups';
import type { Backup } from '@/store/database/db';
import { db } from '@/store/database/instance';
import { kept } from '@/store/keeping/keeper';
import { LineButton, TextButton } from '@/ui/controls/Buttons';
import { DialogActions, DialogSheet } from '@/ui/controls/DialogSheet';
import { engraved } from '@/ui/theme/type';
import { download } from './files';
import { guarded, type Tell } from '../tell';
import { bytesWords } from '@/core/words';

const List = styled.ul`
  max-height: 44vh;
  overflow-y: auto;
  li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto auto;
    gap: 6px;
    align-items: center;
    border-top: 1px solid var(--line);
    padding: 5px 0;
  }
`;

const When = styled.span`
  ${engraved}
  display: block;
`;

const Quiet = styled.span`
  display: block;
  color: var(--muted);
  font-size: 12px;
`;

const whenWords = (at: number): string =>
  new Date(at).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' });

const countWords = ({ counts }: Backup): string =>
  TABLE_NAMES.filter((table) => counts[table] > 0)
    .map((table) => `${counts[table]} ${TABLE_WORDS[table][counts[table] === 1 ? 0 : 1]}`)
    .join(', ');

interface Storage {
  used: number;
  quota: number;
  persisted: boolean;
}

/** What the browser says of this page's storage; null where it says nothing. */
function useStorage(asked: number): Storage | null {
  const [storage, setStorage] = useState<Storage | null>(null);
  useEffect(() => {
    const read = async () => {
      const { usage = 0, quota = 0 } = await navigator.storage.estimate();
      setStorage({ used: usage, quota, persisted: await navigator.storage.persisted() });
    };
    read().catch(() => setStorage(null));
  }, [asked]);
  return storage;
}

function StorageLine() {
  const [asked, setAsked] = useState(0);
  const storage = useStorage(asked);
  if (!storage) return null;
  const { used, quota, persisted } = storage;
  const ask = () => {
    void navigator.storage.persist().finally(() => setAsked((n) => n + 1));
  };
  return (
    <>
      <p>
        The program uses {bytesWords(used)} of the {bytesWords(quota)} this browser gives it.{' '}
        {persisted
          ? 'The browser has promised to keep it.'
          : 'The browser may clear it when it runs short of room.'}
        {!persisted && asked > 0 && ' It was asked to keep it and did not promise.'}
      </p>
      {!persisted && <LineButton onPress={ask}>Ask the browser to keep it</LineButton>}
    </>
  );
}

interface BackupsDialogProps {
  tell: Tell;
  onClose: () => void;
}

/** What was kept and what each holds, to go back to; and what it all takes. */
export function BackupsDialog({ tell, onClose }: BackupsDialogProps) {
  const backups = useLiveQuery(() => listBackups(db)) ?? [];
  const keep = () =>
    guarded(tell, async () => {
      if (!(await kept((keeper) => keeper.keepBackup('by hand'))))
        tell({ kind: 'said', text: 'The newest backup already holds all there is.' });
    });
  const save = ({ id }: Backup) =>
    guarded(tell, async () => {
      const found = await db.backupTexts.get(id);
      if (found) download(`wandering-halo-backup-${id}.json`, found.text);
    });
  const restore = (backup: Backup) =>
    guarded(tell, async () => {
      const trouble = await kept((keeper) => keeper.restoreBackup(backup.id));
      tell(
        trouble === null
          ? { kind: 'said', text: `Back to ${whenWords(backup.at)}. Undo takes it back.` }
          : { kind: 'trouble', text: trouble },
      );
      onClose();
    });
  return (
    <DialogSheet title="Backups and storage" open onClose={onClose}>
      <StorageLine />
      {backups.length === 0 ? (
        <p>No backup yet: the first is kept some seconds after there is something to keep.</p>
      ) : (
        <List aria-label="Backups">
          {backups.map((backup) => (
            <li key={backup.id}>
              <span>
                <When>
                  {whenWords(backup.at)}, {backup.reason}
                </When>
                <Quiet>
                  {countWords(backup)} · {bytesWords(backup.size)}
                </Quiet>
              </span>
              <TextButton onPress={() => save(backup)}>Save</TextButton>
              <LineButton onPress={() => restore(backup)}>Restore</LineButton>
            </li>
          ))}
        </List>
      )}
      <DialogActions>
        <LineButton onPress={keep}>Keep one now</LineButton>
      </DialogActions>
    </DialogSheet>
  );
}
