/** Traced lenses behind converters and tubes: as rays meet them, and as the kit tells of them. */
import type { Converter, RayLens } from '../../src/core/bench-camera';
import { mountOf, partOf, type Part } from '../../src/core/kit/records';
import type { Random } from '../../src/core/maths';
import { diagonalMm } from '../../src/core/optics';
import type { Rig } from '../../src/core/rig';
import type { DrawnRig } from '../../tests/support/frames';

/** The whole lens carried out by `extensionMm`: every distance from the sensor grows. */
const carriedOut = (lens: RayLens, extensionMm: number): RayLens => ({
  ...lens,
  exitPupilMm: lens.exitPupilMm + extensionMm,
  groups: lens.groups.map((g) => ({ ...g, zMm: g.zMm + extensionMm })),
  openings: lens.openings.map((o) => ({ ...o, zMm: o.zMm + extensionMm })),
});

/** A converter and what the kit knows of it. */
interface Behind {
  converter: Converter;
  holeMm: number;
  part: Part;
}

export const REGISTERS: Rig['mounts'] = new Map(
  [
    { id: 'deep', registerMm: 44 },
    { id: 'shallow', registerMm: 18 },
  ].map((m) => [m.id, mountOf({ ...m, name: m.id })]),
);

/** A thin converter with a hole of its own, told as a lens of another exit pupil showed it. */
export function drawConverter(random: Random, factor: number, rig: DrawnRig): Behind {
  const frontMm = factor < 1 ? random.between(12, 34) : random.between(25, 45);
  const sensorHalf = diagonalMm(rig.sensor) / 2;
  const backMm = factor * frontMm;
  const holeMm = sensorHalf * Math.max(1, factor) * random.between(0.75, 1.1);
  const rearMountId = factor < 1 ? 'shallow' : 'deep';
  // Beyond its hole: past a nearer pupil there would be no rim to be seen.
  const exitPupilMm = random.between(Math.max(60, 1.5 * backMm), 220);
  const past = 1 - backMm / exitPupilMm;
  const told = 1 + random.between(-0.03, 0.03);
  return {
    converter: { zMm: frontMm, factor },
    holeMm,
    part: partOf({
      id: 'c',
      name: `converter ${factor}`,
      kind: factor < 1 ? 'focal reducer' : 'teleconverter',
      frontMountId: 'deep',
      rearMountId,
      factor,
      thicknessMm: (factor < 1 ? 44 - 18 : 0) - frontMm * (1 - factor),
      transmission: 0.95,
      ownRim: {
        edgeRadiusMm: (holeMm / past) * told,
        softnessMm: backMm / (2 * 4 * past),
        fNumber: 4,
        exitPupilMm,
      },
    }),
  };
}

const behind = (lens: RayLens, { converter, holeMm }: Behind): RayLens => ({
  ...lens,
  converter,
  openings: [...lens.openings, { zMm: converter.zMm, radiusMm: holeMm }],
});

export interface Where {
  close?: { focusM: number; extensionMm: number };
  behind?: Behind;
  /** A tube behind the converter, and one before it, mm. */
  tubeMm?: number;
  beforeMm?: number;
}

/**
 * The same lens and converter with the sensor `tubeMm` farther back: what the glass then shows lies where the thin-lens
 * equation says, and from there the rays are traced.
 */
function withTube(lens: RayLens, by: Behind, tubeMm: number): RayLens {
  const { zMm, factor } = by.converter;
  const backMm = factor * zMm + tubeMm;
  const frontMm = 1 / (1 / backMm - (1 - factor) / (zMm * factor));
  return behind(carriedOut(lens, frontMm - zMm), {
    ...by,
    converter: { zMm: frontMm, factor: backMm / frontMm },
  });
}

const tubeOf = (mountId: string, thicknessMm: number): Part =>
  partOf({
    id: 'tube',
    name: 'tube',
    kind: 'extension tube',
    frontMountId: mountId,
    rearMountId: mountId,
    factor: 1,
    thicknessMm,
  });

export function tracedAt(lens: RayLens, { close, behind: by, tubeMm, beforeMm }: Where): RayLens {
  const out = carriedOut(lens, (close?.extensionMm ?? 0) + (beforeMm ?? 0));
  if (!by) return out;
  return tubeMm === undefined ? behind(out, by) : withTube(out, by, tubeMm);
}

/** What the kit has between lens and body. */
export const partsOf = ({ behind: by, tubeMm, beforeMm }: Where): Part[] =>
  by
    ? [
        ...(beforeMm === undefined ? [] : [tubeOf(by.part.frontMountId, beforeMm)]),
        by.part,
        ...(tubeMm === undefined ? [] : [tubeOf(by.part.rearMountId, tubeMm)]),
      ]
    : [];
