'use client';
import Link from 'next/link';
import { Button, type ButtonProps } from 'react-aria-components';
import styled, { css } from 'styled-components';
import { PHONE } from '../theme/type';

const bare = css`
  border: 0;
  background: none;
  padding: 6px 8px;
  border-radius: var(--radius);
  color: var(--ink);
  cursor: pointer;
  &[data-hovered] {
    background: var(--lifted);
  }
  &[data-pressed] {
    background: var(--line);
  }
  &[data-disabled] {
    color: var(--muted);
    opacity: 0.55;
    cursor: default;
  }
`;

/** A quiet button in text. */
export const TextButton = styled(Button)`
  ${bare}
`;

/** A word that acts. */
export const ActingButton = styled(Button)`
  ${bare}
  color: var(--amber);
  font-weight: 600;
`;

/** The one thing to do next. */
export const MainButton = styled(Button)`
  ${bare}
  background: var(--amber);
  color: var(--on-amber);
  font-weight: 600;
  padding: 9px 14px;
  &[data-hovered],
  &[data-pressed] {
    background: var(--amber);
    filter: brightness(1.08);
  }
  &[data-disabled] {
    background: var(--raised);
    color: var(--muted);
    filter: none;
    opacity: 1;
  }
`;

/** The one place to go next. */
export const MainLink = styled(Link)`
  ${bare}
  background: var(--amber);
  color: var(--on-amber);
  font-weight: 600;
  padding: 9px 14px;
  text-decoration: none;
  &:hover {
    filter: brightness(1.08);
  }
`;

export const LineButton = styled(Button)`
  ${bare}
  border: 1px solid var(--line);
  padding: 8px 13px;
`;

const SquareButton = styled(Button)`
  ${bare}
  display: grid;
  place-items: center;
  min-width: 28px;
  height: 32px;
  padding: 0 5px;
  @media ${PHONE} {
    min-width: 40px;
    height: 40px;
  }
`;

interface IconButtonProps extends Omit<ButtonProps, 'children' | 'className' | 'style'> {
  /** What it does; spoken, and shown on hover. */
  label: string;
  children: React.ReactNode;
}

export function IconButton({ label, children, ...rest }: IconButtonProps) {
  return (
    <span title={label}>
      <SquareButton {...rest} aria-label={label}>
        {children}
      </SquareButton>
    </span>
  );
}
