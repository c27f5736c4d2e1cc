/** The face of this folder: what others may use of it. */
export { rigOf, recordOfCandidate } from './asRig';
export { type Candidate, candidateKey, carriedKey, passes } from './candidate';
export { choose, countOf, type Share } from './choose';
export { coveragePlan } from './plan';
export { byNearness, byRank, keep, type Kept, nothingKept, together } from './ranking';
export { type TradeOffCost, tradeOffsOf } from './tradeOffs';
export {
  contradictionOf,
  judgedWords,
  lightFigure,
  lightWords,
  openWords,
  planDoubts,
  reasonOf,
  servedWords,
  viewWords,
  wayOutOf,
} from './words';
