import { describe, expect, it } from 'vitest';
import { modeOf } from '../kit/records';
import { plainRig } from '../../../tests/support/plainRig';
import { cameraDoubts } from './cameraDoubt';

const full = modeOf({
  ...plainRig().mode,
  name: 'Stills',
  widthMm: 36,
  heightMm: 24,
  widthPx: 6000,
  heightPx: 4000,
  recordedWidthPx: null,
});
const nothing = { name: null, sensorLongMm: null };
const all = { areaTold: true, isWhole: true };
const doubts = (
  told: Parameters<typeof cameraDoubts>[0],
  widthPx: number,
  heightPx: number,
  mode = full,
  more = all,
) => cameraDoubts(told, { widthPx, heightPx }, mode, more);

describe('whether a file is of another camera', () => {
  it('asks nothing where pixels and sensor agree, standing or lying, a few pixels cut off', () => {
    expect(doubts(nothing, 6000, 4000)).toEqual([]);
    expect(doubts({ name: 'Tolvane L45', sensorLongMm: 35.8 }, 3976, 5968)).toEqual([]);
  });

  it('a frame of 23.5 mm read as one of 36 is asked about by its tags and by its pixels', () => {
    // Accepted it would make the lens 36/23.5 = 1.53 times too wide.
    const [bySensor, byPixels] = doubts({ name: 'Other One', sensorLongMm: 23.5 }, 5200, 3467);
    expect(bySensor).toBe(
      'The file tells of a sensor 23.5 mm wide; Stills reads 36.0 mm. It was written by Other One.',
    );
    expect(byPixels).toBe('The picture is 5200 pixels wide; Stills records 6000.');
    expect(doubts(nothing, 5200, 3467)).toHaveLength(1);
  });

  it('recorded pixels count as well as those that are read', () => {
    const video = modeOf({ ...full, name: '4K', recordedWidthPx: 3840 });
    expect(doubts(nothing, 3840, 2560, video)).toEqual([]);
    expect(doubts(nothing, 6000, 4000, video)).toEqual([]);
    expect(doubts(nothing, 1920, 1280, video)[0]).toMatch(/4K records 3840/);
  });

  it('pixels say nothing of a preview, nor where nobody told what the mode reads', () => {
    expect(doubts(nothing, 1616, 1080, full, { areaTold: true, isWhole: false })).toEqual([]);
    expect(doubts(nothing, 5200, 3467, full, { areaTold: false, isWhole: true })).toEqual([]);
    // The sensor's own tags speak all the same.
    expect(
      doubts({ name: null, sensorLongMm: 17.3 }, 5200, 3467, full, {
        areaTold: false,
        isWhole: true,
      }),
    ).toHaveLength(1);
  });
});
