'use client';
import { LineButton, MainButton } from '@/ui/controls/Buttons';
import { EmptyPlace, FirstActs } from '@/ui/controls/EmptyPlace';

interface EmptyBenchProps {
  onOpen: () => void;
  onNewRig: () => void;
  onStart: () => void;
}

/** What stands on the Bench while there is gear, but no rig. */
export function EmptyBench({ onOpen, onNewRig, onStart }: EmptyBenchProps) {
  return (
    <EmptyPlace>
      <h1>The Bench is clear</h1>
      <p>
        There is gear in this workspace, but no rig. Put one together from a body, a lens and what
        stands between.
      </p>
      <FirstActs>
        <MainButton onPress={onNewRig}>Put a rig together</MainButton>
        <LineButton onPress={onStart}>Say what I have</LineButton>
        <LineButton onPress={onOpen}>Open a workspace file</LineButton>
      </FirstActs>
    </EmptyPlace>
  );
}
