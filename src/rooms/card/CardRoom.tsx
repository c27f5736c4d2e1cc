'use client';
import { rigRoom } from '@/shell/rig/RigRoom';
import { OpenCard } from './OpenCard';
import { useCard } from './useCard';

/** Card: the answer, taken to the shoot. */
export const CardRoom = rigRoom({
  room: 'card',
  shortcuts: [
    { keys: 'd', does: 'the day, or the rig in hand alone' },
    { keys: 'p', does: 'save it as PDF' },
    { keys: 'Ctrl P', does: 'print it' },
    { keys: 'l', does: 'lift a picture' },
  ],
  heading: 'No rig to make a card of yet',
  words:
    'A card says what to dial and what to mind: put a rig together first, or look at the demo.',
  useInHand: useCard,
  Open: OpenCard,
});
