/** Which rigs stand before the scene: those of the workspace, as they are or with something changed. */
import {
  type Body,
  type Mode,
  isJudged,
  magnifies,
  type Part,
  type RigRecord,
  type Workspace,
} from '../kit/records';
import { cropFactor, diagonalMm, desqueezed } from '../optics';
import { deliveredOf, situationOf, isMissing, resolveRig, type Rig } from '../rig';
import { findChains, bodyOffers, offerOfChain } from '../rig/search';
import { trainFactor } from '../rig/train';
import { clamp } from '../maths';
import { fixed } from '../words';

/** A rig of the workspace, with what of it is otherwise. */
export interface Take {
  rigId: string;
  bodyId?: string;
  modeId?: string;
  partIds?: readonly string[];
  /** Scale-up in post, which crops. */
  postScale?: number;
}

export const MOST_TAKES = 4;
const MOST_SCALE = 8;

/** The rig a take stands for; null where something it names is not there. */
export function rigOfTake(workspace: Workspace, take: Take): Rig | null {
  const record = workspace.rigs.find((r) => r.id === take.rigId);
  if (!record) return null;
  const changed: RigRecord = {
    ...record,
    bodyId: take.bodyId ?? record.bodyId,
    modeId: take.modeId ?? record.modeId,
    partIds: [...(take.partIds ?? record.partIds)],
    settings: {
      ...record.settings,
      postScale: clamp(take.postScale ?? record.settings.postScale, 1, MOST_SCALE),
    },
  };
  const rig = resolveRig(workspace, changed);
  return isMissing(rig) ? null : rig;
}

/** What tells takes apart at a glance: the format, the glass between, the crop. */
export function takeWords(rig: Rig): string {
  const { mode, parts, settings } = rig;
  const glass = parts
    .filter((p) => p.factor !== 1)
    .map((p) => ` ×${fixed(p.factor, 2)}`)
    .join('');
  const crop = settings.postScale > 1.001 ? `, cropped ×${fixed(settings.postScale, 2)}` : '';
  return `${fixed(settings.focalMm, 0)} mm${glass} on ${fixed(mode.widthMm, 1)}×${fixed(mode.heightMm, 1)}${crop}`;
}

export const PRESETS = {
  'crop or step closer': 'crop or step closer',
  'both formats': 'one lens on a large and a small format',
  'small against large': 'a small format against a large one',
  'character on both': 'a lens of character on both formats',
  'reducer or plain': 'reducer or plain adapter',
  'converter or crop': 'converter or crop',
} as const;
export type Preset = keyof typeof PRESETS;

/** What a workspace must have for a question to be put. */
export const PRESET_NEEDS: Readonly<Record<Preset, string>> = {
  'crop or step closer': 'a rig',
  'both formats':
    'a second format: a camera or a mode that reads another area, and what joins the lens to it',
  'small against large': 'a second rig, on another format',
  'character on both':
    'a lens of which somebody said on the Bench what character it has, and a second format for it',
  'reducer or plain':
    'a reducer, and a plain adapter, that both join the lens of a rig to its camera',
  'converter or crop':
    'a converter that joins the lens of a rig to its camera, and what joins them without it',
};
export const PRESET_IDS = Object.keys(PRESETS) as readonly Preset[];

export interface Setting {
  takes: readonly Take[];
  /** Whether each but the first moves until the miller is as large as in the first. */
  keepsSize: boolean;
}

/** Chains of the kit that join a rig's lens and body and strike nothing, with a factor of the kind asked for. */
function chainsOf(rig: Rig, kit: readonly Part[], wanted: (factor: number) => boolean): Part[][] {
  return findChains(rig.lens, rig.body, kit, rig.mounts)
    .chains.filter(
      (c) =>
        wanted(trainFactor(c.parts)) &&
        c.parts.every((p) => p.kind === 'plain adapter' || magnifies(p)) &&
        offerOfChain(rig, c.parts).grade !== 'does not fit',
    )
    .map((c) => [...c.parts]);
}

const idsOf = (parts: readonly Part[]): string[] => parts.map((p) => p.id);

const largest = (body: Body, use: Mode['use']): Mode | undefined =>
  (body.modes.some((m) => m.use === use) ? body.modes.filter((m) => m.use === use) : body.modes)
    .toSorted((a, b) => diagonalMm(b) - diagonalMm(a))
    .at(0);

/** Two formats that differ by less are one, as a ratio of diagonals. */
const ONE_FORMAT = 1.15;
const CROP = 1.5;

/** Factors nearer than this are one. */
const SAME_FACTOR = 0.01;

/** What joins a rig's lens to a body with the same factor: its own parts where they fit, else others of the kit; null for nothing. */
function partsOnto(rig: Rig, body: Body, kit: readonly Part[]): readonly Part[] | null {
  const [offer] = bodyOffers(rig, [body]);
  if (offer && offer.grade !== 'does not fit') return rig.parts;
  const [mode] = body.modes;
  if (!mode) return null;
  const factor = trainFactor(rig.parts);
  const isAlike = (f: number) => Math.abs(f / factor - 1) < SAME_FACTOR;
  return chainsOf({ ...rig, body, mode }, kit, isAlike)[0] ?? null;
}

/**
 * The same lens on the largest and on the smallest format of the kit it goes on, whatever mounts the cameras have; where
 * all of them have one, in the largest and the smallest mode of its own camera.
 */
function onBothFormats(
  rigId: string,
  rig: Rig,
  { bodies, parts: kit }: Workspace,
): readonly Take[] | null {
  const spread = (takes: readonly { take: Take; mode: Mode }[]): readonly Take[] | null => {
    const sorted = takes.toSorted((a, b) => diagonalMm(b.mode) - diagonalMm(a.mode));
    const [first, last] = [sorted[0], sorted.at(-1)];
    if (!first || !last) return null;
    return diagonalMm(first.mode) / diagonalMm(last.mode) < ONE_FORMAT
      ? null
      : [first.take, last.take];
  };
  const onBodies = bodies.flatMap((body) => {
    const mode = largest(body, rig.mode.use);
    const parts = mode ? partsOnto(rig, body, kit) : null;
    if (!mode || !parts) return [];
    return [{ take: { rigId, bodyId: body.id, modeId: mode.id, partIds: idsOf(parts) }, mode }];
  });
  const inModes = rig.body.modes
    .filter((mode) => mode.use === rig.mode.use)
    .map((mode) => ({ take: { rigId, modeId: mode.id }, mode }));
  return spread(onBodies) ?? spread(inModes);
}

/** View of a rig as a focal length on 36x24, mm. */
const equivalentOf = (rig: Rig): number =>
  situationOf(rig).light.focalMm * cropFactor(desqueezed(deliveredOf(rig), rig.lens.squeeze));

/** The rig of the workspace on another format whose view is nearest. */
function nearestOnOtherFormat(record: RigRecord, rig: Rig, workspace: Workspace): RigRecord | null {
  const own = { diagonal: diagonalMm(deliveredOf(rig)), view: equivalentOf(rig) };
  const others = workspace.rigs.flatMap((candidate) => {
    const other = candidate.id === record.id ? null : resolveRig(workspace, candidate);
    if (!other || isMissing(other)) return [];
    const formats = Math.abs(Math.log(diagonalMm(deliveredOf(other)) / own.diagonal));
    const views = Math.abs(Math.log(equivalentOf(other) / own.view));
    return formats < Math.log(ONE_FORMAT) ? [] : [{ candidate, views }];
  });
  return others.toSorted((a, b) => a.views - b.views)[0]?.candidate ?? null;
}

function withGlass(rigId: string, rig: Rig, kit: readonly Part[], isReducer: boolean) {
  const glass = chainsOf(rig, kit, (f) => (isReducer ? f < 0.99 : f > 1.01))[0];
  const plain = chainsOf(rig, kit, (f) => f === 1)[0];
  if (!glass || !plain) return null;
  return {
    glass: { rigId, partIds: idsOf(glass) },
    plain: { rigId, partIds: idsOf(plain) },
    factor: trainFactor(glass),
  };
}

function presetOn(preset: Preset, record: RigRecord, workspace: Workspace): Setting | null {
  const rig = resolveRig(workspace, record);
  if (isMissing(rig)) return null;
  const { parts } = workspace;
  switch (preset) {
    case 'crop or step closer':
      return {
        takes: [{ rigId: record.id, postScale: CROP }, { rigId: record.id }],
        keepsSize: true,
      };
    case 'both formats': {
      const takes = onBothFormats(record.id, rig, workspace);
      return takes ? { takes, keepsSize: true } : null;
    }
    case 'character on both': {
      if (!rig.lens.knowledge.some((k) => isJudged(k.character))) return null;
      const takes = onBothFormats(record.id, rig, workspace);
      return takes ? { takes, keepsSize: true } : null;
    }
    case 'small against large': {
      const other = nearestOnOtherFormat(record, rig, workspace);
      return other ? { takes: [{ rigId: record.id }, { rigId: other.id }], keepsSize: true } : null;
    }
    case 'reducer or plain': {
      const found = withGlass(record.id, rig, parts, true);
      return found ? { takes: [found.plain, found.glass], keepsSize: false } : null;
    }
    case 'converter or crop': {
      const found = withGlass(record.id, rig, parts, false);
      return found
        ? {
            takes: [found.glass, { ...found.plain, postScale: found.factor }],
            keepsSize: false,
          }
        : null;
    }
  }
}

/** A usual question put with the rig in hand, or with the first of the workspace it can be put with; null where with none. */
export function presetFor(
  preset: Preset,
  workspace: Workspace,
  rigId: string | null,
): Setting | null {
  const { rigs } = workspace;
  const inOrder = [...rigs.filter((r) => r.id === rigId), ...rigs.filter((r) => r.id !== rigId)];
  for (const record of inOrder) {
    const found = presetOn(preset, record, workspace);
    if (found) return found;
  }
  return null;
}
