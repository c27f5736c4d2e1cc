/**
 * The exported correction, read by the library it is for: Lensfun 0.3 (Debian package liblensfun-dev), which this
 * test asks through a few lines of C.
 */
import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { FIT_STOPS, lensfunNames, lensfunProfile, readLensfun } from '@/core/exchange/lensfun';
import { lightAt } from '@/core/halo';
import { diagonalMm } from '@/core/optics';
import { situationOf, type Rig } from '@/core/rig';
import { tideMill } from '@/core/demo';
import { demoRig } from '../support/demo';
import { plainRig } from '../support/plainRig';
import { sampleWith } from '../support/samples';

const folder = mkdtempSync(join(tmpdir(), 'halo-lensfun-'));
const program = join(folder, 'gains');

beforeAll(() => {
  execFileSync('gcc', ['-O1', '-o', program, 'tests/support/c/gains.c', '-llensfun', '-lm']);
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const SIZE = [6000, 4000] as const;

function profileOf(rig: Rig) {
  const profile = lensfunProfile(rig);
  if (!profile.ok) throw new Error(profile.problems[0]?.sentence);
  return profile.value;
}

/** What the library itself multiplies by at some places of each setting. */
function gainsByLibrary(rig: Rig, xml: string, queries: readonly (readonly number[])[]): number[] {
  const file = join(folder, 'profile.xml');
  writeFileSync(file, xml);
  const names = lensfunNames(rig);
  const [width, height] = SIZE;
  const said = execFileSync(
    program,
    [
      file,
      names.cameraMaker,
      names.camera,
      names.lensMaker,
      names.lens,
      String(width),
      String(height),
    ],
    { input: `${queries.map((q) => q.join(' ')).join('\n')}\n`, encoding: 'utf8' },
  );
  return said.trim().split('\n').map(Number);
}

describe('a Lensfun file of ours in the library', () => {
  it.each([
    'sluice-tower-expanded',
    'wheel-house-wide',
    'waders-at-dawn',
    'mill-pond',
    'archive-table',
  ])('corrects as the halo darkens, to 0.03 stop over the part called valid: %s', (id) => {
    const rig = demoRig(id);
    const { xml, points } = profileOf(rig);
    const [width, height] = SIZE;
    // A picture of the camera's own shape, so that its corner is the corner of the calibration.
    const half = diagonalMm(rig.mode) / 2;
    const pxPerHalf = Math.hypot(width - 1, height - 1) / 2;
    const asked = points.flatMap((point) =>
      [0.1, 0.3, 0.5, 0.7, 0.85, 0.95, 1]
        .filter((share) => share <= point.fit.validShare)
        .map((share) => ({ point, share })),
    );
    const gains = gainsByLibrary(
      rig,
      xml,
      asked.map(({ point, share }) => {
        // Along the diagonal from the middle of the picture.
        const t = (share * pxPerHalf) / Math.hypot(width, height);
        return [
          point.focalMm,
          point.fNumber,
          point.distanceM,
          (width - 1) / 2 + t * width,
          (height - 1) / 2 + t * height,
        ];
      }),
    );
    expect(gains).toHaveLength(asked.length);
    const worst = asked.reduce((most, { point, share }, i) => {
      const { halo } = situationOf(point.rig);
      const { light } = lightAt(halo, share * half);
      return Math.max(most, Math.abs(Math.log2((gains[i] ?? NaN) * light)));
    }, 0);
    expect(worst).toBeLessThan(FIT_STOPS + 0.002);
  });

  it('is found by a name that holds another focal length, behind a reducer', () => {
    const rig = demoRig('wheel-house-wide');
    const named = { ...rig, lens: { ...rig.lens, name: '50mm f/2 of the miller' } };
    const profile = lensfunProfile(named);
    if (!profile.ok) throw new Error(profile.problems[0]?.sentence);
    const [point] = profile.value.points;
    const [gain] = gainsByLibrary(named, profile.value.xml, [
      [point?.focalMm ?? 0, point?.fNumber ?? 0, point?.distanceM ?? 0, 2999.5, 1999.5],
    ]);
    expect(gain).toBeCloseTo(1, 3);
  });

  it('keeps markup and hyphens in names whole', () => {
    const rig = plainRig();
    const odd = {
      ...rig,
      lens: { ...rig.lens, name: 'A -- <b>&"\'', maker: '-->' },
      body: { ...rig.body, name: '=1+1' },
      settings: { ...rig.settings, fNumber: 2 },
    };
    const { xml, points } = profileOf(odd);
    const [point] = points;
    const [gain] = gainsByLibrary(odd, xml, [
      [point?.focalMm ?? 0, point?.fNumber ?? 0, point?.distanceM ?? 0, 2999.5, 1999.5],
    ]);
    expect(gain).toBeCloseTo(1, 3);
    const back = readLensfun(xml, 'ours.xml');
    expect(back.ok && back.value.lenses[0]?.model).toContain('A -- <b>&"\'');
    expect(back.ok && back.value.cameras[0]?.model).toBe('=1+1');
  });

  it('comes back through our own reader with the same falloff', () => {
    const rig = plainRig();
    const { xml, points } = profileOf(rig);
    const back = readLensfun(xml, 'ours.xml');
    if (!back.ok) throw new Error(back.problems[0]?.sentence);
    expect(back.value.lenses[0]?.vignetting.map((v) => v.k)).toEqual(points.map((p) => p.fit.k));
  });

  it('refuses a halo that ends in the frame, and says why', () => {
    const hard = sampleWith({
      focalMm: 50,
      fNumber: 2,
      front: { edgeRadiusMm: 15, softnessMm: 1 },
      evidence: { kind: 'measured' },
    });
    const rig = plainRig({ lens: { halo: [hard] } });
    const profile = lensfunProfile(rig);
    expect(!profile.ok && profile.problems[0]?.sentence).toContain('a hard edge');
  });

  it('writes or refuses every rig of the demo, with no figure that is none', () => {
    for (const { id } of tideMill.rigs) {
      const profile = lensfunProfile(demoRig(id));
      if (profile.ok) expect(profile.value.xml).not.toMatch(/NaN|Infinity|\d,\d/);
      else expect(profile.problems[0]?.sentence.length).toBeGreaterThan(20);
    }
  });
});
