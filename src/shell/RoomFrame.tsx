'use client';
import { useEffect, useState } from 'react';
import styled from 'styled-components';
import type { Workspace } from '@/core/kit/records/workspace';
import { keepBackups } from '@/store/backups';
import { loadDemoIfNew } from '@/store/demo';
import { db } from '@/store/instance';
import { useWorkspace, type OpenWorkspace } from '@/store/useWorkspace';
import { PHONE } from '@/ui/theme/type';

const Room = styled.div`
  height: 100dvh;
  display: flex;
  flex-direction: column;
  @media ${PHONE} {
    height: auto;
    min-height: 100dvh;
  }
`;

const Quiet = styled.p`
  margin: auto;
  padding: 24px;
  max-width: 560px;
  color: var(--muted);
  font-size: 15px;
`;

/** Loads the demo into a new program if asked; null until that is settled, then whether it was loaded. */
function useDemo(wanted: boolean): boolean | null {
  const [loaded, setLoaded] = useState<boolean | null>(wanted ? null : false);
  useEffect(() => {
    if (!wanted) return;
    loadDemoIfNew(db).then(setLoaded, () => setLoaded(false));
  }, [wanted]);
  return loaded;
}

interface RoomFrameProps {
  loadDemoWhenEmpty: boolean;
  children: (workspace: Workspace) => React.ReactNode;
}

/** What every room stands in: it opens the workspace, and says so while it does or where it cannot. */
/** Whether a demo just loaded has arrived here, kit and rigs each in their turn; from then on for good. */
function useArrived(open: OpenWorkspace): boolean {
  const [arrived, setArrived] = useState(false);
  const isHere =
    open.state === 'open' && open.workspace.rigs.length > 0 && open.workspace.lenses.length > 0;
  if (isHere && !arrived) setArrived(true);
  return arrived || isHere;
}

export function RoomFrame({ loadDemoWhenEmpty, children }: RoomFrameProps) {
  const open = useWorkspace();
  const demoLoaded = useDemo(loadDemoWhenEmpty);
  const arrived = useArrived(open);
  const waiting = open.state === 'opening' || demoLoaded === null || (demoLoaded && !arrived);
  useEffect(() => keepBackups(db), []);
  return (
    <Room>
      {open.state === 'failed' && <Quiet role="alert">{open.sentence}</Quiet>}
      {open.state !== 'failed' && waiting && <Quiet>Opening the workspace…</Quiet>}
      {open.state === 'open' && !waiting && children(open.workspace)}
    </Room>
  );
}
