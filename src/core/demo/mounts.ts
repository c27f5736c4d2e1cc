import { mountOf, type Mount } from '../kit/records/mount';

const mount = (
  id: string,
  name: string,
  registerMm: number,
  locking: Mount['locking'],
  throatMm: number,
  aliases: string[] = [],
  [threadMm, pitchMm]: readonly [number, number] | readonly [null, null] = [null, null],
): Mount => mountOf({ id, name, registerMm, locking, throatMm, threadMm, pitchMm, aliases });

export const mounts: Mount[] = [
  mount(
    's-17.526',
    'Screw 1-32 17.526',
    17.526,
    'screw',
    25.4,
    ['the small cine thread'],
    [25.4, 0.794],
  ),
  mount('ml-18', 'Mirrorless bayonet 18.00', 18, 'bayonet', 46.1),
  mount('sr-19.25', 'Short-register bayonet 19.25', 19.25, 'bayonet', 38),
  mount('ml-26.7', 'Mirrorless bayonet 26.70', 26.7, 'bayonet', 65),
  mount('m39-28.8', 'Screw M39x1 28.80', 28.8, 'screw', 37, [], [39, 1]),
  mount('slr-44', 'SLR bayonet 44.00', 44, 'bayonet', 54, ['the black ones']),
  mount('m42-45.46', 'Screw M42x1 45.46', 45.46, 'screw', 40, ['old screw'], [42, 1]),
  mount('slr-46.5', 'SLR bayonet 46.50', 46.5, 'bayonet', 44),
  mount('cine-52', 'Cine bayonet 52.00', 52, 'bayonet', 54),
  mount('t-55', 'T-thread 55.00', 55, 'screw', 40, [], [42, 0.75]),
  mount('mf-63.3', 'Medium-format bayonet 63.30', 63.3, 'bayonet', 60),
];
