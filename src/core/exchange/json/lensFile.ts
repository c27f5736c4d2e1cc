/** One lens with what was measured of it, as a small file to give away, and how one is taken in. */
import { migrated, type FileFormat } from '../../kit';
import { checkLensFile } from '../../kit/checks';
import {
  type Lens,
  LENS_FORMAT,
  type LensFile,
  type Mount,
  RECORDS_VERSION,
  EMPTY_WORKSPACE,
  type Workspace,
} from '../../kit/records';
import { AT_HOME, lacking } from './givenAway';
import type { Result } from '../../words';

const LENS_FILE: FileFormat = {
  format: LENS_FORMAT,
  word: 'lens',
  places: {
    lens: 'lenses',
    mounts: 'mounts',
    bodies: 'bodies',
    parts: 'parts',
    measurements: 'measurements',
  },
};

const LONGEST_SOURCE = 400;

/** The source of a sample, with who measured it. */
const signed = (source: string, by: string): string =>
  (by === '' || source.includes(`by ${by}`)
    ? source
    : `${source}${source ? ', ' : ''}measured by ${by}`
  ).slice(0, LONGEST_SOURCE);

/** What is given away of a lens: its facts, samples and log; prices and notes stay at home. */
export function lensFileOf(workspace: Workspace, lens: Lens, by: string): LensFile {
  const measurements = workspace.measurements.filter((m) => m.lensId === lens.id);
  const bodyIds = new Set(measurements.map((m) => m.bodyId));
  const partIds = new Set(measurements.flatMap((m) => m.partIds));
  const bodies = workspace.bodies.filter((b) => bodyIds.has(b.id));
  const parts = workspace.parts.filter((p) => partIds.has(p.id));
  const mountIds = new Set([
    lens.mountId,
    ...bodies.map((b) => b.mountId),
    ...parts.flatMap((p) => [p.frontMountId, p.rearMountId]),
  ]);
  return {
    format: LENS_FORMAT,
    version: RECORDS_VERSION,
    by,
    lens: {
      ...lens,
      ...AT_HOME,
      halo: lens.halo.map((sample) =>
        sample.evidence.kind === 'measured'
          ? {
              ...sample,
              evidence: { ...sample.evidence, source: signed(sample.evidence.source, by) },
            }
          : sample,
      ),
    },
    mounts: workspace.mounts.filter((m) => mountIds.has(m.id)),
    bodies: bodies.map((b) => ({ ...b, ...AT_HOME })),
    parts: parts.map((p) => ({ ...p, ...AT_HOME })),
    measurements,
  };
}

export const writeLensFile = (file: LensFile): string => `${JSON.stringify(file, null, 2)}\n`;

/** A parsed lens file of any version, brought up and checked. */
export function readLensFile(data: unknown): Result<LensFile> {
  const today = migrated(data, LENS_FILE);
  return today.ok ? checkLensFile(today.value) : today;
}

const same = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase();

const isSameLens = (a: Lens, b: Lens): boolean =>
  a.id === b.id ||
  (same(a.name, b.name) &&
    same(a.maker, b.maker) &&
    a.focalMinMm === b.focalMinMm &&
    a.focalMaxMm === b.focalMaxMm);

const isSameMount = (a: Mount, b: Mount): boolean =>
  a.id === b.id ||
  (a.registerMm === b.registerMm && [b.name, ...b.aliases].some((name) => same(name, a.name)));

/**
 * What a lens file brings to a workspace: its samples to the same lens where that is here (by its id, or by maker,
 * name and focal lengths), else the lens. Nothing that is here is changed but for samples that are added.
 */
export function broughtByLens(file: LensFile, here: Workspace): Workspace {
  const own = here.lenses.find((lens) => isSameLens(lens, file.lens));
  const mountOf = (id: string): string => {
    const theirs = file.mounts.find((m) => m.id === id);
    return (theirs && here.mounts.find((m) => isSameMount(theirs, m))?.id) ?? id;
  };
  const lens = own
    ? { ...own, halo: [...own.halo, ...lacking(file.lens.halo, own.halo)] }
    : { ...file.lens, mountId: mountOf(file.lens.mountId) };
  const bodies = lacking(file.bodies, here.bodies).map((b) => ({
    ...b,
    mountId: mountOf(b.mountId),
  }));
  const parts = lacking(file.parts, here.parts).map((p) => ({
    ...p,
    frontMountId: mountOf(p.frontMountId),
    rearMountId: mountOf(p.rearMountId),
  }));
  const used = new Set([
    lens.mountId,
    ...bodies.map((b) => b.mountId),
    ...parts.flatMap((p) => [p.frontMountId, p.rearMountId]),
  ]);
  return {
    ...EMPTY_WORKSPACE,
    judgement: here.judgement,
    lenses: [lens],
    bodies,
    parts,
    mounts: lacking(file.mounts, here.mounts).filter((m) => used.has(m.id)),
    measurements: lacking(file.measurements, here.measurements).map((m) => ({
      ...m,
      lensId: lens.id,
    })),
  };
}
