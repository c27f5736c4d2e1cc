/** The face of this folder: what others may use of it. */
export { hintsFor } from './completeness';
export { type EngravedFacts, type EngravedReading, readEngraving, readingWords } from './engraving';
export { nonsenseIn } from './nonsense';
export { byRegister, findMount, ladderTo, type MountClues, type Rung } from './ladder';
export { broughtUp, type FileFormat, migrated, type Migrated, MIGRATIONS } from './migrations';
export { newId } from './newId';
export { fNumberOfTStop, type LensFacts, quickLens } from './quickLens';
