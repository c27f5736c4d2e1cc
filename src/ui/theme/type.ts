import { css } from 'styled-components';

/** Figures as engraved on a barrel: condensed, semi-bold, all of one width. */
export const engraved = css`
  font-stretch: 86%;
  font-weight: 600;
  font-variant-numeric: tabular-nums lining-nums;
`;

/** For one line that may be too long for its place. */
export const oneLine = css`
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
`;

/** Columns of a line of a form: what is asked, and the answer. */
export const FORM_COLUMNS = 'minmax(96px, 42%) minmax(0, 1fr)';

export const PHONE = '(max-width: 820px)';
