/**
 * Source: exiftool's composite values (Debian package libimage-exiftool-perl), computed by it from the tags
 * written into a one-pixel picture. Its formulas: circle of confusion = diagonal/1440, hyperfocal f²/(Nc)
 * without the last f, field of view by the long side.
 */
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { beforeAll, describe, expect, it } from 'vitest';
import { decodeFrame } from '@/core/measure/file';
import {
  cropFactor,
  circleOfConfusionMm,
  depthOfField,
  hyperfocalM,
  type FrameSize,
  angleOfView,
} from '@/core/optics';

/** The smallest JPEG there is: one grey pixel. */
const PIXEL =
  '/9j/4AAQSkZJRgABAQEAYABgAAD/2wBDAAgGBgcGBQgHBwcJCQgKDBQNDAsLDBkSEw8UHRofHh0aHBwgJC4nICIsIxwcKDcpLDAxNDQ0Hyc5PTgyPC4zNDL/wAALCAABAAEBAREA/8QAFAABAAAAAAAAAAAAAAAAAAAACf/EABQQAQAAAAAAAAAAAAAAAAAAAAD/2gAIAQEAAD8AVN//2Q==';

interface Composite {
  ScaleFactor35efl: number;
  CircleOfConfusion: number;
  DOF: string | number;
  FOV: string | number;
  HyperfocalDistance: number;
  FocalLength35efl: number;
}

interface Shot {
  frame: FrameSize;
  focalMm: number;
  fNumber: number;
  focusM: number;
}

const SHOTS: readonly (readonly [string, Shot])[] = [
  [
    '36x24, 50 mm f/2 at 3 m',
    { frame: { widthMm: 36, heightMm: 24 }, focalMm: 50, fNumber: 2, focusM: 3 },
  ],
  [
    '23.5x15.6, 35 mm f/5.6 at 5 m',
    { frame: { widthMm: 23.5, heightMm: 15.6 }, focalMm: 35, fNumber: 5.6, focusM: 5 },
  ],
  [
    '17.3x13, 25 mm f/1.8 at 2 m',
    { frame: { widthMm: 17.3, heightMm: 13 }, focalMm: 25, fNumber: 1.8, focusM: 2 },
  ],
  [
    '43.8x32.9, 80 mm f/2.8 at 4 m',
    { frame: { widthMm: 43.8, heightMm: 32.9 }, focalMm: 80, fNumber: 2.8, focusM: 4 },
  ],
];

const folder = mkdtempSync(join(tmpdir(), 'halo-exif-'));

function composite({ frame, focalMm, fNumber, focusM }: Shot, name: string): Composite {
  const path = join(folder, `${name.replace(/\W+/g, '-')}.jpg`);
  writeFileSync(path, Buffer.from(PIXEL, 'base64'));
  execFileSync('exiftool', [
    '-q',
    '-overwrite_original',
    `-FocalLength=${focalMm}`,
    `-FNumber=${fNumber}`,
    `-ExifImageWidth=${frame.widthMm * 100}`,
    `-ExifImageHeight=${frame.heightMm * 100}`,
    '-FocalPlaneXResolution=1000',
    '-FocalPlaneYResolution=1000',
    '-FocalPlaneResolutionUnit#=3',
    `-SubjectDistance=${focusM}`,
    path,
  ]);
  const out = execFileSync('exiftool', ['-n', '-j', '-Composite:all', path], { encoding: 'utf8' });
  return (JSON.parse(out) as Composite[])[0]!;
}

describe.each(SHOTS)('exiftool on %s', (name, shot) => {
  let theirs: Composite;
  const { frame, focalMm, fNumber, focusM } = shot;
  const circle = circleOfConfusionMm(frame, 'diagonal/1440');

  beforeAll(() => {
    theirs = composite(shot, name);
  });

  it('agrees on the scale factor and the equivalent focal length', () => {
    expect(cropFactor(frame)).toBeCloseTo(theirs.ScaleFactor35efl, 3);
    expect(focalMm * cropFactor(frame)).toBeCloseTo(theirs.FocalLength35efl, 1);
  });

  it('agrees on the circle of confusion', () => {
    expect(circle).toBeCloseTo(theirs.CircleOfConfusion, 5);
  });

  it('agrees on the hyperfocal distance but for its missing f', () => {
    expect(hyperfocalM(focalMm, fNumber, circle) - focalMm / 1000).toBeCloseTo(
      theirs.HyperfocalDistance,
      1.7,
    );
  });

  it('agrees on near and far limits', () => {
    const [near, far] = String(theirs.DOF).split(' ').map(Number);
    const ours = depthOfField(focalMm, fNumber, circle, focusM);
    expect(ours.nearM / near!).toBeCloseTo(1, 3);
    expect((ours.farM ?? 0) / far!).toBeCloseTo(1, 3);
  });
});

/** Its field of view takes the long side of a 3:2 picture; other shapes it gets wrong. */
const THREE_TO_TWO = SHOTS.filter(
  ([, { frame }]) => Math.abs(frame.widthMm / frame.heightMm - 1.5) < 0.01,
);

describe.each(THREE_TO_TWO)('exiftool on %s', (name, shot) => {
  it('agrees on the field of view', () => {
    const { frame, focalMm } = shot;
    const theirs = Number(String(composite(shot, `fov ${name}`).FOV).split(' ')[0]);
    // Of a lens at infinity, across 36 mm divided by its scale factor: a 3:2 frame of the same diagonal.
    expect(angleOfView(36 / cropFactor(frame), focalMm)).toBeCloseTo(theirs, 2);
  });
});

describe('the camera a file tells of', () => {
  it.each([
    // Unit 2 is an inch, 3 a centimetre: 6000 px at 4233.33 a inch are 36 mm, at 2553.19 a centimetre 23.5 mm.
    [6000, 4000, 4233.333, 'inches', 36],
    [6000, 4000, 2553.191, 'cm', 23.5],
    [4000, 6000, 4233.333, 'inches', 36],
  ])('%d × %d px at %f in %s stand for a long side of %f mm', async (w, h, perUnit, unit, mm) => {
    const path = join(folder, `camera-${w}-${unit}.jpg`);
    writeFileSync(path, Buffer.from(PIXEL, 'base64'));
    execFileSync('exiftool', [
      '-overwrite_original',
      '-Make=Tolvane',
      '-Model=L45',
      `-ExifImageWidth=${w}`,
      `-ExifImageHeight=${h}`,
      `-FocalPlaneXResolution=${perUnit}`,
      `-FocalPlaneYResolution=${perUnit}`,
      `-FocalPlaneResolutionUnit=${unit}`,
      path,
    ]);
    const read = await decodeFrame(new Uint8Array(readFileSync(path)), 'x.jpg', () =>
      Promise.resolve({
        widthPx: 1,
        heightPx: 1,
        channels: 1,
        depth: 8,
        data: new Uint8Array(1),
      }),
    );
    if (!read.ok) throw new Error(read.problems[0]?.sentence);
    expect(read.value.camera.name).toBe('Tolvane L45');
    expect(read.value.camera.sensorLongMm).toBeCloseTo(mm, 2);
  });
});
