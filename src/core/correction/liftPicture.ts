/** Lifting the dark corners of somebody's own picture by the halo it was taken through. */
import { NO_TRAVEL, worstCornerUnder } from '../frame';
import {
  haloOnSide,
  lightAt,
  outlineOf,
  radiusAtLight,
  radiusAtTransmission,
  type Halo,
  HARD_TRANSMISSION,
  type Outline,
} from '../halo';
import type { PixelImage } from '../measure/file';
import { srgbValue, toneTable } from '../measure/light';
import type { FrameSize } from '../optics';
import { fail, ok, type Result, fixed } from '../words';
import { gainRow, gainTable, MOST_GAIN, reachOfFrame, type FrameOnSensor } from './gain';

/** How EXIF says a picture is turned to be looked at, 1 to 8. */
export type Orientation = 1 | 2 | 3 | 4 | 5 | 6 | 7 | 8;

/** A place on the sensor, as it stands in a picture turned for looking. */
export function turnedPlace(
  { xMm, yMm }: Halo['centre'],
  orientation: Orientation,
): Halo['centre'] {
  const places: Record<Orientation, readonly [number, number]> = {
    1: [xMm, yMm],
    2: [-xMm, yMm],
    3: [-xMm, -yMm],
    4: [xMm, -yMm],
    5: [yMm, xMm],
    6: [-yMm, xMm],
    7: [-yMm, -xMm],
    8: [yMm, -xMm],
  };
  const [x, y] = places[orientation];
  return { xMm: x, yMm: y };
}

/** A halo on the sensor, as it lies in a picture turned for looking. */
export function turnedHalo(halo: Halo, orientation: Orientation): Halo {
  const centre = turnedPlace(halo.centre, orientation);
  return { ...(orientation >= 5 ? haloOnSide(halo) : halo), centre };
}

/** Sides may differ by so much from the frame's, as cameras cut a few pixels off. */
const ASPECT_SLACK = 0.015;

/** The part of the sensor a picture shows; refused where its shape is another. `centre` is the halo's as it lies in the picture. */
export function frameOfPicture(
  image: Pick<PixelImage, 'widthPx' | 'heightPx'>,
  shown: FrameSize,
  centre: Halo['centre'],
  orientation: Orientation,
  name: string,
): Result<FrameOnSensor> {
  const onSide = orientation >= 5;
  const frame = onSide ? { widthMm: shown.heightMm, heightMm: shown.widthMm } : shown;
  const { widthPx, heightPx } = image;
  const [is, wanted] = [widthPx / heightPx, frame.widthMm / frame.heightMm];
  if (Math.abs(is / wanted - 1) > ASPECT_SLACK)
    return fail(
      'shape',
      '',
      `${name} is ${widthPx} × ${heightPx}, ${fixed(is, 2)}:1; what the rig shows is ${fixed(wanted, 2)}:1. A cropped or resized picture cannot be lifted: where it lies in the halo is not known.`,
    );
  return ok({ ...frame, widthPx, heightPx, centre });
}

export interface LiftCost {
  /** Where the lift is half a stop, one, two and three; what lies outside the frame is left out. */
  rings: { stops: number; outline: Outline; isoFactor: number }[];
  /** Beyond it nothing is left to lift: a hard edge, or darker than any lift; null where all of the frame is within. */
  nothingLeft: Outline | null;
  /** The darkest place of the frame, stops, held at the most a place is lifted by. */
  mostStops: number;
}

const RING_STOPS = [0.5, 1, 2, 3] as const;

/** Beyond this radius along a halo's way nothing is left to lift: a hard edge, or darker than any lift, mm. */
const nothingLeftAlong = (along: Halo): number =>
  Math.min(
    radiusAtLight(along, 1 / MOST_GAIN),
    radiusAtTransmission(along.rims, HARD_TRANSMISSION),
  );

/** What the lift costs, noise as at a higher ISO, ring by ring. `halo` and frame as they lie in the picture. */
export function liftCost(halo: Halo, frame: FrameOnSensor): LiftCost {
  const { cornerMm, halo: towardCorner } = worstCornerUnder(halo, frame, NO_TRAVEL);
  const leftMm = nothingLeftAlong(towardCorner);
  const isLeftOut = leftMm < cornerMm;
  const reachMm = Math.min(cornerMm, leftMm);
  const rings = RING_STOPS.flatMap((stops) =>
    radiusAtLight(towardCorner, 2 ** -stops) >= reachMm
      ? []
      : [
          {
            stops,
            outline: outlineOf(halo, (along) => radiusAtLight(along, 2 ** -stops)),
            isoFactor: 2 ** stops,
          },
        ],
  );
  const { light } = lightAt(towardCorner, reachMm);
  return {
    rings,
    nothingLeft: isLeftOut ? outlineOf(halo, nothingLeftAlong) : null,
    mostStops: Math.min(Math.log2(MOST_GAIN), -Math.log2(Math.max(light, 1 / MOST_GAIN))),
  };
}

interface Lifted {
  image: PixelImage;
  /** Share of pixels the lift drove into full white that were not there before, 0..1. */
  clippedShare: number;
}

/** Light 0..1 back to values: a table fine enough that nothing is lost of 16 bits. */
const BACK_STEPS = 65_536;

const backTable = (tone: 'srgb' | 'linear'): Float32Array =>
  Float32Array.from({ length: BACK_STEPS + 2 }, (_, i) => {
    const light = Math.min(1, i / BACK_STEPS);
    return tone === 'srgb' ? srgbValue(light) : light;
  });

/** The picture lifted, the same size and depth. Alpha stays. */
export function liftPicture(
  image: PixelImage,
  halo: Halo,
  frame: FrameOnSensor,
  { tone, strength }: { tone: 'srgb' | 'linear'; strength: number },
): Lifted {
  const { widthPx, heightPx, channels, depth, data } = image;
  const full = depth === 8 ? 255 : 65_535;
  const lights = toneTable({ kind: tone }, depth);
  const back = backTable(tone);
  const table = gainTable(halo, reachOfFrame(frame), strength);
  const out = depth === 8 ? new Uint8Array(data.length) : new Uint16Array(data.length);
  const row = new Float32Array(widthPx);
  const coloured = channels < 3 ? 1 : 3;
  let clipped = 0;
  for (let y = 0; y < heightPx; y += 1) {
    gainRow(table, frame, y, row);
    let at = y * widthPx * channels;
    for (let x = 0; x < widthPx; x += 1) {
      const gain = row[x] as number;
      let isNewWhite = false;
      for (let c = 0; c < channels; c += 1) {
        const value = data[at + c] as number;
        if (c >= coloured) {
          out[at + c] = value;
          continue;
        }
        const light = (lights[value] as number) * gain;
        if (light >= 1) {
          isNewWhite ||= value < full;
          out[at + c] = full;
          continue;
        }
        const place = light * BACK_STEPS;
        const step = Math.floor(place);
        const low = back[step] as number;
        out[at + c] = Math.round(
          (low + ((back[step + 1] as number) - low) * (place - step)) * full,
        );
      }
      if (isNewWhite) clipped += 1;
      at += channels;
    }
  }
  return {
    image: { widthPx, heightPx, channels, depth, data: out },
    clippedShare: clipped / (widthPx * heightPx),
  };
}
