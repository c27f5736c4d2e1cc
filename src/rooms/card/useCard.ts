'use client';
import { useState } from 'react';
import type { PaperSize } from '@/core/card/paper';
import { cardQuery, readCardQuery, type CardView } from '@/core/exchange/links';
import type { Workspace } from '@/core/kit/records';
import type { RigInHand } from '@/shell/rig/RigRoom';
import { useBench, type Bench } from '@/shell/rig/useBench';
import type { Shell } from '@/shell/useShell';
import { PHONE } from '@/ui/theme/type';

/** The rig in hand, and what is made of it. */
export interface CardInHand extends RigInHand {
  bench: Bench;
  view: CardView;
  onView: (view: CardView) => void;
}

/** What is in hand at first; on a phone paper as small as it. */
function arrival(): CardView {
  if (typeof window === 'undefined') return { dayId: null, size: 'A4' };
  const usual: PaperSize = window.matchMedia(PHONE).matches ? 'A6' : 'A4';
  return readCardQuery(window.location.search, usual);
}

export function useCard(workspace: Workspace, { tell }: Shell): CardInHand {
  const [view, onView] = useState(arrival);
  const bench = useBench(workspace, tell, cardQuery(view));
  const { record, rig, actions } = bench;
  return { record, rig, chooseRig: actions.choose, bench, view, onView };
}
