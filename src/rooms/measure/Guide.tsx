'use client';
import { Check } from 'lucide-react';
import styled from 'styled-components';
import { TextButton } from '@/ui/controls/Buttons';
import { FlagField } from '@/ui/form/FlagField';
import { isLogged, settingOf, type Frame } from './frames';
import type { Session } from './session';
import type { Practice } from './usePractice';
import { diameterMm, diameterFigure } from '@/core/words';

const Steps = styled.ol`
  margin: 10px 0 4px;
  padding: 8px 10px;
  background: var(--raised);
  border-radius: var(--radius);
  display: grid;
  gap: 5px;
  font-size: 12px;
  h3 {
    font-size: 13px;
    font-weight: 650;
  }
  li {
    display: grid;
    grid-template-columns: 16px minmax(0, 1fr);
    gap: 6px;
    color: var(--muted);
  }
  li[aria-current='step'] {
    color: var(--ink);
  }
  @media print {
    display: none;
  }
`;

const Mark = styled.span`
  display: grid;
  place-items: center;
  height: 17px;
  font-variant-numeric: tabular-nums;
`;

const DONE = <Check size={13} aria-label="done" />;

/** What was found beside what was hidden, of one frame. */
function comparison(frame: Frame, session: Session, practice: Practice): string | null {
  const fNumber = settingOf(frame, session)?.fNumber;
  const found = frame.answer?.measure.halfLightRadiusMm;
  const hidden = practice.hidden?.find((h) => h.fNumber === fNumber)?.halfLightMm;
  if (!found || !hidden || fNumber === undefined) return null;
  const inside = found.low <= hidden && hidden <= found.high;
  return `f/${fNumber}: hidden ${diameterMm(hidden, 2)}, found ${diameterFigure(found.value, 2)}, ${inside ? 'inside its interval' : 'outside its interval'}.`;
}

interface GuideProps {
  session: Session;
  frames: readonly Frame[];
  practice: Practice;
  /** Whether a figure was asked why. */
  hasAsked: boolean;
  logged: ReadonlySet<string>;
}

/** Practice step by step: each is ticked when it is done, and the next stands out. */
export function Guide({ session, frames, practice, hasAsked, logged }: GuideProps) {
  const measured = frames.filter((f) => f.answer?.measure.status === 'measured');
  const apertures = new Set(measured.map((f) => settingOf(f, session)?.fNumber));
  const told = measured.flatMap((f) => comparison(f, session, practice) ?? []);
  const steps = [
    { done: apertures.size > 1, words: 'Take the shots below: one wide open, one at f/8.' },
    { done: hasAsked, words: 'Press “Half light at”: how it was found, and how sure it is.' },
    {
      done: frames.some((f) => isLogged(f, logged)),
      words: 'Accept both frames for the lens. Its predictions are measured from then on.',
    },
    {
      done: told.length > 0,
      words: 'Uncover what was hidden, and hold it against what you found.',
    },
  ];
  const current = steps.findIndex((s) => !s.done);
  return (
    <>
      <Steps aria-label="Practice, step by step">
        <h3>Practice: a lens with a hidden halo</h3>
        {steps.map(({ done, words }, i) => (
          <li key={words} aria-current={i === current ? 'step' : undefined}>
            <Mark>{done ? DONE : i + 1}</Mark>
            {words}
          </li>
        ))}
        {current === 3 && (
          <div>
            <TextButton onPress={() => practice.uncover(session)}>Uncover the halo</TextButton>
          </div>
        )}
        <div role="status">
          {told.map((words) => (
            <p key={words}>{words}</p>
          ))}
        </div>
      </Steps>
      <FlagField
        label="leave the stabiliser on, and see what that does"
        on={practice.stabiliser}
        onTurn={practice.setStabiliser}
      />
    </>
  );
}
