/** A rig: body, mode, lens and what stands between them, with how they are set. */
import {
  type Body,
  type Mode,
  type Judgement,
  isZoom,
  openFNumberAt,
  type Lens,
  type Mount,
  type Part,
  mergedSettings,
  type RigRecord,
  type RigSettings,
  type Workspace,
} from '../kit/records';
import { clamp } from '../maths';
import { apertureControl } from './train';
import { isAsOpenAs } from '../optics';
import { digitalZoomsFor } from './contacts';

export interface Rig {
  name: string;
  body: Body;
  mode: Mode;
  lens: Lens;
  /** Scene to sensor. */
  parts: readonly Part[];
  settings: RigSettings;
  judgement: Judgement;
  /** Mounts by id, for registers; those a rig names and the workspace lacks are simply absent. */
  mounts: ReadonlyMap<string, Mount>;
}

/** Mounts as a rig holds them. */
export const mountsById = (mounts: readonly Mount[]): Rig['mounts'] =>
  new Map(mounts.map((m) => [m.id, m]));

export interface MissingRecord {
  missing: 'body' | 'mode' | 'lens' | 'part';
  id: string;
}

export const isMissing = (found: Rig | MissingRecord): found is MissingRecord => 'missing' in found;

/** Joins a rig record with the records it names, or says which one is missing. */
export function resolveRig(workspace: Workspace, record: RigRecord): Rig | MissingRecord {
  const body = workspace.bodies.find((b) => b.id === record.bodyId);
  if (!body) return { missing: 'body', id: record.bodyId };
  const mode = body.modes.find((m) => m.id === record.modeId);
  if (!mode) return { missing: 'mode', id: record.modeId };
  const lens = workspace.lenses.find((l) => l.id === record.lensId);
  if (!lens) return { missing: 'lens', id: record.lensId };
  const parts: Part[] = [];
  for (const id of record.partIds) {
    const part = workspace.parts.find((p) => p.id === id);
    if (!part) return { missing: 'part', id };
    parts.push(part);
  }
  return {
    name: record.name,
    body,
    mode,
    lens,
    parts,
    settings: fitSettings(record.settings, { body, lens, mode, parts }),
    judgement: workspace.judgement,
    mounts: mountsById(workspace.mounts),
  };
}

/**
 * Settings held within what lens, mode and parts can do: no ring turns farther than it goes, and an aperture
 * that nothing works stands open, as most do (common practice, no source).
 */
export function fitSettings(
  settings: RigSettings,
  { body, lens, mode, parts }: Pick<Rig, 'body' | 'lens' | 'mode' | 'parts'>,
): RigSettings {
  const focalMm = isZoom(lens)
    ? clamp(settings.focalMm, lens.focalMinMm, lens.focalMaxMm)
    : lens.focalMinMm;
  const open = openFNumberAt(lens, focalMm);
  const isLost = apertureControl(lens, parts) === 'nothing';
  // What is engraved as the widest is the widest, whichever of its two figures was given: 2.8 or 2.83.
  const isOpen = isLost || isAsOpenAs(settings.fNumber, open);
  const fNumber = isOpen ? open : Math.min(settings.fNumber, Math.max(open, lens.closedFNumber));
  const focusM = settings.focusM === null ? null : Math.max(settings.focusM, lens.closestFocusM);
  const cropId = mode.crops.some((c) => c.id === settings.cropId) ? settings.cropId : null;
  const asked = settings.digitalZoom;
  const isGiven = asked !== 1 && digitalZoomsFor(body, mode, { lens, parts }).includes(asked);
  const digitalZoom = isGiven ? asked : 1;
  const unchanged =
    focalMm === settings.focalMm &&
    fNumber === settings.fNumber &&
    focusM === settings.focusM &&
    cropId === settings.cropId &&
    digitalZoom === settings.digitalZoom;
  return unchanged
    ? settings
    : mergedSettings(settings, { focalMm, fNumber, focusM, cropId, digitalZoom });
}

/** The same rig with some settings turned, held within what lens and mode can do. */
export const turned = (rig: Rig, change: Partial<RigSettings>): Rig => ({
  name: rig.name,
  body: rig.body,
  mode: rig.mode,
  lens: rig.lens,
  parts: rig.parts,
  settings: fitSettings(mergedSettings(rig.settings, change), rig),
  judgement: rig.judgement,
  mounts: rig.mounts,
});
