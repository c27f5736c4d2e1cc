import { describe, expect, it } from 'vitest';
import { tideMill } from '../../demo';
import {
  lensFileExample,
  measurementExample,
  EMPTY_WORKSPACE,
  type Workspace,
} from '../../kit/records';
import { readAnyFile } from './anyFile';
import { broughtByLens, lensFileOf, readLensFile, writeLensFile } from './lensFile';
import { rigFileOf } from './rigJson';
import { demoRig } from '../../../../tests/support/demo';
import { writeWorkspace } from './workspaceJson';

const lens = tideMill.lenses.find((l) => l.halo.some((s) => s.evidence.kind === 'measured'));
if (!lens) throw new Error('the demo has a measured lens');
const measured: Workspace = {
  ...tideMill,
  measurements: [
    { ...measurementExample, id: 'm-own', lensId: lens.id, bodyId: 'h24' },
    { ...measurementExample, id: 'm-other', lensId: 'another' },
  ],
};
const given = () => lensFileOf(measured, lens, 'A. Sluiter');

const sentence = (text: string): string => {
  const read = readAnyFile(text, 'x.json', tideMill);
  return read.ok ? '' : (read.problems[0]?.sentence ?? '');
};

describe('a lens given away', () => {
  it('takes its samples, its log and what they name with it, and leaves prices and notes at home', () => {
    const file = given();
    expect(file.measurements.map((m) => m.id)).toEqual(['m-own']);
    expect(file.bodies.map((b) => b.id)).toEqual(['h24']);
    expect(file.mounts.map((m) => m.id)).toContain(lens.mountId);
    expect([file.lens.price, file.lens.note, file.lens.availability]).toEqual([
      null,
      '',
      'not told',
    ]);
    const samples = file.lens.halo.filter((s) => s.evidence.kind === 'measured');
    expect(samples.length).toBeGreaterThan(0);
    for (const { evidence } of samples) expect(evidence.source).toContain('measured by A. Sluiter');
    // Given on by the one who got it, it does not say so twice.
    const again = lensFileOf({ ...measured, lenses: [file.lens] }, file.lens, 'A. Sluiter');
    expect(again.lens.halo).toEqual(file.lens.halo);
    expect(writeLensFile(file).length).toBeLessThan(60_000);
  });

  it('gives away nothing of what its owner paid, noted or has, of bodies and adapters neither', () => {
    const own = {
      price: 777,
      priceNew: 888,
      note: 'lent by Ruth',
      availability: 'rentable' as const,
    };
    const secret: Workspace = {
      ...measured,
      bodies: measured.bodies.map((b) => ({ ...b, ...own })),
      parts: measured.parts.map((p) => ({ ...p, ...own })),
      measurements: measured.measurements.map((m) => ({ ...m, partIds: [tideMill.parts[0]!.id] })),
    };
    const file = lensFileOf(secret, { ...lens, ...own }, '');
    expect([file.bodies.length, file.parts.length]).toEqual([1, 1]);
    expect(writeLensFile(file)).not.toMatch(/777|888|lent by Ruth|rentable/);
  });

  it('comes into an empty kit whole', () => {
    const read = readAnyFile(writeLensFile(given()), 'lens.json', EMPTY_WORKSPACE);
    if (!read.ok) throw new Error(read.problems[0]?.sentence);
    expect(read.value.kind).toBe('lens');
    const { workspace } = read.value;
    expect(workspace.lenses.map((l) => l.id)).toEqual([lens.id]);
    expect(workspace.measurements).toHaveLength(1);
    expect(workspace.rigs).toEqual([]);
  });

  it('adds its samples to the same lens by another id, and changes nothing else of it', () => {
    const mine = {
      ...lens,
      id: 'mine',
      name: ` ${lens.name.toUpperCase()} `,
      mountId: 'my-mount',
      price: 77,
      halo: lens.halo.slice(0, 1),
    };
    const brought = broughtByLens(given(), { ...EMPTY_WORKSPACE, lenses: [mine] });
    expect(brought.lenses).toHaveLength(1);
    const [got] = brought.lenses;
    expect({ ...got, halo: [] }).toEqual({ ...mine, halo: [] });
    expect(got?.halo[0]).toBe(mine.halo[0]);
    expect(got?.halo).toHaveLength(lens.halo.length);
    expect(brought.measurements[0]?.lensId).toBe('mine');
  });

  it('joins the mount of the same register and name that is here', () => {
    const theirs = tideMill.mounts.find((m) => m.id === lens.mountId);
    if (!theirs) throw new Error('it has its mount');
    const own = { ...theirs, id: 'own-mount', name: 'My bayonet', aliases: [theirs.name] };
    const brought = broughtByLens(given(), { ...EMPTY_WORKSPACE, mounts: [own] });
    expect(brought.lenses[0]?.mountId).toBe('own-mount');
    expect(brought.mounts.map((m) => m.id)).not.toContain(lens.mountId);
  });

  it('is refused with the place where it is wrong', () => {
    expect(sentence('')).toContain('x.json is empty');
    expect(sentence('{"format":"wandering-halo/lens","version":99}')).toContain('newer program');
    expect(sentence('{"format":"wandering-halo/lens","version":7}')).toContain('lens: is missing');
    const wrong = { ...given(), lens: { ...lens, openFNumberWide: 0 } };
    expect(sentence(JSON.stringify(wrong))).toContain('openFNumberWide');
    expect(sentence('{"format":"something/else"}')).toContain('not a workspace file');
    expect(sentence('[]')).toContain('x.json');
    expect(readLensFile(lensFileExample).ok).toBe(true);
  });
});

describe('files of ours', () => {
  it('are told apart by what they say they are', () => {
    const kind = (text: string) => {
      const read = readAnyFile(text, 'x.json', tideMill);
      return read.ok ? read.value.kind : null;
    };
    expect(kind(writeWorkspace(tideMill))).toBe('workspace');
    expect(kind(JSON.stringify(rigFileOf(demoRig('mill-pond'))))).toBe('rig');
    expect(kind(writeLensFile(given()))).toBe('lens');
  });

  it('keep what a workspace says that this program does not know', () => {
    const text = writeWorkspace({ ...tideMill, studio: { a: 1 } } as Workspace);
    const read = readAnyFile(text, 'x.json', EMPTY_WORKSPACE);
    expect(read.ok && read.value.workspace).toMatchObject({ studio: { a: 1 } });
  });
});
