/**
 * Cameras, mounts and lenses from the open Lensfun XML database, as the user's own files hold them. Nothing
 * of it ships with the program. Format: lensfun.github.io manual (from memory), checked against the Debian
 * package.
 */
import { XMLParser } from 'fast-xml-parser';
import { SyntaxValidator } from 'fast-xml-validator';
import type { TNumber } from '@sinclair/typebox';
import { F_NUMBER, FOCAL_MM } from '../../kit/records';
import { fail, ok, type Problem, type Result } from '../../words';
import { FULL_FRAME, diagonalMm, type FrameSize } from '../../optics';
import { checkSize } from '../json';

export interface Vignetting {
  focalMm: number;
  fNumber: number;
  /** m; the database writes 1000 for far. */
  distanceM: number;
  /** Light at r = 1 + k1 r² + k2 r⁴ + k3 r⁶, r = 1 in the corner of the calibrated format. */
  k: readonly [number, number, number];
}

export interface LensfunLens {
  maker: string;
  model: string;
  mounts: string[];
  /** Of the format it was calibrated on. */
  cropFactor: number;
  aspect: number;
  focalMinMm: number | null;
  focalMaxMm: number | null;
  openFNumber: number | null;
  /** Focal lengths at which anything was calibrated. */
  calibratedFocalsMm: number[];
  vignetting: Vignetting[];
}

export interface LensfunCamera {
  maker: string;
  model: string;
  mount: string;
  cropFactor: number;
}

interface LensfunMount {
  name: string;
  compatible: string[];
}

interface LensfunDatabase {
  mounts: LensfunMount[];
  cameras: LensfunCamera[];
  lenses: LensfunLens[];
  /** Entries whose crop factor stands for no sensor; they are not among the others. */
  leftOut: Problem[];
}

/** Crop factors from the largest sheet film to the smallest sensors. */
const LEAST_CROP = 0.12;
const MOST_CROP = 30;
/** Formats are no slimmer than this, either way. */
const MOST_ASPECT = 5;

const LISTS = new Set([
  'mount',
  'camera',
  'lens',
  'vignetting',
  'maker',
  'model',
  'name',
  'compat',
]);

const parser = new XMLParser({
  ignoreAttributes: false,
  attributeNamePrefix: '@',
  parseTagValue: false,
  parseAttributeValue: false,
  // Refused before parsing; what is left are the five entities of XML itself.
  processEntities: true,
  // Characters told by number too.
  htmlEntities: true,
  isArray: (name) =>
    LISTS.has(name) || name === 'calibration' || name === 'focal' || name === 'aperture',
});

type Node = Record<string, unknown>;

const present = <T>(value: T | null): T[] => (value === null ? [] : [value]);

const nodes = (value: unknown): Node[] =>
  (Array.isArray(value) ? value : value === undefined ? [] : [value]).filter(
    (v): v is Node => typeof v === 'object' && v !== null,
  );

/** The text of an element, the one without a language before those with one. */
function textOf(value: unknown): string {
  const all: unknown[] = Array.isArray(value) ? value : [value];
  const plain = all.find((v) => typeof v === 'string');
  if (typeof plain === 'string') return plain.trim();
  const [first] = nodes(value);
  return typeof first?.['#text'] === 'string' ? first['#text'].trim() : '';
}

const textsOf = (value: unknown): string[] =>
  (Array.isArray(value) ? value : [value]).flatMap((v) => {
    const text = textOf(v);
    return text ? [text] : [];
  });

/** A number, also one written with a decimal comma; null where there is none. */
function numberOf(value: unknown): number | null {
  if (typeof value !== 'string' || value.trim() === '') return null;
  const number = Number(value.trim().replace(',', '.'));
  return Number.isFinite(number) ? number : null;
}

/** What the reader says is wrong, and in which line where it knows. */
function reasonOf(error: unknown): string {
  const said = error instanceof Error ? (error.message.split('\n')[0] ?? '') : '';
  const line = (error as { line?: unknown }).line;
  return `${said.slice(0, 160)}${typeof line === 'number' ? ` (line ${line})` : ''}`;
}

const attribute = (value: unknown, name: string): number | null =>
  numberOf(nodes(value)[0]?.[`@${name}`]);

function aspectOf(text: string): number {
  const [w, h] = text.split(':').map((t) => Number(t));
  const aspect = w && h ? w / h : Number(text);
  return aspect >= 1 / MOST_ASPECT && aspect <= MOST_ASPECT ? aspect : 1.5;
}

/** Whether a figure is there, and one that records admit. */
const isWithin = (schema: TNumber, value: number | null): value is number =>
  value !== null && value >= (schema.minimum ?? -Infinity) && value <= (schema.maximum ?? Infinity);

function vignettingOf(calibrations: readonly Node[]): Vignetting[] {
  return calibrations.flatMap((calibration) =>
    nodes(calibration.vignetting).flatMap((v): Vignetting[] => {
      const [focalMm, fNumber] = [numberOf(v['@focal']), numberOf(v['@aperture'])];
      if (v['@model'] !== 'pa' || !isWithin(FOCAL_MM, focalMm) || !isWithin(F_NUMBER, fNumber))
        return [];
      return [
        {
          focalMm,
          fNumber,
          distanceM: numberOf(v['@distance']) ?? 1000,
          k: [numberOf(v['@k1']) ?? 0, numberOf(v['@k2']) ?? 0, numberOf(v['@k3']) ?? 0],
        },
      ];
    }),
  );
}

const focalsOf = (calibrations: readonly Node[]): number[] => {
  const entries = calibrations.flatMap((c) =>
    ['distortion', 'tca', 'vignetting'].flatMap((k) => nodes(c[k])),
  );
  return entries.flatMap((entry) => present(numberOf(entry['@focal'])));
};

/** An entry's crop factor; null where it has none that stands for a sensor. */
function cropOf(node: Node): number | null {
  const crop = numberOf(textOf(node.cropfactor));
  return crop !== null && crop >= LEAST_CROP && crop <= MOST_CROP ? crop : null;
}

/** What is said of entries with a name and no usable crop factor. */
const withoutCrop = (entries: readonly Node[], file: string): Problem[] =>
  entries.flatMap((node) => {
    const model = textOf(node.model);
    if (!model || cropOf(node) !== null) return [];
    const told = textOf(node.cropfactor).slice(0, 20);
    const has = told ? `the crop factor “${told}”` : 'no crop factor';
    const sentence = `${file}: “${model.slice(0, 80)}” has ${has}; it must be a number from ${LEAST_CROP} to ${MOST_CROP}. It was left out.`;
    return [{ code: 'cropFactor', path: '', sentence }];
  });

function lensOf(node: Node): LensfunLens | null {
  const model = textOf(node.model);
  const cropFactor = cropOf(node);
  if (!model || cropFactor === null) return null;
  const value = attribute(node.focal, 'value');
  return {
    maker: textOf(node.maker),
    model,
    mounts: textsOf(node.mount),
    cropFactor,
    aspect: aspectOf(textOf(node['aspect-ratio']) || '3:2'),
    focalMinMm: attribute(node.focal, 'min') ?? value,
    focalMaxMm: attribute(node.focal, 'max') ?? value ?? attribute(node.focal, 'min'),
    openFNumber: attribute(node.aperture, 'min') ?? attribute(node.aperture, 'value'),
    calibratedFocalsMm: focalsOf(nodes(node.calibration)),
    vignetting: vignettingOf(nodes(node.calibration)),
  };
}

function cameraOf(node: Node): LensfunCamera | null {
  const model = textOf(node.model);
  const cropFactor = cropOf(node);
  if (!model || cropFactor === null) return null;
  return { maker: textOf(node.maker), model, mount: textOf(node.mount), cropFactor };
}

/** Reads one file of the database; refuses what is none, with a sentence. */
export function readLensfun(text: string, name: string): Result<LensfunDatabase> {
  const size = checkSize(text.length, name);
  if (!size.ok) return size;
  if (/<!(?:DOCTYPE|ENTITY)/i.test(text))
    return fail('entities', '', `${name} declares entities of its own, which are not read.`);
  let root: Node | undefined;
  try {
    SyntaxValidator.validate(text);
    [root] = nodes((parser.parse(text) as Node).lensdatabase);
  } catch (error) {
    return fail('notXml', '', `${name} is not whole XML: ${reasonOf(error)}`);
  }
  if (!root)
    return fail('notLensfun', '', `${name} is no Lensfun database: it has no lensdatabase in it.`);
  return ok({
    mounts: nodes(root.mount).flatMap((node) => {
      const mount = textOf(node.name);
      return mount ? [{ name: mount, compatible: textsOf(node.compat) }] : [];
    }),
    cameras: nodes(root.camera).flatMap((node) => present(cameraOf(node))),
    lenses: nodes(root.lens).flatMap((node) => present(lensOf(node))),
    leftOut: withoutCrop([...nodes(root.camera), ...nodes(root.lens)], name),
  });
}

/** The frame a crop factor stands for: diagonal 43.267/crop, in the given aspect. */
export function frameOfCrop(cropFactor: number, aspect: number): FrameSize {
  const diagonal = diagonalMm(FULL_FRAME) / cropFactor;
  const heightMm = diagonal / Math.hypot(aspect, 1);
  return {
    widthMm: Number((heightMm * aspect).toFixed(2)),
    heightMm: Number(heightMm.toFixed(2)),
  };
}
