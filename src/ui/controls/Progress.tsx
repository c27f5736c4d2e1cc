'use client';
import styled from 'styled-components';

/** How far long work is. */
export const Progress = styled.progress`
  width: 90px;
  height: 6px;
  accent-color: var(--amber);
`;
