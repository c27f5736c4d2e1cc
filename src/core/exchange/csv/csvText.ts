/** Rows as the text of a CSV file (RFC 4180): every line ends in CR LF, the last one too. */
import Papa from 'papaparse';

export const csvText = (rows: readonly (readonly string[])[]): string =>
  `${Papa.unparse(rows.map((row) => [...row]))}\r\n`;
