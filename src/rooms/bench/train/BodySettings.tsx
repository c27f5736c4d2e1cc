'use client';
import styled from 'styled-components';
import type { Body, Mode, SensorTravel, RigRecord } from '@/core/kit/records';
import { ASPECTS } from '@/core/frame';
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
  actions: BenchActions;
  record: RigRecord;
  mode: Mode;
  body: Body;
  /** Those the body gives this lens. */
  zooms: readonly number[];
}

/** How the body is set: stabiliser, crops, digital zoom and what is delivered. */
export function BodySettings({ actions, record, mode, body, zooms }: BodySettingsProps) {
  const { settings } = record;
  const aspects = aspectOptions(settings.aspect);
  const travel = body.sensorTravel;
  const isRefused = zooms.length < mode.digitalZooms.length;
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
            options: zooms.map((z) => ({
              id: String(z),
              label: isRefused ? 'refused to this lens' : `×${z}`,
            })),
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
