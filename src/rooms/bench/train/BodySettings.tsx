'use client';
import styled from 'styled-components';
import type { Body, Mode, SensorTravel, RigRecord, Workspace } from '@/core/kit/records';
import { ASPECTS } from '@/core/frame';
import { digitalZoomsFor, type Rig } from '@/core/rig';
import { Choice } from '@/ui/controls/Choice';
import { aspectOptions } from '@/gear/options';
import type { BenchActions } from '@/shell/rig/useBench';

const Settings = styled.div`
  display: grid;
  gap: 1px;
  border-top: 1px solid var(--line);
  padding-top: 6px;
`;

const travelWords = (travel: SensorTravel): string =>
  `on, ±${travel.xMm}${travel.shape === 'box' ? ` × ${travel.yMm}` : ''} mm`;

interface BodySettingsProps {
  workspace: Workspace;
  actions: BenchActions;
  record: RigRecord;
  /** Null where it lacks a record. */
  rig: Rig | null;
}

type ZoomChoiceProps = Omit<BodySettingsProps, 'workspace'> & { body: Body; mode: Mode };

/** The digital zooms the body gives this lens. */
function ZoomChoice({ actions, record, rig, body, mode }: ZoomChoiceProps) {
  const zooms = rig ? digitalZoomsFor(body, mode, rig) : mode.digitalZooms;
  const isRefused = zooms.length < mode.digitalZooms.length;
  return (
    <Choice
      label="Digital zoom"
      groups={[
        {
          title: 'Digital zoom',
          options: zooms.map((z) => ({
            id: String(z),
            label: isRefused ? 'refused to this lens' : `×${z}`,
          })),
        },
      ]}
      chosen={String(record.settings.digitalZoom)}
      onChoose={(id) => actions.settle('Change the digital zoom', { digitalZoom: Number(id) })}
    />
  );
}

/** How the body is set: stabiliser, crops, digital zoom and what is delivered; nothing where it is not there. */
export function BodySettings({ workspace, actions, record, rig }: BodySettingsProps) {
  const body = workspace.bodies.find((b) => b.id === record.bodyId);
  const mode = body?.modes.find((m) => m.id === record.modeId);
  if (!body || !mode) return null;
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
      <ZoomChoice actions={actions} record={record} rig={rig} body={body} mode={mode} />
      <Choice
        label="Deliver"
        groups={aspects.groups}
        chosen={aspects.chosen}
        onChoose={(id) => {
          const aspect = ASPECTS.find((a) => a.id === id);
          if (aspect) actions.settle('Change the delivered aspect', { aspect: aspect.aspect });
        }}
      />
      <Choice
        label="Held"
        groups={[
          {
            title: 'How it is held',
            options: [
              { id: 'low', label: 'by hand or stand' },
              { id: 'overhead', label: 'overhead, vehicle' },
            ],
          },
        ]}
        chosen={settings.overhead ? 'overhead' : 'low'}
        onChoose={(id) => actions.settle('Say how it is held', { overhead: id === 'overhead' })}
      />
    </Settings>
  );
}
