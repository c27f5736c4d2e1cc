/** A rig made for arithmetic: round figures, nothing unknown, a part or two at will. */
import {
  bodyOf,
  type Body,
  DEFAULT_JUDGEMENT,
  haloSampleOf,
  lensOf,
  type Lens,
  mountOf,
  type Mount,
  partOf as partRecord,
  type Part,
  restingSettings,
  type RigSettings,
} from '@/core/kit/records';
import type { Rig } from '@/core/rig';

const mount = (id: string, registerMm: number): Mount =>
  mountOf({ id, name: `mount ${registerMm}`, registerMm });

/** Registers 44 and 18: a plain adapter is 26 mm thick. */
export const MOUNTS: ReadonlyMap<string, Mount> = new Map(
  [mount('slr', 44), mount('ml', 18)].map((m) => [m.id, m]),
);

/** A 50 mm f/2 whose halo is one front rim, hard and 30 mm wide at f/2. */
export const plainLens = (more: Partial<Lens> = {}): Lens =>
  lensOf({
    id: 'lens',
    name: 'Fifty',
    mountId: 'slr',
    focalMinMm: 50,
    focalMaxMm: 50,
    openFNumberWide: 2,
    openFNumberLong: 2,
    closedFNumber: 16,
    closestFocusM: 0.5,
    focusing: 'unit',
    pupilMagnification: 1,
    designFormat: { widthMm: 36, heightMm: 24 },
    rearProtrusionMm: 0,
    massG: 300,
    price: 100,
    tStop: 2,
    electronics: { focus: true, aperture: true, metadata: true, stabiliser: true },
    halo: [
      haloSampleOf({
        id: 's',
        focalMm: 50,
        fNumber: 2,
        front: { edgeRadiusMm: 30, softnessMm: 3 },
        exitPupilMm: 10_000,
        edgeSigmaMm: 0.1,
        evidence: { kind: 'measured', date: '2026-05-12', frames: 2, source: '' },
      }),
    ],
    ...more,
  });

export const partOf = (kind: Part['kind'], more: Partial<Part> = {}): Part =>
  partRecord({
    id: kind,
    name: kind,
    kind,
    frontMountId: 'slr',
    rearMountId: 'ml',
    factor: 1,
    thicknessMm: 26,
    electronics: { focus: true, aperture: true, metadata: true, stabiliser: true },
    ...more,
  });

interface Asked {
  body?: Partial<Body>;
  lens?: Partial<Lens>;
  parts?: readonly Part[];
  settings?: Partial<RigSettings>;
}

/** The lens on a 36x24 body through a plain adapter, wide open at infinity, the sensor still. */
export function plainRig({
  body: more = {},
  lens = {},
  parts = [partOf('plain adapter')],
  settings = {},
}: Asked = {}): Rig {
  const body = bodyOf({
    id: 'body',
    name: 'Body',
    mountId: 'ml',
    modes: [
      {
        id: 'full',
        name: 'Full',
        use: 'video',
        widthMm: 36,
        heightMm: 24,
        widthPx: 6000,
        heightPx: 4000,
        recordedWidthPx: 3000,
        framesPerSecond: 25,
        crops: [{ id: 'active', name: 'electronic', nominal: 1.1, measured: null }],
        digitalZooms: [1, 1.5],
      },
    ],
    sensorTravel: { shape: 'disc', xMm: 1, yMm: 0 },
    stabiliserStops: 4,
    autofocusLimitFNumber: 8,
    autofocusPoints: [
      { upToFNumber: 5.6, points: 400 },
      { upToFNumber: 8, points: 40 },
    ],
    stabiliserFocalsMm: [35, 50, 85],
    clearDepthMm: 12,
    coverGlass: null,
    ...more,
  });
  const [mode] = body.modes;
  if (!mode) throw new Error('the body has a mode');
  return {
    name: 'plain',
    body,
    mode,
    lens: plainLens(lens),
    parts,
    settings: { ...restingSettings(50, 2), ...settings },
    judgement: DEFAULT_JUDGEMENT,
    mounts: MOUNTS,
  };
}
