import { mountRecord, STARTER_MOUNTS } from '../kit/starter';
import type { Mount } from '../kit/records';

/** The crew's names for the mounts they have; the mounts themselves are common ones. */
const NAMES: Readonly<Record<string, readonly string[]>> = {
  's-17.526': ['the small cine thread'],
  'ml-18': [],
  'sr-19.25': [],
  'ml-26.7': [],
  'm39-28.8': [],
  'slr-44': ['the black ones'],
  'm42-45.46': ['old screw'],
  'slr-46.5': [],
  'cine-52': [],
  't-55': [],
  'mf-63.3': [],
};

export const mounts: Mount[] = STARTER_MOUNTS.flatMap((starter) => {
  const aliases = NAMES[starter.id];
  return aliases ? [{ ...mountRecord(starter), aliases: [...aliases] }] : [];
});
