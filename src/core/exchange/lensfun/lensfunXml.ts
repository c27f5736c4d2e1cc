/**
 * A rig's falloff as an open Lensfun XML file: mount, camera and lens entries, and the database's `pa` model,
 * light = 1 + k1 r² + k2 r⁴ + k3 r⁶ with r = 1 in the corner of the camera's frame, fitted to the halo at every
 * zoom mark and aperture. A polynomial follows a soft halo and no hard edge: what it cannot follow is left out.
 */
import { HARD_TRANSMISSION, isRound, lightAt, type Halo } from '../../halo';
import { isZoom } from '../../kit/records';
import { emptySums, solveNormal } from '../../maths';
import { cropFactor, diagonalMm, farthestCornerMm } from '../../optics';
import { apertureSteps, askedOf, focalSteps, trainWords, type SweepStep } from '../../sweep';
import { situationOf, turned, type Rig } from '../../rig';
import { fWords, fixed, mm, percent, escapedMarkup, fail, ok, type Result } from '../../words';

/** Largest error over the part called valid, stops. */
export const FIT_STOPS = 0.03;
/** A fit that holds over less of the way to the corner is of no use. */
const LEAST_SHARE = 0.75;
/** Where the polynomial leaves less light than this on the way to the corner, it corrects nonsense. */
const LEAST_LIGHT = 0.02;
/** Zoom marks written for a zoom. */
const MARKS = 6;
/** What the database writes for far, m. */
const FAR_M = 1000;
const PLACES = 60;
const NOTHING_HELD: ReadonlySet<number> = new Set();

interface PaFit {
  k: readonly [number, number, number];
  /** Share of the way to the corner within which the error stays below FIT_STOPS. */
  validShare: number;
  /** Largest error there, stops. */
  errorStops: number;
}

const paLight = ([k1, k2, k3]: PaFit['k'], r: number): number => {
  const s = r * r;
  return 1 + s * (k1 + s * (k2 + s * k3));
};

/** The polynomial nearest to some light over 0..share, errors counted as shares of the light. */
function polynomialOf(light: readonly number[], share: number): PaFit['k'] {
  const sums = emptySums(3);
  light.forEach((value, i) => {
    const r = (i + 1) / PLACES;
    if (r > share + 1e-9) return;
    const row = [r ** 2 / value, r ** 4 / value, r ** 6 / value];
    const rest = (1 - value) / value;
    row.forEach((a, j) => {
      sums.gradient[j] = (sums.gradient[j] ?? 0) + a * rest;
      row.forEach((b, k) => {
        sums.curvature[j * 3 + k] = (sums.curvature[j * 3 + k] ?? 0) + a * b;
      });
    });
  });
  const move = solveNormal(sums, 3, 1e-12, NOTHING_HELD);
  const k = (i: number): number => -(move?.[i] ?? 0);
  return [k(0), k(1), k(2)];
}

const errorOf = (k: PaFit['k'], light: readonly number[], share: number): number =>
  light.reduce((worst, value, i) => {
    const r = (i + 1) / PLACES;
    if (r > share + 1e-9) return worst;
    const fitted = paLight(k, r);
    return fitted <= 0 ? Infinity : Math.max(worst, Math.abs(Math.log2(fitted / value)));
  }, 0);

/** The fit over as much of the radius as it holds for; or in words why there is none. */
function fitPa(halo: Halo, halfDiagonalMm: number): PaFit | string {
  const at = Array.from({ length: PLACES }, (_, i) =>
    lightAt(halo, ((i + 1) / PLACES) * halfDiagonalMm),
  );
  const hardAt = at.findIndex((p) => p.transmission < HARD_TRANSMISSION);
  if (hardAt >= 0)
    return `a hard edge ${percent((hardAt + 1) / PLACES, 0)} of the way to the corner`;
  const light = at.map((p) => p.light);
  for (let places = PLACES; places / PLACES >= LEAST_SHARE; places -= 1) {
    const validShare = places / PLACES;
    const k = polynomialOf(light, validShare);
    const errorStops = errorOf(k, light, validShare);
    if (errorStops > FIT_STOPS) continue;
    const least = light.reduce(
      (min, _, i) => Math.min(min, paLight(k, (i + 1) / PLACES)),
      Infinity,
    );
    if (least >= LEAST_LIGHT)
      return { k: k.map(figure) as [number, number, number], validShare, errorStops };
  }
  return `the edge falls too steeply for the model: no polynomial follows it to ${FIT_STOPS} stop over ${percent(LEAST_SHARE, 0)} of the way`;
}

/** Enough digits for a gain to a ten-thousandth of a stop. */
const figure = (value: number): number => Number(value.toPrecision(8));

interface LensfunPoint {
  /** What the camera's file says: focal length and f-number through the train. */
  focalMm: number;
  fNumber: number;
  distanceM: number;
  rig: Rig;
  fit: PaFit;
}

interface LensfunProfile {
  xml: string;
  points: LensfunPoint[];
  /** Settings left out, each with its reason. */
  leftOut: { label: string; reason: string }[];
  /** Largest error over what is called valid, stops. */
  errorStops: number;
  /** The least share of the way to the corner any of the points holds for. */
  validShare: number;
}

const focusDistances = ({ lens }: Rig): { distanceM: number; focusM: number | null }[] => [
  { distanceM: lens.closestFocusM, focusM: lens.closestFocusM },
  { distanceM: lens.closestFocusM * 5, focusM: lens.closestFocusM * 5 },
  { distanceM: FAR_M, focusM: null },
];

/** Words of the database's own that tell it not to read a focal length out of a name. */
function throughWords({ parts }: Rig): string {
  if (parts.length === 0) return '';
  const factor = parts.reduce((m, p) => m * p.factor, 1);
  const kind = factor === 1 ? 'adapter' : factor < 1 ? 'reducer' : 'converter';
  const train = trainWords(parts);
  return ` on ${train}${train.toLowerCase().includes(kind) ? '' : ` ${kind}`}`;
}

/** Names of the entries, as the library finds them by. */
export const lensfunNames = (rig: Rig) => ({
  mount: rig.mounts.get(rig.body.mountId)?.name ?? rig.body.mountId,
  cameraMaker: rig.body.maker || 'Unnamed',
  camera: rig.body.name,
  lensMaker: rig.lens.maker || 'Unnamed',
  lens: `${rig.lens.name}${throughWords(rig)}`,
});

/** Comments of XML may not hold two hyphens in a row. */
const comment = (text: string): string => `<!-- ${text.replaceAll('-', '‐')} -->`;

function pointsOf(rig: Rig): Pick<LensfunProfile, 'points' | 'leftOut'> {
  const points: LensfunPoint[] = [];
  const leftOut: LensfunProfile['leftOut'] = [];
  const half = diagonalMm(rig.mode) / 2;
  const rest = { ...rig.settings, shiftXMm: 0, shiftYMm: 0, helicoidMm: 0 };
  const steps: [SweepStep, SweepStep][] = focalSteps(rig, MARKS).flatMap((focal) =>
    apertureSteps(rig).map((aperture): [SweepStep, SweepStep] => [focal, aperture]),
  );
  for (const [focal, aperture] of steps) {
    for (const { distanceM, focusM } of focusDistances(rig)) {
      const asked = askedOf(turned(rig, { ...rest, focusM }), [focal, aperture]);
      if (asked.cannot !== null) continue;
      const { focalMm, fNumber } = situationOf(asked.rig).light;
      const { halo } = situationOf(asked.rig);
      const fit = fitPa({ ...halo, centre: { xMm: 0, yMm: 0 } }, half);
      const label = `${mm(focalMm)} ${fWords(fNumber, 1)} at ${distanceM === FAR_M ? 'infinity' : `${fixed(distanceM, 2)} m`}`;
      if (typeof fit === 'string') leftOut.push({ label, reason: fit });
      else
        points.push({
          focalMm: figure(focalMm),
          fNumber: figure(fNumber),
          distanceM: figure(distanceM),
          rig: asked.rig,
          fit,
        });
    }
  }
  return { points, leftOut };
}

/** Off by more than this share of the half diagonal a halo is not round about the frame's middle any more. */
const MOST_OFFSET_SHARE = 0.02;

/**
 * The file for a rig in its mode, over all its zoom marks, apertures and three distances. Refused with the reason
 * where no setting can be written.
 */
export function lensfunProfile(rig: Rig): Result<LensfunProfile> {
  const { points, leftOut } = pointsOf(rig);
  if (points.length === 0)
    return fail(
      'noFit',
      '',
      `No correction can be written for ${rig.name}: ${leftOut[0]?.reason ?? 'it has no setting'}. What a hard edge cuts off is not there to be lifted.`,
    );
  const { centre } = situationOf(rig).halo;
  const half = diagonalMm(rig.mode) / 2;
  const off = (farthestCornerMm(rig.mode, centre) - half) / half;
  const errorStops = Math.max(...points.map((p) => p.fit.errorStops));
  const validShare = Math.min(...points.map((p) => p.fit.validShare));
  const names = lensfunNames(rig);
  const crop = figure(cropFactor(rig.mode));
  const text = (tag: string, value: string | number) =>
    `<${tag}>${escapedMarkup(String(value))}</${tag}>`;
  const focals = points.map((p) => p.focalMm);
  const notes = [
    `Fitted to the halo of ${rig.lens.name} on ${rig.body.name}, ${rig.mode.name}: error at most ${fixed(errorStops, 3)} stop within ${percent(validShare, 0)} of the way to the corner.`,
    ...(off > MOST_OFFSET_SHARE
      ? [
          `The halo stands ${mm(Math.hypot(centre.xMm, centre.yMm))} off the middle, which this model does not say: one side is corrected too much, the other too little.`,
        ]
      : []),
    ...(isRound(situationOf(rig).halo)
      ? []
      : [
          'A rectangular opening makes the halo no circle, which this model does not say: it is fitted along the diagonal of the frame.',
        ]),
    ...(leftOut.length > 0
      ? [
          `${leftOut.length} of ${leftOut.length + points.length} settings are left out: ${leftOut[0]?.reason ?? ''}.`,
        ]
      : []),
  ];
  const xml = [
    '<?xml version="1.0" encoding="UTF-8"?>',
    '<lensdatabase version="1">',
    ...notes.map(comment),
    `  <mount>${text('name', names.mount)}</mount>`,
    '  <camera>',
    `    ${text('maker', names.cameraMaker)}`,
    `    ${text('model', names.camera)}`,
    `    ${text('mount', names.mount)}`,
    `    ${text('cropfactor', crop)}`,
    '  </camera>',
    '  <lens>',
    `    ${text('maker', names.lensMaker)}`,
    `    ${text('model', names.lens)}`,
    `    ${text('mount', names.mount)}`,
    isZoom(rig.lens)
      ? `    <focal min="${Math.min(...focals)}" max="${Math.max(...focals)}"/>`
      : `    <focal value="${focals[0] ?? 0}"/>`,
    `    <aperture min="${Math.min(...points.map((p) => p.fNumber))}"/>`,
    `    ${text('cropfactor', crop)}`,
    `    ${text('aspect-ratio', figure(Math.max(rig.mode.widthMm, rig.mode.heightMm) / Math.min(rig.mode.widthMm, rig.mode.heightMm)))}`,
    '    <calibration>',
    ...points.map(
      ({ focalMm, fNumber, distanceM, fit: { k } }) =>
        `      <vignetting model="pa" focal="${focalMm}" aperture="${fNumber}" distance="${distanceM}" k1="${k[0]}" k2="${k[1]}" k3="${k[2]}"/>`,
    ),
    '    </calibration>',
    '  </lens>',
    '</lensdatabase>',
    '',
  ].join('\n');
  return ok({ xml, points, leftOut, errorStops, validShare });
}
