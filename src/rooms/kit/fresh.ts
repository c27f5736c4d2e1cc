/** New records to begin with. Lenses begin with the facts that stand on them. */
import type { Body } from '@/core/kit/records/body';
import { NO_ELECTRONICS } from '@/core/kit/records/common';
import { bodyOf, FRESH_MODE } from '@/core/kit/records/freshBody';
import type { KitTable } from '@/core/kit/fields/fieldTypes';
import type { Marking } from '@/core/kit/records/marking';
import type { Mount } from '@/core/kit/records/mount';
import type { Part } from '@/core/kit/records/part';
import type { Tables, Workspace } from '@/core/kit/records/workspace';

const freshMount = (id: string): Mount => ({
  id,
  name: 'New mount',
  registerMm: 44,
  locking: 'bayonet',
  throatMm: null,
  threadMm: null,
  pitchMm: null,
  aliases: [],
  licence: '',
  note: '',
});

const freshBody = (id: string, mountId: string): Body =>
  bodyOf({ id, name: 'New body', mountId, modes: [{ ...FRESH_MODE, id: 'stills' }] });

const freshPart = (id: string, front: string, rear: string): Part => ({
  id,
  name: 'New adapter',
  maker: '',
  kind: 'plain adapter',
  frontMountId: front,
  rearMountId: rear,
  factor: 1,
  thicknessMm: 26,
  transmission: null,
  fastestFNumber: null,
  clearDepthMm: null,
  ownRim: null,
  plate: null,
  helicoidMm: 0,
  shiftMm: 0,
  designFormat: null,
  electronics: NO_ELECTRONICS,
  massG: null,
  price: null,
  priceNew: null,
  note: '',
});

const freshMarking = (id: string): Marking => ({
  id,
  name: 'New marking',
  designFormat: { widthMm: 23.5, heightMm: 15.6 },
  note: '',
});

/** A record to fill in; a plain adapter is as thick as the registers of two mounts leave it. */
export function freshRecord(
  table: Exclude<KitTable, 'lenses'>,
  { mounts }: Workspace,
  id: string,
): Tables[KitTable] {
  const byRegister = mounts.toSorted((a, b) => a.registerMm - b.registerMm);
  const [short, long] = [byRegister[0], byRegister.at(-1)];
  switch (table) {
    case 'mounts':
      return freshMount(id);
    case 'bodies':
      return freshBody(id, short?.id ?? 'mount');
    case 'markings':
      return freshMarking(id);
    case 'parts': {
      const part = freshPart(id, long?.id ?? 'mount', short?.id ?? 'mount');
      const thicknessMm = long && short ? long.registerMm - short.registerMm : part.thicknessMm;
      return { ...part, thicknessMm: Number(thicknessMm.toFixed(3)) };
    }
  }
}
