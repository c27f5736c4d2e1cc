'use client';
import { verdictWords } from '@/core/frame';
import { X } from 'lucide-react';
import { memo, useMemo } from 'react';
import styled from 'styled-components';
import type { Workspace } from '@/core/kit/records';
import {
  COMPARED_QUESTIONS,
  comparedRows,
  differenceWords,
  type Beside,
  type ComparedQuestion,
} from '@/core/rig/readings';
import { evaluate } from '@/core/rig/report';
import { isMissing, resolveRig } from '@/core/rig';
import { riskWords } from '@/core/words';
import { rigOptions } from '@/gear/options';
import { Choice } from '@/ui/controls/Choice';
import { VerdictMark } from '@/ui/marks/VerdictMark';
import { engraved, oneLine } from '@/ui/theme/type';
import type { Comparison } from './useComparison';
import type { Pinned } from '../stage/usePin';

const Scroller = styled.section`
  flex: none;
  overflow-x: auto;
  border-bottom: 1px solid var(--line);
  background: var(--ground);
`;

const Table = styled.table`
  border-collapse: collapse;
  ${engraved}
  font-size: 12px;
  th,
  td {
    padding: 2px 10px;
    text-align: left;
    white-space: nowrap;
    border-left: 1px solid var(--line);
    height: 21px;
  }
  thead th {
    padding-top: 6px;
  }
  tbody tr:last-child > * {
    padding-bottom: 6px;
  }
  tr > :first-child {
    position: sticky;
    left: 0;
    z-index: 1;
    background: var(--ground);
    color: var(--muted);
    border: 0;
    padding-left: 14px;
    font-weight: 400;
  }
  td[data-here='true'],
  th[data-here='true'] {
    background: var(--raised);
  }
`;

const Name = styled.button`
  ${oneLine}
  display: block;
  max-width: 168px;
  padding: 0;
  border: 0;
  background: none;
  cursor: pointer;
  font-weight: 650;
  &:hover,
  &[aria-current='true'] {
    color: var(--amber);
  }
  /* Held by the keyboard it is read in whole. */
  &:focus-visible {
    max-width: none;
  }
`;

const Out = styled.button`
  display: grid;
  place-items: center;
  width: 24px;
  height: 24px;
  padding: 0;
  border: 0;
  background: none;
  color: var(--muted);
  cursor: pointer;
  &:hover {
    color: var(--ink);
  }
`;

const Worded = styled.span`
  display: flex;
  align-items: center;
  gap: 7px;
`;

const Asked = styled.div`
  position: sticky;
  left: 0;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 2px 18px;
  width: fit-content;
  max-width: 100vw;
  padding: 2px 14px 0;
`;

const Head = styled.span`
  display: flex;
  align-items: center;
  gap: 4px;
`;

const Words = styled.td`
  && {
    min-width: 168px;
    max-width: 300px;
    white-space: normal;
    vertical-align: top;
  }
`;

interface Compared {
  key: string;
  name: string;
  /** Null where the rig lacks some of its gear. */
  beside: Beside | null;
  rigId: string | null;
}

/** Rigs as they are stored, with their reports. Turning a ring evaluates none of them anew. */
function useCompared(workspace: Workspace, ids: readonly string[]): Compared[] {
  return useMemo(
    () =>
      ids.flatMap((id): Compared[] => {
        const record = workspace.rigs.find((r) => r.id === id);
        if (!record) return [];
        const rig = resolveRig(workspace, record);
        const beside = isMissing(rig) ? null : { rig, report: evaluate(rig) };
        return [{ key: id, name: record.name, beside, rigId: id }];
      }),
    [workspace, ids],
  );
}

const VerdictCell = ({ report: { verdict, fitProblem } }: Beside) =>
  fitProblem ? (
    fitProblem.words
  ) : (
    <Worded>
      <VerdictMark face={verdict} size={18} /> {verdictWords(verdict)}, risk{' '}
      {riskWords(verdict.risk)}
    </Worded>
  );

/** The cells of one column. */
interface Row {
  name: string;
  cell: (beside: Beside) => React.ReactNode;
  /** Whether its words may run over lines. */
  isLong?: boolean;
}

function rowsOf(question: ComparedQuestion, first: Beside | null): Row[] {
  return [
    { name: 'Verdict', cell: (beside) => <VerdictCell {...beside} /> },
    ...comparedRows(question).map((row) => ({ ...row, isLong: question === 'pixels' })),
    {
      name: 'Against the first',
      cell: (beside) => (first === null || beside === first ? '' : differenceWords(first, beside)),
      isLong: true,
    },
  ];
}

const QUESTIONS = [
  {
    title: 'What matters',
    options: Object.entries(COMPARED_QUESTIONS).map(([id, label]) => ({ id, label })),
  },
];

interface ColumnHeadProps {
  column: Compared;
  /** Whether it is the rig in hand, which is always compared. */
  isHere: boolean;
  onRig: (id: string) => void;
  onLeaveOut: (id: string) => void;
}

function ColumnHead({ column, isHere, onRig, onLeaveOut }: ColumnHeadProps) {
  const { name, rigId } = column;
  return (
    <th scope="col" data-here={isHere} title={name}>
      {rigId === null ? (
        name
      ) : (
        <Head>
          <Name type="button" aria-current={isHere} onClick={() => onRig(rigId)}>
            {name}
          </Name>
          {!isHere && (
            <Out
              type="button"
              aria-label={`Leave out ${name}`}
              title={`Leave out ${name}`}
              onClick={() => onLeaveOut(rigId)}
            >
              <X size={12} aria-hidden="true" />
            </Out>
          )}
        </Head>
      )}
    </th>
  );
}

interface RigStripProps {
  workspace: Workspace;
  /** The rig in hand, as it is set now. */
  rigId: string | null;
  now: Beside | null;
  ghost: Pinned | null;
  comparison: Comparison;
  onRig: (id: string) => void;
}

/** Some rigs side by side, by what matters, the pinned state before them. */
export const RigStrip = memo(function RigStrip(props: RigStripProps) {
  const { workspace, rigId, now, ghost, comparison, onRig } = props;
  const { ids, question, ask, keep, add, leaveOut } = comparison;
  const stored = useCompared(workspace, ids);
  const pinned: Compared[] = ghost
    ? [
        {
          key: 'pinned',
          name: `pinned: ${ghost.name}`,
          beside: { rig: ghost.rig, report: ghost.report },
          rigId: null,
        },
      ]
    : [];
  const columns = [...pinned, ...stored].map((c) =>
    c.rigId !== null && c.rigId === rigId ? { ...c, beside: now } : c,
  );
  const rows = rowsOf(question, columns[0]?.beside ?? null);
  const others = workspace.rigs.filter((r) => !ids.includes(r.id));
  return (
    <Scroller aria-label="Rigs compared" tabIndex={0}>
      <Asked>
        <Choice
          label="Compare by"
          groups={QUESTIONS}
          chosen={question}
          onChoose={(id) => ask(id as ComparedQuestion)}
        />
        {others.length > 0 && (
          <Choice
            bare
            label="Rig to compare"
            placeholder="+ another rig"
            groups={[rigOptions(others)]}
            chosen={null}
            onChoose={add}
          />
        )}
      </Asked>
      <Table>
        <thead>
          <tr>
            <th scope="col">Rigs</th>
            {columns.map((c) => (
              <ColumnHead
                key={c.key}
                column={c}
                isHere={c.rigId === rigId}
                onRig={(id) => {
                  keep();
                  onRig(id);
                }}
                onLeaveOut={leaveOut}
              />
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.name}>
              <th scope="row">{row.name}</th>
              {columns.map((c) => {
                const Cell = row.isLong ? Words : 'td';
                return (
                  <Cell key={c.key} data-here={c.rigId === rigId}>
                    {c.beside ? row.cell(c.beside) : 'gear is missing'}
                  </Cell>
                );
              })}
            </tr>
          ))}
        </tbody>
      </Table>
    </Scroller>
  );
});
