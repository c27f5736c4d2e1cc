/** The face of this folder: what others may use of it. */
export {
  checkFramingFile,
  checkJudgement,
  checkLensFile,
  checkRecord,
  checkRigFile,
  checkWorkspace,
} from './validate';
