'use client';
import { useMemo, useState } from 'react';
import styled from 'styled-components';
import { fullName, type RigRecord, type Workspace, type Part } from '@/core/kit/records';
import { findChains, type ChainSearch, byGrade, offerOfChain, type Offer } from '@/core/rig/search';
import { isMissing, resolveRig } from '@/core/rig';
import { verdictOf } from '@/core/rig/judged';
import { trainFactor } from '@/core/rig/train';
import { Choice } from '@/ui/controls/Choice';
import { DialogSheet } from '@/ui/controls/DialogSheet';
import { VerdictMark } from '@/ui/marks/VerdictMark';
import type { VerdictFace } from '@/core/frame';
import type { BenchActions } from '@/shell/rig/useBench';
import { mm } from '@/core/words';

const Ends = styled.div`
  display: grid;
  gap: 8px;
`;

const List = styled.ul`
  display: grid;
  max-height: 46vh;
  overflow-y: auto;
`;

const ChainButton = styled.button`
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) auto;
  align-items: center;
  gap: 10px;
  width: 100%;
  padding: 7px 6px 7px 2px;
  border: 0;
  border-bottom: 1px solid var(--line);
  background: none;
  text-align: left;
  cursor: pointer;
  overflow-wrap: anywhere;
  &:hover,
  &:focus-visible {
    background: var(--raised);
    color: var(--amber);
  }
`;

const Quiet = styled.span`
  display: block;
  color: var(--muted);
  font-size: 12px;
`;

interface FoundChain extends Offer<readonly Part[]> {
  ids: string[];
  verdict: VerdictFace;
  focalMm: number;
}

const MOST_SHOWN = 40;

/** Whether an adapter could be had for money where the workspace has none. */
function plainWords({ plainThicknessMm: thickness, plainCanBeBuilt: can }: ChainSearch): string {
  if (thickness === null || can === null)
    return 'The register of one of the mounts is not known here.';
  return can
    ? `A plain adapter between these mounts would be ${mm(thickness, 2)} thick.`
    : `No plain adapter can join these mounts and reach infinity: the registers leave ${mm(thickness, 2)}.`;
}

interface ChainDialogProps {
  workspace: Workspace;
  record: RigRecord;
  actions: BenchActions;
  onClose: () => void;
}

/** Every chain at hand between the ends of a rig; null where one of them is not in the workspace. */
function useChains(workspace: Workspace, record: RigRecord) {
  return useMemo(() => {
    const rig = resolveRig(workspace, { ...record, partIds: [] });
    if (isMissing(rig)) return null;
    const search = findChains(rig.lens, rig.body, workspace.parts, rig.mounts);
    const judged = byGrade(search.chains.map(({ parts }) => offerOfChain(rig, parts)));
    const found = judged.slice(0, MOST_SHOWN).map((offer): FoundChain => ({
      ...offer,
      ids: offer.record.map((p) => p.id),
      verdict: verdictOf({ ...rig, parts: offer.record }),
      focalMm: rig.settings.focalMm * trainFactor(offer.record),
    }));
    return { search, found };
  }, [workspace, record]);
}

/** Any lens, any body: every way to join them with what is at hand. */
export function ChainDialog({ workspace, record, actions, onClose }: ChainDialogProps) {
  const [lensId, setLensId] = useState(record.lensId);
  const [bodyId, setBodyId] = useState(record.bodyId);
  const modes = workspace.bodies.find((b) => b.id === bodyId)?.modes ?? [];
  const modeId = (modes.find((m) => m.id === record.modeId) ?? modes[0])?.id ?? record.modeId;
  const wanted = useMemo(
    () => ({ ...record, lensId, bodyId, modeId }),
    [record, lensId, bodyId, modeId],
  );
  const chains = useChains(workspace, wanted);
  const take = (partIds: string[]) => {
    actions.change('Join by a chain', { lensId, bodyId, modeId, partIds });
    onClose();
  };
  return (
    <DialogSheet title="Find a chain from lens to body" open onClose={onClose}>
      <Ends>
        <Choice
          label="From"
          stacked
          groups={[
            {
              title: 'Lenses',
              options: workspace.lenses.map((l) => ({ id: l.id, label: fullName(l) })),
            },
          ]}
          chosen={lensId}
          onChoose={setLensId}
        />
        <Choice
          label="To"
          stacked
          groups={[
            {
              title: 'Bodies',
              options: workspace.bodies.map((b) => ({ id: b.id, label: fullName(b) })),
            },
          ]}
          chosen={bodyId}
          onChoose={setBodyId}
        />
      </Ends>
      <p role="status">
        {chains === null
          ? 'Choose a lens and a body that are in this workspace.'
          : `${chains.found.length === 0 ? 'Nothing at hand joins them.' : `${chains.search.chains.length} ${chains.search.chains.length === 1 ? 'way' : 'ways'} to join them with what is at hand${chains.search.chains.length > MOST_SHOWN ? `, the best ${MOST_SHOWN} here` : ''}.`} ${plainWords(chains.search)}`}
      </p>
      {chains && chains.found.length > 0 && (
        <List aria-label="Chains">
          {chains.found.map(({ ids, record: parts, reasons, verdict, focalMm }) => (
            <li key={ids.join()}>
              <ChainButton type="button" onClick={() => take(ids)}>
                <VerdictMark face={verdict} size={22} />
                <span>
                  {parts.length === 0
                    ? 'straight on, nothing between'
                    : parts.map(fullName).join(' + ')}
                  <Quiet>
                    {reasons.length > 0 ? reasons.join(' · ') : 'nothing speaks against it'}
                  </Quiet>
                </span>
                <Quiet>{mm(focalMm)}</Quiet>
              </ChainButton>
            </li>
          ))}
        </List>
      )}
    </DialogSheet>
  );
}
