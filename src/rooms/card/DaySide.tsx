'use client';
import { X } from 'lucide-react';
import { useMemo, useState } from 'react';
import styled from 'styled-components';
import { dayPlan, daysInOrder, type DayRig } from '@/core/card';
import type { Day, Workspace } from '@/core/kit/records';
import { counted } from '@/core/words';
import { rigOptions } from '@/gear/options';
import { IconButton } from '@/ui/controls/Buttons';
import { Choice } from '@/ui/controls/Choice';
import { MenuButton } from '@/ui/controls/MenuButton';
import { NameDialog } from '@/ui/controls/NameDialog';
import { SideNote } from '@/ui/controls/roomLayout';
import { SortableRows } from '@/ui/controls/SortableRows';
import { EntryField } from '@/ui/form/EntryField';
import type { DayDoings } from './useDay';

const Line = styled.div`
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 6px;
`;

const RigRow = styled.div`
  display: grid;
  grid-template-columns: 18px minmax(0, 1fr) auto;
  align-items: center;
  min-width: 0;
  b {
    font-weight: 500;
    overflow-wrap: anywhere;
  }
  i {
    font-style: normal;
    color: var(--muted);
  }
`;

const isDate = (text: string): boolean => {
  const time = Date.parse(`${text}T00:00:00Z`);
  return /^\d{4}-\d{2}-\d{2}$/.test(text) && new Date(time).toISOString().slice(0, 10) === text;
};

const moved = <T,>(list: readonly T[], from: number, to: number): T[] => {
  const rest = list.filter((_, i) => i !== from);
  const item = list[from];
  return item === undefined ? rest : [...rest.slice(0, to), item, ...rest.slice(to)];
};

interface DaySideProps {
  workspace: Workspace;
  day: Day;
  rigs: readonly DayRig[];
  doings: DayDoings;
  onDay: (id: string) => void;
  /** The rig a new day begins with. */
  rigId: string;
}

/** Which day, and what can be done with it as a whole. */
function DayLine({ workspace, day, doings, onDay, rigId }: Omit<DaySideProps, 'rigs'>) {
  const [isNaming, setNaming] = useState(false);
  const options = daysInOrder(workspace.days).map(({ id, name, date }) => ({
    id,
    label: name,
    note: date,
  }));
  const actions = [
    {
      id: 'new',
      label: 'New day',
      note: 'begins with the rig in hand',
      act: () => doings.begin([rigId]),
    },
    { id: 'copy', label: 'Duplicate this day', act: doings.copy },
    { id: 'name', label: 'Name it…', act: () => setNaming(true) },
    { id: 'delete', label: 'Delete this day', act: doings.remove },
  ];
  return (
    <Line>
      <Choice label="Day" groups={[{ title: 'Days', options }]} chosen={day.id} onChoose={onDay} />
      <MenuButton label="Day" actions={actions} />
      {isNaming && (
        <NameDialog
          what="day"
          name={day.name}
          onName={(name) => {
            setNaming(false);
            doings.change('Name the day', { name });
          }}
          onClose={() => setNaming(false)}
        />
      )}
    </Line>
  );
}

/** Its rigs, in the order they are shot. */
function DayRigs({ workspace, day, rigs, doings }: Omit<DaySideProps, 'onDay' | 'rigId'>) {
  const set = (label: string, rigIds: string[]) => doings.change(label, { rigIds });
  const takeOut = (name: string, at: number) =>
    set(
      `Take ${name} out of the day`,
      day.rigIds.filter((_, i) => i !== at),
    );
  const items = rigs.map(({ id, name, lacks }, i) => ({
    key: `${id}-${rigs.slice(0, i).filter((r) => r.id === id).length}`,
    name,
    row: (
      <RigRow>
        <i>{i + 1}</i>
        <b>
          {name}
          {lacks !== null && <i> · lacks its {lacks}</i>}
        </b>
        <IconButton label={`Take ${name} out of the day`} onPress={() => takeOut(name, i)}>
          <X size={14} aria-hidden="true" />
        </IconButton>
      </RigRow>
    ),
  }));
  return (
    <>
      <h3>Rigs in shooting order</h3>
      {rigs.length === 0 && <SideNote>None yet: add the first one below.</SideNote>}
      <SortableRows
        label="Rigs in shooting order"
        items={items}
        onMove={(from, to) => set('Order the day', moved(day.rigIds, from, to))}
      />
      <Choice
        label="Add a rig"
        groups={[rigOptions(workspace.rigs)]}
        chosen={null}
        placeholder="which one"
        onChoose={(id) => set('Add a rig to the day', [...day.rigIds, id])}
      />
    </>
  );
}

/** A day: its name and date, its rigs in order, and what it comes to. */
export function DaySide(props: DaySideProps) {
  const { day, rigs, doings } = props;
  const plan = useMemo(() => dayPlan(rigs), [rigs]);
  const pieces = plan.pack.reduce((n, row) => n + row.count, 0);
  return (
    <>
      <DayLine {...props} />
      <EntryField
        key={`${day.id}-date`}
        label="Date"
        keptAs={`${day.id} date`}
        shown={day.date}
        placeholder="not settled"
        figure
        complain={(text) =>
          text === '' || isDate(text) ? null : 'A date such as 2026-06-02, or nothing.'
        }
        onEnter={(date) => doings.change('Date the day', { date })}
      />
      <EntryField
        key={`${day.id}-note`}
        label="Note"
        keptAs={`${day.id} note`}
        shown={day.note}
        placeholder="printed under the date"
        long
        complain={(text) => (text.length > 4000 ? 'At most 4000 characters.' : null)}
        onEnter={(note) => doings.change('Note on the day', { note })}
      />
      <DayRigs {...props} />
      <SideNote>
        {counted(pieces, 'piece')} to pack, {plan.massWords}.{' '}
        {plan.tests.length === 0
          ? 'Every halo of the day is measured.'
          : `${counted(plan.tests.length, 'rig')} still to be tested, the likeliest to fail first on the plan.`}
      </SideNote>
      {plan.rearGlass.length > 0 && (
        <SideNote>
          Rear glass to measure before it is mounted: {plan.rearGlass.join(', ')}.
        </SideNote>
      )}
    </>
  );
}
