/** What a converter does at the subject and on the mount: field, a second person, mass. */
import { describe, expect, it } from 'vitest';
import { demoRig } from '../../../tests/support/demo';
import { partOf, plainRig } from '../../../tests/support/plainRig';
import { tideMill } from '../demo';
import { trainsFor, weigh, type ConverterColumn } from './columns';
import { fieldOf, massAgainst, massFigure, secondBesideM } from './rowFigures';
import { verdictOfWeighing } from './verdict';

const birds = demoRig('waders-at-dawn');
const waders = weigh(birds, trainsFor(birds, tideMill.parts));
const column = (title: string): ConverterColumn =>
  waders.converters.find((c) => c.title === title)!;

describe('what stands at the subject, and what hangs on the mount', () => {
  it('the field is the sensor over the magnification, a second person stands whole within half of it', () => {
    // 36 mm wide at m; half of it less half a person of 0.52 m.
    const rig = plainRig({ settings: { focalMm: 50, focusM: 4, aspect: null } });
    const { base } = weigh(rig, trainsFor(rig, [partOf('plain adapter')]));
    const m = base.report.optics.magnification;
    const field = fieldOf(base)!;
    expect(field.widthM).toBeCloseTo(36 / m / 1000, 9);
    expect(field.heightM).toBeCloseTo(24 / m / 1000, 9);
    expect(field.widthM).toBeGreaterThan(2.7);
    expect(secondBesideM(base)).toBeCloseTo(field.widthM / 2 - 0.26, 9);
    const near = { ...base, rig: { ...rig, settings: { ...rig.settings, focusM: null } } };
    expect(fieldOf(near)).toBeNull();
    expect(secondBesideM(near)).toBeNull();
  });

  it('stands where the decision falls, with and without the converter', () => {
    const { field } = verdictOfWeighing(waders.base, column('×1.40'));
    expect(field).toMatch(
      /^At [\d.]+ m the picture is ([\d.]+) × [\d.]+ m, ([\d.]+) × [\d.]+ m without it; a second person/,
    );
    const [, withIt, without] = /is ([\d.]+) × .*?, ([\d.]+) ×/.exec(field!)!;
    expect(Number(without) / Number(withIt)).toBeCloseTo(1.4, 1);
  });

  it('of a lens whose mass nobody told the parts are compared all the same', () => {
    const tele = partOf('teleconverter', { id: 't', factor: 1.4, thicknessMm: 12, massG: 210 });
    const plain = partOf('plain adapter', { massG: 100 });
    const rig = plainRig({ lens: { massG: null }, parts: [plain] });
    const found = weigh(rig, { base: [plain], converters: [[tele]], left: 0, unfitting: [] });
    const [converted] = found.converters;
    expect(massFigure(found.base)).toBe('lens + 100 g');
    expect(massFigure(converted!)).toBe('lens + 210 g');
    expect(massAgainst({ column: converted!, base: found.base })).toBe(110);
    const untold = { ...tele, massG: null };
    const none = weigh(rig, { base: [plain], converters: [[untold]], left: 0, unfitting: [] });
    expect(massFigure(none.converters[0]!)).toBe('not known');
    expect(massAgainst({ column: none.converters[0]!, base: none.base })).toBeNull();
  });
});
