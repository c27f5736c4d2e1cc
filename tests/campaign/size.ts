/** How much is tried: some of it in `npm test`, very much in `npm run campaign`. */
const IS_CAMPAIGN = process.env.CAMPAIGN === '1';

export const tries = ({ inTest, inCampaign }: { inTest: number; inCampaign: number }): number =>
  IS_CAMPAIGN ? inCampaign : inTest;

/** Anew each time; the one of a failure is printed, and CAMPAIGN_SEED=that repeats it. */
export const CAMPAIGN_SEED = Number(
  process.env.CAMPAIGN_SEED ?? Math.floor(Date.now() / 1000) % 1e8,
);
