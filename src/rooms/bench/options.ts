/** What can be chosen for each place of a rig, in order of fit. */
import { fullName, type Body } from '@/core/kit/body';
import type { Lens } from '@/core/kit/lens';
import type { Part } from '@/core/kit/part';
import type { RigRecord } from '@/core/kit/rigRecord';
import type { Workspace } from '@/core/kit/workspace';
import { ASPECTS, namedAspect } from '@/core/frame/aspects';
import type { OptionGroup } from '@/ui/controls/Choice';

type MountName = (id: string) => string;

const mountNames = (workspace: Workspace): MountName => {
  const names = new Map(workspace.mounts.map((m) => [m.id, m.name]));
  return (id) => names.get(id) ?? id;
};

interface Offer {
  id: string;
  label: string;
  note: string;
  fits: boolean;
}

const grouped = (offers: readonly Offer[], fitTitle: string, otherTitle: string): OptionGroup[] => [
  { title: fitTitle, options: offers.filter((o) => o.fits) },
  { title: otherTitle, options: offers.filter((o) => !o.fits) },
];

const lensFacts = (lens: Lens, mountName: MountName): string =>
  `${mountName(lens.mountId)} · made for ${lens.designFormat.widthMm}×${lens.designFormat.heightMm}`;

export function lensOptions(workspace: Workspace, record: RigRecord): OptionGroup[] {
  const mountName = mountNames(workspace);
  const first = workspace.parts.find((p) => p.id === record.partIds[0]);
  const body = workspace.bodies.find((b) => b.id === record.bodyId);
  const wanted = first?.frontMountId ?? body?.mountId;
  const offers = workspace.lenses.map((lens) => ({
    id: lens.id,
    label: fullName(lens),
    note: lensFacts(lens, mountName),
    fits: lens.mountId === wanted,
  }));
  return grouped(offers, 'Mounts as the rig stands', 'Needs something else between');
}

export function bodyOptions(workspace: Workspace, record: RigRecord): OptionGroup[] {
  const mountName = mountNames(workspace);
  const last = workspace.parts.find((p) => p.id === record.partIds.at(-1));
  const lens = workspace.lenses.find((l) => l.id === record.lensId);
  const offered = last?.rearMountId ?? lens?.mountId;
  const offers = workspace.bodies.map((body) => ({
    id: body.id,
    label: fullName(body),
    note: mountName(body.mountId),
    fits: body.mountId === offered,
  }));
  return grouped(offers, 'Takes the rig as it stands', 'Takes another mount');
}

export const modeOptions = (body: Body | undefined): OptionGroup[] => [
  {
    title: 'Read-out area',
    options: (body?.modes ?? []).map((mode) => ({
      id: mode.id,
      label: mode.name,
      note: `${mode.widthMm} × ${mode.heightMm} mm`,
    })),
  },
];

const partFacts = (part: Part, mountName: MountName): string =>
  `${part.kind}${part.factor === 1 ? '' : ` ×${part.factor}`} · ${mountName(part.frontMountId)} to ${mountName(part.rearMountId)}`;

/**
 * Parts for place `index` of the train. First those that join both neighbours, then those that take what
 * stands in front, then the rest.
 */
export function partOptions(workspace: Workspace, record: RigRecord, index: number): OptionGroup[] {
  const mountName = mountNames(workspace);
  const partAt = (i: number) => workspace.parts.find((p) => p.id === record.partIds[i]);
  const lens = workspace.lenses.find((l) => l.id === record.lensId);
  const body = workspace.bodies.find((b) => b.id === record.bodyId);
  const front = partAt(index - 1)?.rearMountId ?? lens?.mountId;
  const rear = partAt(index + 1)?.frontMountId ?? body?.mountId;
  const option = (part: Part) => ({
    id: part.id,
    label: fullName(part),
    note: partFacts(part, mountName),
  });
  const joinsFront = workspace.parts.filter((p) => p.frontMountId === front);
  const joinsBoth = joinsFront.filter((p) => p.rearMountId === rear);
  return [
    { title: 'Joins both sides', options: joinsBoth.map(option) },
    {
      title: 'Takes the lens side only',
      options: joinsFront.filter((p) => !joinsBoth.includes(p)).map(option),
    },
    {
      title: `Does not take ${front ? mountName(front) : 'this lens'}`,
      options: workspace.parts.filter((p) => !joinsFront.includes(p)).map(option),
    },
  ];
}

/** The aspects on offer, with the one in use among them even if it is none of the usual. */
export function aspectOptions(aspect: number | null): { chosen: string; groups: OptionGroup[] } {
  const known = namedAspect(aspect);
  const odd = known || aspect === null ? [] : [{ id: 'odd', label: `${aspect.toFixed(2)}:1` }];
  return {
    chosen: known?.name ?? 'odd',
    groups: [
      {
        title: 'Delivered aspect',
        options: [...ASPECTS.map(({ name }) => ({ id: name, label: name })), ...odd],
      },
    ],
  };
}
