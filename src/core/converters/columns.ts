/** What is weighed against each other for one lens on one body: the lens as it is, converters, and cropping. */
import { isFront, magnifies, type Part, fullName, mergedSettings } from '../kit/records';
import { clamp } from '../maths';
import { evaluate, type Report } from '../rig/report';
import { jointProblems, turned, type Rig } from '../rig';
import { findChains, addOffers, offerOfChain } from '../rig/search';
import { frontFactor, trainFactor } from '../rig/train';
import { fixed } from '../words';
import { trainWords } from '../sweep';

type ColumnKind = 'base' | 'converter' | 'crop';

export interface ConverterColumn {
  id: string;
  kind: ColumnKind;
  title: string;
  rig: Rig;
  report: Report;
  /** How much longer than the base its view is: the factor of its glass, or of the crop. */
  reach: number;
  /** What is to be minded of it, short; empty where nothing is. */
  catches: readonly string[];
}

/** A converter of the kit that does not go between this lens and this body. */
export interface Unfitting {
  name: string;
  reasons: readonly string[];
}

interface Weighing {
  /** The lens on the body without a converter. */
  base: ConverterColumn;
  /** Whether it goes on the body that way; where not it stands as a figure to compare with. */
  baseJoins: boolean;
  converters: readonly ConverterColumn[];
}

/** At most so many converters are compared. */
const MOST_CONVERTERS = 8;
/** The farthest a crop is scaled up. */
const MOST_SCALE = 8;

/** Parts that neither magnify nor reach: what a lens is joined by. */
const isJoining = (part: Part): boolean => part.kind === 'plain adapter';

/** Glass that gathers and glass that spreads in one train undo each other: nobody weighs that. */
const pullsOneWay = (parts: readonly Part[]): boolean =>
  parts.every((p) => p.factor >= 1) || parts.every((p) => p.factor <= 1);

/** Whether a chain is plain adapters and converters of one direction alone: what a comparison of glass asks for. */
const isPlainOf = (parts: readonly Part[]): boolean =>
  parts.every((p) => isJoining(p) || magnifies(p)) && pullsOneWay(parts);

/** The train without its converters: what is fitted already where that magnifies nothing, else the kit's first. */
function baseParts(rig: Rig, chains: readonly (readonly Part[])[]): readonly Part[] {
  const own = rig.parts.filter((p) => !isFront(p));
  if (own.every((p) => !magnifies(p)) && jointProblems({ ...rig, parts: own }).length === 0)
    return own;
  const plain = chains.find(
    (chain) => chain.every(isJoining) && offerOfChain(rig, chain).grade !== 'does not fit',
  );
  return plain ?? [];
}

/** The rig with other parts, its subject where it was: before a front converter of factor A it is A² nearer. */
function withParts(rig: Rig, parts: readonly Part[]): Rig {
  const { focusM } = rig.settings;
  const front = frontFactor(parts) / frontFactor(rig.parts);
  return turned({ ...rig, parts }, { focusM: focusM === null ? null : focusM / front ** 2 });
}

function columnOf(
  id: string,
  kind: ColumnKind,
  title: string,
  rig: Rig,
  reach: number,
): ConverterColumn {
  const catches = offerOfChain(rig, rig.parts).reasons;
  return { id, kind, title, rig, report: evaluate(rig), reach, catches };
}

/** Everything that magnifies of a train, by its factors: "× 0.71", "× 1.40 × 2.00". */
const factorsOf = (parts: readonly Part[]): string =>
  parts
    .filter((p) => p.factor !== 1)
    .map((p) => `×${fixed(p.factor, 2)}${isFront(p) ? ' in front' : ''}`)
    .join(' ');

/** What could stand between a rig's lens and body, told once for all its settings. */
export interface Trains {
  base: readonly Part[];
  converters: readonly (readonly Part[])[];
  /** Converters that are not shown for their number. */
  left: number;
  unfitting: readonly Unfitting[];
}

/** What magnifies of a train, by id; the same however it is joined. Empty where nothing does. */
export const glassOf = (parts: readonly Part[]): string =>
  parts
    .filter((p) => p.factor !== 1)
    .map((p) => p.id)
    .toSorted()
    .join('/');

const reachOf = (chain: readonly Part[]): number => trainFactor(chain) * frontFactor(chain);

/**
 * The train without a converter, every chain of plain adapters and converters of the kit that joins and strikes
 * nothing, weakest first, and front converters before the base. Converters that fit nowhere are told with the
 * reason.
 */
export function trainsFor(rig: Rig, kit: readonly Part[]): Trains {
  const joining = findChains(rig.lens, rig.body, kit, rig.mounts).chains.map((c) => c.parts);
  const base = baseParts(rig, joining);
  const chains = joining.filter((chain) => trainFactor(chain) !== 1 && isPlainOf(chain));
  const fronts = kit.filter(isFront).map((part) => [part, ...base]);
  const seen = new Set<string>();
  const fitting = [...chains, ...fronts].filter((chain) => {
    if (offerOfChain(rig, chain).grade === 'does not fit') return false;
    // The same glass in another order, or joined by other plain adapters, is the same answer.
    const glass = glassOf(chain);
    if (seen.has(glass)) return false;
    seen.add(glass);
    return true;
  });
  const inOrder = fitting.toSorted((a, b) => a.length - b.length || reachOf(a) - reachOf(b));
  const shown = inOrder.slice(0, MOST_CONVERTERS).toSorted((a, b) => reachOf(a) - reachOf(b));
  const used = new Set(fitting.flatMap((chain) => chain.map((p) => p.id)));
  return {
    base,
    converters: shown,
    left: inOrder.length - shown.length,
    unfitting: addOffers(withParts(rig, base), kit)
      .filter(({ record }) => (magnifies(record) || isFront(record)) && !used.has(record.id))
      .map(({ record, reasons }) => ({
        name: fullName(record),
        reasons: reasons.length > 0 ? reasons : ['no chain of the kit joins it here'],
      })),
  };
}

/** The columns of a rig as it is set, with each train that could stand in it. */
export function weigh(rig: Rig, trains: Trains): Weighing {
  const base = withParts(rig, trains.base);
  const title = trains.base.length === 0 ? 'Bare lens' : trainWords(trains.base);
  return {
    base: columnOf('base', 'base', title, base, 1),
    baseJoins: jointProblems(base).length === 0,
    converters: trains.converters.map((chain) =>
      columnOf(
        chain.map((p) => p.id).join('/'),
        'converter',
        factorsOf(chain),
        withParts(rig, chain),
        reachOf(chain),
      ),
    ),
  };
}

/** The base cropped to the view of a converter that reaches farther; null where there is nothing to crop. */
export function cropOf({ base }: Weighing, reach: number): ConverterColumn | null {
  if (reach <= 1) return null;
  const postScale = clamp(base.rig.settings.postScale * reach, 1, MOST_SCALE);
  const settings = mergedSettings(base.rig.settings, { postScale });
  return columnOf('crop', 'crop', `Crop ×${fixed(reach, 2)}`, { ...base.rig, settings }, reach);
}
