'use client';
import styled from 'styled-components';
import { LineButton, MainButton } from '@/ui/controls/Buttons';

const Place = styled.main`
  max-width: 620px;
  margin: 0 auto;
  padding: 10vh 22px 40px;
  display: grid;
  gap: 16px;
  h1 {
    font-size: 28px;
    line-height: 1.15;
    font-weight: 700;
  }
  p {
    font-size: 15px;
  }
`;

const Actions = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  margin: 6px 0;
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
    <Place>
      <h1>{hasKit ? 'The Bench is clear' : 'Nothing in the cabinet yet'}</h1>
      <p>
        {hasKit
          ? 'There is gear in this workspace, but no rig. Put one together from a body, a lens and what stands between.'
          : 'Wandering Halo shows whether a lens’s round patch of light reaches the corners of your sensor, and what the glass between them does to focal length, f-number and light.'}
      </p>
      <Actions>
        {hasKit ? (
          <MainButton onPress={onNewRig}>Put a rig together</MainButton>
        ) : (
          <MainButton onPress={onDemo}>Load the demo workspace</MainButton>
        )}
        <LineButton onPress={onOpen}>Open a workspace file</LineButton>
      </Actions>
      <Small>
        The demo is made up: a crew of three at an old tide mill, with borrowed glass of all ages. A
        workspace file is JSON; its schema is published at{' '}
        <a href="/schema/workspace-v1.json">/schema/workspace-v1.json</a>.
      </Small>
    </Place>
  );
}
