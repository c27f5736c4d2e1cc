/** Whether the mounts of a rig join from lens to body. */
import { fullName, isFront, type Body, type Lens, type Part } from '../kit/records';
import type { Rig } from './rig';

export interface JointProblem {
  /** Place among the parts behind the lens: 0 is between the lens and whatever follows it. */
  index: number;
  /** What the piece in front ends in, and what the one behind takes. */
  hasMountId: string;
  takesMountId: string;
  /** Whether the mounts are alike, and a tab on the lens's keeps it off. */
  isByTab: boolean;
  sentence: string;
}

/** What a lens goes onto: the first part behind it, else the body. */
type Taker = Pick<Body | Part, 'name' | 'maker' | 'takesTab'>;

/** Whether the tab of a lens's mount keeps it off what is behind it; null where nobody told. */
export function keptOffBy(
  { mountTab }: Pick<Lens, 'mountTab'>,
  { takesTab }: Taker,
): boolean | null {
  if (!mountTab || takesTab === 'yes') return false;
  return takesTab === 'no' ? true : null;
}

/** What a lens goes onto. */
export const takerOf = ({ parts, body }: Pick<Rig, 'parts' | 'body'>): Taker =>
  parts.find((p) => !isFront(p)) ?? body;

type Joint = Pick<Rig, 'body' | 'lens' | 'parts' | 'mounts'>;

/** Every joint where the mount behind is not the one in front, scene to sensor, and a tab that keeps the lens off. */
export function jointProblems({ body, lens, parts, mounts }: Joint): JointProblem[] {
  const mountName = (id: string) => mounts.get(id)?.name ?? id;
  const problems: JointProblem[] = [];
  let holder = fullName(lens);
  let hasMountId = lens.mountId;
  const takers = [
    ...parts
      .filter((p) => !isFront(p))
      .map((p) => ({ name: fullName(p), mountId: p.frontMountId, next: p.rearMountId })),
    { name: fullName(body), mountId: body.mountId, next: body.mountId },
  ];
  takers.forEach(({ name, mountId: takesMountId, next }, index) => {
    if (takesMountId !== hasMountId) {
      problems.push({
        index,
        hasMountId,
        takesMountId,
        isByTab: false,
        sentence: `${holder} has ${mountName(hasMountId)}; ${name} takes ${mountName(takesMountId)}.`,
      });
    }
    holder = name;
    hasMountId = next;
  });
  const taker = takerOf({ parts, body });
  if (keptOffBy(lens, taker))
    problems.push({
      index: 0,
      hasMountId: lens.mountId,
      takesMountId: lens.mountId,
      isByTab: true,
      sentence: `The tab on the mount of ${fullName(lens)} keeps it off ${fullName(taker)}.`,
    });
  return problems;
}
