import type { Chip } from '@/ui/controls/Chips';

/** The answer of somebody who does not know; the usual is then taken, and marked estimated. */
export const UNKNOWN = 'unknown';
export const unknownChip: Chip = { id: UNKNOWN, label: 'I do not know' };

/** Yes and no, and neither. */
export const YES_OR_NO: readonly Chip[] = [
  unknownChip,
  { id: 'yes', label: 'Yes' },
  { id: 'no', label: 'No' },
];
export const ofYesOrNo = (id: string): boolean | null => (id === UNKNOWN ? null : id === 'yes');
export const yesOrNoOf = (answer: boolean | null): string =>
  answer === null ? UNKNOWN : answer ? 'yes' : 'no';
