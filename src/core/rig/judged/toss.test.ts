/**
 * When a verdict is a coin's toss, against plain drawing: thousands of halos as they may as well be, each judged, and
 * their verdicts counted. Drawing knows no quadrature and no shortcut.
 */
import { describe, expect, it } from 'vitest';
import { evaluate } from '../report';
import { turned } from '../../rig';
import {
  bothOf,
  isSurelyClear,
  judge,
  VERDICT_KINDS,
  verdictWords,
  type VerdictKind,
  worstCornerRadius,
} from '../../frame';
import type { Halo, HaloUnsure, Rim } from '../../halo';
import { normalDeviates, randomOf } from '../../maths';
import { demoRig } from '../../../../tests/support/demo';
import { plainLens, plainRig } from '../../../../tests/support/plainRig';
import { unsureBy } from '../../../../tests/support/unsure';
import { isSettled, otherVerdict, riskIn, TOSS_SHARE, type Asked } from './toss';
import { isClear, verdictOf } from './verdicts';

const { between, whole, chance } = randomOf(20261201);
const deviates = normalDeviates();
const normal = () => deviates[whole(0, deviates.length - 1)]!;
const pick = <T>(list: readonly T[]): T => list[whole(0, list.length - 1)]!;

/** Nobody measured the lens: its rims end somewhere beyond a corner of its own. */
const ofEstimate = (edge: number): Partial<HaloUnsure> => ({
  edgeSigmaMm: 0,
  beyond: { fromMm: edge * between(0.7, 0.95), sigma: between(0.3, 0.8), rims: 2 },
});

/** Squeezed by crops, shifted, off the middle, moving in a box or a disc: whatever a rig may be. */
function drawn(): { asked: Asked; unsure: HaloUnsure } {
  const [widthMm, heightMm] = pick([
    [36, 24],
    [36, 20.25],
    [23.5, 13.2],
    [24, 24],
    [43.8, 32.9],
  ] as const);
  const corner = Math.hypot(widthMm, heightMm) / 2;
  const edge = corner * between(0.55, 1.35);
  const rims: Rim[] = [
    { side: 'front', edgeRadiusMm: edge, softnessMm: edge * between(0.01, 0.5) },
  ];
  if (chance(0.5))
    rims.push({ side: 'rear', edgeRadiusMm: edge * between(1, 1.2), softnessMm: edge * 0.2 });
  return {
    asked: {
      halo: {
        rims,
        exitPupilMm: chance(0.7) ? between(30, 120) : null,
        coneTangent: 0,
        centre: { xMm: between(-1, 1), yMm: between(-1, 1) },
      },
      delivered: { widthMm, heightMm },
      travel: pick([
        { xMm: 0, yMm: 0, discMm: 0 },
        { xMm: 0.8, yMm: 0.4, discMm: 0 },
        { xMm: 0.5, yMm: 0.3, discMm: 1.2 },
      ]),
      limitStops: pick([1, 2, 3]),
    },
    unsure: unsureBy({
      edgeSigmaMm: edge * between(0.002, 0.12),
      softnessSigma: between(0.02, 0.35),
      falloffSigma: between(0.05, 0.5),
      ...(chance(0.4) ? ofEstimate(edge) : {}),
    }),
  };
}

const DRAWS = 1500;

/** How often each verdict is drawn, 0..1. */
function counted({ halo, delivered, travel, limitStops }: Asked, unsure: HaloUnsure) {
  const shares: Record<VerdictKind, number> = { Clear: 0, Shaded: 0, Clipped: 0, Keyhole: 0 };
  const fromMm = unsure.beyond?.fromMm ?? 0;
  const isStretched = worstCornerRadius(delivered, halo.centre, travel) > fromMm;
  for (let i = 0; i < DRAWS; i += 1) {
    const z = normal();
    const wider = z * unsure.edgeSigmaMm;
    const times = isStretched ? Math.exp(z * (unsure.beyond?.sigma ?? 0)) : 1;
    const softer = Math.exp(normal() * unsure.softnessSigma);
    const falloff = Math.max(1e-3, 1 + normal() * unsure.falloffSigma);
    const one: Halo = {
      ...halo,
      rims: halo.rims.map(({ side, edgeRadiusMm, softnessMm }) => {
        const edge = fromMm + (edgeRadiusMm - fromMm) * times + wider;
        return {
          side,
          edgeRadiusMm: edge,
          softnessMm: Math.min(edge, softnessMm * softer * times),
        };
      }),
      exitPupilMm: halo.exitPupilMm === null ? null : halo.exitPupilMm / Math.sqrt(falloff),
    };
    shares[judge(one, delivered, travel, limitStops).kind] += 1 / DRAWS;
  }
  return shares;
}

/** Counting is rough by 0.03 at the most, and softness that is asked at three places only by as much again. */
const ROUGH = 0.09;

describe('a coin’s toss', () => {
  it('is where counting finds a better or a worse verdict once in four times or more, and names the likeliest', () => {
    const seen = { settled: 0, toss: 0, sure: 0 };
    for (let k = 0; k < 150; k += 1) {
      const { asked, unsure } = drawn();
      const { halo, delivered, travel, limitStops } = asked;
      const { kind } = judge(halo, delivered, travel, limitStops);
      const shares = counted(asked, unsure);
      const here = VERDICT_KINDS.indexOf(kind);
      const sum = (kinds: readonly VerdictKind[]) => kinds.reduce((all, v) => all + shares[v], 0);
      const sides = [VERDICT_KINDS.slice(0, here), VERDICT_KINDS.slice(here + 1)];
      const [better, worse] = [sum(sides[0]!), sum(sides[1]!)];
      const most = Math.max(better, worse);
      const told = otherVerdict(asked, kind, unsure);
      const label = `${k}: ${kind} or ${told}, ${JSON.stringify(shares)}`;
      if (isSettled(asked, kind, unsure)) {
        seen.settled += 1;
        expect(most, label).toBeLessThan(TOSS_SHARE + ROUGH);
      }
      expect(Math.abs(1 - shares.Clear - riskIn(asked, unsure)), label).toBeLessThan(ROUGH);
      if (Math.abs(most - TOSS_SHARE) < ROUGH) continue;
      expect(told !== null, label).toBe(most > TOSS_SHARE);
      if (told === null) seen.sure += 1;
      else {
        seen.toss += 1;
        const side = sides.find((kinds) => kinds.includes(told))!;
        expect(sum(side), label).toBeGreaterThan(Math.min(most, TOSS_SHARE) - ROUGH);
        expect(shares[told], label).toBeGreaterThan(
          Math.max(...side.map((v) => shares[v])) - ROUGH,
        );
      }
    }
    for (const count of Object.values(seen)) expect(count).toBeGreaterThan(25);
  });

  it('is named on the face, the better verdict first, and is never counted as Clear', () => {
    expect(verdictWords({ kind: 'Shaded', or: 'Clear' })).toBe('Clear or Shaded');
    expect(verdictWords({ kind: 'Clear', or: 'Shaded' })).toBe('Clear or Shaded');
    expect(verdictWords({ kind: 'Clipped', or: null })).toBe('Clipped');
    expect(bothOf({ kind: 'Keyhole', or: 'Clipped' })).toEqual(['Clipped', 'Keyhole']);
    expect(isSurelyClear({ kind: 'Clear', or: 'Shaded' })).toBe(false);
    const rig = turned(demoRig('wheel-house-wide'), { stabiliser: false });
    const tosses = Array.from({ length: 120 }, (_, i) => turned(rig, { focalMm: 20.5 + i / 40 }))
      .map((at) => ({ at, report: evaluate(at) }))
      .filter(({ report }) => report.verdict.or !== null);
    expect(tosses.length).toBeGreaterThan(0);
    for (const { at, report } of tosses) {
      expect(isClear(at)).toBe(false);
      expect(report.coverage.scaleUp).toBeGreaterThan(1);
      expect(report.verdict.sentence).toContain('It may as well be');
      const [better] = bothOf(report.verdict);
      if (better === 'Clear') {
        expect(report.verdict.risk).toBeGreaterThan(0.25);
        expect(report.verdict.risk).toBeLessThan(0.75);
      }
    }
  });

  it('a guess at what nobody told is one, however wide the halo', () => {
    const rig = plainRig({ lens: { halo: [], estimated: ['focalMinMm'] } });
    expect(verdictOf(rig).or).not.toBeNull();
    expect(isClear(rig)).toBe(false);
    expect(isClear(plainRig({ lens: plainLens() }))).toBe(true);
  });
});
