import { verdictWords } from '../../frame';
import { describe, expect, it } from 'vitest';
import { tideMill } from '../../demo';
import { quickLens } from '../../kit';
import { bargainCheck, beforeBuying } from './bargain';

const small = quickLens(
  {
    name: '28–80/3.5–5.6',
    maker: '',
    mountId: 'slr-44',
    focalMinMm: 28,
    focalMaxMm: 80,
    openFNumberWide: 3.5,
    openFNumberLong: 5.6,
    designFormat: { widthMm: 23.5, heightMm: 15.6 },
  },
  'seen',
);
const rows = bargainCheck(small, tideMill);
const on = (bodyId: string, modeId: string, from = rows) =>
  from.find((r) => r.body.id === bodyId && r.mode.id === modeId)!;

describe('a lens seen for sale', () => {
  it('is held against every body and mode', () => {
    expect(rows).toHaveLength(tideMill.bodies.reduce((n, b) => n + b.modes.length, 0));
  });

  // Common practice, no source: a small-format zoom covers small sensors and shows a keyhole on 36x24.
  it('made for the small format covers there and not on 36x24', () => {
    expect(on('c26', '4k')).toMatchObject({ verdict: { kind: 'Clear', or: null } });
    expect(verdictWords(on('h24', 'stills').verdict)).toBe('Clipped or Keyhole');
    expect(on('h24', 'stills').clearFromMm).toBeNull();
    expect(on('h24', 'stills').cleanMegapixels).toBeLessThan(24 / 1.8);
    expect(on('h24', 'stills').risk).toBeGreaterThan(0.95);
  });

  it('says what it needs to mount', () => {
    expect(on('h24', 'stills').needs).toBe(
      'Ninefold plain 44.00 to 18.00; the lens’s rear glass was never measured: measure before mounting',
    );
    const thread = bargainCheck({ ...small, mountId: 't-55' }, tideMill);
    expect(on('h24', 'stills', thread)).toMatchObject({
      parts: null,
      needs: 'a plain adapter 37.00 mm thick, to be bought',
    });
    const short = bargainCheck({ ...small, mountId: 's-17.526' }, tideMill);
    expect(on('l45', 'open-gate', short).needs).toMatch(/^cannot be adapted without glass/);
    expect(on('l45', 'open-gate', short).cannotGoOn).toBe(true);
    // What cannot go on stands last, however well it would cover; what takes an adapter to be bought does not.
    const places = short.map((r) => r.cannotGoOn);
    expect(places).toEqual(places.toSorted((a, b) => Number(a) - Number(b)));
    expect(thread.some((r) => r.cannotGoOn)).toBe(false);
    // Glass that would strike keeps it off as surely.
    const deep = bargainCheck({ ...small, mountId: 'mf-63.3', rearProtrusionMm: 90 }, tideMill);
    expect(on('h24', 'stills', deep).cannotGoOn).toBe(true);
  });

  it('says what to look at before buying, glass first', () => {
    const ask = beforeBuying(small, rows);
    expect(ask[0]).toMatch(/haze, fungus, scratches/);
    expect(ask.join(' ')).not.toMatch(/radioactive/);
    const said = (lens: typeof small, of: typeof rows) => beforeBuying(lens, of).join(' ');
    const [row] = rows;
    const straight = { ...row!, parts: [], adapterToBuy: false };
    const toBuy = { ...row!, parts: null, adapterToBuy: true };
    const impossible = { ...row!, parts: null, adapterToBuy: false };
    const unknown = { ...row!, parts: null, adapterToBuy: null };
    const reduced = { ...row!, parts: [tideMill.parts.find((p) => p.factor < 1)!] };
    // What has to be bought counts into the price, be it for one body of several; what cannot be does not.
    for (const [of, counts] of [
      [[straight], false],
      [[straight, toBuy], true],
      [[impossible], false],
      [[straight, unknown], true],
    ] as const)
      expect(/Count the adapter/.test(said(small, [...of]))).toBe(counts);
    expect(said(small, [straight])).not.toMatch(/on the reducer slowly/);
    expect(said(small, [straight, reduced])).toMatch(/on the reducer slowly/);
    expect(said({ ...small, openFNumberWide: 2 }, rows)).toMatch(/radioactive/);
    const driven = { ...small.electronics, focus: true };
    expect(said({ ...small, openFNumberWide: 2, electronics: driven }, rows)).not.toMatch(
      /radioactive/,
    );
    const fast = { ...small, openFNumberWide: 1.4, openFNumberLong: 1.4 };
    expect(beforeBuying(fast, rows).join(' ')).toMatch(/mildly radioactive/);
  });
});
