/** Short ways to write down the demo lenses. */
import type { Evidence, HaloSample, Lens } from '../kit/records';
import { haloSampleOf } from '../kit/records';

const measured = (date: string, frames: number, source: string): Evidence => ({
  kind: 'measured',
  date,
  frames,
  source,
});
const published = (source: string): Evidence => ({
  kind: 'published',
  date: '',
  frames: 0,
  source,
});

export const WALL = measured('2026-05-12', 2, 'mill office wall, two frames a setting');
export const WALL_ONE = measured('2026-05-13', 1, 'mill office wall, one frame a setting');
export const SHEET = published('lender’s data sheet');

type Figures = readonly [
  focalMm: number,
  fNumber: number,
  frontEdge: number,
  frontSoft: number,
  rearEdge: number | null,
  rearSoft: number,
  exitPupilMm: number | null,
];

export function samples(
  lensId: string,
  evidence: Evidence,
  sigma: number,
  rows: readonly Figures[],
): HaloSample[] {
  return rows.map(([focalMm, fNumber, fe, fs, re, rs, exitPupilMm]) =>
    haloSampleOf({
      id: `${lensId}-${focalMm}`,
      focalMm,
      fNumber,
      focusM: null,
      front: { edgeRadiusMm: fe, softnessMm: fs },
      meaning: 'half light',
      rear: re === null ? null : { edgeRadiusMm: re, softnessMm: rs },
      exitPupilMm,
      centreXMm: 0,
      centreYMm: 0,
      edgeSigmaMm: sigma,
      evidence,
      note: '',
    }),
  );
}

export const SMALL = { widthMm: 23.5, heightMm: 15.6 };
export const FULL = { widthMm: 36, heightMm: 24 };
export const GATE = { widthMm: 24.89, heightMm: 18.67 };
export const SUPER16 = { widthMm: 12.52, heightMm: 7.42 };
export const MEDIUM = { widthMm: 56, heightMm: 41.5 };

export const ALL_CONTACTS = { focus: true, aperture: true, metadata: true, stabiliser: false };
export const STABILISED = { ...ALL_CONTACTS, stabiliser: true };

/** A lens focused by turning the whole of it. */
export const manual = { focusing: 'unit' } satisfies Partial<Lens>;

export const range = (
  focalMinMm: number,
  focalMaxMm: number,
  open: number,
  closed: number,
  openLong = open,
) => ({
  focalMinMm,
  focalMaxMm,
  openFNumberWide: open,
  openFNumberLong: openLong,
  closedFNumber: closed,
});
