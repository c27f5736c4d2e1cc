'use client';
import { BETWEENS, betweenOfFactor, type Between, quickPart } from '@/core/kit/starter';
import type { Mount } from '@/core/kit/records';
import { readQuantity } from '@/core/kit/fields';
import { mm, short } from '@/core/words';
import { Chips, type Chip } from '@/ui/controls/Chips';
import { EntryField } from '@/ui/form/EntryField';
import { UNKNOWN, unknownChip } from './unknown';

/** Mounts the part would join; null while one is not known. */
export interface Ends {
  front: Mount | null;
  rear: Mount | null;
}

type Glass = Exclude<Between, { kind: 'nothing' }>;

const isGlass = (between: Between | null): between is Glass =>
  between !== null && between.kind !== 'nothing' && between.kind !== 'plain adapter';

/** How thick it would be, or why it cannot be. */
function standing(between: Between, { front, rear }: Ends): Pick<Chip, 'note' | 'isDisabled'> {
  if (!front || !rear) return {};
  if (between.kind === 'nothing') {
    return front.id === rear.id ? {} : { isDisabled: true, note: 'the mounts differ' };
  }
  const made = quickPart({ ...between, front, rear, designFormat: null });
  if (!made.ok) return { isDisabled: true, note: 'no room for it between these mounts' };
  const isTold = between.kind === 'plain adapter' || between.thicknessMm !== undefined;
  const about = isTold ? '' : 'about ';
  return { note: `${about}${mm(made.value.thicknessMm, isTold ? 2 : 0)} thick` };
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

/** Flange to flange, mm; nobody builds such a part thicker. */
const THICKEST_MM = 200;

/** How thick a converter is, where somebody reads it on the part or measures it. */
function ThicknessField({
  between,
  ends: { front, rear },
  onChoose,
}: Pick<BetweenQuestionProps, 'onChoose' | 'ends'> & { between: Glass }) {
  const { thicknessMm, ...rest } = between;
  const usual = front && rear ? quickPart({ ...rest, front, rear, designFormat: null }) : null;
  const read = (text: string) => {
    const told = readQuantity(text, 'mm');
    return told !== null && told > 0 && told <= THICKEST_MM ? told : null;
  };
  return (
    <EntryField
      label="Thickness, flange to flange"
      shown={thicknessMm === undefined ? '' : `${short(thicknessMm, 3)} mm`}
      figure
      placeholder={usual?.ok ? `about ${mm(usual.value.thicknessMm, 0)}` : 'as printed or measured'}
      mark={thicknessMm === undefined ? 'estimated' : undefined}
      complain={(text) =>
        text.trim() === '' || read(text) !== null
          ? null
          : `As printed on it or measured: more than 0 and up to ${THICKEST_MM} mm, such as 21.4.`
      }
      onEnter={(text) => {
        const told = read(text);
        onChoose(told === null ? rest : { ...rest, thicknessMm: told });
      }}
    />
  );
}

/** What stands between lens and camera; its thickness follows from the registers where nobody tells it. */
export function BetweenQuestion(props: BetweenQuestionProps) {
  const { label, between, ends, mayBeNothing = true, onChoose } = props;
  const offered = BETWEENS.filter((b) => mayBeNothing || b.between.kind !== 'nothing');
  const own = idOf(between) === 'own' && between !== null && between.kind !== 'nothing';
  const chips: Chip[] = [
    ...(mayBeNothing ? [unknownChip] : []),
    ...offered.map(({ id, name, between: b }) => ({
      id,
      label: name,
      ...standing(between && id === idOf(between) ? between : b, ends),
    })),
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
      {isGlass(between) && <ThicknessField between={between} ends={ends} onChoose={onChoose} />}
    </>
  );
}
