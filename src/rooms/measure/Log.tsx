'use client';
import { useMemo, useState } from 'react';
import styled from 'styled-components';
import type { Measurement } from '@/core/kit/records/measurement';
import type { Workspace } from '@/core/kit/records/workspace';
import { METHOD_VERSION } from '@/core/measure/method';
import { download } from '@/shell/files';
import { LineButton } from '@/ui/controls/Buttons';
import { Choice } from '@/ui/controls/Choice';
import { engraved, PHONE } from '@/ui/theme/type';
import { fixed, signed } from '@/core/words/figures';

const Place = styled.section`
  min-width: 0;
  min-height: 0;
  overflow: auto;
  padding: 12px 16px 20px;
  grid-column: 2 / -1;
  @media ${PHONE} {
    grid-column: auto;
  }
`;

const Bar = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 14px;
  margin-bottom: 8px;
`;

const Table = styled.table`
  border-collapse: collapse;
  width: 100%;
  th {
    text-align: left;
    font-weight: inherit;
    color: var(--muted);
    font-size: 12px;
  }
  th,
  td {
    padding: 5px 12px 5px 0;
    border-bottom: 1px solid var(--line);
    white-space: nowrap;
  }
  td.figure {
    ${engraved}
    text-align: right;
  }
  th.figure {
    text-align: right;
  }
  td.name {
    white-space: normal;
    overflow-wrap: anywhere;
    min-width: 120px;
  }
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

/** A radius in mm, as the log's columns show it. */
const radius = (mm: number | null): string => (mm === null ? '' : fixed(mm, 2));

const halfOf = ({ halfLightMm, lowerBoundMm }: Measurement): string =>
  halfLightMm
    ? `${fixed(halfLightMm.value, 2)} (${fixed(halfLightMm.low, 2)}–${fixed(halfLightMm.high, 2)})`
    : `≥ ${fixed(lowerBoundMm, 2)}`;

/** What a prediction missed by, and whether the measurement's own interval excuses it. */
function Off({ entry }: { entry: Measurement }) {
  const { halfLightMm: half, predictedHalfLightMm: told } = entry;
  if (!half || told === null) return null;
  const off = told - half.value;
  return <Drift $far={told < half.low - 0.5 || told > half.high + 0.5}>{signed(off, 2)}</Drift>;
}

/** Writing CSV is loaded only when it is needed. */
async function saveLog(
  shown: readonly Measurement[],
  names: ReadonlyMap<string, string>,
): Promise<void> {
  const { logCsv } = await import('@/core/exchange/logCsv');
  download('wandering-halo-log.csv', logCsv(shown, names), 'text/csv');
}

interface LogTableProps {
  shown: readonly Measurement[];
  /** Names of lenses and parts by id. */
  names: ReadonlyMap<string, string>;
}

function LogTable({ shown, names }: LogTableProps) {
  return (
    <Table>
      <thead>
        <tr>
          <th>When</th>
          <th>Lens</th>
          <th className="figure">Set to</th>
          <th className="figure">Half light, mm</th>
          <th className="figure">Expected</th>
          <th className="figure">Off by</th>
          <th className="figure">−1 stop</th>
          <th>Frame, note</th>
        </tr>
      </thead>
      <tbody>
        {shown.map((m) => (
          <tr key={m.id}>
            <td>{m.takenAt.slice(0, 16).replace('T', ' ')}</td>
            <td className="name">
              {[m.lensId, ...m.partIds].map((id) => names.get(id) ?? id).join(' + ')}
            </td>
            <td className="figure">
              {m.focalMm} mm f/{m.fNumber}
            </td>
            <td className="figure">{halfOf(m)}</td>
            <td className="figure">{radius(m.predictedHalfLightMm)}</td>
            <td className="figure">
              <Off entry={m} />
            </td>
            <td className="figure">{radius(m.minus1Mm)}</td>
            <td className="name">
              {m.name}
              {m.note && `: ${m.note}`}
              {m.replacesId && ' (measured anew)'}
              {m.sampleId === null && ' (log only)'}
            </td>
          </tr>
        ))}
      </tbody>
    </Table>
  );
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
    () =>
      all
        .filter((m) => lensId === '' || m.lensId === lensId)
        .sort((a, b) => b.takenAt.localeCompare(a.takenAt)),
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
