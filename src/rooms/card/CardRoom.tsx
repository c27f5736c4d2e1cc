'use client';
import { useState } from 'react';
import type { PaperSize } from '@/core/card/paper';
import { cardQuery, readCardQuery, type CardView } from '@/core/exchange/cardLink';
import type { Workspace } from '@/core/kit/records/workspace';
import { RigRoom } from '@/shell/RigRoom';
import { RoomFrame } from '@/shell/RoomFrame';
import { useBench } from '@/shell/useBench';
import { useShell } from '@/shell/useShell';
import { PHONE } from '@/ui/theme/type';
import { OpenCard } from './OpenCard';

const SHORTCUTS = [
  { keys: 'd', does: 'the day, or the rig in hand alone' },
  { keys: 'p', does: 'save it as PDF' },
  { keys: 'Ctrl P', does: 'print it' },
  { keys: 'l', does: 'lift a picture' },
];

/** What is in hand at first; on a phone paper as small as it. */
function arrival(): CardView {
  if (typeof window === 'undefined') return { dayId: null, size: 'A4' };
  const usual: PaperSize = window.matchMedia(PHONE).matches ? 'A6' : 'A4';
  return readCardQuery(window.location.search, usual);
}

function CardOf({ workspace }: { workspace: Workspace }) {
  const shell = useShell(workspace);
  const [view, setView] = useState(arrival);
  const bench = useBench(workspace, shell.tell, cardQuery(view));
  return (
    <RigRoom
      room="card"
      shell={shell}
      workspace={workspace}
      shortcuts={SHORTCUTS}
      record={bench.record}
      rig={bench.rig}
      onRig={bench.actions.choose}
      heading="No rig to make a card of yet"
      words="A card says what to dial and what to mind: put a rig together first, or look at the demo."
    >
      {(record, rig) => (
        <OpenCard
          workspace={workspace}
          shell={shell}
          bench={bench}
          record={record}
          rig={rig}
          view={view}
          onView={setView}
        />
      )}
    </RigRoom>
  );
}

/** Card: the answer, taken to the shoot. */
export function CardRoom({ loadDemoWhenEmpty }: { loadDemoWhenEmpty: boolean }) {
  return (
    <RoomFrame loadDemoWhenEmpty={loadDemoWhenEmpty}>
      {(workspace) => <CardOf workspace={workspace} />}
    </RoomFrame>
  );
}
