/** The face of this folder: what others may use of it. */
export { basisWords } from './bases';
export { type ConverterColumn, cropOf, glassOf, trainsFor, weigh } from './columns';
export { type Optics, opticsOf, pathAt, type RayPath } from './paraxial';
export type { ConverterRow } from './rowTypes';
export { cellOf, ROW_GROUPS } from './rows';
export { techniquesFor } from './technique';
export { verdictOfWeighing, type WeighingVerdict } from './verdict';
