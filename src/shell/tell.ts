/** Saying what happened, and saying so plainly when something fails. */
import { troubleSentence } from '@/store/troubles';
import type { NoticeText } from '@/ui/controls/Notice';

export type Tell = (notice: NoticeText | null) => void;

/** Runs something that may fail, and says so if it does. */
export function guarded(tell: Tell, work: () => Promise<unknown>): void {
  work().catch((error: unknown) => tell({ kind: 'trouble', text: troubleSentence(error) }));
}
