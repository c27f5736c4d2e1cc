'use client';
import { ROOMS } from '@/shell/rooms';
import type { Shell } from '@/shell/useShell';
import { LineButton, MainLink } from '@/ui/controls/Buttons';
import { EmptyPlace, FirstActs } from '@/ui/controls/EmptyPlace';
import type { KitDialog } from './KitDialogs';

interface EmptyKitProps {
  files: Shell['files'];
  onDialog: (dialog: KitDialog) => void;
}

/** What stands in the cabinet while nothing is in it. */
export function EmptyKit({ files, onDialog }: EmptyKitProps) {
  return (
    <EmptyPlace>
      <h1>The cabinet is empty</h1>
      <p>
        List what you own or can borrow: bodies, lenses, adapters and converters. Each takes a few
        facts; everything else can wait.
      </p>
      <FirstActs>
        <MainLink href={ROOMS.bench.path}>Say what I have</MainLink>
        <LineButton onPress={() => onDialog('quick lenses')}>I have a lens</LineButton>
        <LineButton onPress={() => onDialog('quick bodies')}>I have a camera</LineButton>
        <LineButton onPress={() => onDialog('quick mounts')}>Begin with a mount</LineButton>
        <LineButton onPress={() => onDialog('lensfun')}>Pick from Lensfun files</LineButton>
        <LineButton onPress={files.demo}>Load the demo workspace</LineButton>
        <LineButton onPress={files.open}>Open a workspace file</LineButton>
      </FirstActs>
    </EmptyPlace>
  );
}
