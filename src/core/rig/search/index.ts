/** The face of this folder: what others may use of it. */
export { bargainCheck, type BargainRow, beforeBuying } from './bargain';
export { type Chain, type ChainSearch, findChains } from './chains';
export { applied } from './ideas/idea';
export {
  addOffers,
  bodyOffers,
  byGrade,
  type FitGrade,
  lensOffers,
  type Offer,
  offerOfChain,
  type PartOffer,
  swapOffers,
} from './offers';
export { ribbon, type Stretch } from './ribbon';
export { type Way, waysOut } from './waysOut';
