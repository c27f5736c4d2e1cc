/** A thin door to the search for ways out, so that turning a ring never waits for it. */
import { expose } from 'comlink';
import { waysOut } from '@/core/rig/waysOut';

const door = { waysOut };

export type WaysDoor = typeof door;

expose(door);
