'use client';
import { LineButton, MainLink } from '@/ui/controls/Buttons';
import { EmptyPlace, FirstActs } from '@/ui/controls/EmptyPlace';
import { ROOMS } from './rooms';
import { useShellKeys, type Shell } from './useShell';

const NO_KEYS = {};

interface EmptyRoomProps {
  shell: Shell;
  heading: string;
  words: string;
}

/** What stands in a room that needs gear while there is none. */
export function EmptyRoom({ shell, heading, words }: EmptyRoomProps) {
  const { files } = shell;
  useShellKeys(shell, NO_KEYS);
  return (
    <EmptyPlace>
      <h1>{heading}</h1>
      <p>{words}</p>
      <FirstActs>
        <MainLink href={ROOMS.bench.path}>Say what I have</MainLink>
        <LineButton onPress={files.demo}>Load the demo workspace</LineButton>
        <LineButton onPress={files.open}>Open a workspace file</LineButton>
      </FirstActs>
    </EmptyPlace>
  );
}
