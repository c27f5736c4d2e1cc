/** A rig as one self-contained file: what the command line and the API take. */
import { bodyExample } from './body';
import { DEFAULT_JUDGEMENT } from './judgement';
import { lensExample } from './lens';
import { mountExample } from './mount';
import { partExample } from './part';
import { rigRecordExample, settingsSchema } from './rigRecord';
import { exactly, label, listOf, record, text, type Static } from './schema';
import { RECORDS_VERSION } from './version';
import { FILE_SCHEMA, refTo } from './workspace';

export const RIG_FORMAT = 'wandering-halo/rig';

export const rigFileSchema = record(
  'rig file',
  {
    format: exactly(RIG_FORMAT),
    version: exactly(RECORDS_VERSION),
    name: text(200, { default: '' }),
    body: refTo('bodies'),
    modeId: label(80),
    lens: refTo('lenses'),
    /** Scene to sensor. */
    parts: listOf(refTo('parts'), 8, { default: [] }),
    mounts: listOf(refTo('mounts'), 200, { default: [] }),
    settings: settingsSchema,
    judgement: refTo('judgement', { default: {} }),
  },
  FILE_SCHEMA,
);
export type RigFile = Static<typeof rigFileSchema>;

export const rigFileExample: RigFile = {
  format: RIG_FORMAT,
  version: RECORDS_VERSION,
  name: rigRecordExample.name,
  body: bodyExample,
  modeId: rigRecordExample.modeId,
  lens: lensExample,
  parts: [partExample],
  mounts: [mountExample],
  settings: rigRecordExample.settings,
  judgement: DEFAULT_JUDGEMENT,
};
