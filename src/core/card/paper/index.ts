/** The face of this folder: what others may use of it. */
export { codeOf } from './code';
export { cardPaper, type CardWithCode, dayPaper } from './layDay';
export {
  type Item,
  type Page,
  type Paper,
  PAPER_SIZES,
  PAPERS,
  type PaperSize,
  type PathItem,
  type Weight,
} from './paper';
export { paperPdf } from './pdf';
export { type FontFiles, typesetter, type Typesetter } from './typeset';
