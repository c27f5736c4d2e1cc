/** The face of this folder: what others may use of it. */
export {
  guessMapping,
  type ReadRows,
  readRows,
  readSheet,
  type RowProblem,
  type RowsContext,
  type Sheet,
  writeCsv,
} from './csv';
export { type Column, columnsOf, isSpread, leftOver, MORE, putBack, schemaOf } from './csvColumns';
export { logCsv } from './logCsv';
export { sweepCsv } from './sweepCsv';
