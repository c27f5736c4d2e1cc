/** Whether the mounts of a rig join from lens to body. */
import { fullName } from '../kit/body';
import { isFront } from '../kit/part';
import type { Rig } from './rig';

export interface JointProblem {
  /** Place in the train: 0 is between the lens and whatever follows it. */
  index: number;
  sentence: string;
}

type Joint = Pick<Rig, 'body' | 'lens' | 'parts' | 'mounts'>;

/** Every joint where the mount behind is not the one in front, scene to sensor. */
export function jointProblems({ body, lens, parts, mounts }: Joint): JointProblem[] {
  const mountName = (id: string) => mounts.get(id)?.name ?? id;
  const problems: JointProblem[] = [];
  let holder = fullName(lens);
  let mountId = lens.mountId;
  const takers = [
    ...parts
      .filter((p) => !isFront(p))
      .map((p) => ({ name: fullName(p), mountId: p.frontMountId, next: p.rearMountId })),
    { name: fullName(body), mountId: body.mountId, next: body.mountId },
  ];
  takers.forEach((taker, index) => {
    if (taker.mountId !== mountId) {
      problems.push({
        index,
        sentence: `${holder} has ${mountName(mountId)}; ${taker.name} takes ${mountName(taker.mountId)}.`,
      });
    }
    holder = taker.name;
    mountId = taker.next;
  });
  return problems;
}
