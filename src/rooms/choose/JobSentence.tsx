'use client';
import { useState } from 'react';
import styled from 'styled-components';
import { AVAILABILITY } from '@/core/kit/records/common';
import type { Job } from '@/core/kit/records/job';
import { SCHOOLS } from '@/core/kit/records/judgement';
import { ASPECTS } from '@/core/frame/aspects';
import { aspectOptions } from '@/gear/options';
import { TextButton } from '@/ui/controls/Buttons';
import { Choice } from '@/ui/controls/Choice';
import { FlagField } from '@/ui/form/FlagField';
import { WordField } from '@/ui/form/WordField';

const Sentence = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 4px 6px;
  font-size: 15px;
  line-height: 1.5;
`;

const Flags = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 2px 16px;
  margin-top: 2px;
`;

const More = styled.div`
  display: grid;
  gap: 4px;
  margin: 6px 0 2px;
  padding: 8px 12px;
  border: 1px solid var(--line);
  border-radius: var(--radius);
`;

const USES = [
  {
    title: 'What it is',
    options: [
      { id: 'video', label: 'video' },
      { id: 'stills', label: 'stills' },
    ],
  },
];

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

interface Asking {
  job: Job;
  onChange: (label: string, change: Partial<Job>) => void;
}

interface JobSentenceProps extends Asking {
  /** Names of gear that is left out, by id. */
  leftOut: readonly { id: string; name: string }[];
}

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
function Rest(props: JobSentenceProps) {
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
const rarerAsked = (job: Job): number =>
  [
    job.shallowFNumber !== null,
    job.deepFNumber !== null,
    job.postScale !== 1,
    job.crops,
    job.school !== null,
    job.unknowns !== 'keep',
    job.sources.length < AVAILABILITY.length,
    job.leaveOut.length > 0,
  ].filter(Boolean).length;

/** What is delivered. */
function Delivery({ job, onChange }: Asking) {
  const aspect = aspectOptions(job.aspect);
  return (
    <>
      <Choice
        bare
        label="Stills or video"
        groups={USES}
        chosen={job.use}
        onChoose={(id) => onChange('Change the use', { use: id === 'stills' ? 'stills' : 'video' })}
      />
      <Choice
        bare
        label="Delivered aspect"
        groups={aspect.groups}
        chosen={aspect.chosen}
        onChoose={(id) => {
          const found = ASPECTS.find((a) => a.id === id);
          if (found) onChange('Deliver another aspect', { aspect: found.aspect });
        }}
      />
      <WordField
        label="Pixels across at least"
        before="at"
        after="px across,"
        value={job.pixelsAcross === 0 ? null : job.pixelsAcross}
        min={1}
        max={100_000}
        isWhole
        anyWord="any"
        onEnter={(px) => onChange('Ask for pixels', { pixelsAcross: px ?? 0 })}
      />
      {job.use === 'video' && (
        <WordField
          label="Frames a second at least"
          after="fps,"
          value={job.framesPerSecond}
          min={0.1}
          max={100_000}
          anyWord="any"
          onEnter={(framesPerSecond) => onChange('Ask for a frame rate', { framesPerSecond })}
        />
      )}
    </>
  );
}

/** The views wanted. */
function Views({ job, onChange }: Asking) {
  const to = (viewFromMm: number, viewToMm: number) =>
    onChange('Change the views', {
      viewFromMm: Math.min(viewFromMm, viewToMm),
      viewToMm: Math.max(viewFromMm, viewToMm),
    });
  return (
    <>
      <WordField
        label="Widest view, mm on 36×24"
        value={job.viewFromMm}
        min={1}
        max={5000}
        onEnter={(mm) => to(mm ?? job.viewFromMm, job.viewToMm)}
      />
      <WordField
        label="Longest view, mm on 36×24"
        before="to"
        after="mm view,"
        value={job.viewToMm}
        min={1}
        max={5000}
        onEnter={(mm) => to(job.viewFromMm, mm ?? job.viewToMm)}
      />
    </>
  );
}

/** Light, mass and price. */
function Limits({ job, onChange }: Asking) {
  return (
    <>
      <WordField
        label="Slowest T-stop"
        before="T"
        after="or faster,"
        value={job.slowestTStop}
        min={0.5}
        max={128}
        anyWord="any"
        onEnter={(slowestTStop) => onChange('Ask for light', { slowestTStop })}
      />
      <WordField
        label="Mass at most, g"
        before="under"
        after="g,"
        value={job.mostMassG}
        min={1}
        max={100_000}
        anyWord="any"
        onEnter={(mostMassG) => onChange('Limit the mass', { mostMassG })}
      />
      <WordField
        label="Price at most"
        after="in price"
        value={job.mostPrice}
        min={0}
        max={10_000_000}
        anyWord="any"
        onEnter={(mostPrice) => onChange('Limit the price', { mostPrice })}
      />
    </>
  );
}

/** The job as one sentence whose words can be changed. */
export function JobSentence(props: JobSentenceProps) {
  const { job, onChange } = props;
  const [isOpen, setOpen] = useState(false);
  const rarer = rarerAsked(job);
  return (
    <section aria-label="The job">
      <Sentence>
        <Delivery {...props} />
        <Views {...props} />
        <Limits {...props} />
      </Sentence>
      <Flags>
        <FlagField
          label="stabilised"
          on={job.stabilised}
          onTurn={(stabilised) => onChange('Ask for the stabiliser', { stabilised })}
        />
        <FlagField
          label="autofocus"
          on={job.autofocus}
          onTurn={(autofocus) => onChange('Ask for autofocus', { autofocus })}
        />
        <FlagField
          label="all of it with one rig"
          on={job.wholeRange}
          onTurn={(wholeRange) => onChange('Ask for the whole range', { wholeRange })}
        />
        <TextButton aria-expanded={isOpen} onPress={() => setOpen(!isOpen)}>
          {isOpen ? 'Less' : `More${rarer > 0 ? ` (${rarer} asked)` : ''}`}
        </TextButton>
      </Flags>
      {isOpen && <Rest {...props} />}
    </section>
  );
}
