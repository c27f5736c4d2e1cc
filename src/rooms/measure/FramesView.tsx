'use client';
import dynamic from 'next/dynamic';
import { useDeferredValue, useEffect } from 'react';
import styled from 'styled-components';
import { LineButton } from '@/ui/controls/Buttons';
import { FirstActs } from '@/ui/controls/EmptyPlace';
import { FrameList } from './FrameList';
import type { Frame } from './frames';
import { FramePicture } from './FramePicture';
import type { Session } from './session';
import type { Frames } from './useFrames';

const chart = () => import('./ProfileChart');
const ProfileChart = dynamic(chart, {
  ssr: false,
  loading: () => <div style={{ height: 190 }} />,
});

const Views = styled.div`
  display: flex;
  gap: 2px;
  padding: 4px 10px;
  border-bottom: 1px solid var(--line);
`;

const ViewButton = styled.button`
  border: 0;
  background: none;
  padding: 5px 8px;
  color: var(--muted);
  cursor: pointer;
  border-bottom: 2px solid transparent;
  &[aria-pressed='true'] {
    color: var(--ink);
    border-color: var(--amber);
  }
`;

const Invitation = styled.div`
  align-self: center;
  justify-self: center;
  max-width: 440px;
  padding: 24px;
  display: grid;
  gap: 10px;
  h2 {
    font-size: 20px;
    font-weight: 700;
  }
`;

const Invited = ({ onPractise }: { onPractise: () => void }) => (
  <Invitation>
    <h2>Find the halo in a picture of a wall</h2>
    <p>
      Shoot the frames of the list, give them to the program, and it finds the circle of light in
      each: how large, how soft, where its centre lies, and how sure that is.
    </p>
    <p>
      Never done it? Practise: the simulated camera has a lens with a halo that nobody told the
      program.
    </p>
    <FirstActs>
      <LineButton onPress={onPractise}>Practise</LineButton>
    </FirstActs>
  </Invitation>
);

interface FramesViewProps {
  frames: Frames;
  session: Session;
  chosen: Frame | null;
  residual: boolean;
  logged: ReadonlySet<string>;
  onChoose: (id: string) => void;
  onPractise: () => void;
}

/** The frame in hand as a picture and as a curve, and the list of all. */
export function FramesView(props: FramesViewProps) {
  const { frames, session, chosen, residual, logged, onChoose, onPractise } = props;
  const answer = chosen?.answer;
  // Fetched while the first frame is measured; one that cannot be is asked for again when it is to be drawn.
  useEffect(() => void chart().catch(() => undefined), []);
  // The curve is the heaviest of it: it follows when nothing else is to be drawn.
  const curve = useDeferredValue(answer);
  return (
    <>
      {answer?.view ? (
        <FramePicture view={answer.view} measure={answer.measure} residual={residual} />
      ) : (
        <Invited onPractise={onPractise} />
      )}
      <div>
        {curve?.view && <ProfileChart view={curve.view} measure={curve.measure} />}
        {frames.frames.length > 0 && (
          <FrameList
            frames={frames}
            session={session}
            chosen={chosen?.id ?? null}
            logged={logged}
            onChoose={onChoose}
          />
        )}
      </div>
    </>
  );
}

interface ViewBarProps {
  view: 'frames' | 'log';
  onView: (view: 'frames' | 'log') => void;
  /** Entries of the log. */
  count: number;
  /** Null where there is no frame to show the rest of. */
  residual: boolean | null;
  onResidual: (on: boolean) => void;
}

/** What is looked at: frames or log, the frame or what its fit leaves. */
export function ViewBar({ view, onView, count, residual, onResidual }: ViewBarProps) {
  return (
    <Views>
      <ViewButton aria-pressed={view === 'frames'} onClick={() => onView('frames')}>
        Frames
      </ViewButton>
      <ViewButton aria-pressed={view === 'log'} onClick={() => onView('log')}>
        Log ({count})
      </ViewButton>
      {residual !== null && (
        <ViewButton
          style={{ marginLeft: 'auto' }}
          aria-pressed={residual}
          onClick={() => onResidual(!residual)}
        >
          What the fit leaves
        </ViewButton>
      )}
    </Views>
  );
}
