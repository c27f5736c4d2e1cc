'use client';
import { isSurelyClear, verdictWords } from '@/core/frame';
import { memo, useCallback, useState } from 'react';
import { Unlink } from 'lucide-react';
import styled from 'styled-components';
import { SCHOOLS, type Judgement, type School } from '@/core/kit/records';
import { CROP_BASES, type CropBasis } from '@/core/optics';
import type { Report } from '@/core/rig/report';
import type { Rig } from '@/core/rig';
import { edgeKnownWords, explain, type Reading } from '@/core/rig/readings';
import { Choice } from '@/ui/controls/Choice';
import { Fold } from '@/ui/controls/Fold';
import { WhyPopover, WhyRow } from '@/ui/controls/WhyRow';
import { riskWords } from '@/core/words';
import { inkOf, VerdictMark } from '@/ui/marks/VerdictMark';
import { PHONE } from '@/ui/theme/type';
import { Cautions } from '../ways/Cautions';
import { readingGroups, type ReadingGroup } from './readingRows';
import { today } from '@/ui/today';

const Panel = styled.section`
  border-left: 1px solid var(--line);
  padding: 14px 18px 16px;
  overflow-y: auto;
  min-height: 0;
  @media ${PHONE} {
    border: 0;
    overflow: visible;
  }
`;

const VerdictButton = styled.button`
  display: flex;
  align-items: center;
  gap: 14px;
  width: 100%;
  padding: 0;
  border: 0;
  background: none;
  text-align: left;
  cursor: help;
`;

const Word = styled.span`
  display: block;
  font-size: 25px;
  line-height: 1.1;
  font-weight: 700;
  font-stretch: 100%;
`;

const Known = styled.span`
  display: block;
  color: var(--muted);
  font-size: 12px;
`;

/** Two lines are kept for the sentence, so that nothing below it jumps. */
const Sentence = styled.p`
  font-size: 15px;
  line-height: 1.35;
  min-height: 2.7em;
  margin-top: 10px;
`;

const Surer = styled.p`
  margin-top: 4px;
  color: var(--muted);
  font-size: 12px;
  line-height: 1.35;
  span {
    color: var(--ink);
    font-weight: 600;
  }
`;

const Judged = styled.div`
  margin-top: 10px;
`;

/** The risk and how the halo is known, in a few words. */
function knownWords(report: Report): string {
  const { kind } = report.halo.evidence;
  return `risk ${riskWords(report.verdict.risk)} · ${kind}, edge ${edgeKnownWords(report)}`;
}

const SCHOOL_LIMIT: Record<School, keyof Judgement> = {
  strict: 'strictStops',
  'grade it out': 'gradeStops',
  'as a look': 'lookStops',
};

const stopsWord = (v: number): string => `${v} ${v === 1 ? 'stop' : 'stops'}`;

interface ReadingsProps {
  rig: Rig;
  report: Report;
  onJudge: (judgement: Judgement) => void;
  /** What is known of the lens, said with the picture. */
  known: React.ReactNode;
  /** Where one says what a camera shows. */
  seen: React.ReactNode;
  /** The group of ways out; told whether it starts open. */
  ways: (startsOpen: boolean) => React.ReactNode;
}

type Ask = (reading: Reading, pressed: HTMLElement) => void;

function VerdictBlock({ report, ask }: { report: Report; ask: Ask }) {
  const { verdict, fitProblem } = report;
  return (
    <>
      <VerdictButton
        type="button"
        aria-haspopup="dialog"
        onClick={(event) => ask('verdict', event.currentTarget)}
      >
        {fitProblem ? (
          <Unlink size={46} strokeWidth={1.5} color="var(--clipped)" aria-hidden="true" />
        ) : (
          <VerdictMark face={verdict} size={46} />
        )}
        <span>
          <Word
            style={{ color: fitProblem ? 'var(--clipped)' : inkOf(verdict) }}
            data-testid="verdict"
          >
            {fitProblem ? fitProblem.words : verdictWords(verdict)}
          </Word>
          <Known>
            {' '}
            {fitProblem && `would be ${verdictWords(verdict)}, `}
            {knownWords(report)}
          </Known>
        </span>
      </VerdictButton>
      <Sentence>{verdict.sentence}</Sentence>
      {report.surer && (
        <Surer>
          <span>Surer:</span> {report.surer}
        </Surer>
      )}
    </>
  );
}

function Rows({ group, ask }: { group: ReadingGroup; ask: Ask }) {
  return group.rows.map((row) => (
    <WhyRow
      key={row.name}
      name={row.name}
      figure={row.figure}
      note={row.note}
      reading={row.reading}
      onAsk={ask}
    />
  ));
}

interface JudgedByProps {
  judgement: Judgement;
  onJudge: (judgement: Judgement) => void;
}

/** How dark a corner may be; like the basis below it stands still while rings are turned. */
const SchoolChoice = memo(function SchoolChoice({ judgement, onJudge }: JudgedByProps) {
  return (
    <Judged>
      <Choice
        label="A dark corner is fine"
        groups={[
          {
            title: 'Darkest corner you accept',
            options: SCHOOLS.map((school) => ({
              id: school,
              label: `${school}: ${stopsWord(Number(judgement[SCHOOL_LIMIT[school]]))}`,
            })),
          },
        ]}
        chosen={judgement.school}
        onChoose={(id) => onJudge({ ...judgement, school: id as School })}
      />
    </Judged>
  );
});

const BasisChoice = memo(function BasisChoice({ judgement, onJudge }: JudgedByProps) {
  return (
    <Choice
      label="Equivalents count by"
      groups={[{ title: 'Crop factor from', options: CROP_BASES.map((id) => ({ id, label: id })) }]}
      chosen={judgement.basis}
      onChoose={(id) => onJudge({ ...judgement, basis: id as CropBasis })}
    />
  );
});

/** What people ask, in the order they ask it; each figure can be asked why. */
export function Readings({ rig, report, onJudge, known, seen, ways }: ReadingsProps) {
  // Which groups stand open is settled when a rig comes to the Bench; turning a ring folds nothing.
  const [startsBad] = useState(!isSurelyClear(report.verdict) || report.fitProblem !== null);
  const [cover, ...others] = readingGroups(rig, report);
  const [asked, setAsked] = useState<{ reading: Reading; pressed: HTMLElement } | null>(null);
  const ask = useCallback<Ask>((reading, pressed) => setAsked({ reading, pressed }), []);
  return (
    <Panel aria-label="Readings">
      <VerdictBlock report={report} ask={ask} />
      <Fold title="Does it cover">
        <Rows group={cover} ask={ask} />
      </Fold>
      {ways(startsBad)}
      {others.map((group) => (
        <Fold
          key={group.title}
          title={group.title}
          summary={group.summary}
          startsOpen={group.id === 'become' && !startsBad}
        >
          <Rows group={group} ask={ask} />
          {group.id === 'picture' && known}
          {group.id === 'picture' && seen}
          {group.id === 'become' && <BasisChoice judgement={rig.judgement} onJudge={onJudge} />}
        </Fold>
      ))}
      <Cautions cautions={report.cautions} />
      <SchoolChoice judgement={rig.judgement} onJudge={onJudge} />
      <WhyPopover
        pressed={asked?.pressed ?? null}
        why={() => explain(asked?.reading ?? 'verdict', rig, report, today())}
        onClose={() => setAsked(null)}
      />
    </Panel>
  );
}
