/** The face of this folder: what others may use of it. */
export { type LensfunCamera, type LensfunLens, readLensfun } from './lensfun';
export { LENSFUN_LICENCE } from './lensfunLicence';
export { bodyRecord, calibratedStops, lensRecord, ownName } from './lensfunRecords';
export { FIT_STOPS, lensfunNames, lensfunProfile } from './lensfunXml';
