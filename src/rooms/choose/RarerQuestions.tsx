'use client';
import styled from 'styled-components';
import { AVAILABILITY, type Job, SCHOOLS } from '@/core/kit/records';
import { TextButton } from '@/ui/controls/Buttons';
import { Choice } from '@/ui/controls/Choice';
import { FlagField } from '@/ui/form/FlagField';
import { WordField } from '@/ui/form/WordField';
import { Flags, Sentence, type Asking, type JobSentenceProps } from './jobWords';

const More = styled.div`
  display: grid;
  gap: 4px;
  margin: 6px 0 2px;
  padding: 8px 12px;
  border: 1px solid var(--line);
  border-radius: var(--radius);
`;

const AS_HERE = 'as here';
const SCHOOL_OPTIONS = [
  {
    title: 'How dark a corner may be',
    options: [
      { id: AS_HERE, label: 'as this workspace judges' },
      ...SCHOOLS.map((id) => ({ id, label: id })),
    ],
  },
];

const UNKNOWN_OPTIONS = [
  {
    title: 'Rigs of which something asked is not known',
    options: [
      { id: 'keep', label: 'kept, and say so' },
      { id: 'leave out', label: 'left out' },
    ],
  },
];

/** Depth, and what may be done to the picture. */
function DepthAndScale({ job, onChange }: Asking) {
  return (
    <>
      <Sentence>
        <WordField
          label="As shallow as this f-number on 36×24"
          before="as shallow as f/"
          value={job.shallowFNumber}
          min={0.5}
          max={128}
          anyWord="any"
          onEnter={(shallowFNumber) => onChange('Ask for depth', { shallowFNumber })}
        />
        <WordField
          label="As deep as this f-number on 36×24"
          before="· as deep as f/"
          after="on 36×24"
          value={job.deepFNumber}
          min={0.5}
          max={128}
          anyWord="any"
          onEnter={(deepFNumber) => onChange('Ask for depth', { deepFNumber })}
        />
      </Sentence>
      <Sentence>
        <WordField
          label="Scale-up in post allowed, percent"
          before="scale-up in post to"
          after="%"
          value={Number(((job.postScale - 1) * 100).toFixed(2))}
          min={0}
          max={300}
          onEnter={(percent) => onChange('Allow scale-up', { postScale: 1 + (percent ?? 0) / 100 })}
        />
        <FlagField
          label="the body’s own crops may be used"
          on={job.crops}
          onTurn={(crops) => onChange('Allow the body’s crops', { crops })}
        />
      </Sentence>
    </>
  );
}

/** How it is judged, and how gear may be had. */
function JudgingAndHaving({ job, onChange }: Asking) {
  const asWell = (on: boolean, source: Job['sources'][number]) =>
    AVAILABILITY.filter((s) => (s === source ? on : job.sources.includes(s)));
  return (
    <>
      <Sentence>
        corners
        <Choice
          bare
          label="How dark a corner may be"
          groups={SCHOOL_OPTIONS}
          chosen={job.school ?? AS_HERE}
          onChoose={(id) =>
            onChange('Judge the job', { school: SCHOOLS.find((s) => s === id) ?? null })
          }
        />
        <WordField
          label="Risk of a corner that is not Clear, percent at most"
          before="· risk to"
          after="%"
          value={job.mostRisk === null ? null : Number((job.mostRisk * 100).toFixed(1))}
          min={0.1}
          max={100}
          anyWord="any"
          onEnter={(percent) =>
            onChange('Limit the risk', { mostRisk: percent === null ? null : percent / 100 })
          }
        />
        · what is not known
        <Choice
          bare
          label="Rigs of which something asked is not known"
          groups={UNKNOWN_OPTIONS}
          chosen={job.unknowns}
          onChoose={(id) =>
            onChange('Treat what is not known', { unknowns: id === 'keep' ? 'keep' : 'leave out' })
          }
        />
      </Sentence>
      <Flags>
        {AVAILABILITY.map((source) => (
          <FlagField
            key={source}
            label={source}
            on={job.sources.includes(source)}
            onTurn={(on) => onChange('Say how gear may be had', { sources: asWell(on, source) })}
          />
        ))}
      </Flags>
    </>
  );
}

/** What is not asked of most jobs. */
export function RarerQuestions(props: JobSentenceProps) {
  const { job, onChange, leftOut } = props;
  return (
    <More>
      <DepthAndScale {...props} />
      <JudgingAndHaving {...props} />
      {leftOut.length > 0 && (
        <Flags>
          left out:
          {leftOut.map(({ id, name }) => (
            <TextButton
              key={id}
              aria-label={`Take ${name} in again`}
              onPress={() =>
                onChange('Take gear in again', { leaveOut: job.leaveOut.filter((l) => l !== id) })
              }
            >
              {name} ×
            </TextButton>
          ))}
        </Flags>
      )}
    </More>
  );
}

/** How many of the rarer questions are answered otherwise than usual. */
export const rarerAsked = (job: Job): number =>
  [
    job.shallowFNumber !== null,
    job.deepFNumber !== null,
    job.postScale !== 1,
    job.crops,
    job.school !== null,
    job.mostRisk !== null,
    job.unknowns !== 'keep',
    job.sources.length < AVAILABILITY.length,
    job.leaveOut.length > 0,
  ].filter(Boolean).length;
