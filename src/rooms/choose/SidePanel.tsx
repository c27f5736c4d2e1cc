'use client';
import dynamic from 'next/dynamic';
import { memo, useMemo, useState } from 'react';
import styled from 'styled-components';
import {
  candidateKey,
  type Candidate,
  tradeOffsOf,
  type TradeOffCost,
  coveragePlan,
  type Kept,
  lightWords,
  viewWords,
  wayOutOf,
  openWords,
  planDoubts,
  servedWords,
} from '@/core/choose';
import type { Job } from '@/core/kit/records';
import { fixed, riskFigure } from '@/core/words';
import { TextButton } from '@/ui/controls/Buttons';
import { RoomSide, SideNote } from '@/ui/controls/roomLayout';
import { engraved } from '@/ui/theme/type';
import { wholeName, type Namer } from './names';

const ChartPlace = styled.div`
  height: 190px;
`;

const TradeOffChart = dynamic(() => import('./TradeOffChart'), {
  ssr: false,
  loading: () => <ChartPlace />,
});

/* Its parts are as weighty as one another: each has a quiet heading. */
const Panel = styled(RoomSide)`
  h2 {
    margin-top: 14px;
    padding-bottom: 3px;
    border-bottom: 1px solid var(--line);
    font-size: inherit;
    line-height: inherit;
    font-weight: 650;
    color: var(--muted);
  }
  h2:first-child {
    margin-top: 0;
  }
`;

const Acts = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 0 4px;
  margin-left: -8px;
  [aria-pressed='true'] {
    color: var(--amber);
  }
`;

const Step = styled.li`
  padding: 5px 0;
  border-bottom: 1px solid var(--line);
  strong {
    ${engraved}
    margin-right: 8px;
  }
  span {
    color: var(--muted);
  }
`;

const Table = styled.table`
  width: 100%;
  border-collapse: collapse;
  font-size: 12px;
  th,
  td {
    padding: 3px 6px 3px 0;
    text-align: left;
    vertical-align: top;
    border-bottom: 1px solid var(--line);
  }
  th {
    color: var(--muted);
    font-weight: 500;
  }
  td {
    ${engraved}
  }
`;

interface SidePanelProps {
  found: Kept;
  job: Job;
  nameOf: Namer;
  shortlist: readonly Candidate[];
  onlyBest: boolean;
  onOnlyBest: (keys: ReadonlySet<string> | null) => void;
  onChoose: (candidate: Candidate) => void;
}

/** The best trade-offs as a chart, which filters the rows. */
function Front({ found, nameOf, onlyBest, onOnlyBest, onChoose }: SidePanelProps) {
  const [cost, setCost] = useState<TradeOffCost>('massG');
  const best = useMemo(() => tradeOffsOf(found.passing, cost), [found.passing, cost]);
  const unknown = found.passing.filter((c) => c[cost] === null).length;
  const word = cost === 'massG' ? 'mass' : 'price';
  return (
    <>
      <h2>Trade-offs</h2>
      <Acts>
        {(['massG', 'price'] as const).map((each) => (
          <TextButton key={each} aria-pressed={cost === each} onPress={() => setCost(each)}>
            {each === 'massG' ? 'light against mass' : 'light against price'}
          </TextButton>
        ))}
      </Acts>
      {best.length > 0 ? (
        <>
          <TradeOffChart
            passing={found.passing}
            best={best}
            cost={cost}
            nameOf={nameOf}
            onChoose={onChoose}
          />
          <Acts>
            <TextButton
              aria-pressed={onlyBest}
              onPress={() => onOnlyBest(onlyBest ? null : new Set(best.map(candidateKey)))}
            >
              {onlyBest ? 'Show all rows' : `Only the ${best.length} that nothing beats`}
            </TextButton>
          </Acts>
        </>
      ) : (
        <SideNote>Nothing with a known {word} passes.</SideNote>
      )}
      {unknown > 0 && (
        <SideNote>
          {unknown} of {found.passing.length} have no known {word} and stand on no chart.
        </SideNote>
      )}
    </>
  );
}

/** What it takes to close a gap with something. */
const closeWords = (closer: Candidate): string => wayOutOf(closer) ?? 'take that body as well';

/** The fewest rigs that span the views, and what is open. */
function PlanList({ found, job, nameOf, onChoose }: SidePanelProps) {
  const plan = useMemo(
    () => coveragePlan(found.passing, found.near, job),
    [found.passing, found.near, job],
  );
  return (
    <>
      <h2>Fewest rigs for all the views</h2>
      {!plan && <SideNote>Nothing passes, so there is none.</SideNote>}
      {plan && planDoubts(plan).map((doubt) => <SideNote key={doubt}>{doubt}</SideNote>)}
      <ul>
        {plan?.steps.map(({ candidate, views }) => (
          <Step key={`${candidateKey(candidate)}/${views.from}`}>
            <strong>{viewWords([views])}</strong> {wholeName(nameOf(candidate))}
          </Step>
        ))}
        {plan?.gaps.map((gap, i) => {
          const closer = plan.closers[i];
          return (
            <Step key={gap.from}>
              <strong>{openWords(gap)}</strong>{' '}
              <span>
                open.{' '}
                {closer
                  ? `${wholeName(nameOf(closer))} would close it: ${closeWords(closer)}.`
                  : 'Nothing in the kit closes it.'}
              </span>
              {closer && <TextButton onPress={() => onChoose(closer)}>Show it</TextButton>}
            </Step>
          );
        })}
      </ul>
    </>
  );
}

const ROWS: readonly [string, (c: Candidate) => string][] = [
  ['views', (c) => servedWords(c) || '–'],
  ['risk', (c) => (c.risk ? riskFigure(c.risk.risk, c.risk.evidence) : 'not known')],
  ['light', lightWords],
  ['scale-up', (c) => (c.scale > 1.0005 ? `${fixed((c.scale - 1) * 100, 1)} %` : 'none')],
  ['pixels across', (c) => fixed(c.pixelsAcross, 0)],
  ['mass', (c) => (c.massG === null ? 'not known' : `${fixed(c.massG, 0)} g`)],
  ['price', (c) => (c.price === null ? 'not known' : fixed(c.price, 0))],
  ['to be had', (c) => c.source ?? 'not told'],
];

function Shortlist({ shortlist, nameOf }: SidePanelProps) {
  if (shortlist.length === 0)
    return (
      <>
        <h2>Shortlist</h2>
        <SideNote>Rows with a star stand here side by side.</SideNote>
      </>
    );
  return (
    <>
      <h2>Shortlist</h2>
      <div style={{ overflowX: 'auto' }}>
        <Table>
          <thead>
            <tr>
              <th scope="col" />
              {shortlist.map((c) => (
                <th key={candidateKey(c)} scope="col">
                  {wholeName(nameOf(c))}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {ROWS.map(([name, figure]) => (
              <tr key={name}>
                <th scope="row">{name}</th>
                {shortlist.map((c) => (
                  <td key={candidateKey(c)}>{figure(c)}</td>
                ))}
              </tr>
            ))}
          </tbody>
        </Table>
      </div>
    </>
  );
}

/** What the rows come to: trade-offs, plan, shortlist. It stands still while a search runs. */
export const SidePanel = memo(function SidePanel(props: SidePanelProps) {
  return (
    <Panel aria-label="What the rows come to">
      <PlanList {...props} />
      <Front {...props} />
      <Shortlist {...props} />
    </Panel>
  );
});
