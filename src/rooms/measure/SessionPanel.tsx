'use client';
import { useState } from 'react';
import { DropZone } from 'react-aria-components';
import styled from 'styled-components';
import type { Workspace } from '@/core/kit/records';
import { BodyChoice, LensChoice, ModeChoice, RigChoice } from '@/gear/GearChoice';
import { bodyOptions, lensNames, rigOptions } from '@/gear/options';
import { ActingButton, MainButton, TextButton } from '@/ui/controls/Buttons';
import { Fold } from '@/ui/controls/Fold';
import { FilePicker } from '@/ui/form/FilePicker';
import { FlagField } from '@/ui/form/FlagField';
import { engraved, PHONE } from '@/ui/theme/type';
import type { Frames } from './useFrames';
import { shotOf } from './frames';
import {
  isPractice,
  readTicks,
  setOf,
  tickOf,
  writeTicks,
  type Session,
  type SessionChoice,
} from './session';
import { ToneChoice } from './ToneChoice';
import type { Practice } from './usePractice';

const Panel = styled.section`
  overflow-y: auto;
  min-height: 0;
  padding: 12px 14px 20px;
  border-right: 1px solid var(--line);
  @media ${PHONE} {
    border: 0;
    overflow: visible;
  }
  @media print {
    border: 0;
    max-width: 130mm;
    svg {
      display: none;
    }
  }
`;

/** On paper nothing is folded. */
const OnScreen = styled.div`
  @media print {
    display: none;
  }
`;

const OnPaper = styled.div`
  display: none;
  margin-top: 14px;
  @media print {
    display: block;
  }
`;

const Drop = styled(DropZone)`
  margin-top: 10px;
  padding: 10px;
  border: 1px dashed var(--line);
  border-radius: var(--radius);
  color: var(--muted);
  font-size: 12px;
  text-align: center;
  display: grid;
  gap: 6px;
  &[data-drop-target] {
    border-color: var(--amber);
    background: var(--raised);
  }
  @media print {
    display: none;
  }
`;

const Shots = styled.ul`
  margin-top: 4px;
  label {
    display: grid;
    grid-template-columns: 18px 1fr auto;
    gap: 8px;
    align-items: center;
    min-height: 27px;
    border-bottom: 1px solid var(--line);
    cursor: pointer;
  }
  input {
    accent-color: var(--amber);
    width: 15px;
    height: 15px;
    margin: 0;
  }
  @media ${PHONE} {
    label {
      min-height: 42px;
    }
  }
`;

const Setting = styled.span`
  ${engraved}
  font-size: 14px;
`;

const Quiet = styled.span`
  color: var(--muted);
  font-size: 12px;
`;

const Rules = styled.ol`
  list-style: decimal inside;
  color: var(--muted);
  font-size: 12px;
  li {
    padding: 1px 0;
  }
`;

const RULES = (
  <Rules>
    <li>An even wall or a diffuser over the lens, lit evenly, out of focus.</li>
    <li>Stabiliser off and locked, no hood, no filter, camera on a stand.</li>
    <li>Largest read-out; lens corrections in the camera off.</li>
    <li>Expose the middle to about two thirds; nothing may clip.</li>
    <li>
      Two frames a setting, wide open and at f/8 to f/11: one alone says little of the stops
      between.
    </li>
  </Rules>
);

const Acts = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin-top: 8px;
  @media print {
    display: none;
  }
`;

interface SessionPanelProps {
  workspace: Workspace;
  session: Session;
  choice: SessionChoice;
  onChoice: (change: Partial<SessionChoice>) => void;
  frames: Frames;
  practice: Practice;
  onPractise: () => void;
  /** The guide of the practice lens; nothing for others. */
  guide: React.ReactNode;
}

/** The shots, each ticked by hand or by the frame that is it. */
function ShotList({ session, frames }: { session: Session; frames: Frames }) {
  const [ticks, setTicks] = useState<ReadonlySet<string>>(readTicks);
  const shotIds = new Set(frames.frames.map((f) => shotOf(f, session)?.id));
  const tick = (key: string, on: boolean) => {
    const next = new Set(ticks);
    if (on) next.add(key);
    else next.delete(key);
    setTicks(next);
    writeTicks(next);
  };
  return (
    <Shots aria-label="Shot list">
      {session.shots.map((shot) => {
        const key = tickOf(session, shot);
        const here = shotIds.has(shot.id);
        return (
          <li key={shot.id}>
            <label>
              <input
                type="checkbox"
                checked={here || ticks.has(key)}
                disabled={here}
                onChange={(event) => tick(key, event.target.checked)}
              />
              <Setting>
                {shot.focalMm} mm &nbsp;f/{shot.fNumber}
              </Setting>
              <Quiet>
                {here ? 'frame is here' : shot.focusM === null ? 'at ∞' : `at ${shot.focusM} m`}
              </Quiet>
            </label>
          </li>
        );
      })}
    </Shots>
  );
}

/** Which lens on which body, and how it is read out. */
function GearChoices({
  workspace,
  session,
  choice,
  onChoice,
}: Pick<SessionPanelProps, 'workspace' | 'session' | 'choice' | 'onChoice'>) {
  const { body, mode, lens, rig } = session;
  return (
    <>
      <RigChoice
        groups={[
          { title: 'Nothing between', options: [{ id: '', label: 'the lens on the body' }] },
          rigOptions(workspace.rigs),
        ]}
        chosen={rig === null ? '' : choice.rigId}
        onChoose={(id) => onChoice({ rigId: id || null, modeId: null })}
      />
      <LensChoice
        groups={lensNames(workspace)}
        chosen={lens.id}
        onChoose={(lensId) => onChoice({ lensId, bodyId: body.id, rigId: null })}
      />
      <BodyChoice
        groups={bodyOptions(workspace, null)}
        chosen={body.id}
        onChoose={(bodyId) => onChoice({ bodyId, modeId: null, lensId: lens.id, rigId: null })}
      />
      <ModeChoice body={body} chosen={mode.id} onChoose={(modeId) => onChoice({ modeId })} />
    </>
  );
}

/** The simulated camera, and the list on paper. */
function ShotActs(
  props: Pick<SessionPanelProps, 'session' | 'frames' | 'practice' | 'onPractise'>,
) {
  const { session, frames, practice, onPractise } = props;
  return (
    <Acts>
      {isPractice(session) ? (
        <>
          <MainButton
            isDisabled={practice.taking}
            onPress={() => practice.take(session, 'jpeg', (f) => frames.add([f]))}
          >
            {practice.taking ? 'Taking…' : `Take the ${session.shots.length} shots`}
          </MainButton>
          <TextButton
            isDisabled={practice.taking}
            onPress={() => practice.take(session, 'png', (f) => frames.add([f]))}
          >
            as 16-bit PNG
          </TextButton>
        </>
      ) : (
        <ActingButton onPress={onPractise}>Practise on a simulated camera</ActingButton>
      )}
      <TextButton onPress={() => window.print()}>Print the list</TextButton>
    </Acts>
  );
}

/** What is measured, what to shoot, and where the frames come in. */
export function SessionPanel(props: SessionPanelProps) {
  const { workspace, session, choice, onChoice, frames, practice, onPractise } = props;
  const addFiles = (files: File[]) => frames.add(files);
  return (
    <Panel aria-label="Session">
      <GearChoices workspace={workspace} session={session} choice={choice} onChoice={onChoice} />
      {props.guide}
      <OnScreen>
        <ToneChoice tone={choice.tone} onTone={(tone) => onChoice({ tone })} frames={frames} />
        <Fold title="How to shoot" summary="">
          {RULES}
        </Fold>
      </OnScreen>
      <Fold title="Shots">
        <ShotList key={setOf(session)} session={session} frames={frames} />
        <OnScreen>
          <FlagField
            label="also at the closest focus"
            on={choice.withClose}
            onTurn={(withClose) => onChoice({ withClose })}
          />
        </OnScreen>
      </Fold>
      <OnPaper>{RULES}</OnPaper>
      <Drop
        onDrop={(event) =>
          void Promise.all(
            event.items.flatMap((item) => (item.kind === 'file' ? [item.getFile()] : [])),
          ).then(addFiles)
        }
        aria-label="Drop frames here"
      >
        <FilePicker multiple label="Test frames" accept="" onFiles={addFiles}>
          Choose test frames
        </FilePicker>
        JPEG, PNG or TIFF, or raw files with a preview inside; or drop them here.
      </Drop>
      <ShotActs session={session} frames={frames} practice={practice} onPractise={onPractise} />
    </Panel>
  );
}
