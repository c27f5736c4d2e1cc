/** A lens mount, named by dimension and class. */
import { ID, LICENCE, NAME, NOTE } from './common';
import { label, listOf, number, oneOf, record, unknownOr } from './schema';

export interface Mount {
  id: string;
  name: string;
  /** Register (flange focal distance) in air, mm. */
  registerMm: number;
  locking: 'bayonet' | 'screw' | 'clamp' | 'fixed';
  /** Inner diameter of the throat, mm; null where unknown. */
  throatMm: number | null;
  /** Outer diameter and pitch of a screw thread, mm; null for a bayonet or where unknown. */
  threadMm: number | null;
  pitchMm: number | null;
  /** Names the user knows it by. */
  aliases: string[];
  licence: string;
  note: string;
}

export const mountSchema = record<Mount>(
  'mount',
  {
    id: ID,
    name: NAME,
    registerMm: number(1, 300),
    locking: oneOf(['bayonet', 'screw', 'clamp', 'fixed'], { default: 'bayonet' }),
    throatMm: unknownOr(number(5, 200)),
    threadMm: unknownOr(number(2, 200)),
    pitchMm: unknownOr(number(0.1, 10)),
    aliases: listOf(label(120), 50, { default: [] }),
    licence: LICENCE,
    note: NOTE,
  },
  ['id', 'name', 'registerMm'],
);

export const mountExample: Mount = {
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
};
