'use client';
import { memo, useEffect, useMemo, useRef } from 'react';
import styled from 'styled-components';
import type { Workspace } from '@/core/kit/records/workspace';
import { evaluate, type Report } from '@/core/rig/report/evaluate';
import { isMissing, resolveRig } from '@/core/rig/rig';
import { riskWords } from '@/core/words/risk';
import { VerdictMark } from '@/ui/marks/VerdictMark';
import { cornerWords } from '@/core/words/corners';
import type { Ghost } from '@/ui/stage/stageWords';
import { engraved, oneLine } from '@/ui/theme/type';
import { fWords, fixed, megapixels, mm } from '@/core/words/figures';

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
`;

const Worded = styled.span`
  display: flex;
  align-items: center;
  gap: 7px;
`;

interface Compared {
  key: string;
  name: string;
  /** Null where the rig lacks some of its gear. */
  report: Report | null;
  rigId: string | null;
}

const ROWS: readonly { name: string; cell: (report: Report) => React.ReactNode }[] = [
  {
    name: 'Verdict',
    cell: ({ verdict, fitProblem }) =>
      fitProblem ? (
        fitProblem.words
      ) : (
        <Worded>
          <VerdictMark kind={verdict.kind} size={18} /> {verdict.kind}, risk{' '}
          {riskWords(verdict.risk)}
        </Worded>
      ),
  },
  {
    name: 'Darkest corner',
    cell: ({ verdict }) => {
      const words = cornerWords(verdict.worstCornerStops);
      return words === 'black' ? words : `${words} stops`;
    },
  },
  {
    name: 'Halo, and needed',
    cell: ({ coverage }) =>
      `⌀ ${fixed(coverage.radiiMm.half * 2, 1)} of ${mm(coverage.worstCornerRadiusMm * 2)}`,
  },
  {
    name: 'Through the train',
    cell: ({ optics }) => `${mm(optics.train.focalMm)} ${fWords(optics.train.fNumber)}`,
  },
  {
    name: 'Equivalent',
    cell: ({ optics: { equivalents: equal } }) =>
      `${mm(equal.focalMm)} ${fWords(equal.fNumber, 1)}`,
  },
  { name: 'Pixels', cell: ({ frame }) => megapixels(frame.delivered.megapixels) },
];

/** Every rig as it is stored, with its report. Turning a ring evaluates none of them anew. */
function useCompared(workspace: Workspace): Compared[] {
  return useMemo(
    () =>
      workspace.rigs.map((record) => {
        const rig = resolveRig(workspace, record);
        return {
          key: record.id,
          name: record.name,
          report: isMissing(rig) ? null : evaluate(rig),
          rigId: record.id,
        };
      }),
    [workspace],
  );
}

interface RigStripProps {
  workspace: Workspace;
  /** The rig in hand, as it is set now. */
  rigId: string | null;
  report: Report | null;
  ghost: Ghost | null;
  onRig: (id: string) => void;
}

/** All rigs side by side, the pinned state before them. */
export const RigStrip = memo(function RigStrip(props: RigStripProps) {
  const { workspace, rigId, report, ghost, onRig } = props;
  const stored = useCompared(workspace);
  const scroller = useRef<HTMLElement>(null);
  useEffect(() => {
    scroller.current
      ?.querySelector('th[data-here="true"]')
      ?.scrollIntoView({ block: 'nearest', inline: 'center' });
  }, [rigId]);
  const pinned = ghost
    ? [{ key: 'pinned', name: `pinned: ${ghost.name}`, report: ghost.report, rigId: null }]
    : [];
  const columns = [...pinned, ...stored].map((c) =>
    c.rigId !== null && c.rigId === rigId ? { ...c, report } : c,
  );
  return (
    <Scroller ref={scroller} aria-label="Rigs compared" tabIndex={0}>
      <Table>
        <thead>
          <tr>
            <th scope="col">Rigs compared</th>
            {columns.map((c) => (
              <th key={c.key} scope="col" data-here={c.rigId === rigId} title={c.name}>
                {c.rigId === null ? (
                  c.name
                ) : (
                  <Name
                    type="button"
                    aria-current={c.rigId === rigId}
                    onClick={() => {
                      if (c.rigId !== null) onRig(c.rigId);
                    }}
                  >
                    {c.name}
                  </Name>
                )}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {ROWS.map((row) => (
            <tr key={row.name}>
              <th scope="row">{row.name}</th>
              {columns.map((c) => (
                <td key={c.key} data-here={c.rigId === rigId}>
                  {c.report ? row.cell(c.report) : 'gear is missing'}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </Table>
    </Scroller>
  );
});
