/** What a page says to the service worker: let the version that waits take over. */
export const TAKE_OVER = 'wandering-halo take over';
