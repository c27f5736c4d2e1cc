/** The face of this folder: what others may use of it. */
export { type FoundFraming, readFraming, takeFraming, uuidOf, writeFraming } from './framingFile';
