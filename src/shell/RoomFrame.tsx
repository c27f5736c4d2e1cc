'use client';
import { useDeferredValue, useEffect, useLayoutEffect, useState } from 'react';
import styled from 'styled-components';
import type { Workspace } from '@/core/kit/records';
import { keepBackups } from '@/store/keeping/backups';
import { loadDemoIfWanted } from '@/store/keeping/demo';
import { db } from '@/store/database/instance';
import { beReadyToCommit } from '@/store/changes/journal';
import { kept } from '@/store/keeping/keeper';
import { isEmpty } from '@/store/database/load';
import type { OpenWorkspace } from '@/store/database/mirror';
import { useWorkspace } from '@/store/useWorkspace';
import { LineButton } from '@/ui/controls/Buttons';
import { holdTyped } from '@/ui/form/useTyped';
import { FailedPlace } from './FailedRoom';
import { SetAsideStrip } from './SetAsideStrip';
import { PHONE } from '@/ui/theme/type';
import { whenIdle } from '@/ui/whenIdle';

const Room = styled.div`
  height: 100dvh;
  display: flex;
  flex-direction: column;
  @media ${PHONE} {
    height: auto;
    min-height: 100dvh;
    /* The row of rooms lies over the foot of the screen. */
    padding-bottom: calc(56px + env(safe-area-inset-bottom));
  }
`;

const Quiet = styled.p`
  margin: auto;
  padding: 24px;
  max-width: 560px;
  color: var(--muted);
  font-size: 15px;
`;

/** Whether anything has been here; what is stored arrives a moment later, and may be undone again. */
function useArrived(open: OpenWorkspace): boolean {
  const [arrived, setArrived] = useState(false);
  const isHere = open.state === 'open' && !isEmpty(open.workspace);
  if (isHere && !arrived) setArrived(true);
  return arrived || isHere;
}

/**
 * Loads the demo into a new program if it was started with it; null until that is settled, then whether it was loaded.
 * The server is asked each time: a page kept for working offline would go on saying what it once was.
 */
function useDemo(open: OpenWorkspace, arrived: boolean): boolean | null {
  const [loaded, setLoaded] = useState<boolean | null>(null);
  const isNew = open.state === 'open' && !arrived && loaded === null;
  useEffect(() => {
    if (isNew) loadDemoIfWanted(db).then(setLoaded, () => setLoaded(false));
  }, [isNew]);
  return arrived ? (loaded ?? false) : loaded;
}

interface RoomFrameProps {
  children: (workspace: Workspace) => React.ReactNode;
}

/** What every room stands in: it opens the workspace, and says so while it does or where it cannot. */
export function RoomFrame({ children }: RoomFrameProps) {
  const open = useWorkspace();
  const arrived = useArrived(open);
  const demoLoaded = useDemo(open, arrived);
  const waiting = open.state === 'opening' || demoLoaded === null || (demoLoaded && !arrived);
  // A room is drawn for the first time piece by piece, so that the page answers meanwhile.
  const drawn = useDeferredValue(open.state === 'open' && !waiting);
  // Before the room's forms hear that they go.
  useLayoutEffect(() => holdTyped(open.state === 'failed'), [open.state]);
  useEffect(() => (drawn ? whenIdle(beReadyToCommit) : undefined), [drawn]);
  useEffect(() => keepBackups(db, (reason) => kept((keeper) => keeper.keepBackup(reason))), []);
  return (
    <Room>
      {open.state === 'failed' && (
        <FailedPlace heading="The workspace does not open" words={open.sentence}>
          <LineButton onPress={() => window.location.reload()}>Reload this page</LineButton>
        </FailedPlace>
      )}
      {open.state !== 'failed' && (waiting || !drawn) && <Quiet>Opening the workspace…</Quiet>}
      {open.state === 'open' && !waiting && drawn && (
        <>
          <SetAsideStrip setAside={open.setAside} />
          {children(open.workspace)}
        </>
      )}
    </Room>
  );
}
