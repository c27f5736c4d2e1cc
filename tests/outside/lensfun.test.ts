/**
 * Source: the Lensfun database as Debian packages it (liblensfun-data-v1, data under CC BY-SA 3.0), read
 * where it is installed; nothing of it is kept here. Crop factors of cameras, and how dark the corners of
 * lenses are: correction gain = 1/(1 + k1 r² + k2 r⁴ + k3 r⁶) with r = 1 in the corner.
 */
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { XMLParser } from 'fast-xml-parser';
import { describe, expect, it } from 'vitest';
import { nativeStanding, lensAt, predictHalo, lightAt } from '@/core/halo';
import { lensExample, type Lens } from '@/core/kit/records';
import {
  readLensfun,
  LENSFUN_LICENCE,
  bodyRecord,
  calibratedStops,
  lensRecord,
} from '@/core/exchange/lensfun';
import { checkRecord } from '@/core/kit/checks';
import { cropFactor, FORMATS } from '@/core/optics';

const formatOf = (id: string) => FORMATS.find((f) => f.id === id)!;

const FOLDER = '/usr/share/lensfun/version_1';

interface Vignetting {
  '@focal': string;
  '@aperture': string;
  '@distance': string;
  '@k1': string;
  '@k2': string;
  '@k3': string;
}
interface XmlLens {
  cropfactor?: string | string[];
  calibration?: { vignetting?: Vignetting[] } | { vignetting?: Vignetting[] }[];
}
interface XmlCamera {
  cropfactor?: string;
}

const listed = <T>(value: T | T[] | undefined): T[] =>
  value === undefined ? [] : Array.isArray(value) ? value : [value];

const parser = new XMLParser({
  ignoreAttributes: false,
  attributeNamePrefix: '@',
  parseTagValue: false,
  isArray: (name) => ['lens', 'camera', 'vignetting'].includes(name),
});

const files = readdirSync(FOLDER).filter((f) => f.endsWith('.xml'));
const databases = files.map(
  (f) =>
    (
      parser.parse(readFileSync(join(FOLDER, f))) as {
        lensdatabase?: { lens?: XmlLens[]; camera?: XmlCamera[] };
      }
    ).lensdatabase,
);
const lenses = databases.flatMap((d) => d?.lens ?? []);
const cameras = databases.flatMap((d) => d?.camera ?? []);

const cornerStops = (v: Vignetting): number =>
  -Math.log2(1 + Number(v['@k1']) + Number(v['@k2']) + Number(v['@k3']));

/** Per full-frame lens and focal length: darkest calibration at its widest aperture and the one nearest f/8. */
function calibrations() {
  const found: {
    focal: number;
    zoom: boolean;
    open: number;
    openStops: number;
    f8Stops: number | null;
  }[] = [];
  for (const lens of lenses) {
    const crop = Number(listed(lens.cropfactor)[0]);
    if (!(crop > 0.98 && crop < 1.02)) continue;
    const all = listed(lens.calibration).flatMap((c) => listed(c.vignetting));
    const focals = [...new Set(all.map((v) => Number(v['@focal'])))];
    for (const focal of focals) {
      const here = all.filter((v) => Number(v['@focal']) === focal);
      const far = Math.max(...here.map((v) => Number(v['@distance'])));
      const atFar = here.filter((v) => Number(v['@distance']) === far);
      const open = Math.min(...atFar.map((v) => Number(v['@aperture'])));
      const stopsAt = (n: number) =>
        atFar.filter((v) => Math.abs(Number(v['@aperture']) - n) < 0.3).map(cornerStops)[0];
      const openStops = stopsAt(open);
      const f8 = stopsAt(8);
      if (openStops === undefined || !(openStops > -0.5 && openStops < 6)) continue;
      found.push({
        focal,
        zoom: focals.length > 1,
        open,
        openStops,
        f8Stops: f8 !== undefined && f8 > -0.5 && f8 < 6 ? f8 : null,
      });
    }
  }
  return found;
}

const median = (values: number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!;

describe('Lensfun database', () => {
  it('is there and large', () => {
    expect(lenses.length).toBeGreaterThan(1000);
    expect(cameras.length).toBeGreaterThan(500);
  });

  it.each([
    ['crop-1.5', 1.5339],
    ['crop-1.6', 1.6132],
    ['four-thirds-inch', 1.9994],
    ['one-inch', 2.7273],
    ['36x24', 1],
    ['44x33', 0.7898],
  ])('has cameras whose crop factor is ours for %s', (id, ours) => {
    expect(cropFactor(formatOf(id))).toBeCloseTo(ours, 3);
    const near = cameras.filter((c) => Math.abs(Number(c.cropfactor) / ours - 1) < 0.025);
    expect(near.length).toBeGreaterThan(0);
    expect(median(near.map((c) => Number(c.cropfactor))) / ours).toBeCloseTo(1, 1.5);
  });

  const data = calibrations();
  const kinds: readonly [string, boolean, number, number][] = [
    ['primes of 24 to 35 mm', false, 24, 35.5],
    ['primes of 36 to 70 mm', false, 36, 70.5],
    ['primes of 71 to 135 mm', false, 71, 135.5],
    ['zooms at 24 to 35 mm', true, 24, 35.5],
    ['zooms at 36 to 70 mm', true, 36, 70.5],
  ];

  it.each(kinds)('%s: the corners are as dark as we call normal', (name, zoom, from, to) => {
    const here = data.filter((d) => d.zoom === zoom && d.focal >= from && d.focal <= to);
    const focal = Math.sqrt(from * to);
    const lens: Lens = {
      ...lensExample,
      designFormat: { widthMm: 36, heightMm: 24 },
      focalMinMm: zoom ? from : focal,
      focalMaxMm: zoom ? to : focal,
    };
    const open = nativeStanding(lens, focal, 2, 2, 0);
    const f8 = nativeStanding(lens, focal, 2, 8, 0);
    expect(open.kind).toBe(name);
    expect(here.length).toBeGreaterThan(10);
    const openMedian = median(here.map((d) => d.openStops));
    const f8Median = median(here.flatMap((d) => (d.f8Stops === null ? [] : [d.f8Stops])));
    expect(openMedian).toBeGreaterThan(open.betterQuarter - 0.35);
    expect(openMedian).toBeLessThan(open.worseQuarter + 0.35);
    expect(f8Median).toBeGreaterThan(f8.betterQuarter - 0.3);
    expect(f8Median).toBeLessThan(f8.worseQuarter + 0.3);
  });

  it('stopping down to f/8 lightens the corners of nearly every lens', () => {
    const both = data.filter((d) => d.f8Stops !== null && d.open < 4);
    const lighter = both.filter((d) => (d.f8Stops ?? 9) < d.openStops + 0.05);
    expect(lighter.length / both.length).toBeGreaterThan(0.95);
  });
});

describe('reading the whole database', () => {
  const texts = files.map((f) => ({ name: f, text: readFileSync(join(FOLDER, f), 'utf8') }));
  const read = texts.map(({ name, text }) => {
    const result = readLensfun(text, name);
    if (!result.ok) throw new Error(result.problems[0]?.sentence);
    return result.value;
  });
  const entries = read.flatMap((d) => d.lenses);

  it('finds every lens, camera, mount and calibration a plain count of the text finds', () => {
    const counted = (tag: RegExp) =>
      texts.reduce(
        (n, { text }) => n + (text.replace(/<!--[^]*?-->/g, '').match(tag) ?? []).length,
        0,
      );
    expect(entries).toHaveLength(counted(/<lens>/g));
    expect(read.flatMap((d) => d.cameras)).toHaveLength(counted(/<camera>/g));
    expect(read.flatMap((d) => d.mounts)).toHaveLength(counted(/<mount>\s*<name/g));
    expect(entries.flatMap((l) => l.vignetting)).toHaveLength(counted(/<vignetting /g));
  });

  it('every entry that says its speed becomes a lens that passes the checks, under its licence', () => {
    const records = entries.flatMap(
      (entry, i) => lensRecord(entry, { mounts: [], markings: [] }, `l${i}`) ?? [],
    );
    expect(records.length).toBeGreaterThan(entries.length * 0.75);
    for (const record of records) {
      const checked = checkRecord('lenses', record);
      expect(checked.ok ? '' : `${record.name}: ${checked.problems[0]?.sentence}`).toBe('');
      expect(record.licence).toBe(LENSFUN_LICENCE);
      for (const sample of record.halo) expect(sample.evidence.kind).toBe('published');
    }
  });

  it('falloff samples darken as the calibrations do', () => {
    const misses = entries
      .filter((l) => l.vignetting.length > 0)
      .slice(0, 120)
      .flatMap((entry, i) => {
        const record = lensRecord(entry, { mounts: [], markings: [] }, `l${i}`);
        const cornerMm = 43.2666 / 2 / entry.cropFactor;
        return (record?.halo ?? []).flatMap((sample) => {
          const [v] = entry.vignetting
            .filter((c) => c.focalMm === sample.focalMm && c.fNumber === sample.fNumber)
            .sort((a, b) => b.distanceM - a.distanceM);
          if (!record || !v) return [];
          const { focalMm, fNumber } = sample;
          const halo = predictHalo(lensAt(record, { focalMm, fNumber, focusM: null }));
          return [0.6, 0.8, 1].map((r) => {
            const model = -Math.log2(Math.max(1e-3, lightAt(halo, r * cornerMm).light));
            return Math.abs(model - calibratedStops(v, r));
          });
        });
      })
      .sort((a, b) => a - b);
    expect(misses.length).toBeGreaterThan(600);
    expect(misses[Math.floor(misses.length / 2)]).toBeLessThan(0.1);
    expect(misses[Math.floor(misses.length * 0.9)]).toBeLessThan(0.35);
  });

  it('cameras become bodies with the read-out their crop factor says', () => {
    const all = read.flatMap((d) => d.cameras);
    for (const [i, camera] of all.entries()) {
      const body = bodyRecord(camera, [], `b${i}`);
      expect(checkRecord('bodies', body).ok).toBe(true);
      expect(cropFactor(body.modes[0]!, 'diagonal')).toBeCloseTo(camera.cropFactor, 1);
    }
  });
});
