/** How a room stands that shows something large, and right of it what that comes to. */
import styled from 'styled-components';
import { PHONE } from '../theme/type';

/** The large and the side; on a phone one under the other. */
export const RoomColumns = styled.main`
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: minmax(0, 1fr) 324px;
  @media ${PHONE} {
    display: block;
  }
`;

/** The large: it scrolls by itself. */
export const RoomLarge = styled.section`
  min-width: 0;
  min-height: 0;
  overflow: auto;
  padding: 10px 16px 20px;
  @media ${PHONE} {
    padding: 10px 10px 16px;
    overflow: visible;
  }
`;

/** The side: one sentence first, the rest under quiet headings. */
export const RoomSide = styled.aside`
  border-left: 1px solid var(--line);
  padding: 14px 16px 24px;
  overflow: auto;
  h2 {
    font-size: 20px;
    line-height: 1.2;
    font-weight: 650;
    text-wrap: balance;
  }
  h3 {
    margin-top: 16px;
    padding-bottom: 3px;
    border-bottom: 1px solid var(--line);
    font-size: 13px;
    font-weight: 650;
    color: var(--muted);
  }
  @media ${PHONE} {
    border: 0;
    border-top: 1px solid var(--line);
    overflow: visible;
  }
`;

/** A quieter line on the side. */
export const SideNote = styled.p`
  margin-top: 4px;
  color: var(--muted);
`;
