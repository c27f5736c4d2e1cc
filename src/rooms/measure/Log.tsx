'use client';
import { useMemo, useState } from 'react';
import styled from 'styled-components';
import type { Measurement, Workspace } from '@/core/kit/records';
import { METHOD_VERSION } from '@/core/measure';
import { download } from '@/shell/files/files';
import { LineButton } from '@/ui/controls/Buttons';
import { Choice } from '@/ui/controls/Choice';
import { Grid, type GridColumn, type GridSort } from '@/ui/grid/Grid';
import { sortedBy, type SortedColumn } from '@/ui/grid/sorted';
import { PHONE } from '@/ui/theme/type';
import { diameterFigure } from '@/core/words';
import { offWords } from './figures';

const Place = styled.section`
  min-width: 0;
  min-height: 0;
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
  padding: 12px 16px 0;
  grid-column: 2 / -1;
  @media ${PHONE} {
    grid-column: auto;
    height: 78vh;
  }
`;

const Bar = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 14px;
  margin-bottom: 8px;
`;

const Drift = styled.span<{ $far: boolean }>`
  color: ${(p) => (p.$far ? 'var(--clipped)' : 'var(--clear)')};
`;

const None = styled.p`
  color: var(--muted);
  padding: 20px 0;
`;

interface LogProps {
  workspace: Workspace;
  /** Something is being measured or kept. */
  busy: boolean;
  onAgain: (entries: readonly Measurement[]) => void;
}

/** A circle by its diameter in mm, as the log's columns show it. */
const across = (radiusMm: number | null): string =>
  radiusMm === null ? '' : diameterFigure(radiusMm, 2);

const halfOf = ({ halfLightMm, lowerBoundMm }: Measurement): string =>
  halfLightMm
    ? `${across(halfLightMm.value)} (${across(halfLightMm.low)}–${across(halfLightMm.high)})`
    : `≥ ${across(lowerBoundMm)}`;

/** What a prediction missed by, mm; null where nothing was expected or no edge seen. */
const offBy = ({ halfLightMm: half, predictedHalfLightMm: told }: Measurement): number | null =>
  half && told !== null ? told - half.value : null;

const wordsOf = (entry: Measurement): string => {
  const off = offBy(entry);
  return off === null ? '' : offWords(off);
};

/** The same, and whether the measurement's own interval excuses it. */
function Off({ entry }: { entry: Measurement }) {
  const { halfLightMm: half, predictedHalfLightMm: told } = entry;
  if (!half || told === null) return null;
  return <Drift $far={told < half.low - 0.5 || told > half.high + 0.5}>{wordsOf(entry)}</Drift>;
}

type Names = ReadonlyMap<string, string>;

/** Writing CSV is loaded only when it is needed. */
async function saveLog(shown: readonly Measurement[], names: Names): Promise<void> {
  const { logCsv } = await import('@/core/exchange/csv');
  download('wandering-halo-log.csv', logCsv(shown, names), 'text/csv');
}

const frameWords = (m: Measurement): string =>
  [
    m.note ? `${m.name}: ${m.note}` : m.name,
    m.replacesId && '(measured anew)',
    m.sampleId === null && '(log only)',
  ]
    .filter(Boolean)
    .join(' ');

type LogColumn = GridColumn<Measurement> & SortedColumn<Measurement>;

/** The columns of the log; `names` are those of lenses and parts by id. */
const columnsOf = (names: Names): readonly LogColumn[] => [
  {
    id: 'when',
    title: 'When',
    width: 2.1,
    text: (m) => m.takenAt.slice(0, 16).replace('T', ' '),
  },
  {
    id: 'lens',
    title: 'Lens',
    width: 3,
    text: (m) => [m.lensId, ...m.partIds].map((id) => names.get(id) ?? id).join(' + '),
  },
  {
    id: 'set',
    title: 'Set to',
    width: 1.7,
    figure: true,
    text: (m) => `${m.focalMm} mm f/${m.fNumber}`,
    order: (m) => m.focalMm,
  },
  {
    id: 'half',
    title: 'Half light, ⌀ mm',
    width: 2.4,
    figure: true,
    text: halfOf,
    order: (m) => m.halfLightMm?.value ?? m.lowerBoundMm,
  },
  {
    id: 'expected',
    title: 'Expected, ⌀',
    width: 1.2,
    figure: true,
    text: (m) => across(m.predictedHalfLightMm),
    order: (m) => m.predictedHalfLightMm,
  },
  {
    id: 'off',
    title: 'Than expected',
    width: 1.9,
    figure: true,
    text: wordsOf,
    cell: (m) => <Off entry={m} />,
    order: (m) => {
      const off = offBy(m);
      return off === null ? null : Math.abs(off);
    },
  },
  {
    id: 'minus1',
    title: '−1 stop, ⌀',
    width: 1.1,
    figure: true,
    text: (m) => across(m.minus1Mm),
    order: (m) => m.minus1Mm,
  },
  { id: 'frame', title: 'Frame, note', width: 3, text: frameWords },
];

function LogTable({ shown, names }: { shown: readonly Measurement[]; names: Names }) {
  const [sort, setSort] = useState<GridSort>({ column: 'when', isDescending: true });
  const columns = useMemo(() => columnsOf(names), [names]);
  const sorted = useMemo(() => sortedBy(shown, columns, sort), [shown, columns, sort]);
  return <Grid label="Log" columns={columns} records={sorted} sort={sort} onSort={setSort} />;
}

/** Everything that was measured, newest first, with what had been expected. */
export function Log({ workspace, busy, onAgain }: LogProps) {
  const [lensId, setLensId] = useState('');
  const names = useMemo(
    () => new Map([...workspace.lenses, ...workspace.parts].map((r) => [r.id, r.name])),
    [workspace.lenses, workspace.parts],
  );
  const all = workspace.measurements;
  const shown = useMemo(
    () => all.filter((m) => lensId === '' || m.lensId === lensId),
    [all, lensId],
  );
  const replaced = new Set(all.map((m) => m.replacesId));
  const old = shown.filter((m) => m.method < METHOD_VERSION && !replaced.has(m.id));
  const lensIds = [...new Set(all.map((m) => m.lensId))];
  return (
    <Place aria-label="Log">
      <Bar>
        <Choice
          label="Of lens"
          groups={[
            {
              title: 'Measured lenses',
              options: [
                { id: '', label: 'all' },
                ...lensIds.map((id) => ({ id, label: names.get(id) ?? `${id} (not here)` })),
              ],
            },
          ]}
          chosen={lensId}
          onChoose={setLensId}
        />
        <LineButton isDisabled={shown.length === 0} onPress={() => void saveLog(shown, names)}>
          Save as CSV
        </LineButton>
        {old.length > 0 && (
          <LineButton isDisabled={busy} onPress={() => onAgain(old)}>
            Measure {old.length} anew by the better method
          </LineButton>
        )}
      </Bar>
      {shown.length === 0 ? (
        <None>
          Nothing has been measured yet: accepted frames stand here, with what was expected.
        </None>
      ) : (
        <LogTable shown={shown} names={names} />
      )}
    </Place>
  );
}
