import { describe, expect, it } from 'vitest';
import { restingSettings } from '@/core/kit/records';
import { partOf, plainRig } from '../../../../tests/support/plainRig';
import { evaluate } from '../report';
import type { Rig } from '../../rig';
import {
  COMPARED_QUESTIONS,
  comparedRows,
  differenceWords,
  photoOrVideo,
  type Beside,
  type ComparedQuestion,
} from './compared';

const beside = (rig: Rig): Beside => ({ rig, report: evaluate(rig) });
const plain = plainRig();
const cells = (question: ComparedQuestion, rig: Rig) =>
  Object.fromEntries(comparedRows(question).map((r) => [r.name, r.cell(beside(rig))]));

describe('rigs side by side', () => {
  it('a rig against itself is much the same', () => {
    expect(differenceWords(beside(plain), beside(plain))).toBe('much the same');
  });

  it('a reducer is brighter and wider by what arithmetic says', () => {
    const reducer = partOf('focal reducer', { factor: 0.71, transmission: 1, massG: 180 });
    const words = differenceWords(beside(plain), beside({ ...plain, parts: [reducer] }));
    // Arithmetic: −2 log2 0.71 = 0.99 stops; 1 − 0.71 = 29 %.
    expect(words).toMatch(/1\.0 stop brighter/);
    expect(words).toMatch(/29 % wider/);
  });

  it('masses and prices nobody told are not compared, and never zero', () => {
    const heavy = { ...plain, lens: { ...plain.lens, massG: (plain.lens.massG ?? 0) + 240 } };
    expect(differenceWords(beside(plain), beside(heavy))).toMatch(/240 g heavier/);
    expect(differenceWords(beside(heavy), beside(plain))).toMatch(/240 g lighter/);
    const unknown = { ...plain, lens: { ...plain.lens, massG: null, price: null } };
    expect(differenceWords(beside(plain), beside(unknown))).toBe('much the same');
    expect(cells('carrying', unknown)).toEqual({ Mass: 'not known', 'Price, used': 'not known' });
  });

  it('a smaller area read has fewer pixels and less light in all', () => {
    // Half as wide and high: a quarter of the light, 2 stops, and of the pixels.
    const { mode } = plain;
    const half = {
      ...mode,
      widthMm: mode.widthMm / 2,
      heightMm: mode.heightMm / 2,
      widthPx: mode.widthPx / 2,
      heightPx: mode.heightPx / 2,
      recordedWidthPx: null,
    };
    // Recorded as it is read: 6 MP of 24. A whole sensor read into a file of 3000 across has as many.
    const whole = { ...plain, mode: { ...mode, recordedWidthPx: null } };
    expect(differenceWords(beside(plain), beside({ ...plain, mode: half }))).not.toMatch(/MP/);
    const words = differenceWords(beside(whole), beside({ ...plain, mode: half }));
    expect(words).toMatch(/2\.0 stops more noise at one exposure/);
    expect(words).toMatch(/100 % tighter/);
    expect(words).toMatch(/MP fewer/);
  });

  it('every question has rows, each with words for any rig', () => {
    for (const question of Object.keys(COMPARED_QUESTIONS) as ComparedQuestion[]) {
      const all = Object.values(cells(question, plain));
      expect(all.length).toBeGreaterThan(1);
      all.forEach((words) => expect(words).toMatch(/\S/));
    }
  });
});

describe('photo or video?', () => {
  const video = {
    ...plain.mode,
    id: 'v',
    use: 'video' as const,
    framesPerSecond: 25,
    recordedWidthPx: Math.round(plain.mode.widthPx / 1.5),
    sampling: 'every pixel' as const,
  };
  const fast = { ...video, id: 'f', framesPerSecond: 100, widthMm: video.widthMm / 1.6 };
  const withModes = (modes: Rig['body']['modes']): Rig => ({
    ...plain,
    body: { ...plain.body, modes },
    settings: restingSettings(50, 8),
  });
  const stills = { ...plain.mode, use: 'stills' as const, framesPerSecond: null };

  it('says what is left of stills, how video samples, and what a frame rate forces', () => {
    const words = photoOrVideo(withModes([stills, video, fast]));
    expect(words).toMatch(
      /^stills \d+\.\d MP within the halo, video 4000 across, × 1\.50 oversampled/,
    );
    expect(words).toMatch(/100 fps crops ×1\.60$/);
    expect(words).not.toMatch(/25 fps/);
    // Nobody told how 6000 become 4000: that is said in place of a figure.
    const unknown = photoOrVideo(withModes([{ ...video, sampling: 'not known' }]));
    expect(unknown).toContain('video 4000 across, 6000 read across, how is not known');
  });

  it('says what a body has not got', () => {
    expect(photoOrVideo(withModes([stills]))).toMatch(/no video mode$/);
    expect(photoOrVideo(withModes([video]))).toMatch(/^no stills mode/);
    const straight = { ...video, recordedWidthPx: null };
    expect(photoOrVideo(withModes([straight]))).toBe(
      'no stills mode, video 6000 across, pixel for pixel',
    );
  });
});
