/** One combination judged for a job: what it serves, or by what it fails and by how much. */
import { riskier, servesAll, shareOf, together } from './views';
import { deliveredFrame, linearCropOf, type DeliveredFrame } from '../frame';
import { readOutMiddle, type Body, type Mode, type Job, openFNumberAt } from '../kit/records';
import { withinSpan, type Window } from '../maths';
import { isAsOpenAs, cropFactor, desqueezed, SAME_VIEW } from '../optics';
import { digitalZoomsFor, driveInZoom, givesDigitalZoom, travelFor } from '../rig';
import { untoldShare } from '../rig/judged';
import { fNumberBehind } from '../rig/train';
import {
  awayOf,
  passes,
  type Candidate,
  type CropUsed,
  type Fail,
  type Risk,
  type Unknown,
  type Crop,
} from './candidate';
import { covered, type Wanted } from './covered';
import type { Kit, Pair, Standing } from './pairs';
import {
  aperturesFor,
  apertureFail,
  autofocusFails,
  fail,
  fastEnough,
  modeFails,
  ratio,
  standingFails,
} from './limits';
import { servedOver } from './served';

const WHOLE: Crop = { cropId: null, digitalZoom: 1 };

/** The digital zooms that come into question: what the body gives this lens, and where it has to focus by itself none that cannot. */
function zoomsOf({ pair: { lens, chain }, body, mode }: Combination, job: Job): Set<number> {
  if (job.autofocus && driveInZoom(body)?.state === 'by hand') return new Set([1]);
  return new Set([1, ...digitalZoomsFor(body, mode, { lens, parts: chain.parts })]);
}

/** The crops a mode may be used with, the whole read-out first. */
function cropsOf(combination: Combination, job: Job): Crop[] {
  if (!job.crops) return [WHOLE];
  const { mode } = combination;
  const zooms = [...zoomsOf(combination, job)];
  const all = [null, ...mode.crops.map((c) => c.id)].flatMap((cropId) =>
    zooms.map((digitalZoom) => ({ cropId, digitalZoom })),
  );
  return all.toSorted(
    (a, b) =>
      linearCropOf(mode, a.cropId, a.digitalZoom) - linearCropOf(mode, b.cropId, b.digitalZoom),
  );
}

export interface Combination {
  pair: Pair;
  standing: Standing;
  body: Body;
  mode: Mode;
}

/** One way to deliver with a combination. */
interface Delivered {
  crop: Crop;
  frame: DeliveredFrame;
  mostScale: number;
  /** View on 36x24 for an engraved focal length of 1 mm, without scale-up. */
  viewFactor: number;
}

function deliveredWith({ pair, mode }: Combination, job: Job, kit: Kit, crop: Crop): Delivered {
  const { squeeze } = pair.lens;
  const frame = deliveredFrame(mode, { aspect: job.aspect, ...crop, postScale: 1, squeeze });
  const room = job.pixelsAcross > 0 ? frame.widthPx / job.pixelsAcross : Infinity;
  const factor = cropFactor(desqueezed(frame, squeeze), kit.judgement.basis);
  return {
    crop,
    frame,
    mostScale: Math.max(1, Math.min(job.postScale, room)),
    viewFactor: pair.factor * factor,
  };
}

/** Sizes are told to a hundredth of a millimetre: so small a share of the pixels is rounding. */
const PIXEL_SHARE = 0.998;

/** What the delivered frame fails by: pixels, and the view. */
function frameFails(
  { frame, mostScale, viewFactor }: Delivered,
  { pair }: Combination,
  job: Job,
): Fail[] {
  const fails: Fail[] = [];
  if (frame.widthPx < job.pixelsAcross * PIXEL_SHARE)
    fails.push(
      fail('pixels', frame.widthPx, job.pixelsAcross, ratio(frame.widthPx, job.pixelsAcross)),
    );
  const shortest = pair.lens.focalMinMm * viewFactor;
  const longest = pair.lens.focalMaxMm * viewFactor * mostScale;
  if (shortest > job.viewToMm * SAME_VIEW)
    fails.push(fail('view', shortest, job.viewToMm, ratio(shortest, job.viewToMm)));
  else if (longest < job.viewFromMm / SAME_VIEW)
    fails.push(fail('view', longest, job.viewFromMm, ratio(longest, job.viewFromMm)));
  return fails;
}

/** The engraved focal lengths that come into question for the job's views. */
function spanFor({ viewFactor, mostScale }: Delivered, { pair }: Combination, job: Job): Window {
  const { focalMinMm, focalMaxMm } = pair.lens;
  const held = (v: number) => Math.min(focalMaxMm, Math.max(focalMinMm, v));
  return {
    from: held(job.viewFromMm / (viewFactor * mostScale)),
    to: held(job.viewToMm / viewFactor),
  };
}

const FAILED_FRAME: Delivered = {
  crop: WHOLE,
  frame: {
    widthMm: 0,
    heightMm: 0,
    widthPx: 0,
    heightPx: 0,
    megapixels: 0,
    readPx: { across: 0, down: 0 },
    recordedPx: { across: 0, down: 0 },
    linearCrop: 1,
    oversampling: null,
  },
  mostScale: 1,
  viewFactor: 1,
};

const NO_CROPS: CropUsed[] = [];

/**
 * A combination with nothing served yet. Written out field by field: it is made for each of hundreds of thousands,
 * and spreading so many fields is many times slower.
 */
function nothingServed(
  { pair, standing, body, mode }: Combination,
  { crop, frame }: Delivered,
  fails: Fail[],
  unknowns: Unknown[],
): Candidate {
  return {
    bodyId: body.id,
    modeId: mode.id,
    lensId: pair.lens.id,
    partIds: pair.partIds,
    cropId: crop.cropId,
    digitalZoom: crop.digitalZoom,
    crops: NO_CROPS,
    fails,
    unknowns,
    views: [],
    share: 0,
    scale: 1,
    leastScale: null,
    at: null,
    risk: null,
    tStop: null,
    light: pair.light,
    pixelsAcross: frame.widthPx,
    massG: standing.burden.mass.whole,
    price: standing.burden.price.whole,
    source: standing.burden.source,
  };
}

/** Whether it is no near miss whatever its corners do: it fails by two things, or by one that nothing mends. */
const isHopeless = (fails: readonly Fail[]): boolean =>
  fails.length > 1 || fails.some((f) => f.away === Infinity);

/** What nobody told of the digital zoom with this lens, beside what is unknown already. */
function zoomUnknowns(
  { pair: { lens, chain }, body }: Combination,
  job: Job,
  already: readonly Unknown[],
): Unknown[] {
  const isFocusUnsure =
    job.autofocus && !already.includes('autofocus') && driveInZoom(body) !== null;
  const isZoomUnsure = givesDigitalZoom(body, { lens, parts: chain.parts }) === null;
  return [
    ...(isFocusUnsure ? (['autofocus'] as const) : []),
    ...(isZoomUnsure ? (['digital zoom'] as const) : []),
  ];
}

/** One way to deliver, judged. */
function deliveredAs(
  combination: Combination,
  job: Job,
  delivered: Delivered,
  already: readonly Fail[],
  unknowns: Unknown[],
): Candidate {
  const { pair, body, mode } = combination;
  const { crop, frame, viewFactor, mostScale } = delivered;
  const fails = frameFails(delivered, combination, job);
  fails.unshift(...already);
  const unsure = crop.digitalZoom === 1 ? [] : zoomUnknowns(combination, job, unknowns);
  const candidate = nothingServed(combination, delivered, fails, [...unknowns, ...unsure]);
  if (isHopeless(fails)) return candidate;
  const cropOf36 = viewFactor / pair.factor;
  const asked = spanFor(delivered, combination, job);
  const apertures = aperturesFor(pair, job, cropOf36);
  const isHeld = pair.train.fastestFNumber / pair.train.factor > apertures.to;
  const span = isHeld ? null : fastEnough(pair, asked, apertures.to);
  const closesEnough = isAsOpenAs(apertures.from, pair.lens.closedFNumber);
  if (span === null || apertures.from > apertures.to || !closesEnough) {
    fails.push(apertureFail(pair, job, cropOf36, asked));
    return candidate;
  }
  const travel = travelFor(body, mode, job.stabilised, crop.cropId);
  const middle = readOutMiddle(mode);
  const wanted: Wanted = { frame, middle, travel, apertures, span, mostScale };
  serve(candidate, combination, wanted, job, viewFactor);
  return candidate;
}

/** How near a miss is that nothing but a look would mend: nearer than one that takes gear or pixels. */
const UNSURE_AWAY = 0.05;

/** Fills in what a combination serves with a crop, and that it fails where it serves nothing. */
function serve(
  candidate: Candidate,
  { pair, body, mode }: Combination,
  wanted: Wanted,
  job: Job,
  viewFactor: number,
): void {
  const { fails, cropId, digitalZoom } = candidate;
  const { lens, chain, reach, isApertureUnsure } = pair;
  const found = covered(reach, wanted);
  candidate.leastScale = found.leastScale;
  const guessed = untoldShare({ body, mode, lens, parts: chain.parts });
  const whole = found.views.map((w) => ({ from: w.from * viewFactor, to: w.to * viewFactor }));
  const span = { from: job.viewFromMm / SAME_VIEW, to: job.viewToMm * SAME_VIEW };
  const views = withinSpan(whole, span);
  if (guessed > 0) {
    fails.push(fail('untold', guessed, null, UNSURE_AWAY));
    return;
  }
  if (views.length === 0 && !fails.some((f) => f.code === 'view')) {
    const { leastScale, isToss } = found;
    const away = leastScale === null ? Infinity : Math.log2(leastScale);
    fails.push(fail(isToss ? 'toss' : 'corners', leastScale, job.postScale, away));
    return;
  }
  const settings = (views.length > 0 ? views : whole).flatMap((w) =>
    servedOver(reach, wanted, found, { from: w.from / viewFactor, to: w.to / viewFactor }),
  );
  const [at] = settings;
  if (!at) {
    // Rounding lost the little that was found.
    fails.push(fail('toss', found.leastScale, job.postScale, UNSURE_AWAY));
    return;
  }
  const risk = settings.reduce<Risk>(riskier, at);
  // It has to be stopped down, and nobody told what works the aperture behind this train.
  if (isApertureUnsure && !isAsOpenAs(at.fNumber, openFNumberAt(lens, at.focalMm)))
    candidate.unknowns = [...candidate.unknowns, 'aperture'];
  if (job.mostRisk !== null && risk.risk > job.mostRisk)
    fails.push(fail('risk', risk.risk, job.mostRisk, ratio(risk.risk, job.mostRisk)));
  candidate.views = views;
  candidate.crops = [{ cropId, digitalZoom, views }];
  candidate.share = shareOf(views, job);
  candidate.scale = found.scale;
  candidate.at = at;
  candidate.risk = { risk: risk.risk, evidence: risk.evidence };
  candidate.tStop = fNumberBehind(pair.train, at.fNumber) * pair.tFactor;
}

/** Fewer failings first, then nearer ones, then more of the views. */
function isBetter(a: Candidate, b: Candidate): boolean {
  if (a.fails.length !== b.fails.length) return a.fails.length < b.fails.length;
  if (a.fails.length > 0) return awayOf(a) < awayOf(b);
  return a.share > b.share + 1e-6;
}

/** The combination as it serves the job, with as many of the body's crops as serve more of it. */
export function candidateOf(combination: Combination, job: Job, kit: Kit): Candidate {
  const { pair, standing, body, mode } = combination;
  const unknowns: Unknown[] = [];
  const already = standingFails(standing, body, job, unknowns);
  already.push(...modeFails(mode, job, unknowns));
  already.push(...autofocusFails(combination, job, unknowns));
  if (job.slowestTStop !== null && pair.light === 'T at best') unknowns.push('light');
  if (isHopeless(already)) return nothingServed(combination, FAILED_FRAME, already, unknowns);
  let best: Candidate | null = null;
  const served: Candidate[] = [];
  for (const crop of cropsOf(combination, job)) {
    const way = deliveredWith(combination, job, kit, crop);
    const next = deliveredAs(combination, job, way, already, unknowns);
    if (passes(next)) served.push(next);
    if (best === null || isBetter(next, best)) best = next;
    // What serves all there is to serve needs no further crop.
    if (passes(best) && servesAll(best)) break;
  }
  const all = served.length > 1 && !servesAll(best) ? together(served, job) : best;
  if (!all) return nothingServed(combination, FAILED_FRAME, already, unknowns);
  if (passes(all) && job.wholeRange && !servesAll(all))
    all.fails.push(fail('range', all.share, 1, 1 - all.share));
  return all;
}
