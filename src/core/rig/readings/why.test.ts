import { describe, expect, it } from 'vitest';
import { demoRig, turned } from '../../../../tests/support/demo';
import { tideMill } from '../../demo';
import { evaluate } from '../report';
import { evidenceSentence, explain, READINGS } from './why';

describe('every reading can be asked why', () => {
  it('and answers with a formula, inputs and evidence, for every demo rig', () => {
    for (const { id } of tideMill.rigs) {
      const rig = demoRig(id);
      const report = evaluate(rig);
      for (const reading of READINGS) {
        const why = explain(reading, rig, report);
        expect(why.formula.length).toBeGreaterThan(8);
        expect(why.inputs.length).toBeGreaterThan(1);
        expect(why.evidence).toMatch(/\.$/);
        expect(JSON.stringify(why)).not.toMatch(/NaN|Infinity|undefined/);
      }
    }
  });

  it('names measured, published and estimated evidence', () => {
    expect(evidenceSentence(evaluate(demoRig('wheel-house-wide')))).toMatch(
      /^Measured on 2026-05-12 from \d+ frames; the edge is known to ± 0\.\d\d mm/,
    );
    expect(evidenceSentence(evaluate(demoRig('mill-pond')))).toMatch(/^From a published figure/);
    expect(evidenceSentence(evaluate(demoRig('archive-table')))).toMatch(
      /^An estimate; .* No halo sample/,
    );
  });

  it('says when custom and arithmetic disagree, and when a crop was never measured', () => {
    const expanded = demoRig('sluice-tower-expanded');
    expect(explain('light', expanded, evaluate(expanded)).evidence).toMatch(/differ here/);
    const walking = turned(demoRig('walk-through'), { cropId: 'gait' });
    expect(explain('frame', walking, evaluate(walking)).evidence).toMatch(
      /nominal 1.3; nobody has measured it/,
    );
    const active = turned(walking, { cropId: 'active' });
    expect(explain('frame', active, evaluate(active)).evidence).toMatch(
      /measured 1.13; the nominal one is 1.1/,
    );
  });
});
