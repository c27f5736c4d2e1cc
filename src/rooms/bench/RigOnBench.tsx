'use client';
import { isSurelyClear } from '@/core/frame';
import { useMemo, useState } from 'react';
import styled from 'styled-components';
import type { Judgement, Workspace } from '@/core/kit/records';
import { evaluate } from '@/core/rig/report';
import { isMissing } from '@/core/rig';
import { applied, type Way } from '@/core/rig/search';
import type { Ghost } from '@/ui/stage/stageWords';
import { PHONE } from '@/ui/theme/type';
import { KnownOfLens } from './train/KnownOfLens';
import { Readings } from './readings/Readings';
import { SeenByEye } from './readings/SeenByEye';
import { RigRings } from '@/gear/RigRings';
import { StagePlace } from './stage/StagePlace';
import { TrainPanel } from './train/TrainPanel';
import type { Tell } from '@/shell/tell';
import type { Bench } from '@/shell/rig/useBench';
import { WaysOut } from './ways/WaysOut';

const Columns = styled.main`
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template: minmax(0, 1fr) auto / 232px minmax(0, 1fr) 336px;
  grid-template-areas: 'train stage readings' 'train rings readings';
  > :nth-child(1) {
    grid-area: train;
  }
  > :nth-child(2) {
    grid-area: stage;
  }
  > :nth-child(3) {
    grid-area: rings;
  }
  > :nth-child(4) {
    grid-area: readings;
  }
  @media ${PHONE} {
    grid-template: calc(min(78vw, 420px) + 44px) auto auto auto / minmax(0, 1fr);
    grid-template-areas: 'stage' 'rings' 'readings' 'train';
  }
`;

const Lacking = styled.div`
  display: grid;
  place-items: center;
  padding: 24px;
  background: var(--well);
  font-size: 15px;
`;

interface RigOnBenchProps {
  workspace: Workspace;
  bench: Bench;
  ghost: Ghost | null;
  onPin: () => void;
  onJudge: (judgement: Judgement) => void;
  tell: Tell;
}

/** The rig on the Bench, or what it lacks. */
export function RigOnBench(props: RigOnBenchProps) {
  const { workspace, bench, ghost, onPin, onJudge, tell } = props;
  const { record, rig, report, actions } = bench;
  const whole = rig && !isMissing(rig) ? rig : null;
  const [previewed, setPreviewed] = useState<Way | null>(null);
  const preview = useMemo(
    () => (whole && previewed ? evaluate(applied(whole, previewed.change, workspace.parts)) : null),
    [whole, previewed, workspace.parts],
  );
  if (!record || !rig) return null;
  return (
    <Columns>
      <TrainPanel workspace={workspace} bench={bench} record={record} />
      {isMissing(rig) || !report ? (
        <Lacking role="status">
          <p>
            This rig asks for a {isMissing(rig) ? rig.missing : 'record'} that is not in the
            workspace
            {isMissing(rig) ? ` (“${rig.id}”)` : ''}. Choose another in the light path.
          </p>
        </Lacking>
      ) : (
        <>
          <StagePlace
            rig={rig}
            report={preview ?? report}
            preview={previewed && preview ? `If: ${previewed.words}` : null}
            ghost={ghost}
            onPin={onPin}
            actions={actions}
            tell={tell}
          />
          <RigRings rig={rig} actions={bench.actions} />
          <Readings
            key={record.id}
            rig={rig}
            report={report}
            onJudge={onJudge}
            known={<KnownOfLens key={rig.lens.id} rig={rig} learn={actions.learn} />}
            seen={<SeenByEye key={rig.lens.id} rig={rig} onSeen={actions.see} />}
            ways={(startsOpen) => (
              <WaysOut
                rig={rig}
                kit={workspace.parts}
                clear={isSurelyClear(report.verdict)}
                torn={report.fitProblem !== null}
                startsOpen={startsOpen}
                onPreview={setPreviewed}
                onApply={actions.apply}
              />
            )}
          />
        </>
      )}
    </Columns>
  );
}
