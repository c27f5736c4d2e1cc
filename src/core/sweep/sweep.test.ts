import { describe, expect, it } from 'vitest';
import { demoRig, turned } from '../../../tests/support/demo';
import { partOf, plainRig } from '../../../tests/support/plainRig';
import { type Rig } from '../rig';
import { verdictOf } from '../rig/judged';
import {
  apertureSteps,
  askedOf,
  commonSteps,
  focalSteps,
  focusSteps,
  stepsOf,
  SWEEP_AXES,
  type SweepStep,
} from './axes';
import { sweep } from './sweep';

const rig = demoRig('wheel-house-wide');
const labels = (steps: readonly SweepStep[]) => steps.map((s) => s.label);
const setBy = (of: Rig, step: SweepStep | undefined) =>
  askedOf(of, step ? [step] : []).rig.settings;

describe('sweep', () => {
  it('runs over every cell of two axes, row by row', () => {
    const cells = [...sweep(rig, apertureSteps(rig), focalSteps(rig, 5))];
    expect(cells).toHaveLength(apertureSteps(rig).length * 5);
    expect(cells[0]).toMatchObject({ row: 'f/1.8', column: '18 mm', verdict: { kind: 'Clipped' } });
    expect(cells[4]).toMatchObject({
      row: 'f/1.8',
      column: '35 mm',
      verdict: { kind: 'Clear', or: null },
    });
  });

  it('says in each cell what the verdict is there', () => {
    for (const cell of sweep(rig, focusSteps(rig), focalSteps(rig, 4))) {
      const { kind, or } = verdictOf(turned(rig, cell.settings));
      expect(cell.verdict).toEqual({ kind, or });
    }
  });

  it('stops when nobody asks any more', () => {
    let seen = 0;
    for (const _ of sweep(rig, stepsOf(rig, 'mode', { chains: [] }), focalSteps(rig)))
      if ((seen += 1) === 3) break;
    expect(seen).toBe(3);
  });

  it('holds settings within each mode as it goes', () => {
    const cropped = turned(rig, { cropId: 'active' });
    const cells = [
      ...sweep(cropped, stepsOf(cropped, 'mode', { chains: [] }), focalSteps(cropped, 2)),
    ];
    expect(cells.find((c) => c.modeId === 'hfr')?.settings.cropId).toBeNull();
  });

  it('every cell says where it stands: labels, values, settings, mode and parts', () => {
    const zoom = plainRig({ lens: { focalMinMm: 20, focalMaxMm: 80 } });
    const [cell] = [...sweep(zoom, apertureSteps(zoom).slice(1), focalSteps(zoom, 2).slice(1))];
    expect(cell).toMatchObject({
      row: 'f/2.8',
      column: '80 mm',
      rowValue: expect.closeTo(2 ** 1.5, 9) as number,
      columnValue: 80,
      modeId: 'full',
      partIds: ['plain adapter'],
      verdict: { kind: 'Clear', or: null },
      cannot: null,
    });
    expect(cell?.settings.focalMm).toBe(80);
  });
});

describe('what a rig cannot be set to', () => {
  const slow = plainRig({
    lens: { focalMinMm: 16, focalMaxMm: 80, openFNumberWide: 3.5, openFNumberLong: 5.6 },
  });

  it('80 mm at f/4 of a 3.5-5.6 zoom is marked, with what it opens to, and has no verdict', () => {
    const cells = [...sweep(slow, apertureSteps(slow), focalSteps(slow, 2))];
    const at = (row: string, column: string) =>
      cells.find((c) => c.row === row && c.column === column);
    expect(at('f/4', '80 mm')).toMatchObject({
      verdict: null,
      worstCornerStops: null,
      cannot: 'there it opens to f/5.6',
    });
    expect(at('f/4', '16 mm')?.cannot).toBeNull();
    expect(at('f/5.6', '80 mm')?.cannot).toBeNull();
    // The first row is the lens wide open, wherever it stands.
    expect(at('f/3.5–5.6', '80 mm')).toMatchObject({ cannot: null, settings: { fNumber: 5.6 } });
  });

  it('whichever of the two axes is down', () => {
    const cells = [...sweep(slow, focalSteps(slow, 2), apertureSteps(slow))];
    expect(cells.find((c) => c.row === '80 mm' && c.column === 'f/4')?.cannot).toMatch(/opens to/);
  });

  it('an aperture that nothing works has the one step it stays at', () => {
    const dead = partOf('plain adapter', {
      electronics: { focus: false, aperture: false, metadata: false, stabiliser: false },
    });
    const stuck = plainRig({ lens: { apertureRing: 'none' }, parts: [dead] });
    expect(labels(apertureSteps(stuck))).toEqual(['f/2.0']);
  });

  it('a stabiliser that is not there, a train that does not join, a focal length of another lens', () => {
    const [off, on] = stepsOf(rig, 'stabiliser', { chains: [] });
    const still = { ...rig, body: { ...rig.body, sensorTravel: null } };
    expect(askedOf(still, on ? [on] : []).cannot).toBe('the sensor does not move');
    expect(askedOf(still, off ? [off] : []).cannot).toBeNull();
    const plain = plainRig();
    const [bare] = stepsOf(plain, 'converter', { chains: [[]] });
    expect(askedOf(plain, bare ? [bare] : []).cannot).toBe('does not join');
    const [far] = focalSteps(plainRig({ lens: { focalMinMm: 100, focalMaxMm: 100 } }));
    expect(askedOf(plain, far ? [far] : []).cannot).toBe('it is a 50 mm');
  });
});

describe('the steps of each axis', () => {
  const zoom = plainRig({
    lens: { focalMinMm: 20, focalMaxMm: 80, closestFocusM: 0.25 },
    settings: { focalMm: 40 },
  });

  it('focal lengths are even by ratio, ends among them, two at least', () => {
    expect(labels(focalSteps(zoom, 3))).toEqual(['20 mm', '40 mm', '80 mm']);
    expect(focalSteps(zoom, 1)).toHaveLength(2);
    expect(focalSteps(zoom, 3).map((s) => s.value)).toEqual([20, expect.closeTo(40, 9), 80]);
    expect(focalSteps(plainRig()).map((s) => s.value)).toEqual([50]);
  });

  it('apertures are the widest and the full stops from there to the smallest', () => {
    const stops = ['f/2.0', 'f/2.8', 'f/4', 'f/5.6', 'f/8', 'f/11', 'f/16'];
    expect(labels(apertureSteps(zoom))).toEqual(stops);
    const odd = plainRig({
      lens: { openFNumberWide: 2.2, openFNumberLong: 2.2, closedFNumber: 22 },
    });
    expect(labels(apertureSteps(odd)).slice(0, 2)).toEqual(['f/2.2', 'f/2.8']);
    expect(labels(apertureSteps(odd)).at(-1)).toBe('f/22');
    expect(setBy(odd, apertureSteps(odd).at(-1)).fNumber).toBe(22);
    expect(setBy(zoom, apertureSteps(zoom)[2]).fNumber).toBe(4);
  });

  it('distances double from the closest, infinity last', () => {
    const steps = focusSteps(zoom);
    const words = ['0.25 m', '0.50 m', '1.00 m', '2.00 m', '4.00 m', '8.00 m', '∞'];
    expect(labels(steps)).toEqual(words);
    expect(steps.map((s) => setBy(zoom, s).focusM)).toEqual([0.25, 0.5, 1, 2, 4, 8, null]);
    expect(steps.at(-1)?.value).toBeNull();
  });

  it('modes, trains, aspects and the stabiliser go by name', () => {
    expect(labels(stepsOf(zoom, 'mode', { chains: [] }))).toEqual(['Full']);
    const chains = stepsOf(zoom, 'converter', { chains: [zoom.parts, []] });
    expect(labels(chains)).toEqual(['plain adapter', 'nothing between']);
    expect(chains.map((s) => askedOf(zoom, [s]).rig.parts.length)).toEqual([1, 0]);
    expect(labels(stepsOf(zoom, 'stabiliser', { chains: [] }))).toEqual(['off', 'on']);
    const aspects = stepsOf(zoom, 'aspect', { chains: [] });
    expect(labels(aspects)).toContain('2.39:1');
    expect(setBy(zoom, aspects[0]).aspect).toBeNull();
    for (const axis of SWEEP_AXES)
      expect(stepsOf(zoom, axis, { chains: [[]] }).every((s) => s.axis === axis)).toBe(true);
  });

  it('two lenses held against each other share their steps', () => {
    const long = plainRig({ lens: { id: 'long', focalMinMm: 70, focalMaxMm: 200 } });
    const steps = commonSteps(zoom, long, 'focal', { chains: [] });
    expect([steps[0]?.value, steps.at(-1)?.value]).toEqual([20, 200]);
    expect(commonSteps(zoom, { ...zoom, parts: [] }, 'focal', { chains: [] })).toEqual(
      focalSteps(zoom),
    );
  });
});
