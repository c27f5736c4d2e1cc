import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { arbitraryOf } from '../../../../tests/support/arbitraries';
import { demoRig, turned } from '../../../../tests/support/demo';
import { tideMill } from '../../demo';
import { rigInMode } from '../../exchange/json';
import { rigFileSchema, type RigFile } from '../../kit/records';
import { evaluate } from './evaluate';
import { fitSettings, isMissing, resolveRig, type Rig } from '../../rig';
import { verdictOf } from '../judged';
import { runs } from '../../../../tests/support/seed';

function unusable(value: unknown, path = ''): string[] {
  if (typeof value === 'number') return Number.isFinite(value) ? [] : [`${path} is ${value}`];
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([key, v]) => unusable(v, `${path}/${key}`));
}

const rigOf = (file: RigFile): Rig => rigInMode(file, file.body.modes[0]!);

describe('report', () => {
  it('holds no NaN and no infinity for anything the schema admits', () => {
    fc.assert(
      fc.property(arbitraryOf(rigFileSchema), (file) => {
        const report = evaluate(rigOf(file as RigFile));
        expect(unusable(report)).toEqual([]);
      }),
      { numRuns: runs(1500) },
    );
  });

  it('agrees with the quick verdict', () => {
    for (const record of tideMill.rigs) {
      const rig = demoRig(record.id);
      expect(verdictOf(rig).kind).toBe(evaluate(rig).verdict.kind);
    }
  });

  it('finds the zoom window: clipped at the wide end, clear at the long end', () => {
    const rig = demoRig('wheel-house-wide');
    expect(evaluate(turned(rig, { focalMm: 18 })).verdict.kind).toBe('Clipped');
    expect(evaluate(turned(rig, { focalMm: 35 })).verdict.kind).toBe('Clear');
  });

  it('counts the stabiliser against the corners only while it is on', () => {
    const rig = turned(demoRig('wheel-house-wide'), { focalMm: 24 });
    const on = evaluate(turned(rig, { stabiliser: true }));
    const off = evaluate(turned(rig, { stabiliser: false }));
    expect(on.coverage.worstCornerRadiusMm - off.coverage.worstCornerRadiusMm).toBeCloseTo(1.2, 9);
  });

  it('says in words what the figures say', () => {
    expect(evaluate(demoRig('wheel-house-wide')).verdict.sentence).toMatch(
      /^All four corners go black, up to 1\.\d mm inside the frame with the stabiliser at its end\.$/,
    );
    expect(evaluate(demoRig('gears-close')).verdict.sentence).toMatch(
      /^Covered: the darkest corner/,
    );
    expect(evaluate(demoRig('walk-through')).verdict.sentence).toMatch(
      /^The halo ends well inside/,
    );
    expect(evaluate(demoRig('lamplight')).verdict.sentence).toMatch(/soft enough to lift/);
  });

  it('tells where mounts do not join', () => {
    const rig = demoRig('wheel-house-wide');
    expect(evaluate(rig).fit.joints).toEqual([]);
    const bare = evaluate({ ...rig, parts: [] });
    expect(bare.fit.joints).toHaveLength(1);
    expect(bare.fit.joints[0]?.sentence).toBe(
      'Wendmere 18–35/1.8 has SLR bayonet 44.00; Tolvane C26 takes Mirrorless bayonet 18.00.',
    );
  });
});

describe('the demo workspace', () => {
  it('shows every verdict', () => {
    const kinds = new Set(tideMill.rigs.map((r) => verdictOf(demoRig(r.id)).kind));
    expect([...kinds].sort()).toEqual(['Clear', 'Clipped', 'Keyhole', 'Shaded']);
  });

  it('shows what does not go together beside what does, and is as large as promised', () => {
    const problems = tideMill.rigs.flatMap(({ id }) => {
      const { fitProblem } = evaluate(demoRig(id));
      return fitProblem ? [[id, fitProblem.words]] : [];
    });
    expect(problems.toSorted()).toEqual([
      ['archive-table', 'Glass strikes'],
      ['eel-traps', 'Does not join'],
      ['loft-window', 'No infinity'],
    ]);
    // 28.74 on 28.50: f + f²/δ = 35 + 35²/0.24 mm from the lens, and the sensor 35.24 mm behind it.
    expect(evaluate(demoRig('loft-window')).fit.register.farthestFocusM).toBeCloseTo(5.174, 3);
    expect(tideMill.bodies.length).toBeGreaterThanOrEqual(4);
    expect(tideMill.lenses.length).toBeGreaterThanOrEqual(14);
    expect(tideMill.parts.length).toBeGreaterThanOrEqual(10);
  });
});

describe('resolving a rig', () => {
  const record = tideMill.rigs[0]!;

  it('names the record that is missing', () => {
    const found = resolveRig({ ...tideMill, lenses: [] }, record);
    expect(isMissing(found) && found).toEqual({ missing: 'lens', id: record.lensId });
  });

  it('holds settings within what lens and mode can do', () => {
    const { body, lens, mode, settings } = demoRig('wheel-house-wide');
    const wild = {
      ...settings,
      focalMm: 500,
      fNumber: 0.7,
      focusM: 0.01,
      digitalZoom: 7,
      cropId: 'x',
    };
    expect(fitSettings(wild, { body, lens, mode, parts: [] })).toMatchObject({
      focalMm: 35,
      fNumber: 1.8,
      focusM: 0.28,
      digitalZoom: 1,
      cropId: null,
    });
    expect(fitSettings(settings, { body, lens, mode, parts: [] })).toBe(settings);
  });
});
