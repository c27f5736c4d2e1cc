/**
 * Damaged input to every reader: the answer is a record that passes, or a sentence; never a throw, never a
 * figure that is none. `npm run campaign` tries very many; `npm test` some, anew each time.
 */
import { describe, expect, it } from 'vitest';
import { readLensfun } from '@/core/exchange/lensfun';
import { parseJson, readWorkspace } from '@/core/exchange/json';
import { randomOf } from '@/core/maths';
import { faultOf, LENSFUN, READERS, TRIALS, type Trial } from './readers';
import { CAMPAIGN_SEED, tries } from './size';

const TRIES = tries({ inTest: 40, inCampaign: 2000 });

/** Tries a reader on damaged input; answers each fault with the seed that repeats it. */
async function faults({ damaged }: Trial, seed: number): Promise<string[]> {
  const found: string[] = [];
  for (let i = 0; i < TRIES && found.length < 3; i += 1) {
    const fault = await damaged(randomOf(seed + i)).catch(
      (error: unknown) => `threw ${String(error)}`,
    );
    if (fault !== null) found.push(`CAMPAIGN_SEED=${seed + i}: ${fault}`);
  }
  return found;
}

describe(`damaged input, ${TRIES} tries a reader from seed ${CAMPAIGN_SEED} on`, () => {
  it.each(TRIALS.map((trial) => [trial.name, trial] as const))(
    '%s is read, or refused with a sentence',
    async (_, trial) => {
      expect(await trial.whole()).toBeNull();
      expect(await faults(trial, CAMPAIGN_SEED)).toEqual([]);
    },
  );
});

describe('what once broke a reader', () => {
  it.each([
    ['brackets', '['.repeat(20_000)],
    ['braces', '{"a":'.repeat(20_000)],
    ['40,000 empty lenses', `{"lenses":[${'{},'.repeat(39_999)}{}]}`],
  ])('%s in JSON', (_, text) => {
    for (const result of [parseJson(text, 'the file'), readWorkspace(text)])
      if (!result.ok) expect(faultOf(result)).toBeNull();
    expect(readWorkspace(text).ok).toBe(false);
  });

  it('brackets in a cell of a table, and very many empty lines', () => {
    const reader = READERS['a table of lenses']!;
    expect(reader.read(`id,name,halo\nx,y,"${'['.repeat(20_000)}"`)).toBeNull();
    expect(reader.read(`id,name\n${'\n'.repeat(200_000)}`)).toBeNull();
  });

  it.each(['200', '0.05', '1e-320', '-1', 'NaN'])('a crop factor of %s', (factor) => {
    const text = LENSFUN.replaceAll('>1.5<', `>${factor}<`);
    expect(READERS['a Lensfun database']!.read(text)).toBeNull();
    const read = readLensfun(text, 'lens.xml');
    const told = read.ok ? read.value.leftOut.map((p) => p.sentence) : [];
    expect(told).toHaveLength(2);
    expect(told[0]).toBe(
      `lens.xml: “b” has the crop factor “${factor}”; it must be a number from 0.12 to 30. It was left out.`,
    );
  });

  it('spaces and digits without end in an engraving', () => {
    for (const text of [' '.repeat(200_000), '1'.repeat(50_000), `50mm${' '.repeat(100_000)}1:1.8`])
      expect(READERS['an engraving']!.read(text)).toBeNull();
  });
});
