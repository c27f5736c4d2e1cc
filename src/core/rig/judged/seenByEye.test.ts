import { describe, expect, it } from 'vitest';
import { partOf, plainLens, plainRig } from '../../../../tests/support/plainRig';
import { priorFor, radiusAtTransmission } from '../../halo';
import { modeOf, type HaloSample, type Lens } from '../../kit/records';
import { randomOf } from '../../maths';
import { situationOf, turned, type Rig } from '../../rig';
import { evaluate } from '../report';
import { LOOKS, seenSample, withSeen, type Look } from './seenByEye';

/** Nobody told which format it is made for: what the eye says stands alone. */
const bare = plainLens({ mountId: 'ml', halo: [], estimated: ['designFormat'] });
const zoom: Lens = {
  ...bare,
  focalMinMm: 35,
  focalMaxMm: 70,
  openFNumberWide: 2.8,
  openFNumberLong: 2.8,
};
const rigOf = (
  lens: Lens,
  settings: Partial<Rig['settings']> = {},
  parts: Rig['parts'] = [],
): Rig => turned(plainRig({ lens, parts: [...parts] }), settings);

function seen(rig: Rig, look: Look): HaloSample {
  const found = seenSample(rig, { look, id: look, date: '2026-06-02' });
  if (!found.ok) throw new Error(found.problems[0]?.sentence);
  return found.value;
}
const edge = (rig: Rig, look: Look) => seen(rig, look).front.edgeRadiusMm;
/** Corner of 36x24, mm: sqrt(18² + 12²). */
const CORNER = 21.633;

describe('what a camera shows by eye', () => {
  it('“clear from 50, black at 40”: the halo’s edge lies beyond the corner at 50, and short of it at 40', () => {
    const at50 = seen(rigOf(zoom, { focalMm: 50, fNumber: 2.8 }), 'just clear');
    const at40 = seen(rigOf(zoom, { focalMm: 40, fNumber: 2.8 }), 'just black');
    expect(at50.front.edgeRadiusMm).toBeGreaterThan(CORNER);
    expect(at40.front.edgeRadiusMm).toBeLessThan(CORNER);
    expect(at50.evidence).toEqual({
      kind: 'seen',
      date: '2026-06-02',
      frames: 0,
      source: 'corners just clear by eye on Body, Full',
    });
    const lens = { ...zoom, halo: [at40, at50] };
    const verdict = (focalMm: number) => evaluate(rigOf(lens, { focalMm, fNumber: 2.8 })).verdict;
    expect(verdict(50).kind).toBe('Clear');
    expect(verdict(40).kind).not.toBe('Clear');
    // A border that was seen is not known surely: an eye says no more than that.
    expect(verdict(50).risk).toBeGreaterThan(0.05);
    expect(evaluate(rigOf(lens, { focalMm: 45, fNumber: 2.8 })).halo.evidence.kind).toBe('seen');
  });

  it('is told of the lens: behind 0.71 the corner lies 1/0.71 farther out in its own picture (thin lens)', () => {
    const reducer = partOf('focal reducer', {
      factor: 0.71,
      thicknessMm: 21,
      fastestFNumber: null,
    });
    const slr = { ...zoom, mountId: 'slr' };
    for (const look of LOOKS) {
      const straight = edge(rigOf(zoom, { focalMm: 50, fNumber: 8 }), look);
      const reduced = edge(rigOf(slr, { focalMm: 50, fNumber: 8 }, [reducer]), look);
      expect(reduced / straight).toBeCloseTo(1 / 0.71, 1);
    }
  });

  it('counts the corner that lies farthest off: shifted, squeezed, cropped twice', () => {
    const plain = edge(rigOf(zoom, { focalMm: 50, fNumber: 8 }), 'just clear');
    // 36x24 cropped by 1.5 and 1.1: 36/1.65 x 24/1.65.
    const cropped = rigOf(zoom, { focalMm: 50, fNumber: 8, digitalZoom: 1.5, cropId: 'active' });
    expect(edge(cropped, 'just clear') / plain).toBeCloseTo(1 / 1.65, 2);
    const shifting = partOf('shift adapter', { shiftMm: 10 });
    const slr = { ...zoom, mountId: 'slr' };
    const shifted = rigOf(slr, { focalMm: 50, fNumber: 8, shiftYMm: 6 }, [shifting]);
    // The corner lies at hypot(18, 12 + 6).
    expect(edge(shifted, 'just clear') / plain).toBeCloseTo(Math.hypot(18, 18) / CORNER, 2);
    // The stabiliser is off while one looks.
    const steadied = rigOf(zoom, { focalMm: 50, fNumber: 8, stabiliser: true });
    expect(edge(steadied, 'just clear')).toBeCloseTo(plain, 6);
  });

  it('tells nothing of the lens where a part cuts before it', () => {
    const narrow = partOf('focal reducer', {
      factor: 0.71,
      thicknessMm: 21,
      ownRim: { edgeRadiusMm: 14, softnessMm: 1, fNumber: 2, exitPupilMm: 100 },
    });
    const rig = rigOf({ ...zoom, mountId: 'slr' }, { focalMm: 50, fNumber: 4 }, [narrow]);
    expect(seenSample(rig, { look: 'just clear', id: 'x', date: '' })).toMatchObject({
      ok: false,
      problems: [{ code: 'tellsNothing' }],
    });
  });

  it('gives way to a measurement and stands before a published figure, and is replaced by a later look', () => {
    const rig = rigOf(zoom, { focalMm: 50, fNumber: 2.8 });
    const look = seen(rig, 'just clear');
    const other = (kind: HaloSample['evidence']['kind'], edgeRadiusMm: number): HaloSample => ({
      ...look,
      id: kind,
      front: { edgeRadiusMm, softnessMm: 2 },
      evidence: { kind, date: '2025-01-01', frames: kind === 'measured' ? 2 : 0, source: '' },
    });
    const said = (...halo: HaloSample[]) =>
      evaluate(rigOf({ ...zoom, halo }, { focalMm: 50, fNumber: 2.8 })).halo.evidence;
    expect(said(look, other('published', 30))).toMatchObject({
      kind: 'seen',
      sampleIds: [look.id],
    });
    expect(said(look, other('measured', 30)).kind).toBe('measured');
    const later = { ...look, id: 'later' };
    const halo = withSeen(
      [other('measured', 30), look, { ...look, id: 'stopped', fNumber: 8 }],
      later,
    );
    expect(halo.map((s) => s.id)).toEqual(['measured', 'stopped', 'later']);
  });

  describe('is as unsure as it says, for lenses softer and harder than is usual and eyes that differ', () => {
    const { between, next } = randomOf(20261201);
    const normal = () => Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next());
    /** What is said of a lens by an eye that calls a corner so at some light of its own. */
    function trial(look: Look, lens: Lens, edgeOf: (usual: number) => number) {
      const [from, to] = look === 'just clear' ? [0.45, 0.85] : [0.005, 0.1];
      const rig = rigOf(lens, { fNumber: between(2, 8) });
      const usual = seen(rig, look).front;
      const trueEdge = edgeOf((priorFor(lens, 50).edge * 43.2666) / 2);
      const softness = (usual.softnessMm / usual.edgeRadiusMm) * Math.exp(0.35 * normal());
      const softnessMm = trueEdge * Math.min(1, softness);
      const rims = [{ side: 'front' as const, edgeRadiusMm: trueEdge, softnessMm }];
      // The frame whose corner it is.
      const corner = radiusAtTransmission(rims, between(from, to));
      const widthMm = (2 * corner * 3) / Math.sqrt(13);
      const mode = modeOf({ ...rig.mode, widthMm, heightMm: (widthMm * 2) / 3 });
      const { front, edgeSigmaMm } = seen({ ...rig, mode }, look);
      return { off: Math.abs(front.edgeRadiusMm - trueEdge), sigma: edgeSigmaMm, trueEdge };
    }

    it.each(LOOKS)('%s, of a lens of no known kind', (look) => {
      const trials = Array.from({ length: 120 }, () => trial(look, bare, () => between(14, 26)));
      const within = trials.filter(({ off, sigma }) => off <= 1.645 * sigma);
      // Nine of ten are asked of an interval of 90 %.
      expect(within.length / trials.length).toBeGreaterThan(0.85);
    });

    it.each(LOOKS)(
      '%s, weighed with what is usual of its kind: never less sure than that',
      (look) => {
        const told: Lens = { ...bare, estimated: [] };
        const own = 43.2666 / 2;
        const { sigma: scatter, edge: usualShare } = priorFor(told, 50);
        const drawn = (usual: number) => own + (usual - own) * Math.exp(scatter.reach * normal());
        const outwardMm = own * (usualShare - 1) * (Math.exp(scatter.reach) - 1);
        const trials = Array.from({ length: 120 }, () => trial(look, told, drawn));
        const within = trials.filter(({ off, sigma }) => off <= 1.645 * sigma);
        expect(within.length / trials.length).toBeGreaterThan(0.85);
        const surer = trials.filter(({ sigma }) => sigma < outwardMm);
        expect(surer.length / trials.length).toBeGreaterThan(0.9);
      },
    );
  });

  it('asks the darkest corner alone: what the rig is judged by does not matter', () => {
    const rig = rigOf(zoom, { focalMm: 50, fNumber: 8 });
    const strict: Rig = { ...rig, judgement: { ...rig.judgement, school: 'strict' } };
    expect(edge(strict, 'just clear')).toBe(edge(rig, 'just clear'));
    expect(situationOf(strict).limitStops).not.toBe(0);
  });
});
