/** The content of every generated file, by its path from the project's root. */
import { createHash } from 'node:crypto';
import Ajv from 'ajv';
import standaloneCode from 'ajv/dist/standalone';
import { tideMill } from '../src/core/demo';
import { writeWorkspace } from '../src/core/exchange/json';
import {
  type TObject,
  framingFileSchema,
  lensFileSchema,
  rigFileSchema,
  DEFINITIONS,
  TABLE_NAMES,
  workspaceSchema,
} from '../src/core/kit/records';

const WORKSPACE_ID = 'workspace';

/** The same schema leaning on the workspace's definitions, so that their code is written once. */
function sharingDefinitions(schema: TObject): TObject {
  const { definitions: _, ...rest } = schema;
  return JSON.parse(
    JSON.stringify(rest).replaceAll('#/definitions/', `${WORKSPACE_ID}#/definitions/`),
  ) as TObject;
}

function validatorCode(): string {
  const ajv = new Ajv({
    allErrors: true,
    useDefaults: true,
    allowUnionTypes: true,
    unicodeRegExp: false,
    strictTypes: false,
    inlineRefs: false,
    messages: false,
    // Count characters by UTF-16 units: needs no helper at run time.
    unicode: false,
    code: { source: true, esm: true, lines: false },
  });
  ajv.addSchema({ ...workspaceSchema, $id: WORKSPACE_ID });
  ajv.addSchema({ ...sharingDefinitions(rigFileSchema), $id: 'rigFile' });
  ajv.addSchema({ ...sharingDefinitions(lensFileSchema), $id: 'lensFile' });
  ajv.addSchema({ ...framingFileSchema, $id: 'framingFile' });
  const recordIds = [...TABLE_NAMES, 'judgement'].map((table) => {
    ajv.addSchema({ $id: table, $ref: `${WORKSPACE_ID}#/definitions/${table}` });
    return [table, table] as const;
  });
  const code = standaloneCode(
    ajv,
    Object.fromEntries(
      [WORKSPACE_ID, 'rigFile', 'lensFile', 'framingFile']
        .map((id) => [id, id] as const)
        .concat(recordIds),
    ),
  );
  if (code.includes('require(')) throw new Error('generated validators need code at run time');
  return `// Generated from the record schemas by npm run generate. Do not edit.\n${code}\n`;
}

/** Tells whether the schemas have changed since some records were stored. */
const shapeCode = (): string => {
  const digest = createHash('sha256').update(JSON.stringify(DEFINITIONS)).digest('hex');
  return `// Generated from the record schemas by npm run generate. Do not edit.\nexport const SHAPE = '${digest.slice(0, 16)}';\n`;
};

const json = (value: unknown): string => `${JSON.stringify(value, null, 2)}\n`;

export function generatedFiles(): Record<string, string> {
  return {
    'src/core/kit/checks/generated/validators.js': validatorCode(),
    'src/core/kit/checks/generated/shape.ts': shapeCode(),
    'docs/workspace.schema.json': json(workspaceSchema),
    'docs/examples/tide-mill.workspace.json': writeWorkspace(tideMill),
    'docs/rig.schema.json': json(rigFileSchema),
    'docs/lens.schema.json': json(lensFileSchema),
  };
}
