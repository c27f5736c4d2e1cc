/** What the tables of the kit show of each record. */
import { hintsFor } from '@/core/kit';
import { EVIDENCE_KINDS, isFront, isZoom, type Part, type Tables } from '@/core/kit/records';
import type { KitTable } from '@/core/kit/fields';
import { diagonalMm } from '@/core/optics';
import { short } from '@/core/words';

export interface TableColumn<T> {
  id: string;
  title: string;
  /** Share of the width. */
  width: number;
  text: (record: T, context: ColumnContext) => string;
  /** What it is sorted by; its text where left out. */
  order?: (record: T) => number;
  figure?: boolean;
}

export interface ColumnContext {
  mountName: (id: string) => string;
}

const size = (f: { widthMm: number; heightMm: number }): string => `${f.widthMm} × ${f.heightMm}`;
const grams = (v: number | null): string => (v === null ? '' : `${v} g`);
const lacking = <T extends KitTable>(table: T, record: Tables[T]): string => {
  const { length } = hintsFor(table, record);
  return length === 0 ? '' : `lacks ${length}`;
};

type Columns = { [T in KitTable]: readonly TableColumn<Tables[T]>[] };

const haloWords = ({ halo }: Tables['lenses']): string => {
  if (halo.length === 0) return 'estimate only';
  const best = EVIDENCE_KINDS.find((kind) => halo.some((s) => s.evidence.kind === kind));
  const of = halo.filter((s) => s.evidence.kind === best).length;
  return of === halo.length ? `${best}, ${of}` : `${best}, ${of} of ${halo.length}`;
};

/** A front converter stands on no mount. */
const mountOfPart = (part: Part, id: string, { mountName }: ColumnContext): string =>
  isFront(part) ? 'front of the lens' : mountName(id);

export const COLUMNS: Columns = {
  lenses: [
    { id: 'name', title: 'Lens', width: 3, text: (l) => l.name },
    { id: 'maker', title: 'Maker', width: 2, text: (l) => l.maker },
    {
      id: 'focal',
      title: 'Focal',
      width: 1.3,
      figure: true,
      text: (l) => `${isZoom(l) ? `${l.focalMinMm}–` : ''}${l.focalMaxMm}`,
      order: (l) => l.focalMinMm,
    },
    {
      id: 'open',
      title: 'Open',
      width: 1,
      figure: true,
      text: (l) =>
        `${short(l.openFNumberWide, 2)}${l.openFNumberLong === l.openFNumberWide ? '' : `–${short(l.openFNumberLong, 2)}`}`,
      order: (l) => l.openFNumberWide,
    },
    { id: 'mount', title: 'Mount', width: 2.3, text: (l, { mountName }) => mountName(l.mountId) },
    {
      id: 'format',
      title: 'Made for',
      width: 1.6,
      figure: true,
      text: (l) => size(l.designFormat),
      order: (l) => diagonalMm(l.designFormat),
    },
    { id: 'halo', title: 'Halo', width: 1.6, text: haloWords, order: (l) => l.halo.length },
    {
      id: 'lacks',
      title: 'Lacks',
      width: 1,
      text: (l) => lacking('lenses', l),
      order: (l) => hintsFor('lenses', l).length,
    },
  ],
  bodies: [
    { id: 'name', title: 'Body', width: 2, text: (b) => b.name },
    { id: 'maker', title: 'Maker', width: 1.6, text: (b) => b.maker },
    { id: 'mount', title: 'Mount', width: 2.4, text: (b, { mountName }) => mountName(b.mountId) },
    {
      id: 'modes',
      title: 'Modes',
      width: 0.9,
      figure: true,
      text: (b) => String(b.modes.length),
      order: (b) => b.modes.length,
    },
    {
      id: 'largest',
      title: 'Largest read-out',
      width: 1.8,
      figure: true,
      text: (b) => {
        const [largest] = b.modes.toSorted((x, y) => diagonalMm(y) - diagonalMm(x));
        return largest ? size(largest) : '';
      },
      order: (b) => Math.max(...b.modes.map(diagonalMm)),
    },
    {
      id: 'travel',
      title: 'Stabiliser',
      width: 1.3,
      figure: true,
      text: (b) => (b.sensorTravel ? `± ${b.sensorTravel.xMm} mm` : 'none'),
      order: (b) => b.sensorTravel?.xMm ?? 0,
    },
    {
      id: 'lacks',
      title: 'Lacks',
      width: 1,
      text: (b) => lacking('bodies', b),
      order: (b) => hintsFor('bodies', b).length,
    },
  ],
  parts: [
    { id: 'name', title: 'Part', width: 3, text: (p) => p.name },
    { id: 'kind', title: 'Kind', width: 1.7, text: (p) => p.kind },
    {
      id: 'factor',
      title: 'Factor',
      width: 0.9,
      figure: true,
      text: (p) => (p.factor === 1 ? '' : `× ${p.factor}`),
      order: (p) => p.factor,
    },
    { id: 'front', title: 'Takes', width: 2.2, text: (p, c) => mountOfPart(p, p.frontMountId, c) },
    { id: 'rear', title: 'Goes on', width: 2.2, text: (p, c) => mountOfPart(p, p.rearMountId, c) },
    {
      id: 'thickness',
      title: 'Thick',
      width: 1,
      figure: true,
      text: (p) => `${short(p.thicknessMm, 3)} mm`,
      order: (p) => p.thicknessMm,
    },
    {
      id: 'mass',
      title: 'Mass',
      width: 0.9,
      figure: true,
      text: (p) => grams(p.massG),
      order: (p) => p.massG ?? 0,
    },
    {
      id: 'lacks',
      title: 'Lacks',
      width: 1,
      text: (p) => lacking('parts', p),
      order: (p) => hintsFor('parts', p).length,
    },
  ],
  mounts: [
    { id: 'name', title: 'Mount', width: 2.6, text: (m) => m.name },
    { id: 'aliases', title: 'You call it', width: 2.2, text: (m) => m.aliases.join(', ') },
    {
      id: 'register',
      title: 'Register',
      width: 1.2,
      figure: true,
      text: (m) => `${m.registerMm} mm`,
      order: (m) => m.registerMm,
    },
    {
      id: 'throat',
      title: 'Throat',
      width: 1.1,
      figure: true,
      text: (m) => (m.throatMm === null ? '' : `${m.throatMm} mm`),
      order: (m) => m.throatMm ?? 0,
    },
    {
      id: 'thread',
      title: 'Thread',
      width: 1.3,
      figure: true,
      text: (m) => (m.threadMm === null ? '' : `${m.threadMm} × ${m.pitchMm ?? '?'}`),
      order: (m) => m.threadMm ?? 0,
    },
    { id: 'locking', title: 'Locks by', width: 1.1, text: (m) => m.locking },
  ],
  markings: [
    { id: 'name', title: 'On the barrel', width: 2, text: (m) => m.name },
    {
      id: 'format',
      title: 'Made for',
      width: 1.5,
      figure: true,
      text: (m) => size(m.designFormat),
      order: (m) => diagonalMm(m.designFormat),
    },
    { id: 'note', title: 'Note', width: 4, text: (m) => m.note },
  ],
};
