'use client';
import type { Shell } from '@/shell/useShell';
import { LineButton, MainButton } from '@/ui/controls/Buttons';
import { EmptyPlace, FirstActs } from '@/ui/controls/EmptyPlace';
import type { KitDialog } from './KitDialogs';

interface EmptyKitProps {
  files: Shell['files'];
  onQuick: () => void;
  onMount: () => void;
  onDialog: (dialog: KitDialog) => void;
}

/** What stands in the cabinet while nothing is in it. */
export function EmptyKit({ files, onQuick, onMount, onDialog }: EmptyKitProps) {
  return (
    <EmptyPlace>
      <h1>The cabinet is empty</h1>
      <p>
        List what you own or can borrow: bodies, lenses, adapters and converters. Each takes a few
        facts; everything else can wait.
      </p>
      <FirstActs>
        <MainButton onPress={onQuick}>I have a lens</MainButton>
        <LineButton onPress={onMount}>Begin with a mount</LineButton>
        <LineButton onPress={() => onDialog('lensfun')}>Pick from Lensfun files</LineButton>
        <LineButton onPress={files.demo}>Load the demo workspace</LineButton>
        <LineButton onPress={files.open}>Open a workspace file</LineButton>
      </FirstActs>
    </EmptyPlace>
  );
}
