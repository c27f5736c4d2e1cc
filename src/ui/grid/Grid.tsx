'use client';
import { useVirtualizer } from '@tanstack/react-virtual';
import { memo, useId, useRef } from 'react';
import styled from 'styled-components';
import { engraved, oneLine } from '../theme/type';
import { useGridHand, type GridChoice } from './useGridHand';

export interface GridColumn<T> {
  id: string;
  title: string;
  /** Share of the width. */
  width: number;
  /** What a cell says. */
  text: (record: T) => string;
  /** What it shows where that is more than words. */
  cell?: (record: T) => React.ReactNode;
  figure?: boolean;
}

export interface GridSort {
  column: string;
  isDescending: boolean;
}

const ROW_PX = 31;
/** Rows drawn beyond those in sight, for the next turn of a wheel. */
const BEYOND = 12;
const NARROWEST_PX = 58;

interface Widths {
  $columns: string;
  /** Narrower than this the table scrolls sideways, px. */
  $leastPx: number;
}

const Sheet = styled.div<Widths>`
  height: 100%;
  width: 100%;
  overflow: auto;
  outline: none;
  user-select: none;
  [role='row'] {
    display: grid;
    grid-template-columns: ${(p) => p.$columns};
    width: 100%;
    min-width: ${(p) => p.$leastPx}px;
    height: ${ROW_PX}px;
    cursor: default;
  }
  [role='rowgroup'] > [role='row'] {
    position: absolute;
    top: 0;
    left: 0;
  }
  [role='rowgroup'] {
    position: relative;
  }
  [role='rowgroup'] > [role='row']:hover {
    background: var(--raised);
  }
  [role='row'][aria-selected='true'] {
    background: var(--lifted);
    box-shadow: inset 2px 0 var(--amber);
  }
  &:focus-visible [data-active] {
    outline: 2px solid var(--amber);
    outline-offset: -2px;
  }
  [role='rowheader'],
  [role='gridcell'] {
    ${oneLine}
    padding: 6px 8px;
  }
  .figure {
    ${engraved}
  }
`;

const Head = styled.div`
  position: sticky;
  top: 0;
  z-index: 1;
  background: var(--ground);
  border-bottom: 1px solid var(--line);
  [role='columnheader'] {
    color: var(--muted);
    font-size: 12px;
  }
  button {
    width: 100%;
    height: 100%;
    padding: 0 8px;
    border: 0;
    background: none;
    text-align: left;
    cursor: pointer;
    white-space: nowrap;
    outline-offset: -2px;
    &:hover {
      color: var(--ink);
    }
  }
`;

interface RowProps<T> {
  record: T;
  columns: readonly GridColumn<T>[];
  id: string;
  index: number;
  isChosen: boolean | undefined;
  isActive: boolean;
}

/** A record's line; it is drawn anew only where it or its choice changes. */
const Row = memo(function Row<T>({ record, columns, id, index, isChosen, isActive }: RowProps<T>) {
  return (
    <div
      role="row"
      id={id}
      aria-rowindex={index + 2}
      aria-selected={isChosen}
      data-index={index}
      data-active={isActive || undefined}
      style={{ transform: `translateY(${index * ROW_PX}px)` }}
    >
      {columns.map((column, i) => (
        <div
          key={column.id}
          role={i === 0 ? 'rowheader' : 'gridcell'}
          className={column.figure ? 'figure' : undefined}
          title={column.text(record)}
        >
          {column.cell ? column.cell(record) : column.text(record)}
        </div>
      ))}
    </div>
  );
}) as <T>(props: RowProps<T>) => React.ReactElement;

interface HeadsProps<T> {
  columns: readonly GridColumn<T>[];
  sort: GridSort;
  onSort: (sort: GridSort) => void;
}

function Heads<T>({ columns, sort, onSort }: HeadsProps<T>) {
  return (
    <Head role="row" aria-rowindex={1}>
      {columns.map(({ id, title, figure }) => {
        const isSorted = sort.column === id;
        const order = sort.isDescending ? 'descending' : 'ascending';
        return (
          <div
            key={id}
            role="columnheader"
            aria-sort={isSorted ? order : 'none'}
            className={figure ? 'figure' : undefined}
          >
            <button
              type="button"
              onClick={() => onSort({ column: id, isDescending: isSorted && !sort.isDescending })}
            >
              {title}
              {isSorted && (sort.isDescending ? ' ↓' : ' ↑')}
            </button>
          </div>
        );
      })}
    </Head>
  );
}

interface GridProps<T> extends HeadsProps<T> {
  label: string;
  records: readonly T[];
  /** What is chosen; left out where nothing can be. */
  choice?: GridChoice;
}

/** A table of many records: only the lines in sight are drawn, one or several are chosen by hand or by key. */
export function Grid<T extends { id: string }>(props: GridProps<T>) {
  const { label, columns, records, choice } = props;
  const scroller = useRef<HTMLDivElement>(null);
  const base = useId();
  const lines = useVirtualizer({
    count: records.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW_PX,
    overscan: BEYOND,
    scrollPaddingStart: ROW_PX,
  });
  const { active, onKeyDown, onClick } = useGridHand({
    records,
    choice,
    show: (index) => lines.scrollToIndex(index),
    page: () => Math.max(1, Math.floor((scroller.current?.clientHeight ?? 0) / ROW_PX) - 2),
  });
  const leastPx = columns.map(({ width }) => Math.round(width * NARROWEST_PX));
  return (
    <Sheet
      ref={scroller}
      $columns={columns.map(({ width }, i) => `minmax(${leastPx[i]}px, ${width}fr)`).join(' ')}
      $leastPx={leastPx.reduce((sum, px) => sum + px, 0)}
      role="grid"
      tabIndex={0}
      aria-label={label}
      aria-multiselectable={choice !== undefined}
      aria-rowcount={records.length + 1}
      aria-activedescendant={active === null ? undefined : `${base}-${active}`}
      onKeyDown={onKeyDown}
      onClick={onClick}
    >
      <Heads columns={columns} sort={props.sort} onSort={props.onSort} />
      <div role="rowgroup" style={{ height: lines.getTotalSize() }}>
        {lines.getVirtualItems().flatMap(({ index }) => {
          const record = records[index];
          if (!record) return [];
          return (
            <Row
              key={record.id}
              record={record}
              columns={columns}
              id={`${base}-${index}`}
              index={index}
              isChosen={choice?.selected.has(record.id)}
              isActive={index === active}
            />
          );
        })}
      </div>
    </Sheet>
  );
}
