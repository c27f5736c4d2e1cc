/** Whether two figures differ by more than anybody sees. */

export type Difference = 'seen' | 'not seen';

/** The least difference that is seen: of light, stops, and of anything else, a share. Common practice, no source. */
export const SEEN_SHARE = 0.02;
export const SEEN_STOPS = 0.1;

const said = (isSeen: boolean): Difference => (isSeen ? 'seen' : 'not seen');

/** One that is known against one that is not is a difference. */
const known = (
  a: number | null,
  b: number | null,
  compare: (a: number, b: number) => boolean,
): Difference => (a === null || b === null ? said(a !== b) : said(compare(a, b)));

export const differs = {
  unknown: 'seen',
  by: (value: number, least: number): Difference => said(Math.abs(value) > least),
  stops: (stops: number): Difference => said(Math.abs(stops) > SEEN_STOPS),
  byStops: (a: number | null, b: number | null): Difference =>
    known(a, b, (x, y) => Math.abs(x - y) > SEEN_STOPS),
  byShare: (a: number | null, b: number | null, share: number): Difference =>
    known(a, b, (x, y) => Math.abs(x - y) > share * Math.abs(y)),
  inWords: (a: string, b: string): Difference => said(a !== b),
} as const;
