/** Saying what happened, and saying so plainly when something fails. */
import type { Committed } from '@/store/changes/journal';
import { conflictSentence, troubleSentence } from '@/store/troubles/troubles';
import type { NoticeText } from '@/ui/controls/Notice';

export type Tell = (notice: NoticeText | null) => void;

/** Stores something, says so if it fails, and tells what had been changed elsewhere. */
export function stored(tell: Tell, work: () => Promise<Committed>): void {
  guarded(tell, async () => {
    const text = conflictSentence((await work()).conflicts);
    if (text) tell({ kind: 'said', text });
  });
}

/** Runs something that may fail, and says so if it does. */
export function guarded(tell: Tell, work: () => Promise<unknown>): void {
  work().catch((error: unknown) => tell({ kind: 'trouble', text: troubleSentence(error) }));
}
