import { describe, expect, it } from 'vitest';
import { demoRig, turned } from '../../../tests/support/demo';
import { plainRig } from '../../../tests/support/plainRig';
import { tideMill } from '../demo/tideMill';
import { verdictOf } from '../rig/report/setUp';
import {
  apertureSteps,
  focalSteps,
  focusSteps,
  modeSteps,
  stepsOf,
  sweep,
  SWEEP_AXES,
} from './sweep';

const rig = demoRig('wheel-house-wide');

describe('sweep', () => {
  it('runs over every cell of two axes, row by row', () => {
    const cells = [...sweep(rig, apertureSteps(rig), focalSteps(rig, 5))];
    expect(cells).toHaveLength(apertureSteps(rig).length * 5);
    expect(cells[0]).toMatchObject({ row: 'f/1.8', column: '18.0 mm', verdict: 'Clipped' });
    expect(cells[4]).toMatchObject({ row: 'f/1.8', column: '35.0 mm', verdict: 'Clear' });
  });

  it('says in each cell what the verdict is there', () => {
    for (const cell of sweep(rig, focusSteps(rig), focalSteps(rig, 4))) {
      expect(cell.verdict).toBe(verdictOf(turned(rig, cell.settings)).kind);
    }
  });

  it('stops when nobody asks any more', () => {
    let seen = 0;
    for (const _ of sweep(rig, modeSteps(rig), focalSteps(rig))) if ((seen += 1) === 3) break;
    expect(seen).toBe(3);
  });

  it('has steps on every axis; a prime has one focal length', () => {
    const chains = [[], rig.parts];
    for (const axis of SWEEP_AXES) expect(stepsOf(rig, axis, chains).length).toBeGreaterThan(1);
    expect(focalSteps(demoRig('mill-pond'))).toHaveLength(1);
    expect(stepsOf(rig, 'converter', chains)[0]?.label).toBe('nothing between');
  });

  it('holds settings within each mode as it goes', () => {
    const cropped = turned(rig, { cropId: 'active' });
    const cells = [...sweep(cropped, modeSteps(cropped), focalSteps(cropped, 2))];
    expect(cells.find((c) => c.modeId === 'hfr')?.settings.cropId).toBeNull();
    expect(tideMill.bodies.find((b) => b.id === 'c26')?.modes).toHaveLength(3);
  });
});

describe('the steps of each axis', () => {
  const zoom = plainRig({
    lens: { focalMinMm: 20, focalMaxMm: 80, closestFocusM: 0.25 },
    settings: { focalMm: 40 },
  });

  it('focal lengths are even by ratio, ends among them, two at least', () => {
    expect(focalSteps(zoom, 3).map((s) => s.label)).toEqual(['20.0 mm', '40.0 mm', '80.0 mm']);
    expect(focalSteps(zoom).length).toBe(12);
    expect(focalSteps(zoom, 1)).toHaveLength(2);
    expect(focalSteps(zoom, 3).map((s) => s.apply(zoom).settings.focalMm)).toEqual([
      20,
      expect.closeTo(40, 9),
      80,
    ]);
    expect(focalSteps(plainRig()).map((s) => s.value)).toEqual([50]);
  });

  it('apertures are the widest and the full stops from there to the smallest', () => {
    expect(apertureSteps(zoom).map((s) => s.label)).toEqual([
      'f/2.0',
      'f/2.8',
      'f/4',
      'f/5.6',
      'f/8',
      'f/11',
      'f/16',
    ]);
    const odd = plainRig({
      lens: { openFNumberWide: 2.2, openFNumberLong: 2.2, closedFNumber: 22 },
    });
    expect(
      apertureSteps(odd)
        .map((s) => s.label)
        .slice(0, 2),
    ).toEqual(['f/2.2', 'f/2.8']);
    expect(apertureSteps(odd).at(-1)?.label).toBe('f/22');
    expect(apertureSteps(zoom)[2]?.apply(zoom).settings.fNumber).toBe(4);
  });

  it('distances double from the closest, infinity last', () => {
    const steps = focusSteps(zoom);
    expect(steps.map((s) => s.label)).toEqual([
      '0.25 m',
      '0.50 m',
      '1.00 m',
      '2.00 m',
      '4.00 m',
      '8.00 m',
      '∞',
    ]);
    expect(steps.map((s) => s.apply(zoom).settings.focusM)).toEqual([0.25, 0.5, 1, 2, 4, 8, null]);
    expect(steps.at(-1)?.value).toBeNull();
  });

  it('modes and chains go by name and have no number', () => {
    expect(modeSteps(zoom).map((s) => [s.label, s.value, s.axis])).toEqual([
      ['Full', null, 'mode'],
    ]);
    const chains = stepsOf(zoom, 'converter', [zoom.parts, []]);
    expect(chains.map((s) => s.label)).toEqual(['plain adapter', 'nothing between']);
    expect(chains.map((s) => s.apply(zoom).parts.length)).toEqual([1, 0]);
    expect(stepsOf(zoom, 'focal', []).map((s) => s.axis)[0]).toBe('focal');
    expect(stepsOf(zoom, 'aperture', []).map((s) => s.axis)[0]).toBe('aperture');
    expect(stepsOf(zoom, 'focus', [])).toHaveLength(7);
    expect(stepsOf(zoom, 'mode', [])).toHaveLength(1);
  });

  it('every cell says where it stands: labels, values, settings, mode and parts', () => {
    const [cell] = [...sweep(zoom, apertureSteps(zoom).slice(1), focalSteps(zoom, 2).slice(1))];
    expect(cell).toMatchObject({
      row: 'f/2.8',
      column: '80.0 mm',
      rowValue: expect.closeTo(2 ** 1.5, 9) as number,
      columnValue: 80,
      modeId: 'full',
      partIds: ['plain adapter'],
      verdict: 'Clear',
    });
    expect(cell?.worstCornerStops).toBeCloseTo(0, 3);
    expect(cell?.settings.focalMm).toBe(80);
  });
});
