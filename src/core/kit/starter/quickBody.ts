/** A body from what people know of it; the rest is what is usual, and marked so. */
import { diagonalMm, type NamedFormat } from '../../optics';
import { bodyOf, modeOf, type Body, type Mode } from '../records';

/** Sensors common in cameras one can buy or rent: their format, and the megapixels they come with. */
interface CommonSensor {
  formatId: string;
  megapixels: readonly number[];
  /** Megapixels taken where nobody knows. */
  usual: number;
}

/** Common practice, no source. */
export const COMMON_SENSORS: readonly CommonSensor[] = [
  { formatId: '36x24', megapixels: [12, 20, 24, 33, 45, 61], usual: 24 },
  { formatId: 'crop-1.5', megapixels: [16, 20, 24, 26, 33, 40], usual: 24 },
  { formatId: 'crop-1.6', megapixels: [18, 24, 32], usual: 24 },
  { formatId: 'four-thirds-inch', megapixels: [10, 16, 20, 25], usual: 20 },
  { formatId: '44x33', megapixels: [50, 100], usual: 50 },
  { formatId: '35-full-gate', megapixels: [9, 14, 19], usual: 14 },
  { formatId: 'large-cine', megapixels: [15, 27, 38], usual: 27 },
  { formatId: '16-super', megapixels: [2, 9], usual: 9 },
  { formatId: 'one-inch', megapixels: [10, 20], usual: 20 },
];

export interface BodyFacts {
  name: string;
  mountId: string;
  format: NamedFormat;
  /** Null where nobody knows. */
  megapixels: number | null;
  /** Whether the sensor moves to steady the picture; null where nobody knows. */
  isStabilised: boolean | null;
  /** Whether somebody told which sensor and mount it has. */
  isSensorTold: boolean;
  isMountTold: boolean;
}

/** Sensors of cameras that record nothing but video; they offer the whole gate. Common practice, no source. */
const CINE_SENSORS: readonly string[] = ['35-full-gate', 'large-cine', '16-super'];

/** Stops a moving sensor steadies by, taken where nobody tells them; an assumption: makers' own figures are higher. */
const USUAL_STOPS = 4;

/** Travel of a sensor stabiliser, share of the diagonal; an assumption: makers do not tell theirs. */
const USUAL_TRAVEL_SHARE = 0.04;

/** Whether the sensor of such a camera usually moves: cine cameras steady nothing by themselves. Common practice, no source. */
export const movesUsually = ({ id }: Pick<NamedFormat, 'id'>): boolean =>
  !CINE_SENSORS.includes(id);

const sensorTravelOf = ({ isStabilised, format }: BodyFacts): Body['sensorTravel'] =>
  (isStabilised ?? movesUsually(format))
    ? {
        shape: 'disc',
        xMm: Number((diagonalMm(format) * USUAL_TRAVEL_SHARE).toFixed(1)),
        yMm: 0,
      }
    : null;

const even = (v: number): number => 2 * Math.round(v / 2);
const tenth = (v: number): number => Number(v.toFixed(3));

/** Width of a picture of 3840 pixels, which most video is delivered at; smaller sensors record 1920. */
const recordedWidth = (widthPx: number): number => (widthPx >= 3840 ? 3840 : 1920);

/** Crop of electronic stabilisation that is usual; common practice, no source. */
const STEADY = { id: 'steady', name: 'electronic, usual', nominal: 1.1, measured: null };
const ZOOMS = [1, 1.2, 1.5, 2];

/** The middle of a sensor that is read, `share` as wide, as `aspect` wants it. */
function area(full: Mode, share: number, aspect: number) {
  const widthMm = full.widthMm * share;
  const heightMm = Math.min(full.heightMm, widthMm / aspect);
  const perMm = full.widthPx / full.widthMm;
  return {
    widthMm: tenth(widthMm),
    heightMm: tenth(heightMm),
    widthPx: even(widthMm * perMm),
    heightPx: even(heightMm * perMm),
  };
}

/** The small format many larger cameras can be set to. */
const SMALL_FORMAT = { widthMm: 23.5, aspect: 23.5 / 15.6 };
const WIDE = 16 / 9;
/** The small format is one of its own where it is narrower than the sensor by this. */
const MUCH_SMALLER = 0.8;

/** What such a body can be set to: stills or the whole gate, video over the whole width, in the small format, of its middle. */
function usualModes({ format, megapixels }: BodyFacts): Mode[] {
  const sensor = COMMON_SENSORS.find((s) => s.formatId === format.id);
  const count = (megapixels ?? sensor?.usual ?? 20) * 1e6;
  const perMm = Math.sqrt(count / (format.widthMm * format.heightMm));
  const whole = modeOf({
    id: 'stills',
    name: 'Stills, whole sensor',
    use: 'stills',
    widthMm: format.widthMm,
    heightMm: format.heightMm,
    widthPx: even(format.widthMm * perMm),
    heightPx: even(format.heightMm * perMm),
  });
  const records = recordedWidth(whole.widthPx);
  const video = (id: string, name: string, share: number, fps: number, aspect = WIDE): Mode => {
    const read = area(whole, share, aspect);
    return {
      ...whole,
      ...read,
      id,
      name: `${name}, ${fps} fps`,
      use: 'video',
      recordedWidthPx: Math.min(read.widthPx, records),
      framesPerSecond: fps,
      crops: [STEADY],
      digitalZooms: ZOOMS,
    };
  };
  const small = SMALL_FORMAT.widthMm / format.widthMm;
  if (CINE_SENSORS.includes(format.id)) {
    const gate: Mode = {
      ...whole,
      id: 'open-gate',
      name: 'Open gate, 25 fps',
      use: 'video',
      framesPerSecond: 25,
    };
    // Cine cameras steady nothing and zoom nothing by themselves.
    const plain = (mode: Mode): Mode => ({ ...mode, crops: [], digitalZooms: [1] });
    return [
      gate,
      plain(video('video', '16:9, whole width', 1, 25)),
      plain(video('scope', '2.39:1, whole width', 1, 50, 2.39)),
      ...(small < MUCH_SMALLER ? [plain(video('video-small', '16:9, super 35', small, 50))] : []),
    ];
  }
  const middle = records / whole.widthPx;
  const isSmaller = small < MUCH_SMALLER;
  return [
    whole,
    ...(isSmaller
      ? [
          {
            ...whole,
            ...area(whole, small, SMALL_FORMAT.aspect),
            id: 'stills-small',
            name: 'Stills, small format',
          },
        ]
      : []),
    video('video', 'Video 16:9, whole width', 1, 25),
    // Where the small format has pixels enough for the file it is read whole, and not its middle alone.
    ...(isSmaller && small > middle
      ? [video('video-small', 'Video 16:9, small format', small, 25)]
      : []),
    ...(middle < 0.95 ? [video('video-middle', 'Video 16:9, middle', middle, 50)] : []),
  ];
}

/** Fields of every mode, as they are named among what is estimated. */
const inModes = (modes: readonly Mode[], fields: readonly (keyof Mode)[]): string[] =>
  modes.flatMap((_, i) => fields.map((field) => `modes.${i}.${field}`));

/** Whether somebody told how large the area is that a mode of a body reads. */
export function isAreaTold(body: Body, modeId: string): boolean {
  const i = body.modes.findIndex((m) => m.id === modeId);
  return ['widthMm', 'heightMm'].every((field) => !body.estimated.includes(`modes.${i}.${field}`));
}

/** A body from the facts; its other modes, and what nobody told, are what is usual and marked so. */
export function quickBody(facts: BodyFacts, id: string): Body {
  const { name, mountId, isStabilised, megapixels, isSensorTold, isMountTold } = facts;
  const modes = usualModes(facts);
  const travel = sensorTravelOf(facts);
  return bodyOf({
    id,
    name,
    mountId,
    modes,
    sensorTravel: travel,
    stabiliserStops: isStabilised === true ? USUAL_STOPS : null,
    estimated: [
      ...(isMountTold ? [] : ['mountId']),
      ...(isSensorTold ? [] : inModes(modes, ['widthMm', 'heightMm'])),
      ...(megapixels === null ? inModes(modes, ['widthPx', 'heightPx']) : []),
      // How far it moves is a guess wherever it moves, and that it stands still where nobody said so.
      ...(travel || isStabilised === null ? ['sensorTravel'] : []),
      ...(isStabilised === false ? [] : ['stabiliserStops']),
    ],
  });
}
