'use client';
import { useState } from 'react';
import styled from 'styled-components';
import type { Judgement } from '@/core/kit/records';
import { WARNING_WORDS } from '@/core/measure';
import { LineButton, MainButton } from '@/ui/controls/Buttons';
import { Choice } from '@/ui/controls/Choice';
import { WhyPopover, WhyRow } from '@/ui/controls/WhyRow';
import { EntryField } from '@/ui/form/EntryField';
import { PHONE } from '@/ui/theme/type';
import { figureRows, whyOf, type FrameReading } from './figures';
import { doubtsOf, isLogged, moved, ofSameSetting, settingOf, shotOf, type Frame } from './frames';
import { isPractice, isOfWholeRig, type Session } from './session';
import type { Frames } from './useFrames';
import { secondsTaken } from '@/core/words';

const Panel = styled.section`
  overflow-y: auto;
  min-height: 0;
  padding: 12px 16px 20px;
  border-left: 1px solid var(--line);
  h2 {
    font-size: 16px;
    font-weight: 650;
    overflow-wrap: anywhere;
  }
  @media ${PHONE} {
    border: 0;
    overflow: visible;
  }
  @media print {
    display: none;
  }
`;

const Word = styled.p`
  font-size: 22px;
  font-weight: 700;
  line-height: 1.2;
  margin: 2px 0 8px;
`;

const Warnings = styled.ul`
  margin: 10px 0;
  color: var(--shaded);
  font-size: 12px;
  li + li {
    margin-top: 4px;
  }
`;

const Acts = styled.div`
  display: grid;
  gap: 8px;
  margin-top: 14px;
`;

const Quiet = styled.p`
  color: var(--muted);
  font-size: 12px;
`;

const WORDS = {
  measured: 'Measured',
  bound: 'At least so large',
  refused: 'Refused',
} as const;

export interface Keep {
  frame: Frame;
  note: string;
  /** Give the lens a sample from this frame and those of the same setting. */
  toLens: boolean;
}

interface FramePanelProps {
  frame: Frame;
  frames: Frames;
  session: Session;
  judgement: Judgement;
  /** Ids of the log's entries: undo may have taken one out again. */
  logged: ReadonlySet<string>;
  /** Something is being kept. */
  busy: boolean;
  onKeep: (keep: Keep) => void;
  /** A figure was asked why. */
  onAsked: () => void;
}

/** Why a frame cannot go to the lens; null where it can. */
function heldBack(frame: Frame, session: Session): string | null {
  if (isOfWholeRig(session))
    return 'Through glass or a tube it is the whole rig that is measured: it goes to the log, not to the lens.';
  if (frame.answer?.simulated && !isPractice(session))
    return 'A frame of the simulated camera goes to the practice lens alone.';
  return null;
}

function Keeping(props: Omit<FramePanelProps, 'judgement' | 'onAsked'>) {
  const { frame, frames, session, logged, busy, onKeep } = props;
  const [note, setNote] = useState('');
  const setting = settingOf(frame, session);
  const held = heldBack(frame, session);
  const together = ofSameSetting(frame, frames.frames, session);
  if (!setting)
    return (
      <Quiet>The file does not tell its settings: match it with a shot of the list first.</Quiet>
    );
  if (isLogged(frame, logged)) return <Quiet>It is in the log. Undo takes it out again.</Quiet>;
  // A wrong camera makes every figure wrong: it is asked before anything is kept.
  const said = together
    .map((f) => ({ f, doubts: doubtsOf(f, session) }))
    .filter(({ doubts: of }) => of.length > 0);
  const doubted = said.map(({ f }) => f);
  const doubts = [...new Set(said.flatMap(({ doubts: of }) => of))];
  if (doubts.length > 0)
    return (
      <Acts role="alert">
        {doubts.map((doubt) => (
          <Quiet key={doubt}>{doubt}</Quiet>
        ))}
        <Quiet>
          Was it taken on {session.body.name}, {session.mode.name}? Else choose its camera and mode
          above.
        </Quiet>
        <LineButton
          onPress={() => {
            for (const { id } of doubted) frames.set(id, { isCameraSure: true });
          }}
        >
          It was taken on this camera
        </LineButton>
        <LineButton onPress={() => frames.remove(frame.id)}>Reject</LineButton>
      </Acts>
    );
  return (
    <>
      <EntryField label="Note" shown={note} complain={() => null} onEnter={setNote} />
      <Acts>
        <MainButton
          isDisabled={busy || held !== null}
          onPress={() => onKeep({ frame, note, toLens: true })}
        >
          {together.length > 1
            ? `Accept ${together.length} frames of ${setting.focalMm} mm for the lens`
            : 'Accept for the lens'}
        </MainButton>
        {held && <Quiet>{held}</Quiet>}
        {moved(together) && <Quiet role="alert">{WARNING_WORDS.moved}</Quiet>}
        {!held && together.length === 1 && <Quiet>{WARNING_WORDS.oneFrame}</Quiet>}
        <LineButton isDisabled={busy} onPress={() => onKeep({ frame, note, toLens: false })}>
          Keep in the log only
        </LineButton>
        <LineButton onPress={() => frames.remove(frame.id)}>Reject</LineButton>
      </Acts>
    </>
  );
}

function tookWords({ decodeMs, measureMs }: NonNullable<Frame['answer']>): string {
  return decodeMs === null
    ? `Read and measured in ${secondsTaken(measureMs, 2)}.`
    : `Decoded in ${secondsTaken(decodeMs, 2)}, measured in ${secondsTaken(measureMs, 2)}.`;
}

/** What one frame says, what is wrong with it, and what to do with it. */
export function FramePanel(props: FramePanelProps) {
  const { frame, frames, session, judgement, logged, busy, onKeep, onAsked } = props;
  const [asked, setAsked] = useState<{ reading: FrameReading; pressed: HTMLElement } | null>(null);
  const { answer } = frame;
  const shot = shotOf(frame, session);
  return (
    <Panel aria-label="Frame">
      <h2>{frame.file.name}</h2>
      {!answer && <Quiet role="status">{frame.sentence || 'It is measured in its turn.'}</Quiet>}
      {answer && (
        <>
          <Word>{WORDS[answer.measure.status]}</Word>
          <Choice
            label="Shot"
            groups={[
              {
                title: 'Which shot it is',
                options: session.shots.map((s) => ({
                  id: s.id,
                  label: `${s.focalMm} mm f/${s.fNumber}`,
                  note: s.focusM === null ? 'at ∞' : `at ${s.focusM} m`,
                })),
              },
            ]}
            chosen={shot?.id ?? null}
            placeholder="not told: choose"
            onChoose={(shotId) => frames.set(frame.id, { shotId })}
          />
          {figureRows(frame, session, judgement).map((row) => (
            <WhyRow
              key={row.reading}
              {...row}
              onAsk={(reading, pressed) => {
                setAsked({ reading, pressed });
                onAsked();
              }}
            />
          ))}
          {answer.measure.warnings.length > 0 && (
            <Warnings aria-label="Mind">
              {answer.measure.warnings.map((w) => (
                <li key={w}>{WARNING_WORDS[w]}</li>
              ))}
            </Warnings>
          )}
          <Quiet data-testid="took">{tookWords(answer)}</Quiet>
          {answer.preview && <Quiet>Measured in the preview picture of the raw file.</Quiet>}
          {answer.measure.status !== 'refused' && (
            <Keeping
              key={frame.id}
              frame={frame}
              frames={frames}
              session={session}
              logged={logged}
              busy={busy}
              onKeep={onKeep}
            />
          )}
        </>
      )}
      <WhyPopover
        pressed={asked?.pressed ?? null}
        why={() => whyOf(asked?.reading ?? 'half', frame, session, judgement)}
        onClose={() => setAsked(null)}
      />
    </Panel>
  );
}
