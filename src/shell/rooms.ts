/** The rooms, in the order in which people work: each told once, for the bar, the keys, the page and its title. */
import { Backpack, Ruler, Telescope, type LucideIcon } from 'lucide-react';

export interface RoomInfo {
  path: `/${string}`;
  name: string;
  /** Goes there; held with Shift, so that it is no room's own key. */
  key: string;
  icon: LucideIcon;
}

export const ROOMS = {
  kit: { path: '/kit', name: 'Kit', key: 'K', icon: Backpack },
  bench: { path: '/bench', name: 'Bench', key: 'B', icon: Telescope },
  measure: { path: '/measure', name: 'Measure', key: 'M', icon: Ruler },
} as const satisfies Readonly<Record<string, RoomInfo>>;

export type RoomId = keyof typeof ROOMS;
export const ROOM_IDS = Object.keys(ROOMS) as readonly RoomId[];

/** Where a visit without an address begins. */
export const FIRST_ROOM: RoomId = 'bench';
