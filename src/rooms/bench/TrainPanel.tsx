'use client';
import { Plus, X } from 'lucide-react';
import { memo } from 'react';
import styled from 'styled-components';
import type { Body, Mode, SensorTravel } from '@/core/kit/body';
import type { RigRecord } from '@/core/kit/rigRecord';
import type { Workspace } from '@/core/kit/workspace';
import { ActingButton, IconButton } from '@/ui/controls/Buttons';
import { Choice } from '@/ui/controls/Choice';
import { LightPath } from '@/ui/train/LightPath';
import { PHONE } from '@/ui/theme/type';
import { ASPECTS } from '@/core/frame/aspects';
import { isMissing } from '@/core/rig/rig';
import { aspectOptions, bodyOptions, lensOptions, modeOptions, partOptions } from './options';
import { PartSettings } from './PartSettings';
import type { Bench, BenchActions } from './useBench';

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
  min-height: 150px;
  max-height: 330px;
`;

const Places = styled.div`
  display: grid;
  gap: 7px;
`;

const Place = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  align-items: end;
`;

const Settings = styled.div`
  display: grid;
  gap: 1px;
  border-top: 1px solid var(--line);
  padding-top: 6px;
`;

const Joint = styled.p`
  color: var(--clipped);
  font-size: 12px;
  overflow-wrap: anywhere;
`;

interface PlacesProps {
  workspace: Workspace;
  actions: BenchActions;
  record: RigRecord;
}

interface BodySettingsProps extends Omit<PlacesProps, 'workspace'> {
  mode: Mode;
  body: Body;
}

const travelWords = (travel: SensorTravel): string =>
  `on, ±${travel.xMm}${travel.shape === 'box' ? ` × ${travel.yMm}` : ''} mm`;

function BodySettings({ actions, record, mode, body }: BodySettingsProps) {
  const { settings } = record;
  const aspects = aspectOptions(settings.aspect);
  const travel = body.sensorTravel;
  return (
    <Settings>
      <Choice
        label="Stabiliser"
        groups={[
          {
            title: 'Sensor stabiliser',
            options: [
              { id: 'off', label: travel ? 'off and locked' : 'none in this body' },
              ...(travel ? [{ id: 'on', label: travelWords(travel) }] : []),
            ],
          },
        ]}
        chosen={settings.stabiliser && travel ? 'on' : 'off'}
        onChoose={(id) => actions.settle('Switch the stabiliser', { stabiliser: id === 'on' })}
      />
      <Choice
        label="Electronic"
        groups={[
          {
            title: 'Stabilisation crop',
            options: [
              { id: '', label: mode.crops.length > 0 ? 'off' : 'none in this mode' },
              ...mode.crops.map((crop) => ({
                id: crop.id,
                label: `${crop.name} ×${crop.measured ?? crop.nominal}`,
                note:
                  crop.measured === null
                    ? 'nominal, never measured'
                    : `measured; nominal ×${crop.nominal}`,
              })),
            ],
          },
        ]}
        chosen={settings.cropId ?? ''}
        onChoose={(id) =>
          actions.settle('Change the stabilisation crop', { cropId: id === '' ? null : id })
        }
      />
      <Choice
        label="Digital zoom"
        groups={[
          {
            title: 'Digital zoom',
            options: mode.digitalZooms.map((z) => ({ id: String(z), label: `×${z}` })),
          },
        ]}
        chosen={String(settings.digitalZoom)}
        onChoose={(id) => actions.settle('Change the digital zoom', { digitalZoom: Number(id) })}
      />
      <Choice
        label="Deliver"
        groups={aspects.groups}
        chosen={aspects.chosen}
        onChoose={(id) => {
          const aspect = ASPECTS.find((a) => a.name === id);
          if (aspect) actions.settle('Change the delivered aspect', { aspect: aspect.aspect });
        }}
      />
    </Settings>
  );
}

function Parts({ workspace, actions, record }: PlacesProps) {
  const put = (label: string, partIds: string[]) => actions.change(label, { partIds });
  const isLast = (i: number) => i === record.partIds.length - 1;
  return (
    <>
      {record.partIds.map((id, i) => (
        <Place key={`${i}-${id}`}>
          <Choice
            label={
              record.partIds.length > 1
                ? `Between, ${isLast(i) ? 'at the body' : 'at the lens'}`
                : 'Between'
            }
            stacked
            groups={partOptions(workspace, record, i)}
            chosen={id}
            placeholder="not in this workspace"
            onChoose={(next) => put('Swap a part', record.partIds.with(i, next))}
          />
          <IconButton
            label="Take this part out"
            onPress={() => put('Take a part out', record.partIds.toSpliced(i, 1))}
          >
            <X size={15} aria-hidden="true" />
          </IconButton>
        </Place>
      ))}
      {record.partIds.length === 0 && (
        <Choice
          label="Between"
          stacked
          groups={partOptions(workspace, record, 0)}
          chosen={null}
          placeholder="nothing; put a part in"
          onChoose={(id) => put('Put a part in', [id])}
        />
      )}
    </>
  );
}

/** Adds a part before the body: the first that joins, or the first there is. */
function AddPart({ workspace, actions, record }: PlacesProps) {
  const groups = partOptions(workspace, record, record.partIds.length);
  const first = groups.flatMap((g) => g.options)[0];
  if (record.partIds.length === 0 || record.partIds.length >= 8 || !first) return null;
  return (
    <ActingButton
      onPress={() =>
        actions.change('Put another part in', { partIds: [...record.partIds, first.id] })
      }
      style={{ justifySelf: 'start', padding: '2px 0' }}
    >
      <Plus size={12} aria-hidden="true" /> another part before the body
    </ActingButton>
  );
}

/** Lens, parts, body and mode to choose from; they stand still while rings are turned. */
const RigPlaces = memo(function RigPlaces(props: PlacesProps & { joints: string }) {
  const { workspace, actions, record, joints } = props;
  const body = workspace.bodies.find((b) => b.id === record.bodyId);
  const mode = body?.modes.find((m) => m.id === record.modeId);
  const parts = record.partIds.flatMap((id) => workspace.parts.find((p) => p.id === id) ?? []);
  return (
    <>
      <Places>
        <Choice
          label="Lens"
          stacked
          groups={lensOptions(workspace, record)}
          chosen={record.lensId}
          placeholder="not in this workspace"
          onChoose={(lensId) => actions.change('Swap the lens', { lensId })}
        />
        <Parts workspace={workspace} actions={actions} record={record} />
        <AddPart workspace={workspace} actions={actions} record={record} />
        {joints && <Joint>{joints}</Joint>}
        <Choice
          label="Body"
          stacked
          groups={bodyOptions(workspace, record)}
          chosen={record.bodyId}
          placeholder="not in this workspace"
          onChoose={(bodyId) => {
            const next = workspace.bodies.find((b) => b.id === bodyId);
            const modeId =
              next?.modes.find((m) => m.id === record.modeId)?.id ?? next?.modes[0]?.id;
            if (modeId) actions.change('Swap the body', { bodyId, modeId });
          }}
        />
        <Choice
          label="Mode"
          stacked
          groups={modeOptions(body)}
          chosen={record.modeId}
          placeholder="not in this body"
          onChoose={(modeId) => actions.change('Change the mode', { modeId })}
        />
      </Places>
      <PartSettings actions={actions} record={record} parts={parts} />
      {body && mode && <BodySettings actions={actions} record={record} mode={mode} body={body} />}
    </>
  );
});

interface TrainPanelProps {
  workspace: Workspace;
  bench: Bench;
  record: RigRecord;
}

/** What the rig is made of, scene to sensor, and how the body is set. */
export function TrainPanel({ workspace, bench, record }: TrainPanelProps) {
  const { rig, report, actions } = bench;
  return (
    <Panel aria-label="Light path">
      <Title>Light path, to scale</Title>
      {rig && !isMissing(rig) && report && (
        <Picture>
          <LightPath rig={rig} report={report} />
        </Picture>
      )}
      <RigPlaces
        workspace={workspace}
        actions={actions}
        record={record}
        joints={report?.fit.joints.map((j) => j.sentence).join(' ') ?? ''}
      />
    </Panel>
  );
}
