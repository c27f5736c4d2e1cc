'use client';
import { MainLink } from '@/ui/controls/Buttons';
import { EmptyPlace, FirstActs } from '@/ui/controls/EmptyPlace';
import { ROOMS } from './rooms';
import { useShellKeys, type Shell } from './useShell';

const NO_KEYS = {};

/** In place of a rig that names a record which is not there. */
export function LackingRig({ shell, missing }: { shell: Shell; missing: string }) {
  useShellKeys(shell, NO_KEYS);
  return (
    <EmptyPlace>
      <h1>This rig lacks its {missing}</h1>
      <p>It was deleted from the kit, or never came with the file. Choose another on the Bench.</p>
      <FirstActs>
        <MainLink href={ROOMS.bench.path}>To the Bench</MainLink>
      </FirstActs>
    </EmptyPlace>
  );
}
