import { describe, expect, it } from 'vitest';
import { tideMill } from '../../demo';
import { partOf, plainLens, plainRig } from '../../../../tests/support/plainRig';
import type { Part } from '../../kit/records';
import { mountsById } from '../../rig';
import { findChains } from './chains';

const lens = (id: string) => tideMill.lenses.find((l) => l.id === id)!;
const body = (id: string) => tideMill.bodies.find((b) => b.id === id)!;
const mounts = mountsById(tideMill.mounts);

describe('chains', () => {
  it('joins lens to body in every chain, no part twice, shortest first', () => {
    const { chains } = findChains(lens('b500'), body('h24'), tideMill.parts, mounts);
    expect(chains.length).toBeGreaterThan(10);
    for (const { parts } of chains) {
      let mount = lens('b500').mountId;
      for (const p of parts) {
        expect(p.frontMountId).toBe(mount);
        mount = p.rearMountId;
      }
      expect(mount).toBe(body('h24').mountId);
      expect(new Set(parts).size).toBe(parts.length);
      expect(parts.length).toBeLessThanOrEqual(3);
    }
    expect(chains.map((c) => c.parts.length)).toEqual(
      [...chains.map((c) => c.parts.length)].sort(),
    );
  });

  it('finds the empty chain where mounts are the same, and the two-step one', () => {
    expect(findChains(lens('w2470'), body('h24'), tideMill.parts, mounts).chains[0]?.parts).toEqual(
      [],
    );
    const medium = findChains(lens('b80m'), body('h24'), tideMill.parts, mounts).chains;
    expect(medium.some((c) => c.parts.map((p) => p.id).join() === 'p63-44,p44-18')).toBe(true);
  });

  it('agrees with trying every list of parts', () => {
    const few = tideMill.parts.filter((p) => p.kind !== 'front converter').slice(0, 12);
    const joins = (list: Part[]) => {
      const path = [
        lens('b80m').mountId,
        ...list.flatMap((p) => [p.frontMountId, p.rearMountId]),
        body('h24').mountId,
      ];
      return path.every((m, i) => i % 2 === 1 || m === path[i + 1]);
    };
    let count = joins([]) ? 1 : 0;
    for (const a of few) {
      if (joins([a])) count += 1;
      for (const b of few) {
        if (b === a) continue;
        if (joins([a, b])) count += 1;
        for (const c of few) if (c !== a && c !== b && joins([a, b, c])) count += 1;
      }
    }
    expect(findChains(lens('b80m'), body('h24'), few, mounts).chains).toHaveLength(count);
  });

  it('says how thick a plain adapter would be and whether it could', () => {
    expect(findChains(lens('b25s'), body('m17'), [], mounts)).toMatchObject({
      plainCanBeBuilt: false,
    });
    expect(findChains(lens('b500'), body('h24'), [], mounts)).toMatchObject({
      plainThicknessMm: 26,
      plainCanBeBuilt: true,
    });
  });
});

describe('which chain comes first', () => {
  const rig = plainRig();
  const find = (parts: Part[]) =>
    findChains(rig.lens, rig.body, parts, rig.mounts).chains.map((c) =>
      c.parts.map((p) => p.id).join('+'),
    );
  const named = (id: string, kind: Part['kind'], more: Partial<Part> = {}) =>
    partOf(kind, { id, name: id, ...more });
  const dead = { focus: false, aperture: false, metadata: false, stabiliser: false };

  it('the shorter, then the nearer to no magnification either way, then what carries, then the plainest', () => {
    const parts = [
      named('tube', 'extension tube', { rearMountId: 'slr' }),
      named('helicoid', 'helicoid'),
      named('half', 'focal reducer', { factor: 0.5 }),
      named('double', 'teleconverter', { factor: 1.8 }),
      named('silent', 'plain adapter', { electronics: dead }),
      named('plain', 'plain adapter'),
    ];
    expect(find(parts)).toEqual([
      'plain',
      'helicoid',
      'silent',
      'double',
      'half',
      'tube+plain',
      'tube+helicoid',
      'tube+silent',
      'tube+double',
      'tube+half',
    ]);
  });

  it('three parts at most, two converters at most, no part twice', () => {
    const through = (id: string, kind: Part['kind'], factor: number) =>
      named(id, kind, { factor, rearMountId: 'slr' });
    const plain = named('plain', 'plain adapter');
    const tubes = ['a', 'b', 'c'].map((id) => through(id, 'extension tube', 1));
    expect(Math.max(...find([...tubes, plain]).map((c) => c.split('+').length))).toBe(3);
    expect(find([...tubes, plain])).toHaveLength(1 + 3 + 6);
    const glass = ['x', 'y', 'z'].map((id) => through(id, 'teleconverter', 1.4));
    const reducing = named('r', 'focal reducer', { factor: 0.7 });
    for (const chain of find([...glass, reducing])) {
      expect(chain.split('+').length, chain).toBeLessThanOrEqual(2);
    }
    expect(find([...glass, reducing])).toHaveLength(1 + 3);
  });

  it('a lens of the body’s own mount needs nothing; a front converter joins nothing', () => {
    const own = { ...rig, lens: plainLens({ mountId: 'ml' }) };
    const { chains, plainThicknessMm, plainCanBeBuilt } = findChains(
      own.lens,
      own.body,
      [],
      own.mounts,
    );
    expect(chains).toEqual([{ parts: [], factor: 1, carrying: 0 }]);
    expect([plainThicknessMm, plainCanBeBuilt]).toEqual([0, false]);
    expect(find([named('front', 'front converter')])).toEqual([]);
  });

  it('carrying counts parts that pass focus and metadata both', () => {
    const some = named('some', 'plain adapter', { electronics: { ...dead, focus: true } });
    const all = named('all', 'plain adapter', {
      electronics: { ...dead, focus: true, metadata: true },
    });
    const { chains } = findChains(rig.lens, rig.body, [some, all], rig.mounts);
    expect(chains.map((c) => c.carrying)).toEqual([1, 0]);
    expect(chains[0]?.parts[0]?.id).toBe('all');
  });

  it('says nothing of a plain adapter without both registers', () => {
    expect(findChains(plainLens({ mountId: '?' }), rig.body, [], rig.mounts)).toMatchObject({
      plainThicknessMm: null,
      plainCanBeBuilt: null,
    });
    expect(
      findChains(rig.lens, { ...rig.body, mountId: '?' }, [], rig.mounts).plainThicknessMm,
    ).toBeNull();
  });
});
