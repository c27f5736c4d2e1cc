import { describe, expect, it } from 'vitest';
import { EMPTY_WORKSPACE } from '../records';
import { checkRecord } from '../checks';
import { STARTER_MOUNTS } from './mounts';
import { COMMON_SENSORS } from './quickBody';
import {
  betweenOfFactor,
  BETWEENS,
  COMMON_LENS_FORMATS,
  NOTHING_TOLD,
  type StartAnswers,
} from './answers';
import { started, type Started } from './start';

const ids = { body: 'b', lens: 'l', rig: 'r' };
const start = (answers: Partial<StartAnswers>, workspace = EMPTY_WORKSPACE) =>
  started({ ...NOTHING_TOLD, ...answers }, workspace, ids);
const whole = (answers: Partial<StartAnswers>, workspace = EMPTY_WORKSPACE): Started => {
  const found = start(answers, workspace);
  if (!found.ok) throw new Error(found.problems[0]?.sentence);
  return found.value;
};
const trouble = (answers: Partial<StartAnswers>): string => {
  const found = start(answers);
  return found.ok ? '' : (found.problems[0]?.sentence ?? '');
};

const TOLD: Partial<StartAnswers> = {
  sensorId: 'crop-1.5',
  megapixels: 24,
  isStabilised: false,
  cameraMountId: 'ml-18',
  lensMountId: 'slr-44',
  engraved: '18–35/1.8',
  lensFormatId: 'crop-1.5',
  between: { kind: 'focal reducer', factor: 0.71 },
};

const expectValid = ({ mounts, body, lens, part, rig }: Started) => {
  mounts.forEach((m) => expect(checkRecord('mounts', m)).toEqual({ ok: true, value: m }));
  expect(checkRecord('bodies', body)).toEqual({ ok: true, value: body });
  expect(checkRecord('lenses', lens)).toEqual({ ok: true, value: lens });
  expect(checkRecord('rigs', rig)).toEqual({ ok: true, value: rig });
  if (part) expect(checkRecord('parts', part)).toEqual({ ok: true, value: part });
};

describe('a rig from what people know', () => {
  it('takes nothing as usual where all was told', () => {
    const all = whole(TOLD);
    expectValid(all);
    expect(all.taken).toEqual([]);
    expect(all.body.estimated).toEqual([]);
    expect(all.lens).toMatchObject({ mountId: 'slr-44', focalMinMm: 18, focalMaxMm: 35 });
    expect(all.lens.estimated).not.toContain('designFormat');
    expect(all.part).toMatchObject({ factor: 0.71, frontMountId: 'slr-44', rearMountId: 'ml-18' });
    expect(all.rig).toMatchObject({ partIds: [all.part?.id], modeId: 'stills' });
    expect(all.rig.name).toBe('18–35/1.8 on 24 MP 23.5×15.6 camera');
  });

  it('takes everything as usual where nothing was told, and says so of each', () => {
    const none = whole({});
    expectValid(none);
    expect(none.taken).toEqual([
      'a sensor of 36×24',
      'a stabiliser that moves the sensor as usual',
      'Mirrorless bayonet 18.00 on the camera',
      'Mirrorless bayonet 18.00 on the lens',
      'a normal lens of 50 mm',
      'f/2.8 wide open',
      'a lens made for 36×24',
      'nothing between',
    ]);
    expect(none.body.estimated).toEqual(expect.arrayContaining(['modes.0.widthMm', 'mountId']));
    expect(none.lens.estimated).toEqual(
      expect.arrayContaining(['designFormat', 'focalMinMm', 'openFNumberWide', 'mountId']),
    );
    expect(none.rig.settings.stabiliser).toBe(true);
  });

  it('every answer with every other is a rig, or a sentence', () => {
    const sensors = [null, ...COMMON_SENSORS.map((s) => s.formatId)];
    const mounts = [null, ...STARTER_MOUNTS.map((m) => m.id)];
    const betweens = [null, ...BETWEENS.map((b) => b.between)];
    let rigs = 0;
    mounts.forEach((cameraMountId, i) => {
      betweens.forEach((between, j) => {
        const some = mounts.filter((_, k) => (i + j + k) % 4 === 0);
        some.forEach((lensMountId, k) => {
          const found = start({
            cameraMountId,
            lensMountId,
            between,
            sensorId: sensors[(i + k) % sensors.length] ?? null,
            lensFormatId: COMMON_LENS_FORMATS[(i + j) % COMMON_LENS_FORMATS.length] ?? null,
            engraved: ['', '50mm 1:1.8', '35–70/3.5–4.5', '85 T1.5', '200mm'][(j + k) % 5] ?? '',
          });
          if (found.ok) {
            rigs += 1;
            if (rigs % 17 === 0) expectValid(found.value);
          } else expect(found.problems[0]?.sentence).toMatch(/\.$|\?$/);
        });
      });
    });
    expect(rigs).toBeGreaterThan(300);
  });

  it('reads an engraving, and says what it cannot read or nobody built', () => {
    expect(whole({ engraved: '50 T2.1' }).lens).toMatchObject({ tStop: 2.1 });
    expect(whole({ engraved: '200mm' }).taken).toContain('f/2.8 wide open');
    expect(whole({ engraved: '70-210' }).taken).toContain('f/4 wide open');
    expect(whole({ engraved: '85' }).lens).toMatchObject({ focalMinMm: 85, focalMaxMm: 85 });
    expect(trouble({ engraved: 'the black one' })).toMatch(/No focal length can be read/);
    expect(trouble({ engraved: '55mm 1:2.8 58mm' })).toMatch(/55 mm f\/2.8 or as 58 mm f\/2.8/);
    expect(trouble({ engraved: '8mm 1:1', lensFormatId: '36x24' })).toMatch(/not built/);
    expect(
      trouble({ between: { kind: 'focal reducer', factor: 0.71 }, lensMountId: 'ml-18' }),
    ).toMatch(/too little room/);
  });

  it('of what it does not know between, takes the plain adapter and marks it', () => {
    const guess = whole({ ...TOLD, between: null });
    expect(guess.part).toMatchObject({ kind: 'plain adapter', estimated: ['kind'] });
    expect(guess.taken).toEqual(['a plain adapter of 26.00 mm']);
    expect(whole({ ...TOLD, between: { kind: 'nothing' } }).part).toBeNull();
  });

  it('uses mounts and parts that are here, and adds the name their owner gives', () => {
    const first = whole(TOLD);
    const here = {
      ...EMPTY_WORKSPACE,
      mounts: first.mounts,
      parts: first.part ? [first.part] : [],
    };
    const again = whole({ ...TOLD, ownNames: { 'slr-44': 'the black ones' } }, here);
    expect(again.part).toBe(first.part);
    expect(again.mounts[0]).toBe(first.mounts[0]);
    expect(again.mounts[1]?.aliases).toEqual(['the black ones']);
    const third = whole(
      { ...TOLD, ownNames: { 'slr-44': ' the black ones ' } },
      { ...here, mounts: again.mounts },
    );
    expect(third.mounts[1]).toBe(again.mounts[1]);
  });

  it('for video stands in a video mode', () => {
    const { body, rig } = whole({ ...TOLD, use: 'video' });
    expect(body.modes.find((m) => m.id === rig.modeId)?.use).toBe('video');
  });

  it('a factor of one, or none anybody builds, is no converter', () => {
    expect(betweenOfFactor(0.8)).toEqual({ kind: 'focal reducer', factor: 0.8 });
    expect(betweenOfFactor(1.7)).toEqual({ kind: 'teleconverter', factor: 1.7 });
    [1, 0, 0.39, 3.1, NaN].forEach((f) => expect(betweenOfFactor(f)).toBeNull());
  });
});
