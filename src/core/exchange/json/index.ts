/** The face of this folder: what others may use of it. */
export { type Brought, readAnyFile } from './anyFile';
export { AT_HOME, lacking } from './givenAway';
export { checkSize, parseJson } from './json';
export { lensFileOf, writeLensFile } from './lensFile';
export {
  broughtByRig,
  checkedRigFile,
  rigFileOf,
  rigInMode,
  rigOfFile,
  rigOfWorkspace,
} from './rigJson';
export { checkedWorkspace, readWorkspace, writeWorkspace } from './workspaceJson';
