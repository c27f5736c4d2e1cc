import { type Rig } from '../rig';
import { partOf, plainRig } from '../../../tests/support/plainRig';
import { EMPTY_WORKSPACE, rigRecordOf, type Workspace } from '../kit/records';
import { PERSON_HALF_M } from '../optics';
import { signedStops, sizeMm } from '../words';
import { describe, expect, it } from 'vitest';
import { tideMill } from '../demo';
import { demoRig } from '../../../tests/support/demo';
import { FRAMING_ROWS, headShare, lampScale, movedWords, secondFits } from './compare';
import { lightAt } from '../halo';
import { falloffOf, pictureOf } from './picture';
import { USUAL_SCENE } from './scene';
import { seenAt, shotAt } from './shot';
import { PRESET_IDS, presetFor, rigOfTake, takeWords } from './takes';

describe('pictures beside each other', () => {
  const first = shotAt(demoRig('miller-portrait'), 1.8);
  const back = shotAt(demoRig('miller-portrait'), 3.6);

  it('perspective follows the distance alone: u/(u + z), seen by projecting two rulers', () => {
    for (const shot of [first, back, shotAt(demoRig('waders-at-dawn'), 20)]) {
      const at = (zM: number) => seenAt(shot, { xM: 1, yM: 0, zM })!.xMm;
      expect(at(USUAL_SCENE.lampsM) / at(0)).toBeCloseTo(lampScale(shot, USUAL_SCENE), 9);
    }
  });

  it('a second person fits by the field, not by a feeling', () => {
    const half = first.field.widthM / 2;
    const fits = (besideM: number) => secondFits(first, { ...USUAL_SCENE, besideM });
    expect(fits(half - PERSON_HALF_M - 0.01)).toBe('yes');
    expect(fits(-(half - PERSON_HALF_M + 0.01))).toBe('partly');
    expect(fits(half + PERSON_HALF_M + 0.01)).toBe('no');
  });

  it('says what moved and what that did', () => {
    const { headline, sentence } = movedWords(first, back, USUAL_SCENE);
    expect(headline).toBe('Step back 1.80 m');
    expect(sentence).toMatch(/^The miller stands 5\d % smaller, the lamps come 4\d % larger/);
    expect(movedWords(first, first, USUAL_SCENE)).toEqual({
      headline: 'From the same place',
      sentence:
        'The miller stands as large, near and far keep their proportions, and their discs stay at 2.5 % of the height.',
    });
  });

  it('every figure has its why, and none is empty or not a number', () => {
    for (const shot of [first, back, shotAt(demoRig('sluice-tower'), 5)])
      for (const row of FRAMING_ROWS) {
        const figure = row.figure(shot, USUAL_SCENE);
        expect(figure, row.id).not.toMatch(/NaN|undefined|Infinity|^$/);
        const why = row.why(shot, USUAL_SCENE, '2026-11-27');
        expect(why.formula, row.id).not.toBe('');
        expect(why.inputs.length, row.id).toBeGreaterThan(0);
        expect(JSON.stringify(why), row.id).not.toMatch(/NaN|undefined/);
      }
  });

  it('the halo lies in the picture where frames show it: its centre as the stage draws it', () => {
    const rig = demoRig('miller-portrait');
    const [sample] = rig.lens.halo;
    const off = { ...rig.lens, halo: [{ ...sample!, centreXMm: 0.8, centreYMm: -0.5 }] };
    const shot = shotAt({ ...rig, lens: off }, 1.8);
    const { xMm, yMm, halo } = falloffOf(shot);
    expect([xMm, yMm]).toEqual([0.8, -0.5]);
    const { cornerStops } = shot.report.coverage;
    // Bottom left is farthest from there, and darkest on the stage too.
    expect(Math.max(...cornerStops.map((s) => s ?? 99))).toBe(cornerStops[3] ?? 99);
    expect(lightAt(halo, Math.hypot(18.8, 12.5)).light).toBeCloseTo(2 ** -cornerStops[3]!, 6);
  });

  it('everything drawn is finite, the farthest first, the miller before the lamps', () => {
    const shapes = pictureOf(first, USUAL_SCENE);
    expect(shapes[0]?.ink).toBe('wall');
    expect(shapes.at(-1)?.ink).toBe('hat');
    expect(shapes.findLastIndex((s) => s.ink === 'lamp')).toBeLessThan(
      shapes.findIndex((s) => s.ink === 'coat'),
    );
    for (const { points } of shapes)
      for (const { xMm, yMm } of points) expect(Number.isFinite(xMm + yMm)).toBe(true);
    expect(headShare(first)).toBeGreaterThan(0.3);
  });
});

/** A rig, and a second camera with another mount that another plain adapter joins its lens to. */
function twoMounts() {
  const plain = partOf('plain adapter');
  const rig = plainRig({ parts: [plain] });
  const mount = { ...rig.mounts.get('ml')!, id: 'short', name: 'Short', registerMm: 19.25 };
  const mounts = new Map(rig.mounts).set('short', mount);
  const slr = mounts.get('slr')!;
  const otherPlain = partOf('plain adapter', {
    id: 'other-plain',
    rearMountId: 'short',
    thicknessMm: slr.registerMm - 19.25,
  });
  const small = { ...rig.mode, id: 'small', widthMm: 17.3, heightMm: 13 };
  const other = { ...rig.body, id: 'other', mountId: 'short', modes: [small] };
  return {
    rig: { ...rig, mounts },
    body: { ...rig.body, modes: [rig.mode] },
    plain,
    other,
    otherPlain,
  };
}

const recordFor = ({ body, mode, lens, parts, settings }: Rig) =>
  rigRecordOf({
    id: 'r',
    name: 'Rig',
    bodyId: body.id,
    modeId: mode.id,
    lensId: lens.id,
    partIds: parts.map((p) => p.id),
    settings,
  });

describe('what one can start from', () => {
  it('every usual question can be put with the demo, and its rigs go together', () => {
    for (const preset of PRESET_IDS) {
      const setting = presetFor(preset, tideMill, 'wheel-house-wide');
      expect(setting?.takes.length, preset).toBe(2);
      const rigs = setting!.takes.map((take) => rigOfTake(tideMill, take));
      expect(rigs.every(Boolean), preset).toBe(true);
      const [a, b] = rigs.map((rig) => takeWords(rig!));
      expect(a, preset).not.toBe(b);
    }
  });

  it('a converter against the same view cropped frames alike', () => {
    const { takes } = presetFor('converter or crop', tideMill, 'waders-at-dawn')!;
    const [glass, crop] = takes.map((take) => shotAt(rigOfTake(tideMill, take)!, 60));
    expect(crop!.field.widthM / glass!.field.widthM).toBeCloseTo(1, 2);
  });

  it('a large and a small format may stand on cameras of two mounts, or be two modes of one', () => {
    const { rig, body, plain, other, otherPlain } = twoMounts();
    const formats = (workspace: Workspace) => {
      const setting = presetFor('both formats', workspace, 'r');
      return setting?.takes.map((take) => {
        const at = rigOfTake(workspace, take)!;
        return [at.body.id, at.mode.widthMm, at.parts.map((part) => part.id).join()];
      });
    };
    const here = { ...EMPTY_WORKSPACE, mounts: [...rig.mounts.values()], lenses: [rig.lens] };
    const record = recordFor(rig);
    const both = { ...here, bodies: [body, other], parts: [plain, otherPlain], rigs: [record] };
    expect(formats(both)).toEqual([
      ['body', 36, plain.id],
      ['other', 17.3, otherPlain.id],
    ]);
    // Without what joins the second, or the second itself, its own modes are left.
    const cropped = { ...rig.mode, id: 'crop', widthMm: 24, heightMm: 16 };
    const oneBody = { ...body, modes: [rig.mode, cropped] };
    const alone = { ...here, bodies: [oneBody], parts: [plain], rigs: [record] };
    expect(formats(alone)?.map(([, width]) => width)).toEqual([36, 24]);
    expect(formats({ ...alone, bodies: [body] })).toBeUndefined();
  });

  it('is refused where nothing of the workspace can be asked it', () => {
    const bare = {
      ...tideMill,
      parts: [],
      rigs: tideMill.rigs.filter((r) => r.partIds.length === 0),
    };
    expect(presetFor('reducer or plain', bare, null)).toBeNull();
    expect(rigOfTake(tideMill, { rigId: 'nobody' })).toBeNull();
    expect(rigOfTake(tideMill, { rigId: 'lamplight', partIds: ['gone'] })).toBeNull();
  });

  it('all the light is that of the area on the sensor, as the Bench says, squeezed or not', () => {
    const light = FRAMING_ROWS.find((row) => row.id === 'noise')!;
    for (const id of ['long-wall', 'miller-portrait', 'lantern-room']) {
      const shot = shotAt(demoRig(id), 5);
      const { widthMm, heightMm } = shot.report.frame.delivered;
      const stops = Math.log2((widthMm * heightMm) / (36 * 24));
      expect(light.figure(shot, USUAL_SCENE)).toBe(signedStops(stops, 1));
      const why = light.why(shot, USUAL_SCENE, '2026-12-01');
      expect(why.inputs).toEqual([['on the sensor', sizeMm({ widthMm, heightMm })]]);
    }
  });

  it('falls off about the halo’s own centre, as far off the middle as a squeezed picture shows it', () => {
    const rig = demoRig('long-wall');
    const off = {
      ...rig,
      lens: { ...rig.lens, halo: rig.lens.halo.map((s) => ({ ...s, centreXMm: 1.5 })) },
    };
    const shot = shotAt(off, 5);
    const { xMm } = falloffOf(shot);
    expect(off.lens.squeeze).toBe(2);
    expect(xMm).toBeCloseTo(2 * shot.halo.centre.xMm, 9);
  });
});
