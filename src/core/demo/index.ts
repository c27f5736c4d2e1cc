/** The face of this folder: what others may use of it. */
export { tideMill } from './tideMill';
