'use client';
import { useEffect, useMemo, useRef } from 'react';
import styled from 'styled-components';
import { clamp } from '@/core/maths';
import { atEndWords, type Rig } from '@/core/rig';
import type { SweepStep, SweepCell } from '@/core/sweep';
import { cornerWords, darknessWords } from '@/core/words';
import { VERDICT_INK } from '@/ui/marks/VerdictMark';
import { verdictPaths, verdictWords } from '@/core/frame';
import { engraved, oneLine } from '@/ui/theme/type';
import { useTheme } from '@/ui/theme/useTheme';
import { FIGURE_PX, frameBox, HEAD_PX, type MatrixLayout } from './matrixLayout';
import { paintCells } from './paintCells';

const Sheet = styled.div`
  position: relative;
  outline: none;
  canvas,
  svg {
    position: absolute;
    left: 0;
    top: ${HEAD_PX}px;
    pointer-events: none;
  }
  [role='row'] {
    display: flex;
  }
  [role='columnheader'],
  [role='rowheader'] {
    ${engraved}
    ${oneLine}
    color: var(--muted);
    font-size: 12px;
  }
  [role='columnheader'] {
    height: ${HEAD_PX}px;
    text-align: center;
    padding: 0 2px;
  }
  [role='rowheader'] {
    padding-right: 6px;
    align-self: center;
  }
  [role='gridcell'] {
    position: relative;
    cursor: pointer;
    border-radius: var(--radius);
    outline-offset: -3px;
  }
  [role='gridcell'][aria-selected='true'] {
    box-shadow: inset 0 0 0 1.5px var(--amber);
  }
  [role='gridcell']:hover {
    background: var(--raised);
  }
`;

const Figure = styled.span`
  ${engraved}
  position: absolute;
  left: 0;
  right: 0;
  bottom: 1px;
  text-align: center;
  font-size: 11px;
  line-height: ${FIGURE_PX}px;
  color: var(--muted);
`;

const Cannot = styled.span`
  position: absolute;
  inset: 0;
  display: grid;
  place-items: center;
  color: var(--muted);
  font-size: 15px;
`;

const atEndOf = (rig: Rig): string => {
  const words = atEndWords(rig);
  return words === null ? '' : `, ${words}`;
};

/** What a cell says to who cannot see it. */
const spoken = (cell: SweepCell): string =>
  cell.verdict === null
    ? `${cell.column}, ${cell.row}: cannot be set, ${cell.cannot ?? ''}`
    : `${cell.column}, ${cell.row}: ${verdictWords(cell.verdict)}, darkest corner ${darknessWords(cell.worstCornerStops)}${atEndOf(cell.rig)}`;

export interface Place {
  row: number;
  column: number;
}

interface MatrixProps {
  label: string;
  rows: readonly SweepStep[];
  columns: readonly SweepStep[];
  cells: readonly SweepCell[];
  layout: MatrixLayout;
  /** Null where the frame in hand is not on this sheet. */
  chosen: Place | null;
  onChoose: (place: Place) => void;
  onOpen: (place: Place) => void;
}

const MOVES: Readonly<Record<string, readonly [down: number, right: number]>> = {
  ArrowUp: [-1, 0],
  ArrowDown: [1, 0],
  ArrowLeft: [0, -1],
  ArrowRight: [0, 1],
};

/** The halos of all frames, painted at once. */
function usePainting({ cells, layout, columns }: MatrixProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const [theme] = useTheme();
  useEffect(() => {
    if (canvas.current) paintCells(canvas.current, cells, columns.length, layout, theme);
  }, [cells, columns.length, layout, theme]);
  return canvas;
}

/** The outlines that tell the verdicts. */
function Outlines({ cells, layout, columns }: Pick<MatrixProps, 'cells' | 'layout' | 'columns'>) {
  return (
    <svg width={layout.widthPx} height={layout.heightPx} fill="none" aria-hidden="true">
      {cells.map((cell, i) => {
        if (cell.verdict === null) return null;
        const box = frameBox(cell, Math.floor(i / columns.length), i % columns.length, layout);
        return (
          <g key={i} strokeWidth="1.6">
            {verdictPaths(cell.verdict, box).map(({ d, kind, isDotted }) => (
              <path
                key={d}
                d={d}
                stroke={VERDICT_INK[kind]}
                strokeDasharray={isDotted ? '1.6 1.8' : undefined}
              />
            ))}
          </g>
        );
      })}
    </svg>
  );
}

/** Arrows go from frame to frame, Enter opens the one in hand. */
function useSheetKeys(sheet: React.RefObject<HTMLDivElement | null>, props: MatrixProps) {
  const { rows, columns, chosen, onChoose, onOpen } = props;
  return (event: React.KeyboardEvent) => {
    const place = chosen ?? { row: 0, column: 0 };
    const move = MOVES[event.key];
    if (event.key === 'Enter') onOpen(place);
    else if (move) {
      const row = clamp(place.row + move[0], 0, rows.length - 1);
      const column = clamp(place.column + move[1], 0, columns.length - 1);
      onChoose({ row, column });
      sheet.current?.querySelector<HTMLElement>(`[data-place="${row}/${column}"]`)?.focus();
    } else return;
    event.preventDefault();
  };
}

/** A sheet of small frames, each the picture the stage would draw there. */
export function Matrix(props: MatrixProps) {
  const { label, rows, columns, cells, layout, chosen, onChoose, onOpen } = props;
  const canvas = usePainting(props);
  const sheet = useRef<HTMLDivElement>(null);
  const outlines = useMemo(
    () => <Outlines cells={cells} layout={layout} columns={columns} />,
    [cells, layout, columns],
  );
  const onKeyDown = useSheetKeys(sheet, props);
  const widths = { width: layout.columnPx, flex: 'none' } as const;
  const names = { width: layout.labelPx, flex: 'none' } as const;
  const standing = chosen ?? { row: 0, column: 0 };
  return (
    <Sheet
      ref={sheet}
      role="grid"
      aria-label={label}
      style={{ width: layout.widthPx }}
      onKeyDown={onKeyDown}
    >
      <div role="row">
        <span style={names} />
        {columns.map((step, i) => (
          <div key={i} role="columnheader" style={widths} title={step.label}>
            {step.mark}
          </div>
        ))}
      </div>
      <canvas ref={canvas} />
      {rows.map((step, row) => (
        <div key={row} role="row" style={{ height: layout.rowPx }}>
          <div
            role="rowheader"
            style={{ ...names, paddingBottom: layout.figurePx }}
            title={step.label}
          >
            {step.label}
          </div>
          {columns.map((_, column) => {
            const cell = cells[row * columns.length + column];
            if (!cell) return null;
            const isHere = standing.row === row && standing.column === column;
            return (
              <div
                key={column}
                role="gridcell"
                data-place={`${row}/${column}`}
                tabIndex={isHere ? 0 : -1}
                aria-selected={chosen !== null && isHere}
                aria-label={spoken(cell)}
                title={cell.cannot ?? undefined}
                style={widths}
                onClick={() => onChoose({ row, column })}
                onDoubleClick={() => onOpen({ row, column })}
              >
                {cell.verdict === null && <Cannot aria-hidden="true">–</Cannot>}
                {layout.figurePx > 0 && cell.verdict !== null && (
                  <Figure aria-hidden="true">{cornerWords(cell.worstCornerStops)}</Figure>
                )}
              </div>
            );
          })}
        </div>
      ))}
      {outlines}
    </Sheet>
  );
}
