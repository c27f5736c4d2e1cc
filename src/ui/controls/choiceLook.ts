import { Button, Header } from 'react-aria-components';
import styled, { css } from 'styled-components';
import { FORM_COLUMNS } from '../theme/type';

export interface ChoiceLook {
  /** Label above a full-width value instead of beside it. */
  stacked?: boolean;
  /** Hide the label from sight; it is still spoken. */
  bare?: boolean;
  /** As a line of a form: label and value in the columns of the lines around it. */
  inForm?: boolean;
}

export interface Look {
  $stacked: boolean;
  $bare: boolean;
  $inForm: boolean;
}

function columnsFor({ $stacked, $bare, $inForm }: Look): string {
  if ($stacked || $bare) return '1fr';
  return $inForm ? FORM_COLUMNS : 'minmax(64px, auto) minmax(0, 1fr)';
}

export const fieldLook = css<Look>`
  display: grid;
  grid-template-columns: ${columnsFor};
  align-items: baseline;
  column-gap: 10px;
  min-width: 0;
`;

export const labelLook = css<{ $bare: boolean }>`
  color: var(--muted);
  font-size: 12px;
  ${(p) => p.$bare && 'position: absolute; width: 1px; height: 1px; overflow: hidden; clip-path: inset(50%);'}
`;

/** Shows what is chosen and opens the list. */
export const Trigger = styled(Button)<{ $stacked: boolean; $inForm: boolean }>`
  display: flex;
  align-items: center;
  justify-content: ${(p) => (p.$stacked || p.$inForm ? 'space-between' : 'flex-end')};
  gap: 4px;
  min-width: 0;
  max-width: 100%;
  border: 0;
  border-radius: var(--radius);
  background: ${(p) => (p.$stacked ? 'var(--raised)' : 'none')};
  padding: ${(p) => (p.$stacked ? '5px 8px' : '4px 0 4px 6px')};
  ${(p) => p.$inForm && 'border-bottom: 1px solid var(--line); border-radius: 0; width: 100%;'}
  cursor: pointer;
  text-align: ${(p) => (p.$stacked ? 'left' : 'right')};
  &[data-hovered] {
    color: var(--amber);
  }
  svg {
    flex: none;
    color: var(--muted);
  }
`;

export const GroupTitle = styled(Header)`
  padding: 9px 12px 3px;
  font-size: 12px;
  color: var(--muted);
`;
