import { ListBoxItem, MenuItem, Popover } from 'react-aria-components';
import styled, { css } from 'styled-components';

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

const row = css`
  padding: 7px 12px;
  cursor: pointer;
  outline: none;
  border-left: 2px solid transparent;
  &[data-focused] {
    background: var(--raised);
    border-left-color: var(--amber);
  }
  &[data-disabled] {
    color: var(--muted);
    cursor: default;
  }
`;

/** One entry of a list to choose from. */
export const Row = styled(ListBoxItem)`
  ${row}
  &[data-selected] {
    color: var(--amber);
  }
`;

/** One thing to do. */
export const ActionRow = styled(MenuItem)`
  ${row}
`;

/** The second, quieter line of an entry. */
export const RowNote = styled.span`
  display: block;
  font-size: 12px;
  color: var(--muted);
`;
