'use client';
import { X } from 'lucide-react';
import styled from 'styled-components';
import { IconButton, TextButton } from '@/ui/controls/Buttons';
import { engraved, oneLine } from '@/ui/theme/type';
import { isLogged, shotOf, type Frame } from './frames';
import type { Session } from './session';
import type { Frames } from './useFrames';
import { diameterMm } from '@/core/words';

const Head = styled.div`
  display: flex;
  align-items: center;
  justify-content: space-between;
  min-height: 36px;
  padding: 0 10px 0 14px;
  border-bottom: 1px solid var(--line);
  color: var(--muted);
  font-size: 12px;
`;

const List = styled.ul`
  max-height: 168px;
  overflow: hidden auto;
  border-bottom: 1px solid var(--line);
`;

const Row = styled.li<{ $chosen: boolean }>`
  display: grid;
  grid-template-columns: minmax(0, 1fr) 32px;
  align-items: center;
  border-left: 2px solid ${(p) => (p.$chosen ? 'var(--amber)' : 'transparent')};
  background: ${(p) => (p.$chosen ? 'var(--raised)' : 'none')};
`;

const Pick = styled.button`
  display: grid;
  grid-template-columns: minmax(0, 2fr) minmax(70px, 1fr) minmax(0, 2fr);
  gap: 10px;
  padding: 5px 12px;
  border: 0;
  background: none;
  text-align: left;
  cursor: pointer;
  span {
    ${oneLine}
  }
`;

const Figure = styled.span<{ $bad: boolean }>`
  ${engraved}
  color: ${(p) => (p.$bad ? 'var(--clipped)' : 'var(--ink)')};
`;

const Quiet = styled.span`
  color: var(--muted);
`;

/** What became of a frame, in a few words. */
function outcome(frame: Frame, logged: ReadonlySet<string>): string {
  const { state, sentence, answer } = frame;
  if (state === 'waiting') return 'waits';
  if (state === 'measuring') return 'is being measured…';
  if (state === 'unread' || !answer) return sentence;
  const { status, halfLightRadiusMm, lowerBoundMm } = answer.measure;
  const kept = isLogged(frame, logged) ? ', in the log' : '';
  if (status === 'refused') return 'refused';
  return halfLightRadiusMm
    ? `${diameterMm(halfLightRadiusMm.value, 2)}${kept}`
    : `at least ${diameterMm(lowerBoundMm ?? 0)}${kept}`;
}

function shotWords(frame: Frame, session: Session): string {
  const shot = shotOf(frame, session);
  return shot ? `${shot.focalMm} mm f/${shot.fNumber}` : 'no shot';
}

interface FrameListProps {
  frames: Frames;
  session: Session;
  chosen: string | null;
  logged: ReadonlySet<string>;
  onChoose: (id: string) => void;
}

/** Every frame that came in, and what became of it. */
export function FrameList({ frames, session, chosen, logged, onChoose }: FrameListProps) {
  const all = frames.frames;
  const done = all.filter((f) => f.state === 'done' || f.state === 'unread').length;
  const working = done < all.length;
  return (
    <section aria-label="Frames">
      <Head>
        <span role="status">
          {working
            ? `${done} of ${all.length} frames measured`
            : all.length === 1
              ? '1 frame'
              : `${all.length} frames`}
        </span>
        {working ? (
          <TextButton onPress={frames.stop}>Stop</TextButton>
        ) : (
          <TextButton onPress={frames.clear}>Clear the list</TextButton>
        )}
      </Head>
      <List>
        {all.map((frame) => (
          <Row key={frame.id} $chosen={frame.id === chosen}>
            <Pick
              type="button"
              aria-pressed={frame.id === chosen}
              title={outcome(frame, logged)}
              onClick={() => onChoose(frame.id)}
            >
              <span>{frame.file.name}</span>
              <Quiet>{shotWords(frame, session)}</Quiet>
              <Figure $bad={frame.state === 'unread' || frame.answer?.measure.status === 'refused'}>
                {outcome(frame, logged)}
              </Figure>
            </Pick>
            <IconButton label={`Remove ${frame.file.name}`} onPress={() => frames.remove(frame.id)}>
              <X size={13} aria-hidden="true" />
            </IconButton>
          </Row>
        ))}
      </List>
    </section>
  );
}
