/** One lens and what was measured of it, as a small file to give away. */
import { lensExample } from './lens';
import { measurementExample } from './measurement';
import { mountExample } from './mount';
import { bodyExample } from './body';
import { exactly, listOf, record, text, type Static } from './schema';
import { RECORDS_VERSION } from './version';
import { FILE_SCHEMA, refTo } from './workspace';

export const LENS_FORMAT = 'wandering-halo/lens';

export const lensFileSchema = record(
  'lens file',
  {
    format: exactly(LENS_FORMAT),
    version: exactly(RECORDS_VERSION),
    /** Who gives it away, in their own words; may be empty. */
    by: text(200, { default: '' }),
    /** With its halo samples; prices, notes and how it is had stay at home. */
    lens: refTo('lenses'),
    /** The lens's own mount. */
    mounts: listOf(refTo('mounts'), 200, { default: [] }),
    /** Bodies the frames were taken on, and the parts between. */
    bodies: listOf(refTo('bodies'), 200, { default: [] }),
    parts: listOf(refTo('parts'), 200, { default: [] }),
    /** The log entries of this lens. */
    measurements: listOf(refTo('measurements'), 5000, { default: [] }),
  },
  FILE_SCHEMA,
);
export type LensFile = Static<typeof lensFileSchema>;

export const lensFileExample: LensFile = {
  format: LENS_FORMAT,
  version: RECORDS_VERSION,
  by: 'A. Sluiter',
  lens: lensExample,
  mounts: [mountExample],
  bodies: [bodyExample],
  parts: [],
  measurements: [measurementExample],
};
