'use client';
import { memo, useCallback, useState } from 'react';
import styled from 'styled-components';
import { type ConverterColumn, cellOf, ROW_GROUPS, type ConverterRow } from '@/core/converters';
import { WhyPopover } from '@/ui/controls/WhyRow';
import { MiniFrame } from '@/ui/marks/MiniFrame';
import { engraved, PHONE } from '@/ui/theme/type';
import { today } from '@/ui/today';

const Scroller = styled.div`
  overflow-x: auto;
`;

const Table = styled.table`
  border-collapse: collapse;
  min-width: 100%;
  th,
  td {
    padding: 0;
    border-bottom: 1px solid var(--line);
    vertical-align: baseline;
  }
  th[scope='row'],
  thead th:first-child {
    position: sticky;
    left: 0;
    z-index: 1;
    background: var(--ground);
    text-align: left;
    font-weight: 400;
    color: var(--muted);
    min-width: 168px;
    padding-right: 10px;
  }
  th[scope='rowgroup'] {
    position: sticky;
    left: 0;
    padding-top: 10px;
    text-align: left;
    font-weight: 650;
  }
  @media ${PHONE} {
    th[scope='row'],
    thead th:first-child {
      min-width: 112px;
      max-width: 112px;
    }
    td span {
      max-width: 104px;
      margin-left: auto;
      white-space: normal;
    }
    thead span {
      max-width: 92px;
    }
  }
`;

const Head = styled.button`
  display: grid;
  justify-items: end;
  gap: 2px;
  width: 100%;
  min-width: 96px;
  padding: 6px 8px 5px;
  border: 0;
  border-bottom: 2px solid transparent;
  background: none;
  text-align: right;
  font-weight: 600;
  white-space: nowrap;
  cursor: pointer;
  &[aria-pressed='true'] {
    border-color: var(--amber);
    background: var(--raised);
  }
  &:disabled {
    cursor: default;
    color: inherit;
  }
  span {
    max-width: 118px;
    overflow: hidden;
    text-overflow: ellipsis;
  }
`;

const Figure = styled.button<{ $matters: boolean; $inHand: boolean }>`
  display: block;
  width: 100%;
  padding: 3px 8px;
  border: 0;
  background: ${(p) => (p.$inHand ? 'var(--raised)' : 'none')};
  text-align: right;
  white-space: nowrap;
  cursor: help;
  color: ${(p) => (p.$matters ? 'var(--ink)' : 'var(--muted)')};
  b {
    ${engraved}
    font-weight: ${(p) => (p.$matters ? 650 : 500)};
  }
  span {
    display: block;
    color: var(--muted);
    font-size: 12px;
    line-height: 1.25;
  }
  &:hover b {
    text-decoration: underline dotted;
    text-underline-offset: 3px;
  }
`;

interface CellProps {
  rowId: string;
  columnId: string;
  figure: string;
  note: string | undefined;
  matters: boolean;
  isInHand: boolean;
  onAsk: (rowId: string, columnId: string, pressed: HTMLElement) => void;
}

/** One figure; drawn anew only when its words change. */
const Cell = memo(function Cell(props: CellProps) {
  const { rowId, columnId, figure, note, matters, isInHand, onAsk } = props;
  return (
    <td>
      <Figure
        type="button"
        $matters={matters}
        $inHand={isInHand}
        aria-haspopup="dialog"
        onClick={(event) => onAsk(rowId, columnId, event.currentTarget)}
      >
        <b>{figure}</b>
        {note && <span>{note}</span>}
      </Figure>
    </td>
  );
});

interface Asked {
  row: ConverterRow;
  columnId: string;
  pressed: HTMLElement;
}

const rows = ROW_GROUPS.flatMap((g) => g.rows);
interface WeighTableProps {
  columns: readonly ConverterColumn[];
  base: ConverterColumn;
  inHand: string | null;
  onChoose: (id: string) => void;
  /** Whether the lens goes on the body without a converter. */
  joins: boolean;
}

/** Every column's figures; those that differ by more than anybody sees stand in ink. */
export function WeighTable({ columns, base, inHand, onChoose, joins }: WeighTableProps) {
  const [asked, setAsked] = useState<Asked | null>(null);
  const ask = useCallback((rowId: string, columnId: string, pressed: HTMLElement) => {
    const row = rows.find((r) => r.id === rowId);
    if (row) setAsked({ row, columnId, pressed });
  }, []);
  const column = columns.find((c) => c.id === asked?.columnId);
  return (
    <>
      <Scroller role="region" aria-label="Side by side" tabIndex={0}>
        <Table>
          <thead>
            <tr>
              <th scope="col">{joins ? '' : 'The lens does not go on this body by itself'}</th>
              {columns.map((c) => (
                <th key={c.id} scope="col">
                  <Head
                    type="button"
                    disabled={c.kind !== 'converter'}
                    aria-pressed={c.id === inHand}
                    onClick={() => onChoose(c.id)}
                    title={c.rig.parts.map((p) => p.name).join(' + ') || c.title}
                  >
                    <MiniFrame rig={c.rig} />
                    <span>{c.title}</span>
                  </Head>
                </th>
              ))}
            </tr>
          </thead>
          {ROW_GROUPS.map((group) => (
            <tbody key={group.title}>
              <tr>
                <th scope="rowgroup" colSpan={columns.length + 1}>
                  {group.title}
                </th>
              </tr>
              {group.rows.map((row) => (
                <tr key={row.id}>
                  <th scope="row">{row.name}</th>
                  {columns.map((c) => {
                    const { figure, note, matters } = cellOf(row, { column: c, base });
                    return (
                      <Cell
                        key={c.id}
                        rowId={row.id}
                        columnId={c.id}
                        figure={figure}
                        note={note}
                        matters={matters || c.kind === 'base'}
                        isInHand={c.id === inHand}
                        onAsk={ask}
                      />
                    );
                  })}
                </tr>
              ))}
            </tbody>
          ))}
        </Table>
      </Scroller>
      {asked && column && (
        <WhyPopover
          pressed={asked.pressed}
          why={() => asked.row.why({ column, base }, today())}
          onClose={() => setAsked(null)}
        />
      )}
    </>
  );
}
