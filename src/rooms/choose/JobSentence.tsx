'use client';
import { memo, useState } from 'react';
import { ASPECTS } from '@/core/frame';
import { aspectOptions } from '@/gear/options';
import { TextButton } from '@/ui/controls/Buttons';
import { Choice } from '@/ui/controls/Choice';
import { FlagField } from '@/ui/form/FlagField';
import { WordField } from '@/ui/form/WordField';
import { Flags, Sentence, type Asking, type JobSentenceProps } from './jobWords';
import { RarerQuestions, rarerAsked } from './RarerQuestions';

const USES = [
  {
    title: 'What it is',
    options: [
      { id: 'video', label: 'video' },
      { id: 'stills', label: 'stills' },
    ],
  },
];

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
export const JobSentence = memo(function JobSentence(props: JobSentenceProps) {
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
      {isOpen && <RarerQuestions {...props} />}
    </section>
  );
});
