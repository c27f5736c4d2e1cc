/**
 * The demo workspace: a three-person crew documents the restoration of a tide mill on a salt marsh with
 * borrowed glass of all ages. Everything in it is made up.
 */
import { DEFAULT_JUDGEMENT, type Workspace } from '../kit/records';
import { bodies } from './bodies';
import { cineAndOldLenses } from './cineAndOldLenses';
import { days } from './days';
import { jobs } from './jobs';
import { markings } from './markings';
import { mounts } from './mounts';
import { parts } from './parts';
import { rigs } from './rigs';
import { stillsLenses } from './stillsLenses';

export const tideMill: Workspace = {
  mounts,
  bodies,
  lenses: [...stillsLenses, ...cineAndOldLenses],
  parts,
  rigs,
  markings,
  measurements: [],
  jobs,
  days,
  judgement: DEFAULT_JUDGEMENT,
};
