/** A lens mount, named by dimension and class. */
import { ID, LICENCE, NAME, NOTE } from './common';
import { completed, label, listOf, number, oneOf, record, unknownOr, type Static } from './schema';

export const mountSchema = record('mount', {
  id: ID,
  name: NAME,
  /** Register (flange focal distance) in air, mm. */
  registerMm: number(1, 300),
  locking: oneOf(['bayonet', 'screw', 'clamp', 'fixed'], { default: 'bayonet' }),
  /** Inner diameter of the throat, mm; null where unknown. */
  throatMm: unknownOr(number(5, 200)),
  /** Outer diameter and pitch of a screw thread, mm; null for a bayonet or where unknown. */
  threadMm: unknownOr(number(2, 200)),
  pitchMm: unknownOr(number(0.1, 10)),
  /** Names the user knows it by. */
  aliases: listOf(label(120), 50, { default: [] }),
  licence: LICENCE,
  note: NOTE,
});
export type Mount = Static<typeof mountSchema>;

/** A mount as far as it is told; nothing else of it is known. */
export const mountOf = (told: Pick<Mount, 'id' | 'name' | 'registerMm'> & Partial<Mount>): Mount =>
  completed(mountSchema, told);

export const mountExample: Mount = mountOf({
  id: 'slr-44',
  name: 'SLR bayonet 44.00',
  registerMm: 44,
  locking: 'bayonet',
  throatMm: 54,
  threadMm: null,
  pitchMm: null,
  aliases: ['the black one'],
  licence: '',
  note: '',
});
