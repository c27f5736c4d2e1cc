'use client';
import styled from 'styled-components';
import { KIT_TABLES, type KitTable } from '@/core/kit/fields';
import type { Workspace } from '@/core/kit/records';
import { ActingButton } from '@/ui/controls/Buttons';
import { engraved, PHONE } from '@/ui/theme/type';
import type { KitDialog } from './KitDialogs';

/** What is looked at: one of the tables, or the ladder of registers. */
export type KitView = KitTable | 'ladder';

const Nav = styled.nav`
  padding: 12px 0;
  display: flex;
  flex-direction: column;
  gap: 1px;
  overflow-y: auto;
  @media ${PHONE} {
    flex-direction: row;
    flex-wrap: wrap;
    padding: 6px 4px;
    border-bottom: 1px solid var(--line);
  }
`;

const Entry = styled.button`
  display: flex;
  justify-content: space-between;
  gap: 8px;
  padding: 7px 14px;
  border: 0;
  border-left: 2px solid transparent;
  background: none;
  text-align: left;
  cursor: pointer;
  &:hover {
    background: var(--raised);
  }
  &[aria-current='true'] {
    border-left-color: var(--amber);
    background: var(--raised);
  }
  span {
    ${engraved}
    color: var(--muted);
  }
  @media ${PHONE} {
    padding: 9px 9px;
  }
`;

const Acts = styled.div`
  margin-top: 14px;
  padding: 10px 6px 0;
  border-top: 1px solid var(--line);
  display: grid;
  justify-items: start;
  @media ${PHONE} {
    border: 0;
    margin: 0;
    padding: 0;
    display: flex;
    flex-wrap: wrap;
  }
`;

const NAMES: Record<KitView, string> = {
  lenses: 'Lenses',
  bodies: 'Bodies',
  parts: 'Adapters, converters',
  mounts: 'Mounts',
  markings: 'Barrel markings',
  ladder: 'Register ladder',
};

interface KitNavProps {
  view: KitView;
  workspace: Workspace;
  onView: (view: KitView) => void;
  onDialog: (dialog: KitDialog) => void;
}

/** The drawers of the cabinet, and the ways in. */
export function KitNav({ view, workspace, onView, onDialog }: KitNavProps) {
  return (
    <Nav aria-label="Kit">
      {[...KIT_TABLES, 'ladder' as const].map((entry) => (
        <Entry
          key={entry}
          type="button"
          aria-current={entry === view}
          onClick={() => onView(entry)}
        >
          {NAMES[entry]}
          {entry !== 'ladder' && <span>{workspace[entry].length}</span>}
        </Entry>
      ))}
      <Acts>
        <ActingButton onPress={() => onDialog('quick lenses')}>I have a lens</ActingButton>
        <ActingButton onPress={() => onDialog('bargain')}>Seen for sale</ActingButton>
        <ActingButton onPress={() => onDialog('finder')}>Which mount is this?</ActingButton>
      </Acts>
    </Nav>
  );
}
