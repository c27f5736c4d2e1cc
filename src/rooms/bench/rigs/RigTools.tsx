'use client';
import { memo } from 'react';
import styled from 'styled-components';
import type { RigRecord } from '@/core/kit/records';
import { RigChoice } from '@/gear/GearChoice';
import { rigOptions } from '@/gear/options';
import { TextButton } from '@/ui/controls/Buttons';
import { MenuButton, type MenuAction } from '@/ui/controls/MenuButton';

const RigPlace = styled.div`
  flex: 1;
  min-width: 0;
`;

const Compare = styled(TextButton)`
  &[aria-pressed='true'] {
    color: var(--amber);
  }
`;

interface RigToolsProps {
  rigs: readonly RigRecord[];
  record: RigRecord | null;
  onRig: (id: string) => void;
  rigActions: readonly MenuAction[];
  comparing: boolean;
  onCompare: () => void;
}

/** Which rig is on the Bench, and what can be done with it as a whole. */
export const RigTools = memo(function RigTools(props: RigToolsProps) {
  const { rigs, record, onRig, rigActions, comparing, onCompare } = props;
  return (
    <>
      <RigPlace>
        {record && (
          <RigChoice bare groups={[rigOptions(rigs)]} chosen={record.id} onChoose={onRig} />
        )}
      </RigPlace>
      <Compare aria-pressed={comparing} onPress={onCompare}>
        Compare
      </Compare>
      <MenuButton label="Rig" actions={rigActions} />
    </>
  );
});
