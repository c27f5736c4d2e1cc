import { deflateSync } from 'fflate';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoRig } from '../../../../tests/support/demo';
import { runs } from '../../../../tests/support/seed';
import { tideMill } from '../../demo';
import { checkWorkspace } from '../../kit/checks';
import { EMPTY_WORKSPACE } from '../../kit/records';
import { evaluate } from '../../rig/report';
import { isMissing, resolveRig } from '../../rig';
import { rigOfFile } from '../json';
import { holdsRig, RIG_HASH } from './rigHash';
import { broughtByRig } from '../json';
import { isUncheckedRig, packRig, unpackRig } from './rigLink';

describe('a rig in an address', () => {
  it.each(tideMill.rigs.map((r) => r.id))('says the same at the other end: %s', (id) => {
    const rig = demoRig(id);
    const packed = packRig(rig);
    expect(packed).toMatch(/^rig=[A-Z2-7]+$/);
    const file = unpackRig(`#${packed}`);
    if (!file.ok) throw new Error(file.problems[0]?.sentence);
    const back = rigOfFile(file.value);
    expect(back.ok && evaluate(back.value)).toEqual(evaluate(rig));
    // Well within a code of 117 × 117: 1,853 letters and digits at its lightest correction (ISO/IEC 18004, from memory).
    expect(packed.length).toBeLessThan(1000);
  });

  it('is read in small letters too', () => {
    const packed = packRig(demoRig('mill-pond'));
    expect(unpackRig(`#${RIG_HASH}${packed.slice(RIG_HASH.length).toLowerCase()}`).ok).toBe(true);
  });

  it('becomes a workspace of one rig, which resolves', () => {
    const file = unpackRig(packRig(demoRig('waders-at-dawn')));
    if (!file.ok) throw new Error('it is whole');
    const workspace = broughtByRig(file.value, EMPTY_WORKSPACE);
    expect(
      checkWorkspace({
        format: 'wandering-halo/workspace',
        version: file.value.version,
        ...workspace,
      }).ok,
    ).toBe(true);
    const [record] = workspace.rigs;
    if (!record) throw new Error('there is one');
    expect(isMissing(resolveRig(workspace, record))).toBe(false);
    expect(broughtByRig(file.value, EMPTY_WORKSPACE).rigs[0]?.id).toBe(record.id);
    // What it cost and what was noted of it stays at home.
    expect(JSON.stringify(workspace)).not.toContain('Everything the reducer gives');
    expect(workspace.lenses[0]?.price).toBeNull();
  });

  it('changes nothing of what is here, but that a body comes to know the mode', () => {
    const file = unpackRig(packRig(demoRig('waders-at-dawn')));
    if (!file.ok) throw new Error('it is whole');
    const brought = broughtByRig(file.value, tideMill);
    expect([brought.mounts, brought.lenses, brought.parts, brought.bodies]).toEqual([
      [],
      [],
      [],
      [],
    ]);
    const bodies = tideMill.bodies.map((b) => ({
      ...b,
      modes: b.modes.filter((m) => m.id !== file.value.modeId),
    }));
    const taught = broughtByRig(file.value, { ...tideMill, bodies });
    expect(taught.bodies).toHaveLength(1);
    expect(taught.bodies[0]?.modes.map((m) => m.id)).toContain(file.value.modeId);
  });

  it('says so where it is cut short, changed, of another way, or a trap', () => {
    const said = (hash: string) => {
      const file = unpackRig(hash);
      return file.ok ? 'whole' : (file.problems[0]?.sentence ?? '');
    };
    const packed = packRig(demoRig('mill-pond'));
    expect(holdsRig(`#${packed}`)).toBe(true);
    expect(holdsRig('#rigs')).toBe(false);
    expect(said(packed.slice(0, -40))).toContain('cut short');
    expect(said('rig=')).toContain('cut short');
    expect(said('rig=A!!')).toContain('cut short');
    expect(said('rig=B!!')).toContain('cut short');
    expect(said('rig=BAAAA')).toContain('cut short');
    expect(said(`rig=Z${packed.slice(5)}`)).toContain('another version');
    expect(said(`rig=A${'A'.repeat(100_000)}`)).toContain('cut short');
    expect(said(`rig=A${bomb()}`)).toContain('cut short');
  });

  it('with one letter wrong is never another rig', () => {
    const letters = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567';
    const packed = packRig(demoRig('mill-pond'));
    const from = RIG_HASH.length + 1;
    for (let at = from; at < packed.length; at += 1) {
      const letter = letters[(letters.indexOf(packed[at]!) + 1 + (at % 31)) % 32]!;
      const wrong = `${packed.slice(0, at)}${letter}${packed.slice(at + 1)}`;
      const file = unpackRig(wrong);
      // The last letter carries bits that belong to no byte: they may be anything.
      if (file.ok) expect(at).toBe(packed.length - 1);
      else expect(file.problems[0]?.sentence).toContain('cut short or changed');
    }
  });

  it('of the older kind, without a check, still opens, and is known as such', () => {
    const rig = demoRig('mill-pond');
    const bytes = packRig(rig)
      .slice(RIG_HASH.length + 1)
      .split('')
      .map((c) => 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567'.indexOf(c).toString(2).padStart(5, '0'))
      .join('')
      .match(/.{8}/g)!
      .map((b) => parseInt(b, 2));
    const bits = bytes
      .slice(0, -4)
      .map((b) => b.toString(2).padStart(8, '0'))
      .join('');
    const old = (`${bits}0000`.match(/.{5}/g) ?? [])
      .map((five) => 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567'[parseInt(five, 2)])
      .join('');
    expect(unpackRig(`rig=A${old}`)).toEqual(unpackRig(packRig(rig)));
    expect(isUncheckedRig(`#rig=A${old}`)).toBe(true);
    expect(isUncheckedRig(`#${packRig(rig)}`)).toBe(false);
  });

  it('never throws, whatever stands in it', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 400 }), (text) => {
        for (const way of ['A', 'B']) {
          const file = unpackRig(`rig=${way}${text}`);
          expect(file.ok || file.problems[0]?.sentence.length).toBeTruthy();
        }
      }),
      { numRuns: runs(500) },
    );
  });
});

/** A little that unpacks to fifty million zeros. */
function bomb(): string {
  const packed = deflateSync(new Uint8Array(50_000_000), { level: 9 });
  const letters = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567';
  const bits = [...packed].map((b) => b.toString(2).padStart(8, '0')).join('');
  return (bits.match(/.{5}/g) ?? []).map((five) => letters[parseInt(five, 2)]).join('');
}
