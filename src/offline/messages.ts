/** What a page says to the service worker: take again what of the program is not kept any more. */
export const MAKE_WHOLE = 'wandering-halo make whole';
/** Let the version that waits take over. */
export const TAKE_OVER = 'wandering-halo take over';
