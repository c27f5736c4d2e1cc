/** Three days on the salt marsh, each with its rigs in shooting order. */
import { dayOf, type Day } from '../kit/records';

export const days: Day[] = [
  dayOf({
    id: 'wheel-house',
    name: 'Wheel-house and gears',
    date: '2026-06-02',
    rigIds: ['wheel-house-wide', 'gears-close', 'lamplight', 'oak-grain'],
    note: 'Power is off until ten.',
  }),
  dayOf({
    id: 'mud-flats',
    name: 'Mud flats at dawn',
    date: '2026-06-03',
    rigIds: ['waders-at-dawn', 'walk-through', 'mill-pond'],
  }),
  dayOf({
    id: 'sluice',
    name: 'Sluice tower',
    date: '2026-06-04',
    rigIds: ['sluice-tower', 'long-wall', 'miller-portrait'],
  }),
];
