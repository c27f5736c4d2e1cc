import { describe, expect, it } from 'vitest';
import { demoRig } from '../../../tests/support/demo';
import { evaluate } from '../rig/report/evaluate';

describe('native lenses', () => {
  it('a shaded corner is told from a normal one', () => {
    expect(evaluate(demoRig('lamplight')).native.sentence).toMatch(
      /^Three of four native primes of 24 to 35 mm are better/,
    );
    expect(evaluate(demoRig('mill-pond')).native.sentence).toMatch(/^Normal for native/);
  });
});
