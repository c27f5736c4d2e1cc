'use client';
import { memo, useCallback, useState } from 'react';
import styled from 'styled-components';
import { FRAMING_VIEWS, type FramingView } from '@/core/exchange/links';
import {
  FRAMING_ROWS,
  isAsLarge,
  movedWords,
  type FramingRow,
  MOST_TAKES,
  PRESET_IDS,
  PRESETS,
  PRESET_NEEDS,
} from '@/core/framing';
import type { Workspace } from '@/core/kit/records';
import { copyLink } from '@/shell/rig/copyLink';
import type { Tell } from '@/shell/tell';
import { TextButton } from '@/ui/controls/Buttons';
import { MenuButton } from '@/ui/controls/MenuButton';
import { WhyPopover } from '@/ui/controls/WhyRow';
import { FlagField } from '@/ui/form/FlagField';
import { RoomSide, SideNote } from '@/ui/controls/roomLayout';
import { engraved } from '@/ui/theme/type';
import type { Framing, FramingActions } from './useFraming';
import { today } from '@/ui/today';

const Sentence = styled.p`
  margin-top: 6px;
  font-size: 15px;
  line-height: 1.35;
`;

const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: baseline;
  gap: 0 10px;
  padding: 3px 0;
  border-bottom: 1px solid var(--line);
  > span {
    color: var(--muted);
  }
  > div {
    flex: 1;
    display: flex;
    flex-wrap: wrap;
    justify-content: flex-end;
    white-space: nowrap;
  }
`;

const Figure = styled.button`
  ${engraved}
  padding: 1px 2px;
  border: 0;
  background: none;
  cursor: help;
  &:hover {
    text-decoration: underline dotted;
    text-underline-offset: 3px;
  }
  &:not(:first-child)::before {
    content: '· ';
    color: var(--muted);
  }
`;

const Line = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 0 2px;
  margin-left: -8px;
  button[aria-pressed='true'] {
    color: var(--amber);
    font-weight: 600;
  }
`;

interface FramingPanelProps {
  framing: Framing;
  workspace: Workspace;
  tell: Tell;
  /** Saves the pictures as they are shown; the same from frame to frame. */
  saves: { png: () => void; svg: () => void };
}

interface ActsProps extends Omit<FramingPanelProps, 'framing'> {
  count: number;
  view: FramingView;
  keepsSize: boolean;
  actions: FramingActions;
}

/** What changes from the first picture to each other one. */
function Moved({ framing }: { framing: Framing }) {
  const { framed, scene, keepsSize } = framing;
  const [first, ...others] = framed;
  const follows = keepsSize && first ? others.filter((o) => !isAsLarge(first.shot, o.shot)) : [];
  return (
    <>
      {first && others.length > 0 ? (
        others.map((o, i) => {
          const { headline, sentence } = movedWords(first.shot, o.shot, scene);
          return (
            <div key={o.at} style={i > 0 ? { marginTop: 14 } : undefined}>
              <h2 data-testid={i === 0 ? 'moved' : undefined}>
                {others.length > 1 && `${i + 2}: `}
                {headline}
              </h2>
              <Sentence>{sentence}</Sentence>
            </div>
          );
        })
      ) : (
        <h2>One picture alone</h2>
      )}
      {follows.length > 0 && (
        <SideNote role="status">
          {follows.map((f) => f.words).join(', ')} cannot show him as large from anywhere it
          focuses.
        </SideNote>
      )}
      {framing.lost > 0 && (
        <SideNote role="status">
          {framing.lost} of the rigs asked for are not in this workspace.
        </SideNote>
      )}
    </>
  );
}

/** How it is shown, what to start from, and what to take away. */
const Acts = memo(function Acts(props: ActsProps) {
  const { count, view, keepsSize, actions, workspace, tell, saves } = props;
  return (
    <>
      <h3>Show</h3>
      <Line>
        {FRAMING_VIEWS.map((v) => (
          <TextButton key={v} aria-pressed={v === view} onPress={() => actions.show(v)}>
            {v}
          </TextButton>
        ))}
      </Line>
      <FlagField
        label="the miller as large in all of them"
        on={keepsSize}
        onTurn={actions.keepSize}
      />
      <h3>Start from</h3>
      <Line>
        {PRESET_IDS.map((preset) => (
          <TextButton
            key={preset}
            onPress={() => {
              if (!actions.start(preset))
                tell({
                  kind: 'trouble',
                  text: `“${PRESETS[preset]}” needs ${PRESET_NEEDS[preset]}; there is none in this workspace.`,
                });
            }}
          >
            {PRESETS[preset]}
          </TextButton>
        ))}
      </Line>
      <h3>And</h3>
      <Line>
        {count < MOST_TAKES && (
          <MenuButton
            label="Add a rig"
            actions={workspace.rigs.map((r) => ({
              id: r.id,
              label: r.name,
              act: () => actions.add(r.id),
            }))}
          />
        )}
        <MenuButton
          label="Save or share"
          actions={[
            { id: 'png', label: 'Pictures as PNG', act: saves.png },
            { id: 'svg', label: 'Pictures as SVG, to scale', act: saves.svg },
            { id: 'link', label: 'Copy a link', act: () => copyLink(tell, 'these pictures') },
          ]}
        />
      </Line>
    </>
  );
});

interface Asked {
  row: FramingRow;
  index: number;
  pressed: HTMLElement;
}

/** What moved and what that did, in figures. */
export function FramingPanel({ framing, workspace, tell, saves }: FramingPanelProps) {
  const { framed, scene } = framing;
  const [asked, setAsked] = useState<Asked | null>(null);
  const close = useCallback(() => setAsked(null), []);
  const answered = asked ? framed[asked.index] : undefined;
  return (
    <RoomSide aria-label="What the picture becomes">
      <Moved framing={framing} />
      <h3>Between {framed.length === 2 ? 'the two' : 'them'}</h3>
      {FRAMING_ROWS.map((row) => (
        <Row key={row.id}>
          <span>{row.name}</span>
          <div>
            {framed.map((f, index) => {
              const figure = row.figure(f.shot, scene);
              return (
                <Figure
                  key={f.at}
                  type="button"
                  aria-haspopup="dialog"
                  aria-label={`${row.name}, picture ${index + 1}: ${figure}`}
                  onClick={(event) => setAsked({ row, index, pressed: event.currentTarget })}
                >
                  {figure}
                </Figure>
              );
            })}
          </div>
        </Row>
      ))}
      <Acts
        count={framed.length}
        view={framing.view}
        keepsSize={framing.keepsSize}
        actions={framing.actions}
        workspace={workspace}
        tell={tell}
        saves={saves}
      />
      {asked && answered && (
        <WhyPopover
          pressed={asked.pressed}
          why={() => asked.row.why(answered.shot, scene, today())}
          onClose={close}
        />
      )}
    </RoomSide>
  );
}
