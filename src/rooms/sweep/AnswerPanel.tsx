'use client';
import styled from 'styled-components';
import { isZoom, type Lens, type RigSettings } from '@/core/kit/records';
import { fitProblemOf, type Rig } from '@/core/rig';
import { evaluate, ifJoined } from '@/core/rig/report';
import {
  type SweepAnswer,
  type Spot,
  type SweepCell,
  gapWords,
  spanWords,
  spareWords,
  spotWords,
  sweepHeadline,
  whereClear,
  type ZoomWindows,
  primeWords,
  tossWords,
} from '@/core/sweep';
import { cornerWords, riskWords } from '@/core/words';
import { ActingButton } from '@/ui/controls/Buttons';
import { VerdictMark } from '@/ui/marks/VerdictMark';
import { RoomSide, SideNote } from '@/ui/controls/roomLayout';
import { engraved } from '@/ui/theme/type';
import { isMoving, verdictWords } from '@/core/frame';

const Trouble = styled.p`
  margin-top: 6px;
  color: var(--clipped);
`;

const Line = styled.li`
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: 12px;
  align-items: baseline;
  padding: 4px 0;
  border-bottom: 1px solid var(--line);
  > :last-child {
    ${engraved}
    text-align: right;
  }
`;

const Act = styled.button`
  padding: 0;
  border: 0;
  background: none;
  text-align: left;
  cursor: pointer;
  &:hover {
    color: var(--amber);
  }
`;

const ThisCell = styled.div`
  display: flex;
  gap: 10px;
  margin-top: 8px;
`;

/** Windows of one aperture as figures: "23.6–35", or none. */
const windowFigures = (lens: Lens, found: ZoomWindows): string => {
  if (!isZoom(lens)) return primeWords(found);
  if (found.windows.length > 0) return found.windows.map((w) => spanWords(w)).join(', ');
  return found.tosses.length > 0 ? 'none for sure' : 'none';
};

/** Apertures after one another that say the same stand in one line. */
function merged(lens: Lens, list: readonly ZoomWindows[]): { label: string; figures: string }[] {
  const lines: { first: string; last: string; figures: string }[] = [];
  for (const windows of list) {
    const figures = windowFigures(lens, windows);
    const before = lines.at(-1);
    if (before?.figures === figures) before.last = windows.label;
    else lines.push({ first: windows.label, last: windows.label, figures });
  }
  return lines.map(({ first, last, figures }) => ({
    label: first === last ? first : `${first} to ${last}`,
    figures,
  }));
}

function SpotLine({ what, spot, spare = '' }: { what: string; spot: Spot; spare?: string }) {
  return (
    <Line>
      <span>{what}</span>
      <span>
        {spotWords(spot)}
        {spare && <SideNote as="span"> {spare}</SideNote>}
      </span>
    </Line>
  );
}

interface CellPanelProps {
  cell: SweepCell;
  onOpen: () => void;
}

function CellPanel({ cell, onOpen }: CellPanelProps) {
  if (cell.verdict === null)
    return (
      <SideNote>
        {cell.column}, {cell.row}: cannot be set, {cell.cannot}.
      </SideNote>
    );
  const { verdict, coverage, frame, halo } = evaluate(cell.rig);
  return (
    <>
      <ThisCell>
        <VerdictMark face={verdict} />
        <div>
          <p>
            {cell.column}, {cell.row}: {verdictWords(verdict)}
          </p>
          <SideNote>
            Corners{isMoving(frame.travel) ? ' at rest' : ''}{' '}
            {coverage.cornerStops.map(cornerWords).join(', ')}; risk {riskWords(verdict.risk)},{' '}
            {halo.evidence.kind}.
          </SideNote>
        </div>
      </ThisCell>
      <ActingButton style={{ paddingLeft: 0 }} onPress={onOpen}>
        Put it on the Bench
      </ActingButton>
    </>
  );
}

interface AnswerPanelProps {
  /** The rig of the frame in hand, or as it is set. */
  rig: Rig;
  /** Null while it is being worked out; 'lost' where the worker broke. */
  answer: SweepAnswer | null | 'lost';
  cell: SweepCell | null;
  onOpen: () => void;
  onChange: (words: string, change: Partial<RigSettings>) => void;
}

/** What the sweep says: the answer, the windows, the sweet spot, what would widen it, and the frame in hand. */
export function AnswerPanel({ rig, answer, cell, onOpen, onChange }: AnswerPanelProps) {
  const { lens } = rig;
  const problem = fitProblemOf(rig);
  const isLost = answer === 'lost';
  const known = isLost ? null : answer;
  const waiting = isLost ? 'Not worked out' : 'Working it out…';
  const headline = known ? sweepHeadline(lens, known.now) : waiting;
  return (
    <RoomSide aria-label="What the sweep says">
      <h2 data-testid="sweep-answer" aria-live="polite">
        {problem ? problem.words : headline}
      </h2>
      {problem && <Trouble role="alert">{ifJoined(problem, `${headline}.`)}</Trouble>}
      {isLost && (
        <SideNote role="alert">The search broke off; turning anything starts it again.</SideNote>
      )}
      {isZoom(lens) &&
        known?.now.tosses.map((toss) => <SideNote key={toss.from}>{tossWords(toss)}.</SideNote>)}
      {known?.now.gaps.map((gap) => (
        <SideNote key={gap.from}>{gapWords(gap)}.</SideNote>
      ))}
      {known && (
        <>
          <h3>Windows by aperture</h3>
          <ul>
            {merged(lens, known.byAperture).map(({ label, figures }) => (
              <Line key={label}>
                <span>{label}</span>
                <span>{figures}</span>
              </Line>
            ))}
          </ul>
          {known.widest && known.roomiest && (
            <>
              <h3>Sweet spot</h3>
              <ul>
                {isZoom(lens) && <SpotLine what="Widest Clear" spot={known.widest} />}
                <SpotLine
                  what="Roomiest"
                  spot={known.roomiest}
                  spare={spareWords(known.roomiest)}
                />
              </ul>
            </>
          )}
          {known.widenings.length > 0 && (
            <>
              <h3>What would widen it</h3>
              <ul>
                {known.widenings.map(({ words, change, windows }) => (
                  <Line key={words}>
                    <Act type="button" onClick={() => onChange(words, change)}>
                      {words}
                    </Act>
                    <span>{isZoom(lens) ? whereClear(lens, windows) : 'Clear'}</span>
                  </Line>
                ))}
              </ul>
            </>
          )}
        </>
      )}
      <h3>This frame</h3>
      {cell ? <CellPanel cell={cell} onOpen={onOpen} /> : <SideNote>Press a frame.</SideNote>}
    </RoomSide>
  );
}
