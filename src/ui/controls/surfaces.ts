import { ListBoxItem, Popover } from 'react-aria-components';
import styled from 'styled-components';

/** The sheet lists and explanations open on. */
export const Sheet = styled(Popover)`
  background: var(--lifted);
  border: 1px solid var(--line);
  border-radius: 4px;
  overflow: auto;
  max-width: min(420px, calc(100vw - 16px));
  color: var(--ink);
  outline: none;
`;

export const Row = styled(ListBoxItem)`
  padding: 7px 12px;
  cursor: pointer;
  outline: none;
  &[data-focused] {
    background: var(--line);
  }
  &[data-selected] {
    color: var(--amber);
  }
  &[data-disabled] {
    color: var(--muted);
    cursor: default;
  }
`;
