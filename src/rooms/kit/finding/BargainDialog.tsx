'use client';
import { verdictWords } from '@/core/frame';
import { useMemo } from 'react';
import { Unlink } from 'lucide-react';
import styled from 'styled-components';
import { newId, quickLens } from '@/core/kit';
import { fullName, type Workspace } from '@/core/kit/records';
import { bargainCheck, beforeBuying, type BargainRow } from '@/core/rig/search';
import { MainButton, TextButton } from '@/ui/controls/Buttons';
import { DialogActions, DialogSheet } from '@/ui/controls/DialogSheet';
import { riskWords, megapixels, mm } from '@/core/words';
import { VerdictMark } from '@/ui/marks/VerdictMark';
import { engraved } from '@/ui/theme/type';
import { useSame } from '@/ui/useSame';
import { LensFactsForm, useLensFacts } from '@/gear/quick/LensFactsForm';
import type { KitActions } from '../useKit';
import { towards } from '@/core/maths';

const Scroll = styled.div`
  overflow-x: auto;
`;

const Answer = styled.table`
  border-collapse: collapse;
  width: 100%;
  th,
  td {
    text-align: left;
    padding: 5px 10px 5px 0;
    border-top: 1px solid var(--line);
    vertical-align: top;
    font-weight: 400;
  }
  thead th {
    color: var(--muted);
    font-size: 12px;
    border: 0;
  }
  .figure {
    ${engraved}
    white-space: nowrap;
  }
  small {
    display: block;
    color: var(--muted);
    font-size: 12px;
  }
`;

const Worded = styled.span`
  display: flex;
  gap: 7px;
  align-items: center;
  white-space: nowrap;
`;

const Ask = styled.ul`
  color: var(--muted);
  li {
    padding-left: 14px;
    text-indent: -14px;
  }
  li::before {
    content: '–  ';
  }
`;

function fromWords({ clearFromMm, mayBeClearFromMm }: BargainRow, shortMm: number): string {
  const from = (focalMm: number) =>
    focalMm <= shortMm * 1.001 ? 'throughout' : `from ${mm(towards(focalMm, 1, 1))}`;
  if (clearFromMm !== null) return `Clear ${from(clearFromMm)}`;
  return mayBeClearFromMm === null ? 'nowhere Clear' : `perhaps Clear ${from(mayBeClearFromMm)}`;
}

/** One body in one of its modes: whether the lens goes on comes before how it covers. */
function Row({ row, shortMm }: { row: BargainRow; shortMm: number }) {
  return (
    <tr>
      <th scope="row">
        {fullName(row.body)}
        <small>{row.mode.name}</small>
      </th>
      <td>
        <Worded>
          {row.cannotGoOn ? (
            <>
              <Unlink size={18} color="var(--clipped)" aria-hidden="true" /> Does not go on
            </>
          ) : (
            <>
              <VerdictMark face={row.verdict} size={20} /> {verdictWords(row.verdict)}
            </>
          )}
        </Worded>
        <small>
          {row.cannotGoOn ? `would be ${verdictWords(row.verdict)}` : fromWords(row, shortMm)}
        </small>
      </td>
      <td className="figure">{row.cannotGoOn ? '–' : riskWords(row.risk)}</td>
      <td className="figure">{row.cannotGoOn ? '–' : megapixels(row.cleanMegapixels)}</td>
      <td>{row.needs}</td>
    </tr>
  );
}

interface BargainDialogProps {
  workspace: Workspace;
  actions: KitActions;
  onClose: () => void;
}

/** A lens seen for sale, against every body and mode one owns; nothing is saved unless asked. */
export function BargainDialog({ workspace, actions, onClose }: BargainDialogProps) {
  const form = useLensFacts(workspace, 'seen for sale');
  const facts = useSame(form.facts);
  const found = useMemo(() => {
    if (!facts) return null;
    const lens = quickLens(facts, 'seen-for-sale');
    const rows = bargainCheck(lens, workspace);
    return { lens, rows, ask: beforeBuying(lens, rows) };
  }, [facts, workspace]);
  return (
    <DialogSheet title="Seen for sale" open wide onClose={onClose}>
      <LensFactsForm workspace={workspace} form={form} />
      {workspace.bodies.length === 0 && (
        <p>There is no body in this workspace to hold it against.</p>
      )}
      {found && found.rows.length > 0 && (
        <>
          <p>
            Wide open at the short end, far focus, the halo estimated from what is usual for its
            kind: the risk counts that doubt in.
          </p>
          <Scroll>
            <Answer>
              <thead>
                <tr>
                  <th scope="col">On</th>
                  <th scope="col">Verdict</th>
                  <th scope="col">Risk</th>
                  <th scope="col">Clean frame</th>
                  <th scope="col">It needs</th>
                </tr>
              </thead>
              <tbody>
                {found.rows.map((row) => (
                  <Row
                    key={`${row.body.id} ${row.mode.id}`}
                    row={row}
                    shortMm={found.lens.focalMinMm}
                  />
                ))}
              </tbody>
            </Answer>
          </Scroll>
          <p>Look at and ask before buying:</p>
          <Ask>
            {found.ask.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </Ask>
        </>
      )}
      <DialogActions>
        <TextButton onPress={onClose}>Close, keep nothing</TextButton>
        <MainButton
          isDisabled={!found}
          onPress={() => {
            if (facts) actions.add('lenses', quickLens(facts, newId()));
            onClose();
          }}
        >
          I bought it
        </MainButton>
      </DialogActions>
    </DialogSheet>
  );
}
