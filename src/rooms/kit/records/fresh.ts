/** New records to begin with. Lenses begin with the facts that stand on them. */
import {
  bodyOf,
  freshMode,
  type Body,
  type Marking,
  mountOf,
  type Mount,
  partOf,
  type Part,
  type Tables,
  type Workspace,
} from '@/core/kit/records';
import type { KitTable } from '@/core/kit/fields';

const freshMount = (id: string): Mount => mountOf({ id, name: 'New mount', registerMm: 44 });

const freshBody = (id: string, mountId: string): Body =>
  bodyOf({ id, name: 'New body', mountId, modes: [freshMode('stills')] });

const freshPart = (id: string, frontMountId: string, rearMountId: string): Part =>
  partOf({
    id,
    name: 'New adapter',
    kind: 'plain adapter',
    frontMountId,
    rearMountId,
    factor: 1,
    thicknessMm: 26,
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
