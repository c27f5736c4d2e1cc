import { describe, expect, it } from 'vitest';
import { demoRig, turned } from '../../../tests/support/demo';
import { tideMill } from '../demo/tideMill';
import { verdictOf } from '../rig/report/evaluate';
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
