'use client';
import { MoreVertical, Star } from 'lucide-react';
import { memo } from 'react';
import styled from 'styled-components';
import {
  rigOf,
  carriedKey,
  passes,
  type Candidate,
  lightFigure,
  lightWords,
  reasonOf,
  wayOutOf,
} from '@/core/choose';
import { type Job, type Workspace, fullName } from '@/core/kit/records';
import type { Rig } from '@/core/rig';
import { counted, fixed, riskWords } from '@/core/words';
import { MenuButton } from '@/ui/controls/MenuButton';
import { engraved, oneLine, PHONE } from '@/ui/theme/type';
import { MiniFrame } from '@/ui/marks/MiniFrame';
import type { RowItem } from './listing';
import { wholeName, type Namer } from './names';
import { ViewScale } from './ViewScale';

export const ROW_COLUMNS = '54px minmax(0, 1.5fr) minmax(90px, 1fr) 64px 58px 58px 52px 26px 26px';

const Line = styled.div`
  display: grid;
  grid-template-columns: ${ROW_COLUMNS};
  align-items: center;
  gap: 0 12px;
  padding: 5px 0;
  border-bottom: 1px solid var(--line);
  &[data-behind='true'] {
    box-shadow: inset 2px 0 var(--line);
  }
  &[data-chosen='true'] {
    background: var(--raised);
    box-shadow: inset 2px 0 var(--amber);
  }
  @media ${PHONE} {
    grid-template-columns: 54px minmax(0, 1fr) auto 28px 26px;
    gap: 2px 8px;
    > :nth-child(2) {
      grid-column: 2 / 4;
    }
    > [data-part='scale'] {
      grid-area: 2 / 1 / 3 / 4;
    }
    > [data-part='light'] {
      grid-area: 2 / 4 / 3 / 6;
    }
    > [data-part='star'] {
      grid-area: 1 / 4;
    }
    > [data-part='menu'] {
      grid-area: 1 / 5;
    }
  }
`;

const Name = styled.button`
  padding: 0;
  border: 0;
  background: none;
  text-align: left;
  cursor: pointer;
  min-width: 0;
  &:hover strong {
    color: var(--amber);
  }
  strong,
  span {
    ${oneLine}
    display: block;
  }
  strong {
    font-weight: 600;
  }
  span {
    color: var(--muted);
    font-size: 12px;
  }
`;

/* Heard, not seen. */
const Spoken = styled.i`
  position: absolute;
  width: 1px;
  height: 1px;
  overflow: hidden;
  clip-path: inset(50%);
`;

const Figure = styled.span`
  ${engraved}
  text-align: right;
  white-space: nowrap;
  @media ${PHONE} {
    &[data-narrow='hide'] {
      display: none;
    }
  }
`;

const Reason = styled.p`
  grid-column: 2 / -1;
  margin-top: 2px;
  color: var(--muted);
  font-size: 12px;
  em {
    font-style: normal;
    color: var(--ink);
  }
  @media ${PHONE} {
    grid-column: 1 / -1;
  }
`;

const Fold = styled.button`
  margin: -4px 0;
  padding: 4px 0;
  border: 0;
  background: none;
  color: var(--amber);
  cursor: pointer;
`;

const StarButton = styled.button`
  display: grid;
  place-items: center;
  width: 28px;
  height: 30px;
  border: 0;
  background: none;
  border-radius: var(--radius);
  cursor: pointer;
  color: var(--muted);
  &[aria-pressed='true'] {
    color: var(--amber);
    svg {
      fill: currentColor;
    }
  }
`;

const grams = (massG: number | null): string => (massG === null ? '? g' : `${fixed(massG, 0)} g`);
const priced = (price: number | null): string => (price === null ? '?' : fixed(price, 0));

interface CandidateRowProps extends Omit<RowItem, 'kind'> {
  job: Job;
  workspace: Workspace;
  nameOf: Namer;
  isShortlisted: boolean;
  isChosen: boolean;
  onShortlist: (candidate: Candidate) => void;
  onOpen: (candidate: Candidate) => void;
  onLeaveOut: (id: string, name: string) => void;
  /** Shows those behind, or puts them back, by the key of the gear. */
  onFold: (key: string) => void;
}

interface LeaveOutProps {
  rig: Rig | null;
  onLeaveOut: CandidateRowProps['onLeaveOut'];
}

/** What of a row may be left out of the job. */
function LeaveOut({ rig, onLeaveOut }: LeaveOutProps) {
  const gear = rig ? [rig.lens, ...rig.parts, rig.body] : [];
  return (
    <MenuButton
      label="Leave gear out of the job"
      actions={gear.map((item) => ({
        id: item.id,
        label: `Leave out ${fullName(item)}`,
        act: () => onLeaveOut(item.id, fullName(item)),
      }))}
    >
      <MoreVertical size={15} aria-hidden="true" />
    </MenuButton>
  );
}

/** One combination: its frame, its name, the views it serves, what it is like, and why. */
export const CandidateRow = memo(function CandidateRow(props: CandidateRowProps) {
  const { candidate, job, workspace, nameOf, isShortlisted, isChosen } = props;
  const { behind, areShown, isBehind, onShortlist, onOpen, onLeaveOut, onFold } = props;
  const rig = rigOf(candidate, job, workspace);
  const named = nameOf(candidate);
  const wayOut = passes(candidate) ? null : wayOutOf(candidate);
  const { massG, price, risk } = candidate;
  const { lens, train, body, mode } = named;
  // Of what stands behind its gear's first row the mode alone is new.
  const [title, ...more] = isBehind ? [mode, lens, train, body] : [lens, train, body, mode];
  return (
    <Line data-chosen={isChosen} data-behind={isBehind}>
      {rig ? <MiniFrame rig={rig} /> : <span />}
      <Name type="button" onClick={() => onOpen(candidate)} title={wholeName(named)}>
        <Spoken>Open on the Bench: </Spoken>
        <strong>{title}</strong> <span>{more.filter(Boolean).join(' · ')}</span>
      </Name>
      <div data-part="scale">
        <ViewScale views={candidate.views} job={job} />
      </div>
      <Figure data-part="light" title={lightWords(candidate)}>
        {candidate.tStop === null ? '–' : lightFigure(candidate)}
      </Figure>
      <Figure data-narrow="hide">{grams(massG)}</Figure>
      <Figure data-narrow="hide">{priced(price)}</Figure>
      <Figure data-narrow="hide" title={risk ? `risk at its worst, ${risk.evidence}` : undefined}>
        {risk ? riskWords(risk.risk) : '–'}
      </Figure>
      <StarButton
        type="button"
        data-part="star"
        aria-pressed={isShortlisted}
        aria-label={`On the shortlist: ${wholeName(named)}`}
        onClick={() => onShortlist(candidate)}
      >
        <Star size={16} aria-hidden="true" />
      </StarButton>
      <div data-part="menu">
        <LeaveOut rig={rig} onLeaveOut={onLeaveOut} />
      </div>
      <Reason>
        {reasonOf(candidate, job)}
        {wayOut && <em> To mend it: {wayOut}.</em>}
        {behind > 0 && ' '}
        {behind > 0 && (
          <Fold
            type="button"
            aria-expanded={areShown}
            onClick={() => onFold(carriedKey(candidate))}
          >
            {areShown ? 'this mode alone' : counted(behind, 'more mode')}
          </Fold>
        )}
      </Reason>
    </Line>
  );
});
