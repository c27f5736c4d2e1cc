'use client';
import styled from 'styled-components';
import { fileNameOf } from '@/core/words';
import { sweepCsv } from '@/core/exchange/csv';
import { AXIS_WORDS, SWEEP_AXES } from '@/core/sweep';
import { download } from '@/shell/files/files';
import { guarded, type Tell } from '@/shell/tell';
import { TextButton } from '@/ui/controls/Buttons';
import { Choice } from '@/ui/controls/Choice';
import { MenuButton, type MenuAction } from '@/ui/controls/MenuButton';
import type { OptionGroup } from '@/ui/controls/options';
import { pngOfSvg } from '@/ui/canvas';
import { useTheme } from '@/ui/theme/useTheme';
import { againstId, chosenAgainst } from './against';
import { inksOfPage, sheetTitle, sweepSvg, type SheetOfCells } from './exports';
import type { Sweep } from './useSweep';

const Controls = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 2px 6px;
  margin: 2px 0 8px;
`;

const Word = styled.span`
  color: var(--muted);
`;

/** Pixels to a unit of a sheet saved as a picture. */
const PNG_SCALE = 2;

const AXIS_OPTIONS = [
  { title: 'Over', options: SWEEP_AXES.map((id) => ({ id, label: AXIS_WORDS[id] })) },
];

interface SheetControlsProps {
  sweeping: Sweep;
  againstGroups: readonly OptionGroup[];
  showFigures: boolean;
  onFigures: () => void;
  sheet: Omit<SheetOfCells, 'title'>;
  name: string;
  tell: Tell;
}

/** What the sheet runs over and is held against, read as one line. */
export function SheetControls(props: SheetControlsProps) {
  const { sweeping, againstGroups, showFigures, onFigures, sheet, name, tell } = props;
  const { axes, against } = sweeping;
  return (
    <Controls>
      <Word aria-hidden="true">down</Word>
      <Choice
        bare
        label="Down"
        groups={AXIS_OPTIONS}
        chosen={axes.rows}
        onChoose={(id) => sweeping.chooseAxis('rows', id as typeof axes.rows)}
      />
      <Word aria-hidden="true">· across</Word>
      <Choice
        bare
        label="Across"
        groups={AXIS_OPTIONS}
        chosen={axes.columns}
        onChoose={(id) => sweeping.chooseAxis('columns', id as typeof axes.columns)}
      />
      <Word aria-hidden="true">· held against</Word>
      <Choice
        bare
        label="Held against"
        groups={againstGroups}
        chosen={chosenAgainst(against)}
        onChoose={(id) => sweeping.holdAgainst(againstId(id))}
      />
      <TextButton aria-pressed={showFigures} onPress={onFigures}>
        {showFigures ? 'Without corner stops' : 'Stops of the worst corner'}
      </TextButton>
      <SaveMenu
        sheet={{ ...sheet, title: sheetTitle(name, axes) }}
        name={name}
        axes={axes}
        tell={tell}
      />
    </Controls>
  );
}

interface SaveMenuProps {
  sheet: SheetOfCells;
  name: string;
  axes: Sweep['axes'];
  tell: Tell;
}

/** The sheet as a table and as pictures. */
function SaveMenu({ sheet, name, axes, tell }: SaveMenuProps) {
  const [theme] = useTheme();
  const file = `sweep-${fileNameOf(name, 'rig')}`;
  const svg = () => sweepSvg(sheet, inksOfPage(), theme);
  const actions: readonly MenuAction[] = [
    {
      id: 'csv',
      label: 'Save as CSV',
      note: 'a line a frame',
      act: () => download(`${file}.csv`, sweepCsv(sheet.cells, axes), 'text/csv'),
    },
    {
      id: 'png',
      label: 'Save as PNG',
      note: 'as it stands here',
      act: () =>
        guarded(tell, async () => download(`${file}.png`, await pngOfSvg(svg(), PNG_SCALE))),
    },
    {
      id: 'svg',
      label: 'Save as SVG',
      note: 'to be printed at any size',
      act: () => download(`${file}.svg`, svg(), 'image/svg+xml'),
    },
  ];
  return <MenuButton label="Save sheet" actions={actions} />;
}
