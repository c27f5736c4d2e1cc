/** What of the Card room stands in its address beside the rig: the day in hand, and the paper. */
import { PAPER_SIZES, type PaperSize } from '../../card/paper';

export interface CardView {
  /** Id of the day in hand; null for the rig alone. */
  dayId: string | null;
  size: PaperSize;
}

const LONGEST_ID = 80;

/** What follows a rig's query. */
export const cardQuery = ({ dayId, size }: CardView): string =>
  `&${new URLSearchParams({ ...(dayId !== null && { day: dayId }), paper: size }).toString()}`;

/** What an address asks for; what it does not tell is as `usual`. */
export function readCardQuery(query: string, usual: PaperSize): CardView {
  const q = new URLSearchParams(query);
  const day = q.get('day');
  return {
    dayId: day && day.length <= LONGEST_ID ? day : null,
    size: PAPER_SIZES.find((size) => size === q.get('paper')) ?? usual,
  };
}
