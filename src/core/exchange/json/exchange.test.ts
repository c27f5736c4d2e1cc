import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { arbitraryOf } from '../../../../tests/support/arbitraries';
import { demoRig } from '../../../../tests/support/demo';
import { tideMill } from '../../demo';
import { problemText, type Result } from '../../words';
import { mountSchema, EMPTY_WORKSPACE, type Workspace } from '../../kit/records';
import { evaluate } from '../../rig/report';
import { checkSize, MOST_JSON_BYTES, parseJson } from './json';
import { rigOfFile, rigOfWorkspace } from './rigJson';
import { rigFileOf } from '@/core/exchange/json/rigJson';
import { readWorkspace, writeWorkspace } from './workspaceJson';

const words = (result: Result<unknown>): string => (result.ok ? '' : problemText(result.problems));

describe('JSON', () => {
  it.each([
    ['', 'kit.json is empty.'],
    ['   \n', 'kit.json is empty.'],
    ['{"a": 1', /^kit.json is not JSON: it breaks at line 1, column 8\. It seems cut short\.$/],
    ['{\n "a": tru }', /^kit.json is not JSON: it breaks at line 2, column \d+\./],
    ['{"__proto__": {"admin": true}}', /key "__proto__"/],
    ['{"a": [{"__proto__": 1}]}', /key "__proto__"/],
    ['{"name": "cut in the mid', /breaks at line 1, column 10\. It seems cut short\.$/],
    ['{"a": 1}}', /^kit.json is not JSON: it breaks at line 1, column 9/],
    ['\u0000\u0001PNG', /is not JSON/],
  ])('%j is refused with its place', (text, sentence) => {
    expect(words(parseJson(text, 'kit.json'))).toMatch(sentence);
  });

  it('is refused by size before it is read', () => {
    expect(words(checkSize(200 * 1024 * 1024, 'kit.json'))).toBe(
      'kit.json is 200 MB; at most 64 MB can be read.',
    );
    expect(words(checkSize(0, 'kit.json'))).toBe('kit.json is empty.');
    expect(checkSize(MOST_JSON_BYTES, 'kit.json').ok).toBe(true);
  });
});

describe('made to be slow or deep', () => {
  it.each([
    ['lists', '['.repeat(20_000) + ']'.repeat(20_000)],
    ['objects', '{"a":'.repeat(20_000) + '1' + '}'.repeat(20_000)],
    ['lists that never end', '['.repeat(200_000)],
  ])('%s thousands deep are refused before any parser goes down them', (_, text) => {
    expect(words(parseJson(text, 'kit.json'))).toBe(
      'kit.json is nested more than 64 deep, which no file of ours is.',
    );
  });

  it('brackets in text are no depth, quotes in it no end of it', () => {
    const deepText = JSON.stringify({ note: `${'['.repeat(500)}\\"${'{'.repeat(500)}` });
    expect(parseJson(deepText, 'kit.json').ok).toBe(true);
    const sixty = '['.repeat(60) + ']'.repeat(60);
    expect(parseJson(sixty, 'kit.json').ok).toBe(true);
  });

  it('20,000 empty parts in one rig are one sentence, not 200,000', () => {
    const parts = Array.from({ length: 20_000 }, () => ({}));
    const read = rigOfFile({ ...rigFileOf(demoRig('mill-pond')), parts });
    expect(read.ok ? [] : read.problems).toHaveLength(1);
    expect(words(read)).toMatch(
      /^parts: must be a list of at most 8 entries; it is a list of 20000/,
    );
  });

  it('thousands of empty lenses are told by the first hundred faults and the count of the rest', () => {
    const lenses = Array.from({ length: 2000 }, () => ({}));
    const file = JSON.parse(writeWorkspace(EMPTY_WORKSPACE)) as object;
    const read = readWorkspace(JSON.stringify({ ...file, lenses }), 'kit.json');
    const problems = read.ok ? [] : read.problems;
    expect(problems).toHaveLength(101);
    expect(problems.at(-1)?.sentence).toMatch(/there are \d{4,} more like these\.$/);
  });
});

describe('workspace file', () => {
  it('comes back as it went out', () => {
    const back = readWorkspace(writeWorkspace(tideMill));
    expect(back.ok && { ...back.value, format: undefined, version: undefined }).toEqual({
      ...tideMill,
      format: undefined,
      version: undefined,
    });
  });

  it('keeps unknown fields at every depth', () => {
    const odd = {
      ...tideMill,
      palette: 'sepia',
      lenses: [{ ...tideMill.lenses[0]!, hood: { shape: 'square' } }],
    } as unknown as Workspace;
    const back = readWorkspace(writeWorkspace(odd));
    expect(back.ok && back.value).toMatchObject({
      palette: 'sepia',
      lenses: [{ hood: { shape: 'square' } }],
    });
  });

  it('comes back for any names and numbers, markup included', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(arbitraryOf(mountSchema), {
          selector: (m) => (m as { id: string }).id,
          maxLength: 5,
        }),
        (mounts) => {
          const workspace = {
            ...EMPTY_WORKSPACE,
            mounts: JSON.parse(JSON.stringify(mounts)) as Workspace['mounts'],
          };
          const back = readWorkspace(writeWorkspace(workspace));
          expect(back.ok && back.value.mounts).toEqual(workspace.mounts);
        },
      ),
    );
  });

  it('names file and place where something is wrong', () => {
    const text = writeWorkspace(tideMill).replace('"registerMm": 44,', '"registerMm": -44,');
    expect(words(readWorkspace(text, 'kit.json'))).toBe(
      'kit.json, mount 6 (SLR bayonet 44.00), registerMm: must be a number from 1 to 300; it is -44.',
    );
  });

  it('refuses numbers too large for arithmetic', () => {
    const text = writeWorkspace(tideMill).replace('"registerMm": 44,', '"registerMm": 1e999,');
    expect(words(readWorkspace(text, 'kit.json'))).toMatch(/must be a number from 1 to 300/);
  });

  it('refuses another file', () => {
    expect(words(readWorkspace('{"hello": 1}', 'x.json'))).toMatch(
      /^x.json, this is not a workspace file/,
    );
    expect(words(readWorkspace('[1,2]', 'x.json'))).toMatch(/holds no JSON object/);
  });
});

describe('rig file', () => {
  it('gives the same report as the rig it was made from', () => {
    const rig = demoRig('waders-at-dawn');
    const back = rigOfFile(JSON.parse(JSON.stringify(rigFileOf(rig))));
    expect(back.ok && evaluate(back.value)).toEqual(evaluate(rig));
  });

  it('is found in a workspace by its id, and a missing one is named', () => {
    const file = readWorkspace(writeWorkspace(tideMill));
    if (!file.ok) throw new Error('demo does not read');
    const found = rigOfWorkspace(file.value, 'mill-pond');
    expect(found.ok && found.value.lens.id).toBe('b80m');
    expect(words(rigOfWorkspace(file.value, 'nowhere'))).toMatch(
      /no rig "nowhere"; it has wheel-house-wide/,
    );
    expect(words(rigOfWorkspace({ ...file.value, lenses: [] }, 'mill-pond'))).toMatch(
      /the lens "b80m" is not in the workspace/,
    );
  });

  it('is refused with the place', () => {
    const file = rigFileOf(demoRig('mill-pond'));
    expect(words(rigOfFile({ ...file, settings: { ...file.settings, fNumber: 0 } }))).toBe(
      'settings, fNumber: must be a number from 0.5 to 128; it is 0.',
    );
    expect(words(rigOfFile('hello'))).toMatch(/not a rig file/);
  });
});
