/** The axes along which a rig can be swept, and what is asked of it at each step. */
import { ASPECTS } from '../frame';
import {
  isZoom,
  openFNumberAt,
  type Lens,
  type Mode,
  type Part,
  type RigSettings,
} from '../kit/records';
import { isAsOpenAs, marksBetween } from '../optics';
import { apertureControl } from '../rig/train';
import { fitOf, fitProblem, turned, type Rig } from '../rig';
import { fWords, fixed, metres, mm, short } from '../words';

export const SWEEP_AXES = [
  'focal',
  'aperture',
  'focus',
  'mode',
  'converter',
  'aspect',
  'stabiliser',
] as const;
export type SweepAxis = (typeof SWEEP_AXES)[number];

export const AXIS_WORDS: Readonly<Record<SweepAxis, string>> = {
  focal: 'focal length',
  aperture: 'aperture',
  focus: 'focus distance',
  mode: 'mode',
  converter: 'what stands between',
  aspect: 'delivered aspect',
  stabiliser: 'stabiliser',
};

/** What a step asks of a rig. */
export interface Asked {
  settings?: Partial<RigSettings>;
  mode?: Mode;
  parts?: readonly Part[];
  /** The lens as wide open as it is wherever it stands. */
  isOpen?: boolean;
}

/** One value of an axis: what it is called and what it asks. */
export interface SweepStep {
  axis: SweepAxis;
  label: string;
  /** The same where there is little room: "18", "f/2.8". */
  mark: string;
  /** The value where the axis is a number; null for the others, and for infinity. */
  value: number | null;
  asked: Asked;
}

const setStep = (
  axis: SweepAxis,
  label: string,
  value: number | null,
  settings: Partial<RigSettings>,
  mark = label,
): SweepStep => ({ axis, label, mark, value, asked: { settings } });

/** Steps along the zoom, even in log f, ends among them; one step for a prime. */
export function focalSteps({ lens }: Pick<Rig, 'lens'>, count = 10): SweepStep[] {
  const { focalMinMm: min, focalMaxMm: max } = lens;
  const n = isZoom(lens) ? Math.max(2, count) : 1;
  return Array.from({ length: n }, (_, i) => {
    const focalMm = i === n - 1 ? max : min * (max / min) ** (i / (n - 1));
    const digits = focalMm < 100 && !Number.isInteger(focalMm) ? 1 : 0;
    return setStep('focal', mm(focalMm, digits), focalMm, { focalMm }, short(focalMm, 1));
  });
}

/** The widest aperture wherever the zoom stands, and every full stop the lens has anywhere. */
export function apertureSteps({ lens, parts }: Pick<Rig, 'lens' | 'parts'>): SweepStep[] {
  const { openFNumberWide: wide, openFNumberLong: long } = lens;
  const names = [wide, ...(long === wide ? [] : [long])].map((n) => fixed(n, 1));
  const open: SweepStep = {
    axis: 'aperture',
    label: `f/${names.join('–')}`,
    mark: `f/${names.join('–')}`,
    value: wide,
    asked: { isOpen: true },
  };
  if (apertureControl(lens, parts) === 'nothing') return [open];
  const fastest = Math.min(wide, long);
  const stops = marksBetween('full', fastest, lens.closedFNumber);
  return [
    open,
    ...stops.map((m) => {
      // The smallest engraved aperture is what the ring stops at.
      const fNumber = Math.min(m.exact, lens.closedFNumber);
      return setStep('aperture', `f/${m.marks[0] ?? ''}`, m.exact, { fNumber });
    }),
  ];
}

/** Infinity and nearer, by octaves down to the closest focus. */
export function focusSteps({ lens }: Pick<Rig, 'lens'>): SweepStep[] {
  const near = Array.from({ length: 6 }, (_, i) => lens.closestFocusM * 2 ** i);
  return [
    ...near.map((focusM) => setStep('focus', metres(focusM), focusM, { focusM })),
    setStep('focus', '∞', null, { focusM: null }),
  ];
}

const modeSteps = ({ body }: Rig): SweepStep[] =>
  body.modes.map((mode) => ({
    axis: 'mode',
    label: mode.name,
    mark: mode.name,
    value: null,
    asked: { mode },
  }));

/** What stands between, each chain in place of the rig's own. */
const converterSteps = (chains: readonly (readonly Part[])[]): SweepStep[] =>
  chains.map((parts) => {
    const label = trainWords(parts);
    return { axis: 'converter', label, mark: label, value: null, asked: { parts } };
  });

/** A train by the names of its parts. */
export const trainWords = (parts: readonly Part[]): string =>
  parts.map((p) => p.name).join(' + ') || 'nothing between';

const aspectSteps = (): SweepStep[] =>
  ASPECTS.map(({ name, aspect }) => setStep('aspect', name, aspect, { aspect }));

const stabiliserSteps = (): SweepStep[] =>
  [false, true].map((stabiliser) =>
    setStep('stabiliser', stabiliser ? 'on' : 'off', null, { stabiliser }),
  );

interface StepChoice {
  /** What may stand between lens and body. */
  chains: readonly (readonly Part[])[];
  /** How many focal lengths. */
  focals?: number;
}

/** The steps of an axis for a rig. */
export function stepsOf(rig: Rig, axis: SweepAxis, { chains, focals }: StepChoice): SweepStep[] {
  switch (axis) {
    case 'focal':
      return focalSteps(rig, focals);
    case 'aperture':
      return apertureSteps(rig);
    case 'focus':
      return focusSteps(rig);
    case 'mode':
      return modeSteps(rig);
    case 'converter':
      return converterSteps(chains);
    case 'aspect':
      return aspectSteps();
    case 'stabiliser':
      return stabiliserSteps();
  }
}

/** A rig as a step asks for it, held within what it can do. */
function asAsked(rig: Rig, { settings = {}, mode, parts, isOpen }: Asked): Rig {
  const changed = { ...rig, mode: mode ?? rig.mode, parts: parts ?? rig.parts };
  const at = turned(changed, settings);
  return isOpen ? turned(at, { fNumber: openFNumberAt(at.lens, at.settings.focalMm) }) : at;
}

/** Why the lens cannot be set so; null where it can. */
function apertureTrouble(lens: Lens, parts: readonly Part[], asked: number, got: number) {
  if (!isAsOpenAs(got, asked))
    return apertureControl(lens, parts) === 'nothing'
      ? 'nothing works its aperture: it stays open'
      : `there it opens to ${fWords(got, 1)}`;
  if (isAsOpenAs(asked, got)) return null;
  return apertureControl(lens, parts) === 'nothing'
    ? 'nothing works its aperture: it stays open'
    : `its smallest aperture is ${fWords(got, 0)}`;
}

/** Focal lengths nearer than this, as a share, are one. */
const SAME_FOCAL = 0.005;

interface AskedRig {
  rig: Rig;
  /** Why the rig cannot be set as asked, a few words; null where it can. */
  cannot: string | null;
}

/** The rig as two steps ask for it, and whether it can be so. */
export function askedOf(rig: Rig, steps: readonly SweepStep[]): AskedRig {
  // The zoom first: what the aperture can be hangs on it.
  const order = steps.toSorted(
    (a, b) => Number(a.axis === 'aperture') - Number(b.axis === 'aperture'),
  );
  const at = order.reduce((now, step) => asAsked(now, step.asked), rig);
  return { rig: at, cannot: whyNot(at, steps) };
}

function whyNot(at: Rig, steps: readonly SweepStep[]): string | null {
  for (const { asked } of steps) {
    const { focalMm, fNumber, stabiliser } = asked.settings ?? {};
    if (focalMm !== undefined && Math.abs(focalMm / at.settings.focalMm - 1) > SAME_FOCAL)
      return `it is a ${short(at.lens.focalMinMm, 1)}${isZoom(at.lens) ? `–${short(at.lens.focalMaxMm, 1)}` : ''} mm`;
    if (fNumber !== undefined) {
      const trouble = apertureTrouble(at.lens, at.parts, fNumber, at.settings.fNumber);
      if (trouble) return trouble;
    }
    if (stabiliser === true && at.body.sensorTravel === null) return 'the sensor does not move';
    if (asked.parts) {
      const fit = fitOf(at);
      const problem = fitProblem(fit);
      if (problem) return problem.words.toLowerCase();
      const { farthestFocusM } = fit.register;
      const { focusM } = at.settings;
      if (farthestFocusM !== null && (focusM === null || focusM > farthestFocusM))
        return `in focus to ${metres(farthestFocusM)} only`;
    }
  }
  return null;
}

/** The steps of an axis for one rig, or for two that are held against each other. */
export function commonSteps(
  rig: Rig,
  other: Rig | null,
  axis: SweepAxis,
  choice: StepChoice,
): SweepStep[] {
  if (!other || other.lens === rig.lens) return stepsOf(rig, axis, choice);
  const [a, b] = [rig.lens, other.lens];
  const lens: Lens = {
    ...a,
    focalMinMm: Math.min(a.focalMinMm, b.focalMinMm),
    focalMaxMm: Math.max(a.focalMaxMm, b.focalMaxMm),
    openFNumberWide: Math.min(a.openFNumberWide, b.openFNumberWide),
    openFNumberLong: Math.max(a.openFNumberLong, b.openFNumberLong),
    closedFNumber: Math.max(a.closedFNumber, b.closedFNumber),
    closestFocusM: Math.min(a.closestFocusM, b.closestFocusM),
  };
  return stepsOf({ ...rig, lens }, axis, choice);
}
