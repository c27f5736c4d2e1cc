import { describe, expect, it } from 'vitest';
import { srgbEncoded } from '../../bench-camera';
import { readCurve, srgbLight, toneFromPair, toneTable, type Tone } from './tone';

const lightOf = (tone: Tone, value: number) =>
  toneTable(tone, 16)[Math.round(value * 65_535)] ?? Number.NaN;

describe('tone response', () => {
  it('sRGB is the standard’s: IEC 61966-2-1, from memory', () => {
    expect(srgbLight(0.5)).toBeCloseTo(0.21404, 5);
    expect(srgbLight(0.04045)).toBeCloseTo(0.0031308, 6);
    for (const light of [0, 0.001, 0.2, 0.7, 1])
      expect(srgbLight(srgbEncoded(light))).toBeCloseTo(light, 6);
  });

  it('a table holds a light for every value', () => {
    expect(toneTable({ kind: 'srgb' }, 8)).toHaveLength(256);
    expect(toneTable({ kind: 'linear' }, 16)[32_768]).toBeCloseTo(0.50001, 4);
  });
});

describe('a pasted curve', () => {
  const log = Array.from({ length: 40 }, (_, i) => {
    const light = i / 39;
    return `${Math.round(1023 * (Math.log2(1 + 60 * light) / Math.log2(61)))} ${light.toFixed(6)}`;
  }).join('\n');

  it('of a logarithmic recording is read, and undoes it', () => {
    const read = readCurve(log);
    if (!read.ok) throw new Error(read.problems[0]?.sentence);
    for (const light of [0.1, 0.3, 0.6, 0.9])
      expect(lightOf(read.value, Math.log2(1 + 60 * light) / Math.log2(61))).toBeCloseTo(light, 2);
  });

  it.each([
    ['1 2 3\n4 5 6', /two numbers/],
    ['0 0\n1 1', /at least four lines/],
    ['0 0\n0.3 0.5\n0.6 0.4\n1 1', /must rise/],
    ['a b', /two numbers/],
  ])('%j is refused with a sentence', (text, sentence) => {
    const read = readCurve(text);
    expect(read.ok ? '' : read.problems[0]?.sentence).toMatch(sentence);
  });
});

describe('two frames one step apart', () => {
  const pairsUnder = (encode: (light: number) => number, step: number) =>
    Array.from({ length: 3000 }, (_, i) => {
      const light = 0.004 * 2 ** ((i / 3000) * 7);
      return { short: encode(light), long: encode(Math.min(1, light * 2 ** step)) };
    });

  it.each([
    ['sRGB', srgbEncoded],
    ['a plain power', (l: number) => l ** 0.6],
    ['linear', (l: number) => l],
  ])('give back %s to a tenth of a stop over five stops', (_, encode) => {
    const tone = toneFromPair(pairsUnder(encode, 1), 1);
    if (!tone.ok) throw new Error(tone.problems[0]?.sentence);
    const reference = lightOf(tone.value, encode(0.5));
    for (const light of [0.016, 0.03, 0.06, 0.12, 0.25]) {
      const stops = Math.log2(reference / lightOf(tone.value, encode(light)));
      expect(Math.abs(stops - Math.log2(0.5 / light))).toBeLessThan(0.1);
    }
  });

  it('that are alike, or have nothing in common, are refused', () => {
    expect(toneFromPair(pairsUnder(srgbEncoded, 0.1), 0.1).ok).toBe(false);
    expect(toneFromPair([], 1).ok).toBe(false);
  });
});
