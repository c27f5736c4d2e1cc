'use client';
import { Image as ImageIcon } from 'lucide-react';
import { useRef } from 'react';
import styled from 'styled-components';
import { MenuButton } from '@/ui/controls/MenuButton';
import { WordField } from '@/ui/form/WordField';
import { PHONE } from '@/ui/theme/type';
import type { StageShown } from './useShown';

const Place = styled.div`
  position: absolute;
  left: 30px;
  top: 44px;
  display: flex;
  align-items: baseline;
  gap: 4px;
  border-radius: var(--radius);
  background: var(--raised);
  > button {
    display: flex;
    align-items: center;
    gap: 6px;
  }
  /* On a phone it stands in the row of tools under the stage, between them. */
  @media ${PHONE} {
    left: 164px;
    top: auto;
    bottom: 2px;
    > button {
      height: 40px;
    }
    > button > span {
      display: none;
    }
  }
`;

const View = styled.div`
  @media ${PHONE} {
    position: fixed;
    left: 6px;
    top: calc(var(--header) + 4px);
    z-index: 5;
    padding: 2px 6px;
    background: var(--raised);
    border-radius: var(--radius);
  }
`;

const NAMES = { light: 'Plain light', scene: 'The scene', picture: 'My picture' } as const;

/** What the light on the stage shows: itself, the scene, or a picture of one's own. */
export function ShownTools({ shown }: { shown: StageShown }) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <Place>
      <input
        ref={input}
        type="file"
        hidden
        accept=".jpg,.jpeg,.png,image/jpeg,image/png"
        aria-label="A picture to look at through the rig"
        onChange={(event) => {
          const files = [...(event.target.files ?? [])];
          event.target.value = '';
          shown.open(files);
        }}
      />
      <MenuButton
        label={`The stage shows ${NAMES[shown.kind].toLowerCase()}`}
        actions={[
          { id: 'light', label: 'Plain light', act: () => shown.show('light') },
          {
            id: 'scene',
            label: 'The scene through the rig',
            note: 'the miller stands where it is focused',
            act: () => shown.show('scene'),
          },
          {
            id: 'picture',
            label: 'A picture of my own…',
            note: 'JPEG or PNG; it stays in this browser',
            act: () => input.current?.click(),
          },
        ]}
      >
        <ImageIcon size={14} aria-hidden="true" />
        <span>{NAMES[shown.kind]}</span>
      </MenuButton>
      {shown.kind === 'picture' && (
        <View>
          <WordField
            label="The picture's view, mm on 36×24"
            before="taken as"
            after="mm view"
            value={shown.viewMm}
            min={1}
            max={5000}
            onEnter={(mm) => shown.takeAs(mm ?? shown.viewMm)}
          />
        </View>
      )}
    </Place>
  );
}
