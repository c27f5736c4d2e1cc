'use client';
import Link from 'next/link';
import styled from 'styled-components';
import { LineButton, MainButton } from '@/ui/controls/Buttons';
import { EmptyPlace, FirstActs } from '@/ui/controls/EmptyPlace';

const TextLink = styled(Link)`
  align-self: center;
  padding: 6px 8px;
  font-weight: 600;
  text-decoration: none;
`;

const Small = styled.p`
  && {
    font-size: 13px;
    color: var(--muted);
  }
`;

interface EmptyBenchProps {
  /** Gear is there, but no rig. */
  hasKit: boolean;
  onDemo: () => void;
  onOpen: () => void;
  onNewRig: () => void;
}

/** What stands on the Bench when there is nothing on it. */
export function EmptyBench({ hasKit, onDemo, onOpen, onNewRig }: EmptyBenchProps) {
  return (
    <EmptyPlace>
      <h1>{hasKit ? 'The Bench is clear' : 'Nothing in the cabinet yet'}</h1>
      <p>
        {hasKit
          ? 'There is gear in this workspace, but no rig. Put one together from a body, a lens and what stands between.'
          : 'Wandering Halo shows whether a lens’s round patch of light reaches the corners of your sensor, and what the glass between them does to focal length, f-number and light.'}
      </p>
      <FirstActs>
        {hasKit ? (
          <MainButton onPress={onNewRig}>Put a rig together</MainButton>
        ) : (
          <MainButton onPress={onDemo}>Load the demo workspace</MainButton>
        )}
        <LineButton onPress={onOpen}>Open a workspace file</LineButton>
        {!hasKit && <TextLink href="/kit">List what I have</TextLink>}
      </FirstActs>
      <Small>
        The demo is made up: a crew of three at an old tide mill, with borrowed glass of all ages. A
        workspace file is JSON; its schema is published at{' '}
        <a href="/schema/workspace.json">/schema/workspace.json</a>.
      </Small>
    </EmptyPlace>
  );
}
