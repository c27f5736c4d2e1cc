'use client';
import { useMemo, useState } from 'react';
import styled from 'styled-components';
import { rigQuery } from '@/core/exchange/links';
import { fullName, type RigRecord, type RigSettings } from '@/core/kit/records';
import { turned, type Rig } from '@/core/rig';
import type { SweepCell } from '@/core/sweep';
import { ROOMS } from '@/shell/rooms';
import { stored } from '@/shell/tell';
import type { OpenRigProps } from '@/shell/rig/RigRoom';
import { useShellKeys } from '@/shell/useShell';
import { db } from '@/store/database/instance';
import { commit, edited } from '@/store/changes/journal';
import { RoomColumns, RoomLarge } from '@/ui/controls/roomLayout';
import { oneLine } from '@/ui/theme/type';
import { useSize } from '@/ui/useSize';
import { againstOptions } from './against';
import { AnswerPanel } from './AnswerPanel';
import type { Place } from './Matrix';
import { isNarrow, SheetArea } from './SheetArea';
import { SheetControls } from './SheetControls';
import { useInHand, useSheets } from './useSheets';
import type { Sweep } from './useSweep';
import { useSwept } from './useSwept';

const Top = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 2px 14px;
  h1 {
    font-size: 17px;
    font-weight: 650;
  }
`;

const Facts = styled.p`
  ${oneLine}
  min-width: 0;
  color: var(--muted);
`;

/** How many focal lengths fit side by side. */
const FOCALS = { roomy: 10, phone: 6 };

const factsOf = ({ lens, parts, body, mode }: Rig): string =>
  [fullName(lens), ...parts.map((p) => p.name), fullName(body), mode.name].join(' · ');

/** The rig as a frame has it. */
const asFrame = (record: RigRecord, { rig, settings, modeId, partIds }: SweepCell): RigRecord => ({
  ...record,
  bodyId: rig.body.id,
  lensId: rig.lens.id,
  settings,
  modeId,
  partIds,
});

/** A rig's sheet, and what it says. */
export function OpenSheet(props: OpenRigProps<Sweep>) {
  const { workspace, shell, inHand: sweeping, record, rig } = props;
  const { tell, keys } = shell;
  const { axes, other } = sweeping;
  const [place, { width }] = useSize<HTMLDivElement>();
  const sheets = useSheets(workspace, rig, sweeping, isNarrow(width) ? FOCALS.phone : FOCALS.roomy);
  const [showFigures, setShowFigures] = useState(false);
  const inHand = useInHand(rig, sheets);
  const { cell } = inHand;
  // The answer is that of the frame in hand, so that the curve and the windows are those of its row.
  const asked = cell && cell.verdict !== null ? cell.rig : rig;
  const along = axes.columns === 'aperture' ? 'aperture' : 'focal';
  const swept = useSwept(asked, inHand.isOther ? null : other, along);
  const known = swept === 'lost' ? null : swept;

  const put = (changed: RigRecord, label: string) =>
    stored(tell, () => commit(db, label, [edited('rigs', record, changed)]));
  const open = (at: Place, isOther: boolean) => {
    const chosen = inHand.cellAt(at, isOther);
    if (!chosen || chosen.verdict === null) return;
    put(asFrame(record, chosen), 'Set as the sweep shows');
    keys.visit(`${ROOMS.bench.path}?${rigQuery(record.id, chosen.settings)}`);
  };
  const change = (words: string, settings: Partial<RigSettings>) =>
    put({ ...record, settings: turned(rig, settings).settings }, words);
  const figures = () => setShowFigures((on) => !on);
  useShellKeys(shell, { c: figures, x: () => sweeping.chooseAxis('rows', axes.columns) });
  const againstGroups = useMemo(
    () => againstOptions(workspace, rig, record.id),
    [workspace, rig, record.id],
  );
  return (
    <RoomColumns>
      <RoomLarge aria-label="The rig over its settings">
        <Top>
          <h1>{record.name}</h1>
          <Facts>{factsOf(rig)}</Facts>
        </Top>
        <SheetControls
          sweeping={sweeping}
          againstGroups={againstGroups}
          showFigures={showFigures}
          onFigures={figures}
          sheet={sheets}
          name={record.name}
          tell={tell}
        />
        <div ref={place}>
          <SheetArea
            swept={known}
            axes={axes}
            sheets={sheets}
            otherName={other?.name ?? ''}
            asked={asked}
            widthPx={width}
            showFigures={showFigures}
            inHand={inHand}
            onOpen={open}
          />
        </div>
      </RoomLarge>
      <AnswerPanel
        rig={asked}
        answer={swept === 'lost' ? 'lost' : (known?.answer ?? null)}
        cell={cell}
        onOpen={() => open(inHand.at, inHand.isOther)}
        onChange={change}
      />
    </RoomColumns>
  );
}
