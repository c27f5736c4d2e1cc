'use client';
import { X } from 'lucide-react';
import { memo, useMemo, useState } from 'react';
import styled from 'styled-components';
import type { RigRecord, Workspace } from '@/core/kit/records';
import type { Caution, CautionPlace } from '@/core/rig/report';
import { isMissing, resolveRig, type Rig } from '@/core/rig';
import { ActingButton, IconButton } from '@/ui/controls/Buttons';
import { Choice } from '@/ui/controls/Choice';
import type { Otherwise } from '@/ui/controls/options';
import { SortableRows } from '@/ui/controls/SortableRows';
import { BodySettings } from './BodySettings';
import { CautionsHere } from '../ways/Cautions';
import { ChainDialog } from './ChainDialog';
import { BodyChoice, LensChoice, ModeChoice } from '@/gear/GearChoice';
import { addOptions, bodyOptions, lensOptions, swapOptions } from '@/gear/options';
import { PartSettings } from './PartSettings';
import { SayGear, type Gear } from './SayGear';
import type { BenchActions } from '@/shell/rig/useBench';

const Places = styled.div`
  display: grid;
  gap: 6px;
`;

const Place = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  align-items: end;
`;

const PartRow = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto auto;
  align-items: center;
`;

const Adding = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  align-items: center;
`;

const Trouble = styled.p`
  color: var(--clipped);
  font-size: 12px;
  overflow-wrap: anywhere;
`;

const MOST_PARTS = 8;

interface PlacesProps {
  workspace: Workspace;
  actions: BenchActions;
  record: RigRecord;
}

interface PartsProps extends PlacesProps {
  rig: Rig | null;
  mind: (at: CautionPlace) => readonly Caution[];
  /** What else may stand in the place of a part. */
  otherwiseAt: (index: number) => Otherwise;
}

/** Items that stand for the same part keep one key each, wherever they stand. */
function keysOf(partIds: readonly string[]): string[] {
  const seen = new Map<string, number>();
  return partIds.map((id) => {
    const nth = (seen.get(id) ?? 0) + 1;
    seen.set(id, nth);
    return `${id}#${nth}`;
  });
}

function Parts({ workspace, actions, record, rig, mind, otherwiseAt }: PartsProps) {
  const { partIds } = record;
  const put = (label: string, next: string[]) => actions.change(label, { partIds: next });
  const items = useMemo(() => {
    const keys = keysOf(partIds);
    return partIds.map((id, i) => {
      const part = workspace.parts.find((p) => p.id === id);
      return { id, key: keys[i] ?? id, name: part?.name ?? 'a part that is not here' };
    });
  }, [partIds, workspace.parts]);
  if (items.length === 0) return null;
  return (
    <SortableRows
      label="Parts between lens and body"
      items={items.map(({ id, key, name }, i) => ({
        key,
        name,
        row: (
          <PartRow>
            <Choice
              label={items.length > 1 ? `Between, ${i + 1} of ${items.length}` : 'Between'}
              stacked
              bare
              groups={swapOptions(workspace, rig, i)}
              chosen={id}
              otherwise={otherwiseAt(i)}
              placeholder="not in this workspace"
              onChoose={(next) => put('Swap a part', partIds.with(i, next))}
            />
            <CautionsHere cautions={mind(i)} />
            <IconButton
              label={`Take out ${name}`}
              onPress={() => put('Take a part out', partIds.toSpliced(i, 1))}
            >
              <X size={15} aria-hidden="true" />
            </IconButton>
          </PartRow>
        ),
      }))}
      onMove={(from, to) => {
        const moved = partIds[from];
        if (moved !== undefined)
          put('Move a part along the train', partIds.toSpliced(from, 1).toSpliced(to, 0, moved));
      }}
    />
  );
}

interface AddPartProps extends PlacesProps {
  rig: Rig | null;
  otherwise: Otherwise;
}

/** Puts a part in where it fits best, or looks for a whole chain. */
function AddPart({ workspace, actions, record, rig, otherwise }: AddPartProps) {
  const [seeking, setSeeking] = useState(false);
  const { groups, placeOf } = useMemo(() => addOptions(workspace, rig), [workspace, rig]);
  return (
    <Adding>
      {record.partIds.length < MOST_PARTS ? (
        <Choice
          label="Add a part"
          stacked
          bare
          groups={groups}
          chosen={null}
          otherwise={otherwise}
          placeholder={record.partIds.length > 0 ? '+ another part' : '+ put a part in'}
          onChoose={(id) =>
            actions.change('Put a part in', {
              partIds: record.partIds.toSpliced(placeOf(id), 0, id),
            })
          }
        />
      ) : (
        <span />
      )}
      <ActingButton onPress={() => setSeeking(true)} style={{ padding: '4px 0 4px 6px' }}>
        Find a chain
      </ActingButton>
      {seeking && (
        <ChainDialog
          workspace={workspace}
          record={record}
          actions={actions}
          onClose={() => setSeeking(false)}
        />
      )}
    </Adding>
  );
}

interface TrainPlacesProps extends PlacesProps {
  cautions: readonly Caution[];
  /** What is wrong with the way it goes together, a sentence a line. */
  troubles: string;
}

/** Lens, parts, body and mode to choose from; they stand still while rings are turned. */
export const TrainPlaces = memo(function TrainPlaces(props: TrainPlacesProps) {
  const { workspace, actions, record, cautions, troubles } = props;
  const rig = useMemo(() => {
    const found = resolveRig(workspace, record);
    return isMissing(found) ? null : found;
  }, [workspace, record]);
  const body = workspace.bodies.find((b) => b.id === record.bodyId);
  const parts = record.partIds.flatMap((id) => workspace.parts.find((p) => p.id === id) ?? []);
  const mind = (at: CautionPlace) => cautions.filter((c) => c.at === at);
  const shared = { workspace, actions, record, rig };
  const [saying, setSaying] = useState<Gear | null>(null);
  const sayIt = (gear: Gear): Otherwise => ({
    question: 'Not in the kit?',
    label: 'Say what it is…',
    act: () => setSaying(gear),
  });
  return (
    <>
      {saying && <SayGear {...shared} gear={saying} onClose={() => setSaying(null)} />}
      <Places>
        <Place>
          <LensChoice
            stacked
            groups={lensOptions(workspace, rig)}
            chosen={record.lensId}
            otherwise={sayIt('lens')}
            onChoose={(lensId) => actions.change('Swap the lens', { lensId })}
          />
          <CautionsHere cautions={mind('lens')} />
        </Place>
        <Parts {...shared} mind={mind} otherwiseAt={(instead) => sayIt({ instead })} />
        <AddPart {...shared} otherwise={sayIt('part')} />
        {troubles && <Trouble>{troubles}</Trouble>}
        <Place>
          <BodyChoice
            stacked
            groups={bodyOptions(workspace, rig)}
            chosen={record.bodyId}
            otherwise={sayIt('body')}
            onChoose={(bodyId) => {
              const next = workspace.bodies.find((b) => b.id === bodyId);
              const modeId =
                next?.modes.find((m) => m.id === record.modeId)?.id ?? next?.modes[0]?.id;
              if (modeId) actions.change('Swap the body', { bodyId, modeId });
            }}
          />
          <CautionsHere cautions={mind('body')} />
        </Place>
        <ModeChoice
          stacked
          body={body}
          chosen={record.modeId}
          onChoose={(modeId) => actions.change('Change the mode', { modeId })}
        />
      </Places>
      <PartSettings actions={actions} record={record} parts={parts} />
      <BodySettings workspace={workspace} actions={actions} record={record} rig={rig} />
    </>
  );
});
