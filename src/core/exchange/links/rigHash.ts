/** The part of an address, behind its "#", that holds a whole rig. */

/** What it begins with. */
export const RIG_HASH = 'rig=';

/** Whether an address holds a rig. */
export const holdsRig = (hash: string): boolean => hash.replace(/^#/, '').startsWith(RIG_HASH);
