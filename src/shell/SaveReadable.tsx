'use client';
import { useState } from 'react';
import { db } from '@/store/database/instance';
import { LineButton } from '@/ui/controls/Buttons';
import { download, fileOfToday } from './files/files';

/** Saves all of the database that can be read; answers what came of it. */
async function saveReadable(): Promise<string> {
  try {
    const { salvaged } = await import('@/store/keeping/salvage');
    const text = await salvaged(db.name);
    if (text === null) return 'Nothing is stored here that could be saved.';
    const name = fileOfToday('readable');
    download(name, text);
    return `Saved as ${name}.`;
  } catch {
    return 'The browser let nothing of it be read; nothing was changed.';
  }
}

/** Saves all that can be read of what is stored, where the room itself cannot be opened or shown. */
export function SaveReadable() {
  const [said, setSaid] = useState('');
  return (
    <>
      <LineButton onPress={() => void saveReadable().then(setSaid)}>
        Save what can be read to a file
      </LineButton>
      {said && <p role="status">{said}</p>}
    </>
  );
}
