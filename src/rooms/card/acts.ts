/** A row of things to press. */
import styled from 'styled-components';

export const Acts = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin: 8px 0;
`;
