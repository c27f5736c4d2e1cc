'use client';
import { useState } from 'react';
import styled from 'styled-components';
import type { Workspace } from '@/core/kit/records';
import { BetweenQuestion, type Ends } from '@/gear/quick/BetweenQuestion';
import { CameraQuestions } from '@/gear/quick/CameraQuestions';
import { LensQuestions } from '@/gear/quick/LensQuestions';
import { guarded, type Tell } from '@/shell/tell';
import { db } from '@/store/database/instance';
import { commit } from '@/store/changes/journal';
import { FormName } from '@/ui/form/useTyped';
import { PHONE } from '@/ui/theme/type';
import { SoFar } from './SoFar';
import { START, useStart } from './useStart';
import type { StartAnswers } from '@/core/kit/starter';

const Page = styled.main`
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: minmax(0, 1fr) 336px;
  @media ${PHONE} {
    display: block;
  }
`;

const Questions = styled.div`
  overflow-y: auto;
  padding: 20px 26px 40px;
  display: grid;
  gap: 18px;
  align-content: start;
  h1 {
    font-size: 25px;
    line-height: 1.15;
    font-weight: 700;
  }
  @media ${PHONE} {
    padding: 16px 14px 24px;
    overflow: visible;
  }
`;

const Lead = styled.p`
  max-width: 640px;
  font-size: 15px;
`;

const Question = styled.section`
  max-width: 900px;
  display: grid;
  gap: 12px;
  padding-top: 10px;
  border-top: 1px solid var(--line);
  h2 {
    font-size: 17px;
    font-weight: 650;
  }
`;

const Others = styled.p`
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  color: var(--muted);
`;

interface StartPageProps {
  workspace: Workspace;
  tell: Tell;
  onRig: (rigId: string) => void;
  /** Other ways to begin, or back to what was there. */
  others: React.ReactNode;
}

/** Mounts somebody told; what stands between is refused for no mount that was only taken as usual. */
const told = ({ front, rear }: Ends, { lensMountId, cameraMountId }: StartAnswers): Ends => ({
  front: lensMountId === null ? null : front,
  rear: cameraMountId === null ? null : rear,
});

/** One page that asks what people know, answers as they go, and ends on the Bench. */
export function StartPage({ workspace, tell, onRig, others }: StartPageProps) {
  const start = useStart(workspace);
  const { answers, answer, found, report } = start;
  const [isBusy, setBusy] = useState(false);
  const { mounts } = workspace;
  const take = () => {
    if (!found.ok) return;
    const { rig } = found.value;
    setBusy(true);
    guarded(tell, async () => {
      try {
        await commit(db, 'Start with what I know', start.writes());
        start.done();
        onRig(rig.id);
      } finally {
        setBusy(false);
      }
    });
  };
  return (
    <Page>
      <Questions>
        <h1>What do you have?</h1>
        <Lead>
          Does a lens’s round patch of light reach the corners of the sensor, and what does the
          glass between them do? Say what you know; what you do not is taken as usual, and the
          verdict is as unsure as that leaves it.
        </Lead>
        <Others>{others}</Others>
        <FormName.Provider value={START}>
          <Question>
            <h2>The camera</h2>
            <CameraQuestions answers={answers} mounts={mounts} withUse onAnswer={answer} />
          </Question>
          <Question>
            <h2>The lens</h2>
            <LensQuestions answers={answers} mounts={mounts} onAnswer={answer} />
          </Question>
          <Question>
            <h2>What goes between</h2>
            <BetweenQuestion
              label="Between lens and camera"
              between={answers.between}
              ends={told(start.ends, answers)}
              onChoose={(between) => answer({ between })}
            />
          </Question>
        </FormName.Provider>
      </Questions>
      <SoFar found={found} report={report} isBusy={isBusy} onTake={take} />
    </Page>
  );
}
