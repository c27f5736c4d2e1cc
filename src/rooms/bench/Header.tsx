'use client';
import { Moon, Redo2, Sun, Undo2 } from 'lucide-react';
import { memo } from 'react';
import styled from 'styled-components';
import type { RigRecord } from '@/core/kit/rigRecord';
import { useSteps } from '@/store/useWorkspace';
import { IconButton } from '@/ui/controls/Buttons';
import { Choice } from '@/ui/controls/Choice';
import { MenuButton, type MenuAction } from '@/ui/controls/MenuButton';
import { useTheme } from '@/ui/theme/useTheme';
import { PHONE } from '@/ui/theme/type';

const Bar = styled.header`
  height: var(--header);
  display: flex;
  align-items: center;
  gap: 4px;
  padding: 0 12px 0 14px;
  border-bottom: 1px solid var(--line);
  @media ${PHONE} {
    flex-wrap: wrap;
    height: auto;
    padding: 6px 10px;
  }
`;

const Brand = styled.div`
  display: flex;
  align-items: center;
  gap: 10px;
  font-size: 15px;
  font-weight: 650;
  white-space: nowrap;
`;

const Room = styled.span`
  margin-left: 22px;
  padding: 12px 8px 11px;
  border-bottom: 2px solid var(--amber);
  @media ${PHONE} {
    display: none;
  }
`;

const RigPlace = styled.div`
  margin-left: auto;
  min-width: 0;
  max-width: 380px;
  @media ${PHONE} {
    order: 3;
    margin: 0;
    flex: 1 1 100%;
    max-width: none;
  }
`;

const Tools = styled.div`
  display: flex;
  align-items: center;
  @media ${PHONE} {
    margin-left: auto;
  }
`;

const Mark = () => (
  <svg width="24" height="20" viewBox="0 0 24 20" fill="none" aria-hidden="true">
    <circle cx="14" cy="10" r="8" stroke="var(--amber)" strokeWidth="1.75" />
    <rect x="1.5" y="5.5" width="15" height="10" stroke="var(--ink)" strokeWidth="1.75" />
  </svg>
);

interface HeaderProps {
  rigs: readonly RigRecord[];
  record: RigRecord | null;
  onRig: (id: string) => void;
  rigActions: readonly MenuAction[];
  fileActions: readonly MenuAction[];
  onUndo: () => void;
  onRedo: () => void;
  onHelp: () => void;
}

/** The bar above the Bench. It stands still while rings are turned. */
export const Header = memo(function Header(props: HeaderProps) {
  const { rigs, record, onRig, rigActions, fileActions, onUndo, onRedo, onHelp } = props;
  const steps = useSteps();
  const [theme, turnTheme] = useTheme();
  return (
    <Bar>
      <Brand>
        <Mark />
        Wandering Halo
      </Brand>
      <Room aria-current="page">Bench</Room>
      <RigPlace>
        {record && (
          <Choice
            label="Rig"
            bare
            groups={[
              {
                title: 'Rigs in this workspace',
                options: rigs.map((r) => ({ id: r.id, label: r.name })),
              },
            ]}
            chosen={record.id}
            onChoose={onRig}
          />
        )}
      </RigPlace>
      <Tools>
        <MenuButton label="Rig" actions={rigActions} />
        <MenuButton label="File" actions={fileActions} />
        <IconButton
          label={steps.undo ? `Undo: ${steps.undo}` : 'Nothing to undo'}
          isDisabled={!steps.undo}
          onPress={onUndo}
        >
          <Undo2 size={16} aria-hidden="true" />
        </IconButton>
        <IconButton
          label={steps.redo ? `Redo: ${steps.redo}` : 'Nothing to redo'}
          isDisabled={!steps.redo}
          onPress={onRedo}
        >
          <Redo2 size={16} aria-hidden="true" />
        </IconButton>
        <IconButton label={theme === 'dark' ? 'Daylight theme' : 'Dark theme'} onPress={turnTheme}>
          {theme === 'dark' ? (
            <Sun size={16} aria-hidden="true" />
          ) : (
            <Moon size={16} aria-hidden="true" />
          )}
        </IconButton>
        <IconButton label="Keyboard" onPress={onHelp}>
          ?
        </IconButton>
      </Tools>
    </Bar>
  );
});
