'use client';
import { BETWEENS, betweenOfFactor, type Between, quickPart } from '@/core/kit/starter';
import type { Mount } from '@/core/kit/records';
import { readQuantity } from '@/core/kit/fields';
import { mm } from '@/core/words';
import { Chips, type Chip } from '@/ui/controls/Chips';
import { EntryField } from '@/ui/form/EntryField';
import { UNKNOWN, unknownChip } from './unknown';

/** Mounts the part would join; null while one is not known. */
export interface Ends {
  front: Mount | null;
  rear: Mount | null;
}

/** How thick it would be, or why it cannot be. */
function standing(between: Between, { front, rear }: Ends): Pick<Chip, 'note' | 'isDisabled'> {
  if (!front || !rear) return {};
  if (between.kind === 'nothing') {
    return front.id === rear.id ? {} : { isDisabled: true, note: 'the mounts differ' };
  }
  const made = quickPart({ ...between, front, rear, designFormat: null });
  if (!made.ok) return { isDisabled: true, note: 'no room for it between these mounts' };
  const about = between.kind === 'plain adapter' ? '' : 'about ';
  return { note: `${about}${mm(made.value.thicknessMm, between.factor === 1 ? 2 : 0)} thick` };
}

const idOf = (between: Between | null): string =>
  between === null
    ? UNKNOWN
    : (BETWEENS.find(
        ({ between: b }) =>
          b.kind === between.kind &&
          (b.kind === 'nothing' || (between.kind !== 'nothing' && b.factor === between.factor)),
      )?.id ?? 'own');

interface BetweenQuestionProps {
  label: string;
  between: Between | null;
  ends: Ends;
  /** Whether nothing, and "I do not know", are answers. */
  mayBeNothing?: boolean;
  onChoose: (between: Between | null) => void;
}

/** What stands between lens and camera; its thickness follows from the registers. */
export function BetweenQuestion(props: BetweenQuestionProps) {
  const { label, between, ends, mayBeNothing = true, onChoose } = props;
  const offered = BETWEENS.filter((b) => mayBeNothing || b.between.kind !== 'nothing');
  const own = idOf(between) === 'own' && between !== null && between.kind !== 'nothing';
  const chips: Chip[] = [
    ...(mayBeNothing ? [unknownChip] : []),
    ...offered.map(({ id, name, between: b }) => ({ id, label: name, ...standing(b, ends) })),
    ...(own ? [{ id: 'own', label: `×${between.factor}`, ...standing(between, ends) }] : []),
  ];
  const read = (text: string) =>
    betweenOfFactor(readQuantity(text.replace(/^[×x]\s*/, ''), '') ?? 0);
  return (
    <>
      <Chips
        label={label}
        chips={chips}
        chosen={between === null && !mayBeNothing ? '' : idOf(between)}
        onChoose={(id) => {
          if (id !== 'own') onChoose(offered.find((b) => b.id === id)?.between ?? null);
        }}
      />
      <EntryField
        label="Another factor"
        shown={own ? String(between.factor) : ''}
        figure
        placeholder="such as 0.8"
        complain={(text) =>
          text.trim() === '' || read(text)
            ? null
            : 'A factor from 0.4 to 3, such as 0.8 of a reducer or 1.7 of a teleconverter.'
        }
        onEnter={(text) => {
          const other = read(text);
          if (other) onChoose(other);
        }}
      />
    </>
  );
}
