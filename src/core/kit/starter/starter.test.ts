import { describe, expect, it } from 'vitest';
import { FORMATS } from '@/core/optics';
import { checkRecord } from '../checks';
import { mountOf } from '../records';
import { knownMounts, mountHere, mountRecord, STARTER_MOUNTS } from './mounts';
import { COMMON_SENSORS, isAreaTold, quickBody, type BodyFacts } from './quickBody';
import { ofKind, quickPart, type PartFacts } from './quickPart';

const mountOfRegister = (registerMm: number) =>
  mountOf({ id: `m-${registerMm}`, name: `Bayonet ${registerMm}`, registerMm });
const full = FORMATS.find((f) => f.id === '36x24')!;

describe('the starter mounts', () => {
  it('are records by register, no two alike, of formats that are known', () => {
    const registers = STARTER_MOUNTS.map((m) => m.registerMm);
    expect(registers).toEqual(registers.toSorted((a, b) => a - b));
    expect(new Set(STARTER_MOUNTS.map((m) => m.name)).size).toBe(STARTER_MOUNTS.length);
    for (const mount of STARTER_MOUNTS) {
      const record = mountRecord(mount);
      expect(checkRecord('mounts', record)).toEqual({ ok: true, value: record });
      expect(FORMATS.some((f) => f.id === mount.formatId)).toBe(true);
      expect(Number(mount.name.split(' ').at(-1))).toBe(mount.registerMm);
    }
  });

  it('are found again among those that are here, by id or by what they measure', () => {
    const here = mountOf({
      id: 'own',
      name: 'SLR bayonet, the old one',
      registerMm: 44,
      throatMm: 54,
    });
    const slr = STARTER_MOUNTS.find((m) => m.id === 'slr-44')!;
    const cine = STARTER_MOUNTS.find((m) => m.id === 'cine-44')!;
    expect(mountHere(slr, [here])?.id).toBe('own');
    expect(mountHere(cine, [here])).toBeNull();
    expect(mountHere(slr, [{ ...here, locking: 'screw' }])).toBeNull();
    expect(mountHere(slr, [{ ...here, throatMm: 47 }])).toBeNull();
    expect(mountHere(slr, [{ ...here, registerMm: 44.5 }])).toBeNull();
    const known = knownMounts([here, mountOfRegister(31)]);
    expect(known).toHaveLength(STARTER_MOUNTS.length + 1);
    expect(known.find((m) => m.id === 'slr-44')?.name).toBe('SLR bayonet, the old one');
    expect(known.map((m) => m.registerMm)).toContain(31);
  });
});

describe('a body from what people know', () => {
  const facts: BodyFacts = {
    name: 'Mine',
    mountId: 'ml-18',
    format: full,
    megapixels: 24,
    isStabilised: true,
    isSensorTold: true,
    isMountTold: true,
  };

  it('of any common sensor is one the program can work with', () => {
    for (const { formatId, megapixels } of COMMON_SENSORS)
      for (const count of [...megapixels, null])
        for (const isStabilised of [true, false, null]) {
          const format = FORMATS.find((f) => f.id === formatId)!;
          const body = quickBody({ ...facts, format, megapixels: count, isStabilised }, 'b');
          expect(checkRecord('bodies', body)).toEqual({ ok: true, value: body });
          const [whole] = body.modes;
          const shown = (whole!.widthPx * whole!.heightPx) / 1e6;
          if (count !== null) expect(Math.abs(shown / count - 1)).toBeLessThan(0.01);
          for (const mode of body.modes) {
            expect(mode.widthMm).toBeLessThanOrEqual(format.widthMm);
            expect(mode.heightMm).toBeLessThanOrEqual(format.heightMm);
            expect(mode.recordedWidthPx ?? 0).toBeLessThanOrEqual(mode.widthPx);
          }
        }
  });

  it('reads the areas cameras read', () => {
    const { modes } = quickBody(facts, 'b');
    const mode = (id: string) => modes.find((m) => m.id === id);
    // Arithmetic: 24 MP on 3:2 are 6000 by 4000; 3840 of 6000 pixels of 36 mm are 23.04 mm.
    expect(mode('stills')).toMatchObject({ widthPx: 6000, heightPx: 4000 });
    expect(mode('video')).toMatchObject({ widthMm: 36, heightMm: 20.25, recordedWidthPx: 3840 });
    expect(mode('video-middle')?.widthMm).toBeCloseTo(23.04, 2);
    // 23.5 mm of them are 3916 pixels: more than the file has, so that the small format is read whole.
    expect(mode('video-small')).toMatchObject({ widthMm: 23.5, recordedWidthPx: 3840 });
    expect(mode('video-small')?.sampling).toBe('not known');
    // Common practice, no source: the small format leaves 24/1.53² = 10.2 MP.
    const small = mode('stills-small')!;
    expect((small.widthPx * small.heightPx) / 1e6).toBeCloseTo(10.2, 1);
    const format = FORMATS.find((f) => f.id === 'crop-1.5')!;
    expect(quickBody({ ...facts, format }, 'b').modes.map((m) => m.id)).not.toContain(
      'stills-small',
    );
  });

  // Common practice, no source: cine cameras record the whole gate, 16:9 and scope over its width, and super 35.
  it('a large cine body has its open gate and its usual modes, and no stills', () => {
    const format = FORMATS.find((f) => f.id === 'large-cine')!;
    const { modes } = quickBody({ ...facts, format, megapixels: 27, isStabilised: false }, 'b');
    expect(modes.map((m) => [m.id, m.use, m.widthMm])).toEqual([
      ['open-gate', 'video', 36.7],
      ['video', 'video', 36.7],
      ['scope', 'video', 36.7],
      ['video-small', 'video', 23.5],
    ]);
    expect(modes[0]?.recordedWidthPx).toBeNull();
    expect(modes[2]!.widthMm / modes[2]!.heightMm).toBeCloseTo(2.39, 2);
  });

  // Common practice, no source: 61 MP bodies read the small format whole for their cropped video.
  it('a body of many pixels reads the small format for its cropped video, and the middle beside it', () => {
    const { modes } = quickBody({ ...facts, megapixels: 61 }, 'b');
    const mode = (id: string) => modes.find((m) => m.id === id)!;
    expect(mode('video-small').widthMm).toBe(23.5);
    expect(mode('video-small').widthPx).toBeGreaterThan(6000);
    expect(mode('video-middle').widthMm).toBeCloseTo((36 * 3840) / 9566, 1);
  });

  it('marks what is a guess, and a stabiliser nobody knows of is minded', () => {
    const estimated = (more: Partial<BodyFacts>) => quickBody({ ...facts, ...more }, 'b');
    expect(estimated({}).estimated).toEqual(['sensorTravel', 'stabiliserStops']);
    expect(estimated({}).stabiliserStops).toBe(4);
    expect(estimated({ isStabilised: null }).stabiliserStops).toBeNull();
    // Common practice, no source: a cine camera holds its sensor still. That nobody said so stays marked.
    const format = FORMATS.find((f) => f.id === 'large-cine')!;
    const cine = estimated({ isStabilised: null, format });
    expect(cine.sensorTravel).toBeNull();
    expect(cine.estimated).toContain('sensorTravel');
    expect(estimated({ isStabilised: true, format }).sensorTravel).not.toBeNull();
    expect(estimated({ isStabilised: false })).toMatchObject({ sensorTravel: null, estimated: [] });
    const unknown = estimated({
      isStabilised: null,
      megapixels: null,
      isSensorTold: false,
      isMountTold: false,
    });
    expect(unknown.sensorTravel?.xMm).toBeGreaterThan(1);
    expect(unknown.estimated).toEqual(
      expect.arrayContaining([
        'mountId',
        'modes.0.widthMm',
        'modes.0.heightPx',
        'modes.4.heightMm',
        'sensorTravel',
        'stabiliserStops',
      ]),
    );
    expect(unknown.modes.every((m) => !isAreaTold(unknown, m.id))).toBe(true);
    expect(estimated({}).modes.every((m) => isAreaTold(estimated({}), m.id))).toBe(true);
    // One measured area is known, the others stay guesses.
    const told = {
      ...unknown,
      estimated: unknown.estimated.filter((name) => !name.startsWith('modes.0')),
    };
    expect(told.modes.map((m) => isAreaTold(told, m.id))).toEqual([
      true,
      false,
      false,
      false,
      false,
    ]);
  });
});

describe('what stands between, from its kind and two mounts', () => {
  const part = (more: Partial<PartFacts>) =>
    quickPart({
      kind: 'plain adapter',
      factor: 1,
      front: mountOfRegister(44),
      rear: mountOfRegister(18),
      designFormat: full,
      ...more,
    });

  it('a plain adapter is as thick as the registers leave it, and nothing of it is a guess', () => {
    const made = part({});
    expect(made).toMatchObject({
      ok: true,
      value: { thicknessMm: 26, factor: 1, estimated: [], designFormat: null },
    });
    expect(made.ok && checkRecord('parts', made.value).ok).toBe(true);
  });

  it('a converter has a name, a thickness that is a guess, and the format its camera has', () => {
    const made = part({ kind: 'focal reducer', factor: 0.71 });
    expect(made).toMatchObject({
      ok: true,
      value: {
        name: 'focal reducer ×0.71, 44.00 to 18.00',
        estimated: ['thicknessMm', 'designFormat'],
        designFormat: full,
      },
    });
  });

  it('one that becomes of another kind has a factor and a thickness that can be of it', () => {
    const made = part({});
    if (!made.ok) throw new Error('a plain adapter of 26 mm can be built');
    const mounts = [mountOfRegister(44), mountOfRegister(18)];
    const reducer = ofKind(made.value, 'focal reducer', mounts);
    // 26 - 42 · 0.29²/0.71: reducers between 44 and 18 are about 21 mm thick (common practice, no source).
    expect(reducer).toMatchObject({
      kind: 'focal reducer',
      factor: 0.71,
      thicknessMm: 21.025,
      estimated: ['factor', 'thicknessMm'],
    });
    expect(ofKind({ ...reducer, factor: 0.8 }, 'focal reducer', mounts).factor).toBe(0.8);
    expect(ofKind(reducer, 'teleconverter', mounts)).toMatchObject({ factor: 1.4 });
    expect(ofKind(reducer, 'plain adapter', mounts)).toMatchObject({
      factor: 1,
      thicknessMm: 26,
      estimated: [],
    });
    // Mounts nobody knows leave it as thick as it is.
    expect(ofKind(made.value, 'expander', [])).toMatchObject({ factor: 1.6, thicknessMm: 26 });
    expect(ofKind(made.value, 'helicoid', mounts)).toEqual({ ...made.value, kind: 'helicoid' });
  });

  it('reducers as they are made are refused nowhere (common practice, no source)', () => {
    const thick = (factor: number, rear: number) => {
      const made = part({ kind: 'focal reducer', factor, rear: mountOfRegister(rear) });
      return made.ok ? made.value.thicknessMm : null;
    };
    expect(thick(0.71, 18)).toBeCloseTo(21, 0);
    expect(thick(0.71, 19.25)).toBeCloseTo(19.75, 0);
    expect(thick(0.64, 19.25)).toBeCloseTo(16, 0);
    // A reducer for medium format fills the longer room its register leaves: 45.3 - 42 · 63.3/44 · 0.3²/0.7.
    const medium = part({ kind: 'focal reducer', factor: 0.7, front: mountOfRegister(63.3) });
    expect(medium.ok && medium.value.thicknessMm).toBeCloseTo(37.5, 1);
    // Where the usual glass is too thick for the room some other is taken, as long as there is any.
    expect(thick(0.5, 25.5)).toBe(5);
    expect(thick(0.5, 40)).toBeNull();
  });

  it('a thickness that was printed or measured is taken as it is, and is another part', () => {
    const usual = part({ kind: 'focal reducer', factor: 0.71 });
    const told = part({ kind: 'focal reducer', factor: 0.71, thicknessMm: 21.4 });
    expect(told).toMatchObject({
      ok: true,
      value: {
        name: 'focal reducer ×0.71, 21.4 mm thick, 44.00 to 18.00',
        thicknessMm: 21.4,
        estimated: ['designFormat'],
      },
    });
    expect(told.ok && usual.ok && told.value.id !== usual.value.id).toBe(true);
    expect(told.ok && checkRecord('parts', told.value).ok).toBe(true);
    // Nothing is refused on an estimate: somebody holds it in the hand.
    expect(
      part({ kind: 'focal reducer', factor: 0.5, rear: mountOfRegister(40), thicknessMm: 3.2 }),
    ).toMatchObject({ ok: true, value: { thicknessMm: 3.2 } });
    // A plain adapter is what the registers leave.
    expect(part({ thicknessMm: 10 })).toMatchObject({ ok: true, value: { thicknessMm: 26 } });
  });

  it('what has no room between its mounts is refused with the reason', () => {
    const sentence = (more: Partial<PartFacts>) => {
      const made = part(more);
      return made.ok ? '' : (made.problems[0]?.sentence ?? '');
    };
    const same = mountOfRegister(44);
    expect(sentence({ front: same, rear: same })).toMatch(/one register/);
    expect(sentence({ front: mountOfRegister(18), rear: mountOfRegister(44) })).toMatch(
      /−26\.00 mm thick: without glass this lens does not reach infinity/,
    );
    expect(sentence({ kind: 'focal reducer', factor: 0.71, front: same, rear: same })).toMatch(
      /too little room for glass/,
    );
    // Common practice, no source: a teleconverter goes between two mounts of one kind.
    expect(sentence({ kind: 'teleconverter', factor: 1.4, front: same, rear: same })).toBe('');
  });
});
