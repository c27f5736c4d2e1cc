/** What can be chosen for each place of a rig, in order of fit. */
import {
  fullName,
  type Body,
  type Lens,
  isFront,
  type Part,
  type RigRecord,
  type Workspace,
} from '@/core/kit/records';
import { ASPECTS, namedAspect } from '@/core/frame';
import {
  addOffers,
  bodyOffers,
  lensOffers,
  swapOffers,
  type FitGrade,
  type Offer,
  type PartOffer,
} from '@/core/rig/search';
import type { Rig } from '@/core/rig';
import { lately } from '@/store/remembered/lately';
import { MANY, type ManyOptions, type Option, type OptionGroup } from '@/ui/controls/options';
import { fixed } from '@/core/words';

type MountName = (id: string) => string;

const mountNames = (workspace: Workspace): MountName => {
  const names = new Map(workspace.mounts.map((m) => [m.id, m.name]));
  return (id) => names.get(id) ?? id;
};

const GRADES: readonly FitGrade[] = ['fits', 'with a catch', 'does not fit'];
const GRADE_TITLES: Record<FitGrade, string> = {
  fits: 'Fits',
  'with a catch': 'Fits, with a catch',
  'does not fit': 'Does not fit as the rig stands',
};

interface Named {
  id: string;
  name: string;
  maker: string;
}

type Facts<T> = (record: T) => string;

/** Parts go by their own name: there are few makers, and the name has to fit a narrow place. */
const labelOf = (record: Named): string => ('kind' in record ? record.name : fullName(record));

/** Options that are put together only when the list opens, where there are many records. */
const whenOpened = (records: readonly Named[], groups: () => OptionGroup[]): Offered => {
  if (records.length <= MANY) return groups();
  let together: OptionGroup[] | null = null;
  return {
    groups: () => (together ??= groups()),
    labelOf: (id) => {
      const found = records.find((r) => r.id === id);
      return found ? labelOf(found) : null;
    },
  };
};

export type Offered = OptionGroup[] | ManyOptions;

/** What was chosen lately first, the rest as it came. */
function latelyFirst<T>(items: readonly T[], idOf: (item: T) => string): T[] {
  const places = new Map(lately().map((id, i) => [id, i]));
  const place = (item: T) => places.get(idOf(item)) ?? places.size;
  return items.toSorted((a, b) => place(a) - place(b));
}

/** Offers under the heading of their grade, each with its facts and what speaks against it. */
function graded<T extends Named>(offers: readonly Offer<T>[], facts: Facts<T>): OptionGroup[] {
  const inOrder = latelyFirst(offers, (o) => o.record.id);
  return GRADES.map((grade) => ({
    title: GRADE_TITLES[grade],
    options: inOrder
      .filter((o) => o.grade === grade)
      .map(({ record, reasons }) => ({
        id: record.id,
        label: labelOf(record),
        note: [facts(record), ...reasons].join(' · '),
      })),
  }));
}

/** Everything there is, where the rig lacks too much to say what fits. */
const ungraded = <T extends Named>(records: readonly T[], facts: Facts<T>): OptionGroup[] => [
  {
    title: 'In this workspace',
    options: latelyFirst(records, (r) => r.id).map((r): Option => ({
      id: r.id,
      label: labelOf(r),
      note: facts(r),
    })),
  },
];

export function lensOptions(workspace: Workspace, rig: Rig | null): Offered {
  const mountName = mountNames(workspace);
  const facts = (lens: Lens) =>
    `${mountName(lens.mountId)} · made for ${lens.designFormat.widthMm}×${lens.designFormat.heightMm}`;
  const { lenses } = workspace;
  return whenOpened(lenses, () =>
    rig ? graded(lensOffers(rig, lenses), facts) : ungraded(lenses, facts),
  );
}

/** Every lens by its own name alone, where a whole one would be cut. */
export const lensNames = (workspace: Workspace): OptionGroup[] => [
  {
    title: 'In this workspace',
    options: workspace.lenses.map((l) => ({ id: l.id, label: l.name, note: l.maker })),
  },
];

export function bodyOptions(workspace: Workspace, rig: Rig | null): Offered {
  const mountName = mountNames(workspace);
  const facts = (body: Body) => mountName(body.mountId);
  const { bodies } = workspace;
  return whenOpened(bodies, () =>
    rig ? graded(bodyOffers(rig, bodies), facts) : ungraded(bodies, facts),
  );
}

/** The rigs of the workspace. */
export const rigOptions = (rigs: readonly RigRecord[]): OptionGroup => ({
  title: 'Rigs in this workspace',
  options: rigs.map((r) => ({ id: r.id, label: r.name })),
});

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

const partFacts =
  (mountName: MountName): Facts<Part> =>
  (part) => {
    const what = `${part.maker} ${part.kind}${part.factor === 1 ? '' : ` ×${part.factor}`}`.trim();
    return isFront(part)
      ? `${what} · before the lens`
      : `${what} · ${mountName(part.frontMountId)} to ${mountName(part.rearMountId)}`;
  };

/** Parts for the place of the one at `index`. */
export function swapOptions(workspace: Workspace, rig: Rig | null, index: number): Offered {
  const facts = partFacts(mountNames(workspace));
  const { parts } = workspace;
  return whenOpened(parts, () =>
    rig ? graded(swapOffers(rig, index, parts), facts) : ungraded(parts, facts),
  );
}

/** Parts to put in besides those there, and where each would go. */
export function addOptions(
  workspace: Workspace,
  rig: Rig | null,
): { groups: Offered; placeOf: (partId: string) => number } {
  const facts = partFacts(mountNames(workspace));
  const { parts } = workspace;
  let known: readonly PartOffer[] | null = null;
  const offers = (): readonly PartOffer[] => (known ??= rig ? addOffers(rig, parts) : []);
  return {
    groups: whenOpened(parts, () => (rig ? graded(offers(), facts) : ungraded(parts, facts))),
    placeOf: (id) => offers().find((o) => o.record.id === id)?.index ?? 0,
  };
}

/** The aspects on offer, with the one in use among them even if it is none of the usual. */
export function aspectOptions(aspect: number | null): { chosen: string; groups: OptionGroup[] } {
  const known = namedAspect(aspect);
  const odd = known || aspect === null ? [] : [{ id: 'odd', label: `${fixed(aspect, 2)}:1` }];
  return {
    chosen: known?.id ?? 'odd',
    groups: [
      {
        title: 'Delivered aspect',
        options: [...ASPECTS.map(({ id, name }) => ({ id, label: name })), ...odd],
      },
    ],
  };
}
