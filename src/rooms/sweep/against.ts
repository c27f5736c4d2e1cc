/** What a rig can be held against: another rig, lens, body or train in its place. */
import { fullName, type Part, type Workspace } from '@/core/kit/records';
import { fitProblemOf, isMissing, resolveRig, turned, type Rig } from '@/core/rig';
import { findChains, bodyOffers, offerOfChain, lensOffers } from '@/core/rig/search';
import { trainWords } from '@/core/sweep';
import type { OptionGroup } from '@/ui/controls/options';

const NOTHING = 'nothing';
/** Longest chain offered. */
const MOST_PARTS = 2;

const chainId = (parts: readonly Part[]): string =>
  parts.length === 0 ? NOTHING : parts.map((p) => p.id).join('/');

/** What may stand between the rig's lens and body, its own train first. */
export function chainsFor(workspace: Workspace, rig: Rig): (readonly Part[])[] {
  const own = chainId(rig.parts);
  const others = findChains(rig.lens, rig.body, workspace.parts, rig.mounts, MOST_PARTS)
    .chains.map((c) => c.parts)
    .filter((parts) => chainId(parts) !== own && offerOfChain(rig, parts).grade !== 'does not fit');
  return [rig.parts, ...others];
}

/** Everything it may be held against, grouped by what changes. */
export function againstOptions(workspace: Workspace, rig: Rig, recordId: string): OptionGroup[] {
  const fits = <T extends { grade: string }>(offers: readonly T[]) =>
    offers.filter((o) => o.grade !== 'does not fit');
  return [
    { title: '', options: [{ id: NOTHING, label: 'nothing' }] },
    {
      title: 'The same rig with another train',
      options: chainsFor(workspace, rig)
        .slice(1)
        .map((parts) => ({ id: `train:${chainId(parts)}`, label: trainWords(parts) })),
    },
    {
      title: 'The same rig with another lens',
      options: fits(lensOffers(rig, workspace.lenses))
        .filter((o) => o.record.id !== rig.lens.id)
        .map(({ record }) => ({ id: `lens:${record.id}`, label: fullName(record) })),
    },
    {
      title: 'The same rig on another body',
      options: fits(bodyOffers(rig, workspace.bodies))
        .filter((o) => o.record.id !== rig.body.id)
        .map(({ record }) => ({ id: `body:${record.id}`, label: fullName(record) })),
    },
    {
      title: 'Another rig',
      options: workspace.rigs
        .filter((r) => r.id !== recordId)
        .map((r) => ({ id: `rig:${r.id}`, label: r.name })),
    },
  ].map((group) => ({ ...group, title: group.title || 'Hold against' }));
}

/** The id of an option, or null where nothing is chosen. */
export const againstId = (id: string): string | null => (id === NOTHING ? null : id);
export const chosenAgainst = (id: string | null): string => id ?? NOTHING;

/** The rig an option stands for; null where it is not there any more, or does not go together. */
export function heldAgainst(workspace: Workspace, rig: Rig, against: string): Rig | null {
  const other = otherRig(workspace, rig, against);
  if (!other || against.startsWith('rig:')) return other;
  return fitProblemOf(other) === null ? other : null;
}

function otherRig(workspace: Workspace, rig: Rig, against: string): Rig | null {
  const colon = against.indexOf(':');
  const [kind, id] = [against.slice(0, colon), against.slice(colon + 1)];
  switch (kind) {
    case 'lens': {
      const lens = workspace.lenses.find((l) => l.id === id);
      return lens ? turned({ ...rig, lens, name: fullName(lens) }, {}) : null;
    }
    case 'body': {
      const body = workspace.bodies.find((b) => b.id === id);
      const mode = body?.modes.find((m) => m.use === rig.mode.use) ?? body?.modes[0];
      return body && mode ? turned({ ...rig, body, mode, name: fullName(body) }, {}) : null;
    }
    case 'train': {
      const ids = id === NOTHING ? [] : id.split('/');
      const parts = ids.flatMap((part) => workspace.parts.find((p) => p.id === part) ?? []);
      return parts.length === ids.length
        ? turned({ ...rig, parts, name: trainWords(parts) }, {})
        : null;
    }
    case 'rig': {
      const record = workspace.rigs.find((r) => r.id === id);
      const found = record ? resolveRig(workspace, record) : null;
      return found && !isMissing(found) ? found : null;
    }
    default:
      return null;
  }
}
