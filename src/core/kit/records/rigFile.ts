/** A rig as one self-contained file: what the command line and the API take. */
import { bodyExample, type Body } from './body';
import { DEFAULT_JUDGEMENT, type Judgement } from './judgement';
import { lensExample, type Lens } from './lens';
import { mountExample, type Mount } from './mount';
import { partExample, type Part } from './part';
import { rigRecordExample, settingsSchema, type RigSettings } from './rigRecord';
import { label, listOf, record, text } from './schema';
import { DEFINITIONS, refTo } from './workspace';

export const RIG_FORMAT = 'wandering-halo/rig';
export const RIG_VERSION = 1;

export interface RigFile {
  format: typeof RIG_FORMAT;
  version: typeof RIG_VERSION;
  name: string;
  body: Body;
  modeId: string;
  lens: Lens;
  /** Scene to sensor. */
  parts: Part[];
  mounts: Mount[];
  settings: RigSettings;
  judgement: Judgement;
}

export const rigFileSchema = record<RigFile>(
  'rig file',
  {
    format: { type: 'string', const: RIG_FORMAT },
    version: { type: 'integer', const: RIG_VERSION },
    name: text(200, { default: '' }),
    body: refTo('bodies'),
    modeId: label(80),
    lens: refTo('lenses'),
    parts: listOf(refTo('parts'), 8, { default: [] }),
    mounts: listOf(refTo('mounts'), 200, { default: [] }),
    settings: settingsSchema,
    judgement: { ...refTo('judgement'), default: {} },
  },
  ['format', 'version', 'body', 'modeId', 'lens', 'settings'],
  { $schema: 'http://json-schema.org/draft-07/schema#', definitions: DEFINITIONS },
);

export const rigFileExample: RigFile = {
  format: RIG_FORMAT,
  version: RIG_VERSION,
  name: rigRecordExample.name,
  body: bodyExample,
  modeId: rigRecordExample.modeId,
  lens: lensExample,
  parts: [partExample],
  mounts: [mountExample],
  settings: rigRecordExample.settings,
  judgement: DEFAULT_JUDGEMENT,
};
