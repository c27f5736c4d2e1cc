'use client';
import type { Mount } from '@/core/kit/records';
import { COMMON_LENS_FORMATS, type StartAnswers } from '@/core/kit/starter';
import { FORMATS, formatWords } from '@/core/optics';
import { Chips, type Chip } from '@/ui/controls/Chips';
import { EntryField } from '@/ui/form/EntryField';
import { MountQuestion } from './MountQuestion';
import { UNKNOWN, unknownChip } from './unknown';

const MADE_FOR: readonly Chip[] = [
  unknownChip,
  ...FORMATS.filter((f) => (COMMON_LENS_FORMATS as readonly string[]).includes(f.id)).map((f) => ({
    id: f.id,
    label: formatWords(f),
  })),
];

interface LensQuestionsProps {
  answers: StartAnswers;
  mounts: readonly Mount[];
  onAnswer: (change: Partial<StartAnswers>) => void;
}

/** What people know of a lens: what stands on it, its mount, what it was made for. */
export function LensQuestions({ answers, mounts, onAnswer }: LensQuestionsProps) {
  const { engraved, lensMountId, lensFormatId, ownNames } = answers;
  return (
    <>
      <EntryField
        label="What stands on it"
        shown={engraved}
        placeholder="such as 35–70/3.5–4.5 or 50mm 1:1.8"
        complain={() => null}
        onEnter={(text) => onAnswer({ engraved: text })}
      />
      <Chips
        label="Made for, mm"
        chips={MADE_FOR}
        chosen={lensFormatId ?? UNKNOWN}
        onChoose={(id) => onAnswer({ lensFormatId: id === UNKNOWN ? null : id })}
      />
      <MountQuestion
        label="Mount of the lens, by register"
        mounts={mounts}
        chosen={lensMountId}
        onChoose={(id) => onAnswer({ lensMountId: id })}
        ownName={ownNames[lensMountId ?? '']}
        onOwnName={(name) => onAnswer({ ownNames: { ...ownNames, [lensMountId ?? '']: name } })}
      />
    </>
  );
}
