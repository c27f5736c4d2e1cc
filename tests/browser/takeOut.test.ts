/** What a rig gives to other programs and to other people, saved and read back; and pictures that are lifted. */
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, unlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { decode } from 'fast-png';
import sharp from 'sharp';
import { decode as decodeTiff } from 'tiff';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { lensFileOf, writeLensFile } from '@/core/exchange/json';
import { recordedFrame } from '@/core/frame';
import { guideOf, reachIn, type Guide, ZONE_OPACITY } from '@/core/guides';
import { lightAt } from '@/core/halo';
import { evaluate } from '@/core/rig/report';
import { situationOf } from '@/core/rig';
import { tideMill } from '@/core/demo';
import { demoRig } from '../support/demo';
import { CardPage } from './cardPage';

const folder = mkdtempSync(join(tmpdir(), 'halo-take-out-'));
let page: CardPage;

beforeAll(async () => {
  page = await CardPage.opened();
});
beforeEach(() => page.anew());
afterAll(() => page.driver.quit());

const told = (path: string) =>
  (
    JSON.parse(execFileSync('exiftool', ['-n', '-j', path], { encoding: 'utf8' })) as Record<
      string,
      unknown
    >[]
  )[0];

/** How see-through a guide is at a pixel by the core's geometry; null on its lines and at the borders of its zones. */
function opacityAt(guide: Guide, x: number, y: number): number | null {
  const u = guide.widthPx / 900;
  const { delivered: d, centre } = guide;
  const toSides = [x - d.x, x - d.x - d.width, y - d.y, y - d.y - d.height].map(Math.abs);
  const [black, shaded] = [reachIn(guide.blackFrom, x, y), reachIn(guide.shadedFrom, x, y)];
  const isNearLine =
    Math.min(...toSides) < 6 * u ||
    Math.hypot(x - centre.x, y - centre.y) < 20 * u ||
    Math.abs(reachIn(guide.edge, x, y) - 1) < 0.02 ||
    Math.min(Math.abs(black - 1), Math.abs(shaded - 1)) < 0.005;
  if (isNearLine) return null;
  const clear = 1 - (shaded > 1 ? ZONE_OPACITY.shaded : 0);
  return 1 - clear * (1 - (black > 1 ? ZONE_OPACITY.black : 0));
}

describe('for other programs', () => {
  it('the frame guide as PNG is what the core says, pixel by pixel', async () => {
    await page.openCard('rig=lantern-room');
    await page.unfold('Frame guide');
    await page.press('PNG');
    const png = decode(readFileSync((await page.download('.png')).path));
    const rig = demoRig('lantern-room');
    const report = evaluate(rig);
    const found = guideOf(rig, report, { protection: 0, desqueezed: false });
    if (!found.ok) throw new Error('the guide is drawn');
    const guide = found.value;
    expect([png.width, png.height, png.channels]).toEqual([guide.widthPx, guide.heightPx, 4]);
    let [checked, wrong] = [0, 0];
    for (let y = 7; y < png.height; y += 23)
      for (let x = 7; x < png.width; x += 23) {
        const expected = opacityAt(guide, x, y);
        if (expected === null) continue;
        const alpha = (png.data[(y * png.width + x) * 4 + 3] ?? 0) / 255;
        checked += 1;
        if (Math.abs(alpha - expected) > 0.015) wrong += 1;
      }
    expect(checked).toBeGreaterThan(5000);
    expect(wrong).toBe(0);
    await page.press('SVG');
    const svg = readFileSync((await page.download('.svg')).path);
    const drawn = await sharp(svg).ensureAlpha().raw().toBuffer({ resolveWithObject: true });
    expect([drawn.info.width, drawn.info.height]).toEqual([png.width, png.height]);
    // Two renderers differ by a hair at edges alone.
    let apart = 0;
    for (let i = 3; i < drawn.data.length; i += 4 * 37)
      if (Math.abs((drawn.data[i] ?? 0) - (png.data[i] ?? 0)) > 40) apart += 1;
    expect(apart / (drawn.data.length / (4 * 37))).toBeLessThan(0.002);
    await page.expectQuiet();
  });

  it('a framing list goes out, comes back with another rig, and what it does not know is kept', async () => {
    await page.openCard('rig=wheel-house-wide');
    await page.unfold('Frame guide');
    await page.press('Save a framing list');
    const { path, text } = await page.download('.fdl');
    const list = JSON.parse(text) as Record<string, unknown>;
    expect(list).toMatchObject({ fdl_creator: 'Wandering Halo', version: { major: 1 } });
    writeFileSync(path, JSON.stringify({ ...list, studio: 'north' }));
    await page.openCard('rig=wheel-house-wide&deliver=2.39');
    await page.unfold('Frame guide');
    await page.giveFile(path, 'Framing decision list');
    await page.choose('Frame as', 'Wheel-house, wide');
    await page.expectSoon(
      () => page.driver.getCurrentUrl(),
      (url) => url.includes('deliver=1.77'),
      'the framing was not taken',
    );
    unlinkSync(path);
    await page.pressStarting('Save Wheel-house-wide.fdl');
    expect(JSON.parse((await page.download('.fdl')).text)).toMatchObject({ studio: 'north' });
    const wrong = join(folder, 'wrong.fdl');
    writeFileSync(wrong, '{"contexts": "none"}');
    await page.giveFile(wrong, 'Framing decision list');
    await page.expectSoon(
      () => page.notice(),
      (said) => said.includes('wrong.fdl is no framing decision list'),
      'it was not refused',
    );
    await page.expectQuiet();
  });

  it('the gain map and the profile are saved; a hard edge has no profile, and says why', async () => {
    await page.openCard('rig=lantern-room');
    await page.unfold('For correcting pictures');
    await page.press('Save the gain map');
    const { path } = await page.download('.png');
    await page.expectSoon(
      () => page.notice(),
      (text) => text.includes('65535 is a gain of'),
      'it was not said',
    );
    const map = decode(readFileSync(path));
    const rig = demoRig('lantern-room');
    const recorded = recordedFrame(rig.mode, 1);
    expect([map.width, map.height, map.depth, map.channels]).toEqual([
      recorded.widthPx,
      recorded.heightPx,
      16,
      1,
    ]);
    const { halo } = situationOf(rig);
    const [x, y] = [Math.round(map.width * 0.3), Math.round(map.height * 0.4)];
    const r = Math.hypot(
      ((x + 0.5) / map.width - 0.5) * recorded.widthMm - halo.centre.xMm,
      ((y + 0.5) / map.height - 0.5) * recorded.heightMm - halo.centre.yMm,
    );
    const gain = ((map.data[y * map.width + x] ?? 0) / 65_535) * 8;
    expect(gain * lightAt(halo, r).light).toBeCloseTo(1, 2);
    await page.press('Lensfun profile');
    await page.expectSoon(
      () => page.notice(),
      (text) => text.includes('a hard edge'),
      'it was not refused',
    );
    await page.openCard('rig=lamplight');
    await page.unfold('For correcting pictures');
    await page.press('Lensfun profile');
    const xml = (await page.download('.xml')).text;
    expect(xml).toContain('<lensdatabase version="1">');
    expect(xml).toContain('model="pa"');
    await page.expectQuiet();
  });

  it('a lens is given away, and taken in by somebody else beside what they have', async () => {
    await page.openCard('rig=wheel-house-wide');
    await page.unfold('Give this lens away');
    await page.press('Save the lens to give away');
    const { text } = await page.download('-lens.json');
    expect(JSON.parse(text)).toMatchObject({
      format: 'wandering-halo/lens',
      lens: { id: 'w1835' },
    });
    const lens = tideMill.lenses.find((l) => l.id === 'w1835');
    if (!lens) throw new Error('the demo has it');
    const theirs = { ...lens, halo: lens.halo.map((s) => ({ ...s, id: `their-${s.id}` })) };
    const file = join(folder, 'theirs.json');
    writeFileSync(
      file,
      writeLensFile(lensFileOf({ ...tideMill, lenses: [theirs] }, theirs, 'B. Marsh')),
    );
    await page.giveFile(file);
    await page.saying('Open theirs.json');
    await page.press('Take it in');
    await page.expectSoon(
      async () =>
        (JSON.parse(await page.stored()) as { lenses: typeof tideMill.lenses }).lenses.find(
          (l) => l.id === 'w1835',
        )?.halo.length,
      (count) => count === lens.halo.length * 2,
      'the samples did not come in',
    );
    await page.expectQuiet();
  });
});

describe('lifting a picture', () => {
  /** A grey wall as the rig photographs it. */
  async function wall(kind: 'jpeg' | 'png' | 'tiff'): Promise<string> {
    const { halo } = situationOf(demoRig('lamplight'));
    const [width, height] = [900, 600];
    const data = new Uint16Array(width * height * 3);
    for (let i = 0; i < width * height; i += 1) {
      const x = (((i % width) + 0.5) / width - 0.5) * 36 - halo.centre.xMm;
      const y = ((Math.floor(i / width) + 0.5) / height - 0.5) * 24 - halo.centre.yMm;
      const light = 0.35 * lightAt(halo, Math.hypot(x, y)).light;
      const value = light <= 0.0031308 ? 12.92 * light : 1.055 * light ** (1 / 2.4) - 0.055;
      data.fill(Math.round(value * 65_535), i * 3, i * 3 + 3);
    }
    const file = join(folder, `wall.${kind === 'jpeg' ? 'jpg' : kind === 'tiff' ? 'tif' : 'png'}`);
    const picture = sharp(data, { raw: { width, height, channels: 3 } }).toColourspace('rgb16');
    if (kind === 'jpeg') await picture.toColourspace('srgb').jpeg({ quality: 97 }).toFile(file);
    else if (kind === 'png') await picture.png().toFile(file);
    else await picture.tiff({ compression: 'none' }).toFile(file);
    execFileSync('exiftool', [
      '-q',
      '-overwrite_original',
      '-FocalLength=35',
      '-FNumber=1.4',
      '-Artist=A. Sluiter',
      file,
    ]);
    return file;
  }

  /** Stops between the middle and a place near the corner, of a picture in sRGB. */
  async function unevenness(path: string): Promise<number> {
    const bytes = readFileSync(path);
    const image = path.endsWith('.tif')
      ? (() => {
          const [p] = decodeTiff(bytes);
          return {
            width: p?.width ?? 0,
            channels: p?.components ?? 3,
            full: 65_535,
            data: p?.data ?? [],
          };
        })()
      : path.endsWith('.png')
        ? (() => {
            const p = decode(bytes);
            return {
              width: p.width,
              channels: p.channels,
              full: p.depth === 16 ? 65_535 : 255,
              data: p.data,
            };
          })()
        : await sharp(bytes)
            .raw()
            .toBuffer({ resolveWithObject: true })
            .then(({ data, info }) => ({
              width: info.width,
              channels: info.channels,
              full: 255,
              data,
            }));
    const lightOf = (x: number, y: number) => {
      const v = (image.data[(y * image.width + x) * image.channels] ?? 0) / image.full;
      return v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4;
    };
    return Math.abs(Math.log2(lightOf(450, 300) / lightOf(60, 60)));
  }

  it.each(['jpeg', 'png', 'tiff'] as const)(
    'evens it out and keeps what it says of itself: %s',
    async (kind) => {
      const file = await wall(kind);
      expect(await unevenness(file)).toBeGreaterThan(0.7);
      await page.openCard('rig=lamplight');
      await page.answer('Made of', 'Lift a picture');
      await page.giveFile(file, 'Picture to lift');
      await page.press('Save it lifted');
      const saved = (
        await page.download(
          kind === 'jpeg' ? '-lifted.jpg' : kind === 'tiff' ? '-lifted.tif' : '-lifted.png',
        )
      ).path;
      await page.expectSoon(
        () => page.notice(),
        (text) => text.includes('Saved as wall-lifted'),
        'it was not said',
      );
      expect(await unevenness(saved)).toBeLessThan(kind === 'jpeg' ? 0.06 : 0.01);
      expect(told(saved)).toMatchObject({
        FocalLength: 35,
        Artist: 'A. Sluiter',
        ImageWidth: 900,
        ImageHeight: 600,
      });
      await page.expectQuiet();
    },
  );

  it('says where a picture is no picture, has another shape, or was taken otherwise', async () => {
    await page.openCard('rig=lamplight');
    await page.answer('Made of', 'Lift a picture');
    const text = join(folder, 'no.jpg');
    writeFileSync(text, 'no picture');
    await page.giveFile(text, 'Picture to lift');
    await page.saying('That cannot be lifted');
    const wide = join(folder, 'wide.jpg');
    await sharp({ create: { width: 640, height: 360, channels: 3, background: '#777' } })
      .jpeg()
      .toFile(wide);
    await page.giveFile(wide, 'Picture to lift');
    await page.expectSoon(
      async () => (await page.find('section[aria-label="Picture"]')).getText(),
      (said) => said.includes('wide.jpg is 640 × 360'),
      'it was lifted all the same',
    );
    const other = await wall('jpeg');
    execFileSync('exiftool', ['-q', '-overwrite_original', '-FocalLength=85', other]);
    await page.giveFile(other, 'Picture to lift');
    await page.expectSoon(
      () => page.side(),
      (said) => said.includes('The picture says 85 mm'),
      'it was not said',
    );
    await page.expectQuiet();
  });
});
