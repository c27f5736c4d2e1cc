'use client';
import styled from 'styled-components';

const Line = styled.label`
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 26px;
  cursor: pointer;
  input {
    accent-color: var(--amber);
    width: 15px;
    height: 15px;
    margin: 0;
  }
`;

interface FlagFieldProps {
  label: string;
  on: boolean;
  onTurn: (on: boolean) => void;
}

/** Yes or no. */
export const FlagField = ({ label, on, onTurn }: FlagFieldProps) => (
  <Line>
    <input type="checkbox" checked={on} onChange={(event) => onTurn(event.target.checked)} />
    {label}
  </Line>
);
