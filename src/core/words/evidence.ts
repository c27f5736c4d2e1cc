/** How a figure is known, where that is said in more than one place. */

/** Of what is worked out without any assumption. */
export const EXACT = 'Exact arithmetic on the figures above.';
