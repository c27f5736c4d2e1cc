'use client';
import { memo } from 'react';
import styled from 'styled-components';
import type { Workspace } from '@/core/kit/records/workspace';
import { RigChoice } from '@/gear/GearChoice';
import { rigOptions } from '@/gear/options';

const Place = styled.div`
  flex: 1;
  min-width: 0;
`;

interface RigToolProps {
  rigs: Workspace['rigs'];
  chosen: string;
  onChoose: (id: string) => void;
}

/** Which rig is in hand, in the header of a room that looks at one; it stands still while rings are turned. */
export const RigTool = memo(function RigTool({ rigs, chosen, onChoose }: RigToolProps) {
  return (
    <Place>
      <RigChoice bare groups={[rigOptions(rigs)]} chosen={chosen} onChoose={onChoose} />
    </Place>
  );
});
