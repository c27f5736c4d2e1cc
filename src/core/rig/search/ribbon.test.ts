import { evaluate } from '../report';
import { verdictWords } from '../../frame';
import { describe, expect, it } from 'vitest';
import { demoRig, turned } from '../../../../tests/support/demo';
import { verdictOf } from '../judged';
import { ribbon } from './ribbon';

describe('verdict ribbon', () => {
  const rig = demoRig('wheel-house-wide');
  const at = (place: number) => turned(rig, { focalMm: 18 * (35 / 18) ** place });
  const stretches = ribbon(at);

  it('covers the ring without gap or overlap', () => {
    expect(stretches[0]?.from).toBe(0);
    expect(stretches.at(-1)?.to).toBe(1);
    stretches.slice(1).forEach((s, i) => expect(s.from).toBe(stretches[i]!.to));
  });

  it('says at every place what the verdict is there', () => {
    for (const s of stretches) {
      expect(verdictWords(verdictOf(at((s.from + s.to) / 2)))).toBe(verdictWords(s));
    }
  });

  it('shows the zoom window: clipped at the wide end, clear from there on', () => {
    expect(stretches[0]?.kind).toBe('Clipped');
    expect(stretches.at(-1)?.kind).toBe('Clear');
  });

  it('between two verdicts runs a stretch that is a coin’s toss', () => {
    const risks = stretches
      .filter((s) => s.or !== null)
      .map((s) => evaluate(at((s.from + s.to) / 2)).verdict.risk);
    expect(risks.length).toBeGreaterThan(0);
    // Before the last stretch, the one that is Clear for sure, Clear is as likely as not.
    expect(stretches.at(-2)?.or).not.toBeNull();
    expect(risks.at(-1)).toBeGreaterThan(0.25);
    expect(risks.at(-1)).toBeLessThan(0.75);
  });

  it('is one stretch where nothing changes', () => {
    expect(ribbon(() => demoRig('gears-close'))).toEqual([
      { from: 0, to: 1, kind: 'Clear', or: null },
    ]);
  });
});
