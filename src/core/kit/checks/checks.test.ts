import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { generatedFiles } from '../../../../scripts/generatedFiles';
import { arbitraryOf } from '../../../../tests/support/arbitraries';
import {
  bodyExample,
  lensExample,
  lensSchema,
  openFNumberAt,
  transmissionOf,
  RECORDS_VERSION,
  partExample,
  rigFileExample,
  EMPTY_WORKSPACE,
  WORKSPACE_FORMAT,
  workspaceExample,
} from '../records';
import { migrated, type FileFormat } from '../../kit';
import { problemText } from '../../words';
import { checkRecord, checkRigFile, checkWorkspace } from './validate';

const sentences = (
  result: ReturnType<typeof checkWorkspace> | ReturnType<typeof checkRecord>,
): string[] => (result.ok ? [] : result.problems.map((p) => p.sentence));

describe('records', () => {
  it('pass their own examples', () => {
    expect(sentences(checkWorkspace(workspaceExample))).toEqual([]);
    expect(checkRigFile(rigFileExample).ok).toBe(true);
  });

  it('fill in what a short record leaves out', () => {
    const { id, name, mountId, focalMinMm, focalMaxMm, openFNumberWide, openFNumberLong } =
      lensExample;
    const short = {
      ...{ id, name, mountId, focalMinMm, focalMaxMm, openFNumberWide, openFNumberLong },
      ...{ closedFNumber: 16, closestFocusM: 0.3, designFormat: { widthMm: 36, heightMm: 24 } },
    };
    const result = checkRecord('lenses', short);
    expect(result.ok && result.value).toMatchObject({
      squeeze: 1,
      tStop: null,
      halo: [],
      electronics: { focus: false, aperture: false, metadata: false, stabiliser: false },
    });
  });

  it('have their texts cleaned, those they do not know too; a name in which nothing is seen is none', () => {
    const dirty = { ...lensExample, name: 'Fifty\u0000\u202e', hood: { of: '\ud800tin' } };
    const result = checkRecord('lenses', dirty);
    expect(result.ok && result.value).toMatchObject({ name: 'Fifty', hood: { of: 'tin' } });
    expect(sentences(checkRecord('lenses', { ...lensExample, name: '\u2060\u3164' }))).toEqual([
      'name: must be text of 1 to 200 characters; it is "".',
    ]);
    const wide = { ...lensExample, name: 'Fif\u202ety', openFNumberWide: 0 };
    expect(sentences(checkWorkspace({ ...workspaceExample, lenses: [wide] }))[0]).toMatch(
      /^lens 1 \(Fifty\), openFNumberWide: must be/,
    );
    const overlong = { ...lensExample, name: 'Fif\u202ety', halo: new Array(5000).fill({}) };
    expect(sentences(checkWorkspace({ ...workspaceExample, lenses: [overlong] }))[0]).toMatch(
      /^lens 1 \(Fifty\), halo: must be/,
    );
  });

  it('keep fields they do not know, and leave what they were given alone', () => {
    const given = { ...lensExample, fromTheFuture: { hood: 'square' } };
    const before = structuredClone(given);
    const result = checkRecord('lenses', given);
    expect(result.ok && result.value).toMatchObject({ fromTheFuture: { hood: 'square' } });
    expect(given).toEqual(before);
  });

  it('admit whatever their schema can produce, but for contradictions', () => {
    fc.assert(
      fc.property(arbitraryOf(lensSchema), (lens) => {
        const result = checkRecord('lenses', lens);
        if (!result.ok) expect(result.problems.every((p) => p.code === 'implausible')).toBe(true);
      }),
    );
  });
});

describe('impossible optics are refused with the allowed range', () => {
  const refusals: readonly [string, 'lenses' | 'parts' | 'mounts', object, RegExp][] = [
    [
      'f/0',
      'lenses',
      { ...lensExample, openFNumberWide: 0 },
      /openFNumberWide: must be a number from 0.5 to 128; it is 0\./,
    ],
    [
      'a negative register',
      'mounts',
      { id: 'm', name: 'm', registerMm: -3 },
      /registerMm: must be a number from 1 to 300; it is -3\./,
    ],
    [
      'a converter of 0x',
      'parts',
      { ...partExample, factor: 0 },
      /factor: must be a number from 0.2 to 5; it is 0\./,
    ],
    [
      '1e308',
      'lenses',
      { ...lensExample, focalMaxMm: 1e308 },
      /focalMaxMm: must be a number from 1 to 5000/,
    ],
    [
      'infinity',
      'lenses',
      { ...lensExample, focalMaxMm: Infinity },
      /focalMaxMm: must be a number from 1 to 5000/,
    ],
    [
      'NaN',
      'lenses',
      { ...lensExample, focalMaxMm: NaN },
      /focalMaxMm: must be a number from 1 to 5000/,
    ],
    [
      'a 0 mm halo',
      'lenses',
      {
        ...lensExample,
        halo: [{ ...lensExample.halo[0], front: { edgeRadiusMm: 0, softnessMm: 1 } }],
      },
      /edgeRadiusMm: must be a number from 0.5 to 400; it is 0/,
    ],
    [
      'a long end shorter than the wide end',
      'lenses',
      { ...lensExample, focalMaxMm: 10 },
      /the long end, 10 mm, is shorter than the wide end, 18 mm/,
    ],
    [
      'a T-stop brighter than the f-number',
      'lenses',
      { ...lensExample, tStop: 1.2 },
      /glass only takes light/,
    ],
    [
      'focus nearer than the focal length',
      'lenses',
      { ...lensExample, closestFocusM: 0.01 },
      /nearer than the focal length/,
    ],
    [
      'a smallest aperture wider than the widest',
      'lenses',
      { ...lensExample, closedFNumber: 1.4 },
      /wider than the widest/,
    ],
    [
      'a plain adapter with a factor',
      'parts',
      { ...partExample, kind: 'plain adapter' },
      /factor exactly 1; it is 0.71/,
    ],
    ['a reducer that enlarges', 'parts', { ...partExample, factor: 1.4 }, /factor below 1/],
    [
      'a name of the wrong type',
      'lenses',
      { ...lensExample, name: 7 },
      /name: must be text of 1 to 200 characters; it is 7\./,
    ],
    [
      'a character nobody knows',
      'lenses',
      { ...lensExample, character: 'soft' },
      /one of general, macro, cine, anamorphic; it is "soft"/,
    ],
  ];

  it.each(refusals)('%s', (_, table, record, sentence) => {
    const result = checkRecord(table, record);
    expect(sentences(result).join('\n')).toMatch(sentence);
  });

  it('and the place is named in a workspace', () => {
    const bad = {
      ...workspaceExample,
      lenses: [lensExample, { ...lensExample, id: 'b', openFNumberWide: 0 }],
    };
    expect(sentences(checkWorkspace(bad))).toContain(
      'lens 2 (18–35/1.8), openFNumberWide: must be a number from 0.5 to 128; it is 0.',
    );
  });

  it('and a missing field is named with what it takes', () => {
    const { registerMm: _, ...mount } = workspaceExample.mounts[0]!;
    expect(sentences(checkWorkspace({ ...workspaceExample, mounts: [mount] }))).toEqual([
      'mount 1 (SLR bayonet 44.00), registerMm: is missing; it takes a number from 1 to 300.',
    ]);
  });

  it('and ids that stand twice are named', () => {
    const twice = { ...workspaceExample, bodies: [bodyExample, bodyExample] };
    expect(sentences(checkWorkspace(twice)).join()).toMatch(/two bodies have the id "c26"/);
  });

  it('and a rig file whose mode is not there says which there are', () => {
    const result = checkRigFile({ ...rigFileExample, modeId: '9k' });
    expect(!result.ok && problemText(result.problems)).toBe(
      'modeId: the body has no mode "9k"; it has 6k.',
    );
  });
});

describe('problem text', () => {
  it('shows the first few and counts the rest', () => {
    const many = Array.from({ length: 8 }, (_, i) => ({
      code: 'x',
      path: '',
      sentence: `no. ${i}`,
    }));
    expect(problemText(many, 2)).toBe('no. 0\nno. 1\nand 6 more.');
  });
});

describe('lens facts', () => {
  it('give the open f-number of a variable zoom between its ends', () => {
    const zoom = {
      ...lensExample,
      openFNumberWide: 3.5,
      openFNumberLong: 5.6,
      focalMinMm: 16,
      focalMaxMm: 64,
    };
    expect(openFNumberAt(zoom, 16)).toBeCloseTo(3.5, 9);
    expect(openFNumberAt(zoom, 64)).toBeCloseTo(5.6, 9);
    expect(openFNumberAt(zoom, 32)).toBeCloseTo(Math.sqrt(3.5 * 5.6), 9);
  });

  it('read the transmission from the T-stop', () => {
    expect(transmissionOf(lensExample)).toBeCloseTo(0.81, 9);
    expect(transmissionOf({ ...lensExample, tStop: null })).toBeNull();
  });
});

describe('files of another version', () => {
  const FILE: FileFormat = {
    format: WORKSPACE_FORMAT,
    word: 'workspace',
    places: { lenses: 'lenses', judgement: 'judgement' },
  };

  it('of today are left as they are, with what is not known of them', () => {
    const file = { format: WORKSPACE_FORMAT, version: RECORDS_VERSION, lenses: [1], future: 2 };
    expect(migrated(file, FILE)).toEqual({ ok: true, value: file });
  });

  it.each([
    [
      { format: WORKSPACE_FORMAT, version: RECORDS_VERSION + 1 },
      `version ${RECORDS_VERSION + 1}, made by a newer program; this one reads up to ${RECORDS_VERSION}`,
    ],
    [
      { format: WORKSPACE_FORMAT, version: 0 },
      `must be a whole number from 1 to ${RECORDS_VERSION}`,
    ],
    [{ format: WORKSPACE_FORMAT, version: 1.5 }, 'must be a whole number'],
    [{ format: WORKSPACE_FORMAT }, 'must be a whole number'],
    [{ format: 'something', version: 1 }, 'this is not a workspace file'],
    [[], 'no JSON object'],
    [null, 'no JSON object'],
  ])('refuses %j', (data, sentence) => {
    const result = migrated(data, FILE);
    expect(!result.ok && problemText(result.problems)).toContain(sentence);
  });
});

describe('generated files', () => {
  it('are fresh: run npm run generate after changing a schema or the demo', () => {
    for (const [path, content] of Object.entries(generatedFiles())) {
      expect(readFileSync(path, 'utf8') === content, path).toBe(true);
    }
  });

  it('hold an empty workspace as valid', () => {
    expect(
      checkWorkspace({ ...EMPTY_WORKSPACE, format: WORKSPACE_FORMAT, version: RECORDS_VERSION }).ok,
    ).toBe(true);
  });
});
