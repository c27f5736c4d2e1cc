'use client';
import Link from 'next/link';
import { ROOMS } from '@/shell/rooms';
import { ActingButton } from '@/ui/controls/Buttons';

interface OtherWaysProps {
  onDemo: () => void;
  onOpen: () => void;
}

/** Other ways into an empty program. */
export function OtherWays({ onDemo, onOpen }: OtherWaysProps) {
  return (
    <>
      <ActingButton onPress={onDemo}>Load the demo workspace</ActingButton>
      <ActingButton onPress={onOpen}>Open a workspace file</ActingButton>
      <span>
        The demo is made up: a crew of three at an old tide mill. A file is JSON, of the{' '}
        <a href="/schema/workspace.json">schema published here</a>. Lists of gear go into the{' '}
        <Link href={ROOMS.kit.path}>{ROOMS.kit.name}</Link>.
      </span>
    </>
  );
}
