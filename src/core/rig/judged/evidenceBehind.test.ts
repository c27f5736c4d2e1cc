/** How sure a halo is behind a converter, by how its own rim is known. */
import { demoRig } from '../../../../tests/support/demo';
import { describe, expect, it } from 'vitest';
import { partOf, plainLens, plainRig } from '../../../../tests/support/plainRig';
import type { Part } from '../../kit/records';
import { type Rig, situationOf } from '../../rig';
import { evidenceBehind } from './evidenceBehind';
import { evaluate } from '../report';

/** A reducer whose rim is narrower than the lens's halo of 30 x 0.71 mm. */
const behind = (more: Partial<Part>) =>
  evidenceBehind(
    situationOf(
      plainRig({ parts: [partOf('focal reducer', { factor: 0.71, thicknessMm: 21, ...more })] }),
    ),
  );
const rim = (edgeRadiusMm: number, exitPupilMm: number | null) => ({
  ownRim: { edgeRadiusMm, softnessMm: 0, fNumber: 1.42, exitPupilMm },
});
/** The bare lens's own uncertainty as it falls behind the glass; its edge, 1.42 times as wide as the rim, takes no part. */
const LENS_MM = 0;
const WHOLE_LENS_MM = 0.1 * 0.71;

// Common practice, no source: a 1.4x is made for long lenses, and cuts none of their corners that were clear before.
describe('a teleconverter nobody measured, behind a long lens', () => {
  const waders = demoRig('waders-at-dawn');
  const [tele, plain] = waders.parts;
  it.each(['strict', 'grade it out', 'as a look'] as const)(
    'makes an estimated lens no riskier where its corners grow lighter: %s',
    (school) => {
      const bare: Rig = {
        ...waders,
        lens: { ...waders.lens, halo: [] },
        judgement: { ...waders.judgement, school },
        parts: [plain!],
      };
      const [without, withIt] = [
        bare,
        { ...bare, parts: [{ ...tele!, ownRim: null }, plain!] },
      ].map((rig) => evaluate(rig).verdict);
      expect(withIt!.worstCornerStops).toBeLessThan(without!.worstCornerStops!);
      expect(withIt!.risk).toBeLessThanOrEqual(without!.risk);
    },
  );
});

describe('a converter’s own rim', () => {
  it('that was measured adds 2 % of its radius to the lens’s own doubt, as squares', () => {
    const { edgeSigmaMm, doubts, unlikeShare } = behind(rim(15, 90));
    expect(edgeSigmaMm).toBeCloseTo(Math.hypot(LENS_MM, 0.02 * 15), 3);
    expect(doubts).toEqual([]);
    expect(unlikeShare).toBe(0);
  });

  it('seen with a lens whose pupil is not known adds 6 %, and says so', () => {
    const { edgeSigmaMm, doubts } = behind(rim(15, null));
    expect(edgeSigmaMm).toBeCloseTo(Math.hypot(LENS_MM, 0.06 * 15), 3);
    expect(doubts.join()).toMatch(/exit pupil is not known/);
  });

  it('taken from the format it was made for adds 10 %, says so, and is never quite sure', () => {
    // 1.12 of half the diagonal of 23.5 x 15.6: 15.80 mm.
    const { edgeSigmaMm, doubts, unlikeShare } = behind({
      designFormat: { widthMm: 23.5, heightMm: 15.6 },
    });
    expect(edgeSigmaMm).toBeCloseTo(Math.hypot(LENS_MM, 0.1 * 15.796), 2);
    expect(doubts.join()).toMatch(/never measured/);
    expect(unlikeShare).toBe(0.01);
  });

  it('taken from a throat is as unsure as where its glass stands, unless its thickness was told', () => {
    const throat = (estimated: string[]) => {
      const rig = plainRig({
        parts: [partOf('focal reducer', { factor: 0.71, thicknessMm: 21, estimated })],
      });
      const mounts = new Map(
        [...rig.mounts].map(([id, mount]) => [id, { ...mount, throatMm: 46.1 }]),
      );
      const situation = situationOf({ ...rig, mounts });
      return { sigma: evidenceBehind(situation).edgeSigmaMm, pupil: situation.halo.exitPupilMm! };
    };
    const { sigma, pupil } = throat(['thicknessMm']);
    // The hole stands 18 mm from the sensor: R = h/(1 - 18/L), and h where the pupil is far away.
    const far = 0.42 * 46.1;
    const edge = far / (1 - 18 / pupil);
    expect(throat([]).sigma).toBeCloseTo(Math.hypot(LENS_MM, 0.1 * edge), 2);
    expect(sigma).toBeCloseTo(Math.hypot(LENS_MM, 0.1 * edge, edge - far), 2);
  });

  it('with a tube behind it is as unsure as the exit pupil it throws outward', () => {
    const sigma = (parts: readonly ReturnType<typeof partOf>[]) =>
      evidenceBehind(
        situationOf(
          plainRig({ lens: { halo: [{ ...plainLens().halo[0]!, exitPupilMm: 50 }] }, parts }),
        ),
      ).edgeSigmaMm;
    const rim = { edgeRadiusMm: 200, softnessMm: 4, fNumber: 4, exitPupilMm: null };
    const reducer = partOf('focal reducer', { factor: 0.71, thicknessMm: 21, ownRim: rim });
    const tube = partOf('extension tube', {
      frontMountId: 'ml',
      rearMountId: 'ml',
      thicknessMm: 10,
    });
    // L′ = b − F o/(o − F) with o = L − 17.24 and F = 42.2 mm: 50 mm lies 146 mm off, 56 mm 537 mm, 44.6 mm 82 mm.
    const edge = (L: number) => {
      const o = L - 17.24;
      return 21.3 * (1 + 10 / (12.24 - (42.21 * o) / (o - 42.21)));
    };
    const share = Math.hypot(0.5 * 0.08, 0.12);
    const told = Math.max(
      ...[50 * (1 + share), 50 / (1 + share)].map((L) => Math.abs(edge(L) - edge(50))),
    );
    const behind = sigma([reducer, tube]);
    expect(behind).toBeCloseTo(Math.hypot(sigma([reducer]), told), 1);
    expect(behind).toBeGreaterThan(4 * sigma([reducer]));
    // Before the glass, where the lens itself is carried out, its pupil is as sure as it was.
    const before = partOf('extension tube', { rearMountId: 'slr', thicknessMm: 10 });
    expect(sigma([before, reducer])).toBeLessThan(behind);
  });

  it('before the lens is doubted more than any behind it, whatever it was made for, until its rim is measured', () => {
    // Common practice, no source: attachments before a lens they were not made for cut corners oftener than glass behind it.
    const format = { widthMm: 100, heightMm: 80 };
    const front = (told: object) =>
      evidenceBehind(
        situationOf(
          plainRig({
            parts: [partOf('front converter', { factor: 0.75, designFormat: format, ...told })],
          }),
        ),
      );
    const unknown = front({ ownRim: null });
    expect(unknown.unlikeShare).toBe(0.2);
    expect(unknown.doubts.join()).toMatch(/before this lens nobody measured; one in five/);
    const rim = { edgeRadiusMm: 40, softnessMm: 4, fNumber: 4, exitPupilMm: null };
    const measured = front({ ownRim: rim });
    expect(measured.unlikeShare).toBeLessThan(0.05);
    expect(measured.doubts.join()).not.toMatch(/nobody measured/);
    // An afocal part that only turns the picture or carries a filter takes nothing.
    expect(front({ factor: 1, ownRim: null }).doubts.join()).not.toMatch(/nobody measured/);
  });

  it('of which neither rim, format nor throat is known is doubted, and never sure to a tenth', () => {
    const rig = plainRig({
      parts: [partOf('focal reducer', { factor: 0.71, thicknessMm: 21, designFormat: null })],
    });
    const mounts = new Map(
      [...rig.mounts].map(([id, mount]) => [id, { ...mount, throatMm: null }]),
    );
    const { doubts, unlikeShare } = evidenceBehind(situationOf({ ...rig, mounts }));
    expect(doubts.join()).toMatch(/not known at all/);
    expect(unlikeShare).toBe(0.1);
    expect(evaluate({ ...rig, mounts }).verdict.risk).toBeGreaterThanOrEqual(0.1);
    // A plain adapter has none to know.
    const plain = { ...plainRig(), mounts };
    expect(evidenceBehind(situationOf(plain)).doubts).toEqual([]);
  });

  it('much wider than the narrowest takes no part', () => {
    expect(behind(rim(32, null)).edgeSigmaMm).toBeCloseTo(WHOLE_LENS_MM, 9);
    expect(behind({}).edgeSigmaMm).toBeCloseTo(WHOLE_LENS_MM, 9);
  });
});
