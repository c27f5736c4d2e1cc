import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { arbitraryOf } from '../../../../tests/support/arbitraries';
import {
  bodyExample,
  DEFINITIONS,
  isWhole,
  lensExample,
  TABLE_NAMES,
  workspaceExample,
  workspaceSchema,
} from '../records';

describe('a stored record', () => {
  it('is whole as every schema’s example is, and any the schema admits', () => {
    expect(isWhole(workspaceSchema, workspaceExample)).toBe(true);
    for (const table of TABLE_NAMES)
      fc.assert(
        fc.property(arbitraryOf(DEFINITIONS[table]), (record) =>
          isWhole(DEFINITIONS[table], record),
        ),
        { numRuns: 20 },
      );
  });

  const { bodies, lenses } = DEFINITIONS;
  it.each([
    ['a body whose modes are no list', bodies, { ...bodyExample, modes: 'all of them' }],
    ['a body with a mode that is none', bodies, { ...bodyExample, modes: [null] }],
    ['a lens without a mount', lenses, { ...lensExample, mountId: undefined }],
    ['a lens with text for a length', lenses, { ...lensExample, focalMinMm: '50' }],
    ['a figure that is none', lenses, { ...lensExample, focalMinMm: Number.NaN }],
    ['a word that is not on the list', lenses, { ...lensExample, resolutionClass: 'splendid' }],
    ['a list in place of a record', lenses, [lensExample]],
    ['nothing', lenses, null],
  ] as const)('%s is damaged', (_, schema, record) => {
    expect(isWhole(schema, record)).toBe(false);
  });

  it('with figures out of range, unknown fields, or fields left undefined stays usable', () => {
    const odd = { ...lensExample, focalMinMm: -5, fromTheFuture: {}, price: undefined };
    expect(isWhole(lenses, odd)).toBe(true);
  });
});
