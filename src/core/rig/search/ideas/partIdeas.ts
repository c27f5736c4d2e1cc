/** Ways out by other parts between lens and body. */
import { isMadeForLens } from '../../train';
import { fullName, isFront, magnifies, type Part } from '../../../kit/records';
import { quickPart } from '../../../kit/starter';
import { mm } from '../../../words';
import { jointProblems, type Rig } from '../../../rig';
import type { Idea, WayKind } from './idea';

/** Teleconverters are offered for lenses they are made for. */
const isTeleOnWide = (part: Part, { lens }: Rig): boolean =>
  part.kind === 'teleconverter' && !isMadeForLens(part, lens);

const joined = (rig: Rig): boolean => jointProblems(rig).length === 0;

/** Whether two parts join the same mounts. */
const joinsAlike = (a: Part, b: Part): boolean =>
  a.frontMountId === b.frontMountId && a.rearMountId === b.rearMountId;

/** The plain adapter that would stand in a converter's place, where one can be built and the kit has none. */
function plainInsteadOf(part: Part, { mounts }: Rig, kit: readonly Part[]): Part | null {
  const front = mounts.get(part.frontMountId);
  const rear = mounts.get(part.rearMountId);
  if (!magnifies(part) || !front || !rear) return null;
  const plain = quickPart({ kind: 'plain adapter', factor: 1, front, rear, designFormat: null });
  const isThere = (p: Part) =>
    (plain.ok && p.id === plain.value.id) || (p.kind === 'plain adapter' && joinsAlike(p, part));
  return plain.ok && !kit.some(isThere) ? plain.value : null;
}

/** Another part in a converter's place, or one more where its mounts let it in. */
export function partIdeas(rig: Rig, kit: readonly Part[]): Idea[] {
  const ideas: Idea[] = [];
  const tryParts = (kind: WayKind, words: string, parts: readonly Part[], newPart?: Part) => {
    const changed: Rig = { ...rig, parts };
    if (joined(changed)) {
      ideas.push({
        kind,
        words,
        limit: null,
        change: {
          settings: {},
          partIds: parts.map((p) => p.id),
          ...(newPart ? { newPart } : {}),
        },
        rig: changed,
      });
    }
  };
  rig.parts.forEach((part, i) => {
    if (isFront(part)) return;
    const plain = plainInsteadOf(part, rig, kit);
    if (plain) {
      const words = `A plain adapter of ${mm(plain.thicknessMm, 2)} instead of ${fullName(part)}`;
      tryParts('swap part', words, rig.parts.with(i, plain), plain);
    }
    for (const other of kit) {
      if (
        joinsAlike(other, part) &&
        other.id !== part.id &&
        !isFront(other) &&
        (magnifies(part) || magnifies(other)) &&
        !isTeleOnWide(other, rig)
      ) {
        tryParts(
          'swap part',
          `${fullName(other)} instead of ${fullName(part)}`,
          rig.parts.with(i, other),
        );
      }
    }
  });
  for (const extra of kit) {
    if (!magnifies(extra) || extra.factor < 1 || extra.frontMountId !== extra.rearMountId) continue;
    if (rig.parts.some((p) => p.id === extra.id) || isTeleOnWide(extra, rig)) continue;
    const mountsAlong = [rig.lens.mountId, ...rig.parts.map((p) => p.rearMountId)];
    const at = mountsAlong.indexOf(extra.frontMountId);
    if (at >= 0) tryParts('add part', `Add ${fullName(extra)}`, rig.parts.toSpliced(at, 0, extra));
  }
  return ideas;
}
