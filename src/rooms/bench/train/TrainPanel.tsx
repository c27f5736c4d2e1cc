'use client';
import styled from 'styled-components';
import type { RigRecord, Workspace } from '@/core/kit/records';
import { isMissing } from '@/core/rig';
import { PHONE } from '@/ui/theme/type';
import { LightPath } from '@/ui/train/LightPath';
import { troubleWords } from '@/core/rig/readings';
import { useSame } from '@/ui/useSame';
import { TrainPlaces } from './TrainPlaces';
import type { Bench } from '@/shell/rig/useBench';

const Panel = styled.section`
  display: flex;
  flex-direction: column;
  min-height: 0;
  padding: 10px 14px 12px;
  gap: 8px;
  border-right: 1px solid var(--line);
  overflow-y: auto;
  @media ${PHONE} {
    border: 0;
    border-top: 1px solid var(--line);
    overflow: visible;
  }
`;

const Title = styled.h2`
  color: var(--muted);
`;

const Picture = styled.div`
  flex: 1 1 200px;
  /* Its words stay large enough to read; what stands below it scrolls. */
  min-height: 230px;
  max-height: 330px;
`;

interface TrainPanelProps {
  workspace: Workspace;
  bench: Bench;
  record: RigRecord;
}

/** What the rig is made of, scene to sensor, and how the body is set. */
export function TrainPanel({ workspace, bench, record }: TrainPanelProps) {
  const { rig, report, actions } = bench;
  const cautions = useSame(report?.cautions ?? []);
  return (
    <Panel aria-label="Light path">
      <Title>Light path, to scale</Title>
      {rig && !isMissing(rig) && report && (
        <Picture>
          <LightPath rig={rig} report={report} />
        </Picture>
      )}
      <TrainPlaces
        workspace={workspace}
        actions={actions}
        record={record}
        cautions={cautions}
        troubles={report ? troubleWords(report).join(' ') : ''}
      />
    </Panel>
  );
}
