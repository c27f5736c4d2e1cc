/** A rig as a self-contained JSON file: the body of the API and the argument of the command line. */
import { migrated, type FileFormat } from '../../kit';
import { fail, ok, type Result } from '../../words';
import {
  type Mode,
  RIG_FORMAT,
  type RigFile,
  EMPTY_WORKSPACE,
  RECORDS_VERSION,
  type Workspace,
  type WorkspaceFile,
  rigRecordOf,
} from '../../kit/records';
import { checkRigFile } from '../../kit/checks';
import { lacking } from './givenAway';
import { fitSettings, isMissing, mountsById, resolveRig, type Rig } from '../../rig';

const RIG_FILE: FileFormat = {
  format: RIG_FORMAT,
  word: 'rig',
  itself: 'rigs',
  places: {
    body: 'bodies',
    lens: 'lenses',
    parts: 'parts',
    mounts: 'mounts',
    judgement: 'judgement',
  },
};

/** The rig a checked file describes, in one of its body's modes. */
export const rigInMode = (file: RigFile, mode: Mode): Rig => ({
  name: file.name,
  body: file.body,
  mode,
  lens: file.lens,
  parts: file.parts,
  settings: fitSettings(file.settings, { ...file, mode }),
  judgement: file.judgement,
  mounts: mountsById(file.mounts),
});

/** A rig as a file that stands alone: the mounts it names go with it. */
export function rigFileOf(rig: Rig): RigFile {
  const { body, mode, lens, parts, mounts, settings, judgement, name } = rig;
  const named = new Set([
    body.mountId,
    lens.mountId,
    ...parts.flatMap((p) => [p.frontMountId, p.rearMountId]),
  ]);
  return {
    format: RIG_FORMAT,
    version: RECORDS_VERSION,
    name,
    body,
    modeId: mode.id,
    lens,
    parts: [...parts],
    mounts: [...mounts.values()].filter((m) => named.has(m.id)),
    settings,
    judgement,
  };
}

/** A parsed rig file of any version, brought up and checked. */
export function checkedRigFile(data: unknown): Result<RigFile> {
  const today = migrated(data, RIG_FILE);
  return today.ok ? checkRigFile(today.value) : today;
}

/** A parsed rig file as a rig, or why it is none. */
export function rigOfFile(data: unknown): Result<Rig> {
  const checked = checkedRigFile(data);
  if (!checked.ok) return checked;
  const file = checked.value;
  const mode = file.body.modes.find((m) => m.id === file.modeId);
  if (!mode)
    return fail('unknownMode', '/modeId', `modeId: the body has no mode "${file.modeId}".`);
  return ok(rigInMode(file, mode));
}

/** The rig of that id in a workspace file, or why it cannot be had. */
export function rigOfWorkspace(workspace: WorkspaceFile, rigId: string): Result<Rig> {
  const name = rigId.toLowerCase();
  const record =
    workspace.rigs.find((r) => r.id === rigId) ??
    workspace.rigs.find((r) => r.name.toLowerCase() === name);
  if (!record) {
    const known = workspace.rigs
      .map((r) => r.id)
      .slice(0, 20)
      .join(', ');
    return fail(
      'unknownRig',
      '/rigs',
      `the workspace has no rig "${rigId}"; it has ${known || 'none'}.`,
    );
  }
  const rig = resolveRig(workspace, record);
  return isMissing(rig)
    ? fail(
        'missingRecord',
        '/rigs',
        `rig ${record.name}: the ${rig.missing} "${rig.id}" is not in the workspace.`,
      )
    : ok(rig);
}

/**
 * What a rig file brings to a workspace: the rig, and of its gear what is not here yet. Nothing that is here is
 * changed, but that a body comes to know the modes.
 */
export function broughtByRig(file: RigFile, here: Workspace): Workspace {
  const record = rigRecordOf({
    id: rigIdOf(file),
    name: file.name || 'A rig from a link',
    bodyId: file.body.id,
    modeId: file.modeId,
    lensId: file.lens.id,
    partIds: file.parts.map((p) => p.id),
    settings: file.settings,
  });
  const own = here.bodies.find((b) => b.id === file.body.id);
  const fresh = own ? lacking(file.body.modes, own.modes) : [];
  const learnt = own && fresh.length > 0 ? [{ ...own, modes: [...own.modes, ...fresh] }] : [];
  const bodies = own ? learnt : [file.body];
  return {
    ...EMPTY_WORKSPACE,
    mounts: lacking(file.mounts, here.mounts),
    bodies,
    lenses: lacking([file.lens], here.lenses),
    parts: lacking(file.parts, here.parts),
    rigs: [record],
    judgement: file.judgement,
  };
}

/** The same rig by the same name is the same record, however often it is taken in. */
const rigIdOf = ({ name, body, lens, parts, modeId }: RigFile): string => {
  const all = [name, body.id, modeId, lens.id, ...parts.map((p) => p.id)].join('|');
  let hash = 0x811c9dc5;
  for (const byte of new TextEncoder().encode(all)) hash = Math.imul(hash ^ byte, 0x01000193) >>> 0;
  return `link-${hash.toString(16).padStart(8, '0')}`;
};
