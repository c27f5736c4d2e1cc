/** What Start asks and what can be answered: each answer may be "I do not know". */
import type { Mode } from '../records';
import type { PartFacts } from './quickPart';
import { isNumber, isText, isTold, orNull, readTold } from './told';

/** What goes between; null where nobody knows. */
export type Between = { kind: 'nothing' } | Pick<PartFacts, 'kind' | 'factor' | 'thicknessMm'>;

/** Answers as far as they are told: null is "I do not know". */
export interface StartAnswers {
  /** What its owner calls the camera; may be empty. */
  cameraName: string;
  sensorId: string | null;
  megapixels: number | null;
  isStabilised: boolean | null;
  use: Mode['use'];
  /** Ids of mounts as knownMounts tells them. */
  cameraMountId: string | null;
  lensMountId: string | null;
  /** What stands on the lens; empty where nobody knows. */
  engraved: string;
  lensFormatId: string | null;
  between: Between | null;
  /** What their owner calls the mounts, by those ids. */
  ownNames: Readonly<Record<string, string>>;
}

export const NOTHING_TOLD: StartAnswers = {
  cameraName: '',
  sensorId: null,
  megapixels: null,
  isStabilised: null,
  use: 'stills',
  cameraMountId: null,
  lensMountId: null,
  engraved: '',
  lensFormatId: null,
  between: null,
  ownNames: {},
};

const isBetween = (value: unknown) =>
  isTold(value) &&
  BETWEENS.some(({ between }) => between.kind === value['kind']) &&
  (value['kind'] === 'nothing' || isNumber(value['factor'])) &&
  (value['thicknessMm'] === undefined || isNumber(value['thicknessMm']));

/** Whether a value can stand for an answer. */
const CAN_BE: Record<keyof StartAnswers, (value: unknown) => boolean> = {
  cameraName: isText,
  sensorId: orNull(isText),
  megapixels: orNull(isNumber),
  isStabilised: orNull((value) => typeof value === 'boolean'),
  use: (value) => value === 'stills' || value === 'video',
  cameraMountId: orNull(isText),
  lensMountId: orNull(isText),
  engraved: isText,
  lensFormatId: orNull(isText),
  between: orNull(isBetween),
  ownNames: (value) => isTold(value) && Object.values(value).every(isText),
};

/** Answers kept as JSON; what cannot be one counts as not told. */
export const readAnswers = (text: string | null): StartAnswers =>
  readTold(text, NOTHING_TOLD, CAN_BE);

/** The choices of what goes between, in the order people think of them. */
export const BETWEENS: readonly { id: string; name: string; between: Between }[] = [
  { id: 'nothing', name: 'Nothing', between: { kind: 'nothing' } },
  { id: 'plain', name: 'Plain adapter', between: { kind: 'plain adapter', factor: 1 } },
  {
    id: 'reducer-0.71',
    name: 'Focal reducer ×0.71',
    between: { kind: 'focal reducer', factor: 0.71 },
  },
  {
    id: 'reducer-0.64',
    name: 'Focal reducer ×0.64',
    between: { kind: 'focal reducer', factor: 0.64 },
  },
  {
    id: 'tele-1.4',
    name: 'Teleconverter ×1.4',
    between: { kind: 'teleconverter', factor: 1.4 },
  },
  { id: 'tele-2', name: 'Teleconverter ×2', between: { kind: 'teleconverter', factor: 2 } },
  { id: 'expander-1.6', name: 'Expander ×1.6', between: { kind: 'expander', factor: 1.6 } },
];

/** The kind of converter with a factor; null for 1 and for factors that are not made. */
export function betweenOfFactor(factor: number): Between | null {
  if (!(factor >= 0.4 && factor <= 3) || factor === 1) return null;
  return { kind: factor < 1 ? 'focal reducer' : 'teleconverter', factor };
}

/** Formats lenses are commonly made for, by id. */
export const COMMON_LENS_FORMATS = [
  '36x24',
  'crop-1.5',
  'crop-1.6',
  'four-thirds-inch',
  '44x33',
  '35-full-gate',
  'large-cine',
  '16-super',
  '645',
  '6x6',
] as const;
