/** What has to be delivered: a job for which rigs of the kit are chosen. */
import { AVAILABILITY, F_NUMBER, FOCAL_MM, ID, MASS_G, NAME, NOTE, PRICE } from './common';
import { SCHOOLS } from './judgement';
import {
  completed,
  flag,
  integer,
  listOf,
  number,
  oneOf,
  record,
  unknownOr,
  type Static,
} from './schema';

export const jobSchema = record('job', {
  id: ID,
  name: NAME,
  use: oneOf(['video', 'stills'], { default: 'video' }),
  /** Delivered aspect; null for the whole read-out. */
  aspect: unknownOr(number(0.2, 6)),
  /** Pixels across at least, after every crop; 0 where it does not matter. */
  pixelsAcross: integer(0, 100_000, { default: 0 }),
  /** Frames a second at least; null where it does not matter. */
  framesPerSecond: unknownOr(number(0.1, 100_000)),
  /** Views wanted, as focal lengths on 36x24 with the same view on the judgement's basis, mm. */
  viewFromMm: FOCAL_MM,
  viewToMm: FOCAL_MM,
  /** Whether one rig has to reach all of them. */
  wholeRange: flag(false),
  /** Slowest T-stop, or f-number where no T-stop is known, that will do; null where light does not matter. */
  slowestTStop: unknownOr(F_NUMBER),
  /** Depth at most as on 36x24 at this f-number, and at least as at that one; null where it does not matter. */
  shallowFNumber: unknownOr(F_NUMBER),
  deepFNumber: unknownOr(F_NUMBER),
  /** Whether the sensor stabiliser has to be on. */
  stabilised: flag(false),
  /** Whether autofocus has to work. */
  autofocus: flag(false),
  /** Scale-up in post allowed, >= 1. */
  postScale: number(1, 4, { default: 1 }),
  /** Whether the body's own crops, electronic stabilisation and digital zoom, may be used. */
  crops: flag(false),
  /** How dark a corner is acceptable; null as the workspace judges. */
  school: unknownOr(oneOf(SCHOOLS)),
  /** Greatest risk that will do that a corner is not Clear, 0..1; null where whatever is no coin's toss will do. */
  mostRisk: unknownOr(number(0.001, 1)),
  /** Body, lens and what stands between together at most, g and in the kit's currency; null for no limit. */
  mostMassG: unknownOr(MASS_G),
  mostPrice: unknownOr(PRICE),
  /** How gear may be had. */
  sources: listOf(oneOf(AVAILABILITY), AVAILABILITY.length, { default: [...AVAILABILITY] }),
  /** What becomes of rigs of which something that is asked is not known. */
  unknowns: oneOf(['keep', 'leave out'], { default: 'keep' }),
  /** Ids of gear that is not to be taken. */
  leaveOut: listOf(ID, 5000, { default: [] }),
  note: NOTE,
});
export type Job = Static<typeof jobSchema>;

/** A job as far as it is told. */
export const jobOf = (
  told: Pick<Job, 'id' | 'name' | 'viewFromMm' | 'viewToMm'> & Partial<Job>,
): Job => completed(jobSchema, told);

export const jobExample: Job = jobOf({
  id: 'wheel-house-interview',
  name: 'Wheel-house, wide to normal',
  aspect: 16 / 9,
  pixelsAcross: 3840,
  framesPerSecond: 24,
  viewFromMm: 24,
  viewToMm: 50,
  slowestTStop: 2.8,
  stabilised: true,
});
