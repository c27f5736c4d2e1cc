/** Whether the mounts of a rig join from lens to body. */
import { fullName, isFront } from '../kit/records';
import type { Rig } from './rig';

export interface JointProblem {
  /** Place among the parts behind the lens: 0 is between the lens and whatever follows it. */
  index: number;
  /** What the piece in front ends in, and what the one behind takes. */
  hasMountId: string;
  takesMountId: string;
  sentence: string;
}

type Joint = Pick<Rig, 'body' | 'lens' | 'parts' | 'mounts'>;

/** Every joint where the mount behind is not the one in front, scene to sensor. */
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
        sentence: `${holder} has ${mountName(hasMountId)}; ${name} takes ${mountName(takesMountId)}.`,
      });
    }
    holder = name;
    hasMountId = next;
  });
  return problems;
}
