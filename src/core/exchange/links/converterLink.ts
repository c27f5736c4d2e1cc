/** Which converter is in hand, as a part of the query of an address beside the rig's own. */

const NAME = 'with';
const LONGEST_ID = 400;

/** What follows a rig's query; empty where none was chosen. */
export const withQuery = (columnId: string | null): string =>
  columnId === null ? '' : `&${new URLSearchParams({ [NAME]: columnId }).toString()}`;

/** The id of the column an address names; null where it names none. */
export function readWith(query: string): string | null {
  const id = new URLSearchParams(query).get(NAME);
  return id && id.length <= LONGEST_ID ? id : null;
}
