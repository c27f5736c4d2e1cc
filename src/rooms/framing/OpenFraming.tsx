'use client';
import { useMemo } from 'react';
import styled from 'styled-components';
import { FRAMING_VIEWS } from '@/core/exchange/links';
import type { Workspace } from '@/core/kit/records';
import { useShellKeys, type Shell } from '@/shell/useShell';
import { useLatest } from '@/ui/useLatest';
import { useTheme } from '@/ui/theme/useTheme';
import { RoomColumns, RoomLarge } from '@/ui/controls/roomLayout';
import { picturesSvg } from '@/ui/scene/sceneSvg';
import { download } from '@/shell/files/files';
import { guarded } from '@/shell/tell';
import { FramingPanel } from './FramingPanel';
import { Pictures } from './Pictures';
import { Plan } from './Plan';
import { pngOfPictures } from './pngOfPictures';
import type { Framing } from './useFraming';

const Left = styled(RoomLarge)`
  display: flex;
  flex-direction: column;
  gap: 10px;
`;

interface OpenFramingProps {
  workspace: Workspace;
  shell: Shell;
  framing: Framing;
}

/** The scene through each rig, the plan that moves it, and what that does. */
export function OpenFraming({ workspace, shell, framing }: OpenFramingProps) {
  const [theme] = useTheme();
  const { framed, scene, view, keepsSize, actions } = framing;
  const nextView = () => {
    const at = FRAMING_VIEWS.indexOf(view);
    actions.show(FRAMING_VIEWS[(at + 1) % FRAMING_VIEWS.length] ?? 'side by side');
  };
  useShellKeys(shell, { e: () => actions.keepSize(!keepsSize), v: nextView });
  const { tell } = shell;
  const now = useLatest({ framed, scene, theme });
  const saves = useMemo(
    () => ({
      svg: () => {
        const { framed: shown, scene: at, theme: inks } = now.current;
        const titled = shown.map(({ shot, words, rig }) => ({
          shot,
          title: `${rig.name}: ${words}`,
        }));
        download('framing.svg', picturesSvg(titled, at, inks), 'image/svg+xml');
      },
      png: () =>
        guarded(tell, async () => {
          const { framed: shown, scene: at, theme: inks } = now.current;
          download('framing.png', await pngOfPictures(shown, at, inks));
        }),
    }),
    [now, tell],
  );
  return (
    <RoomColumns>
      <Left aria-label="The scene through each rig">
        <Pictures framing={framing} workspace={workspace} />
        {framed.length > 0 && <Plan framing={framing} />}
      </Left>
      <FramingPanel framing={framing} workspace={workspace} tell={tell} saves={saves} />
    </RoomColumns>
  );
}
