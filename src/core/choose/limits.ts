/** What a combination fails by whatever it is set to, and the apertures a job leaves it. */
import { type Body, type Mode, AVAILABILITY, type Job, openFNumberAt } from '../kit/records';
import type { Window } from '../maths';
import { isAsOpenAs, MARK_SLACK } from '../optics';
import { focusDriveOf } from '../rig';
import { fNumberBehind } from '../rig/train';
import type { Fail, Unknown } from './candidate';
import type { Pair, Standing, Sum } from './pairs';
import type { ApertureRange } from './reach';

export const ratio = (a: number, b: number): number => Math.abs(Math.log2(a / b));

export const fail = (
  code: Fail['code'],
  has: number | null,
  wants: number | null,
  away: number,
  words?: string,
): Fail => ({ code, has, wants, away, ...(words === undefined ? {} : { words }) });

/** What a limit makes of a sum: it passes, fails by so much, or nobody knows; what is known may be too much by itself. */
function limited(
  code: 'mass' | 'price',
  { whole, known }: Sum,
  most: number | null,
  fails: Fail[],
  unknowns: Unknown[],
): void {
  if (most === null) return;
  if (known > most) {
    const away = most > 0 ? ratio(known, most) : Infinity;
    fails.push(fail(code, known, most, away, whole === null ? 'at least' : undefined));
  } else if (whole === null) unknowns.push(code);
}

/** What the combination fails by whatever it is set to. */
export function standingFails(
  standing: Standing,
  body: Body,
  job: Job,
  unknowns: Unknown[],
): Fail[] {
  const fails: Fail[] = [];
  const { trouble, isGlassUnknown } = standing;
  const { mass, price, source } = standing.burden;
  if (trouble !== null) fails.push(fail('fit', null, null, Infinity, trouble));
  if (!standing.areMountsTold) unknowns.push('mounts');
  if (isGlassUnknown) unknowns.push('rear glass');
  if (job.stabilised && body.sensorTravel === null)
    fails.push(fail('stabiliser', null, null, Infinity));
  limited('mass', mass, job.mostMassG, fails, unknowns);
  limited('price', price, job.mostPrice, fails, unknowns);
  if (source === null) {
    if (job.sources.length < AVAILABILITY.length) unknowns.push('source');
  } else if (!job.sources.includes(source)) fails.push(fail('source', null, null, 0.1, source));
  return fails;
}

export function modeFails(mode: Mode, job: Job, unknowns: Unknown[]): Fail[] {
  // Stills have no frame rate to ask for.
  if (job.framesPerSecond === null || job.use === 'stills') return [];
  const has = mode.framesPerSecond;
  if (has === null) {
    unknowns.push('frame rate');
    return [];
  }
  return has < job.framesPerSecond
    ? [fail('frame rate', has, job.framesPerSecond, ratio(has, job.framesPerSecond))]
    : [];
}

/** What autofocus fails by, without digital zoom. */
export function autofocusFails(
  { pair: { lens, chain, train }, body, mode }: { pair: Pair; body: Body; mode: Mode },
  job: Job,
  unknowns: Unknown[],
): Fail[] {
  if (!job.autofocus) return [];
  const drive = focusDriveOf({ lens, parts: chain.parts, body, mode }, 1);
  if (drive.state === 'by hand') return [fail('autofocus', null, null, Infinity, drive.why)];
  if (drive.state === 'not known' || body.autofocusLimitFNumber === null) {
    unknowns.push('autofocus');
    return [];
  }
  // It has to work wherever the zoom stands.
  const slowest = Math.max(lens.openFNumberWide, lens.openFNumberLong);
  const open = fNumberBehind(train, slowest);
  return isAsOpenAs(open, body.autofocusLimitFNumber)
    ? []
    : [
        fail(
          'autofocus',
          open,
          body.autofocusLimitFNumber,
          ratio(open, body.autofocusLimitFNumber),
        ),
      ];
}

/** The apertures of the lens that keep light and depth, on a frame of crop factor `crop`. */
export function aperturesFor(pair: Pair, job: Job, crop: number): ApertureRange {
  const { factor } = pair.chain;
  const slowest =
    job.slowestTStop === null
      ? Infinity
      : (job.slowestTStop * MARK_SLACK) / (factor * pair.tFactor);
  const shallow =
    job.shallowFNumber === null ? Infinity : (job.shallowFNumber * MARK_SLACK) / (crop * factor);
  const deep = job.deepFNumber === null ? 0 : job.deepFNumber / MARK_SLACK / (crop * factor);
  return { from: deep, to: Math.min(slowest, shallow) };
}

/** Focal lengths of a span at which the lens opens far enough; null where it never does. */
export function fastEnough(pair: Pair, span: Window, most: number): Window | null {
  const { lens } = pair;
  const [atWide, atLong] = [openFNumberAt(lens, span.from), openFNumberAt(lens, span.to)];
  if (Math.min(atWide, atLong) > most) return null;
  if (Math.max(atWide, atLong) <= most) return span;
  // The open aperture runs straight in log f.
  const share = Math.log(most / atWide) / Math.log(atLong / atWide);
  const border = span.from * (span.to / span.from) ** share;
  return atWide <= most ? { from: span.from, to: border } : { from: border, to: span.to };
}

/** Why no aperture will do: the light, or the depth. */
export function apertureFail(pair: Pair, job: Job, crop: number, span: Window): Fail {
  const { factor } = pair.chain;
  const open = Math.min(openFNumberAt(pair.lens, span.from), openFNumberAt(pair.lens, span.to));
  const behind = fNumberBehind(pair.train, open);
  const tStop = behind * pair.tFactor;
  if (job.slowestTStop !== null && !isAsOpenAs(tStop, job.slowestTStop))
    return fail('light', tStop, job.slowestTStop, 2 * ratio(tStop, job.slowestTStop));
  if (job.shallowFNumber !== null && !isAsOpenAs(behind * crop, job.shallowFNumber))
    return fail(
      'depth',
      behind * crop,
      job.shallowFNumber,
      2 * ratio(behind * crop, job.shallowFNumber),
    );
  const closed = pair.reach.closes ? pair.lens.closedFNumber : open;
  const deepest = closed * factor * crop;
  const wants = job.deepFNumber ?? deepest;
  return fail('depth', deepest, wants, 2 * ratio(deepest, wants));
}
