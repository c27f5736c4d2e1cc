/**
 * Rigs that are inconvenient by default: squeezed, read off the sensor's middle, cropped twice, shifted, with a halo
 * off the axis, glass in front and behind, tubes before and after it, at one end of a zoom, and with figures that
 * nobody knows. Made for properties; nothing in the program is tuned on them.
 */
import fc from 'fast-check';
import {
  bodyOf,
  modeOf,
  type Body,
  type Mode,
  type HaloSample,
  DEFAULT_JUDGEMENT,
  SCHOOLS,
  type Judgement,
  lensOf,
  type Lens,
  mountOf,
  type Mount,
  partOf,
  type Part,
  restingSettings,
  type RigSettings,
} from '@/core/kit/records';
import { CROP_BASES } from '@/core/optics';
import { fitSettings, type Rig } from '@/core/rig';
import { sampleWith } from './samples';

const between = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const either = fc.boolean();
const maybe = <T>(of: fc.Arbitrary<T>) => fc.option(of, { nil: null, freq: 2 });

const MOUNTS: readonly Mount[] = [
  mountOf({ id: 'slr', name: 'SLR bayonet 44.00', registerMm: 44, throatMm: 54 }),
  mountOf({ id: 'mid', name: 'Mirrorless bayonet 25.50', registerMm: 25.5, throatMm: null }),
  mountOf({ id: 'ml', name: 'Mirrorless bayonet 18.00', registerMm: 18, throatMm: 46 }),
];
export const MOUNTS_BY_ID: Rig['mounts'] = new Map(MOUNTS.map((m) => [m.id, m]));

const modes: fc.Arbitrary<Mode> = fc
  .record({
    widthMm: between(12, 54),
    shape: fc.constantFrom(1.5, 4 / 3, 16 / 9, 1.9),
    pxPerMm: between(80, 260),
    // Pixels need not be square.
    tall: fc.constantFrom(1, 1, 1.07),
    middle: fc.constantFrom<readonly [number, number]>([0, 0], [2.1, -0.8], [-3.4, 1.7]),
    use: fc.constantFrom('video' as const, 'stills' as const),
    records: maybe(between(0.3, 1)),
    crops: fc.array(
      fc.record({ nominal: between(1.05, 1.5), measured: maybe(between(1.05, 1.5)) }),
      {
        maxLength: 2,
      },
    ),
    digitalZoom: between(1.1, 2),
  })
  .map(({ widthMm, shape, pxPerMm, tall, middle, use, records, crops, digitalZoom }) => {
    const widthPx = Math.round(widthMm * pxPerMm);
    return modeOf({
      id: 'mode',
      name: 'Window',
      use,
      widthMm,
      heightMm: widthMm / shape,
      middleXMm: middle[0],
      middleYMm: middle[1],
      widthPx,
      heightPx: Math.round((widthPx / shape) * tall),
      recordedWidthPx: records === null || use === 'stills' ? null : Math.round(widthPx * records),
      framesPerSecond: use === 'stills' ? null : 25,
      crops: crops.map((c, i) => ({ id: `crop-${i}`, name: `electronic ${i}`, ...c })),
      digitalZooms: [1, digitalZoom],
    });
  });

const bodies: fc.Arbitrary<Body> = fc
  .record({
    mode: modes,
    travel: maybe(
      fc.record({
        shape: fc.constantFrom('disc' as const, 'box' as const),
        xMm: between(0.3, 2.5),
        yMm: between(0.3, 2.5),
      }),
    ),
    stops: maybe(between(1, 6)),
    limit: maybe(between(4, 22)),
    glass: maybe(fc.constant({ thicknessMm: 2, index: 1.52 })),
  })
  .map(({ mode, travel, stops, limit, glass }) =>
    bodyOf({
      id: 'body',
      name: 'Body',
      maker: 'Tolvane',
      mountId: 'ml',
      modes: [modeOf({ ...mode, id: 'whole', name: 'Whole', middleXMm: 0, middleYMm: 0 }), mode],
      sensorTravel: travel,
      stabiliserStops: stops,
      autofocusLimitFNumber: limit,
      coverGlass: glass,
    }),
  );

const rims = (edge: fc.Arbitrary<number>) =>
  fc
    .record({ edgeRadiusMm: edge, share: between(0.02, 0.8) })
    .map(({ edgeRadiusMm, share }) => ({ edgeRadiusMm, softnessMm: edgeRadiusMm * share }));

const samples: fc.Arbitrary<Omit<HaloSample, 'id' | 'focalMm'>[]> = fc.array(
  fc
    .record({
      fNumber: fc.constantFrom(1.8, 2.8, 8),
      front: rims(between(9, 42)),
      rear: maybe(rims(between(10, 50))),
      exitPupilMm: maybe(between(25, 400)),
      centreXMm: between(-1.5, 1.5),
      centreYMm: between(-1.5, 1.5),
      edgeSigmaMm: between(0.05, 1.5),
      evidence: fc.constantFrom(
        { kind: 'measured' as const, frames: 2 },
        { kind: 'measured' as const, frames: 1 },
        { kind: 'published' as const, frames: 0 },
      ),
    })
    .map((told) => sampleWith(told)),
  { maxLength: 3 },
);

const lenses: fc.Arbitrary<Lens> = fc
  .record({
    focalMinMm: between(12, 180),
    range: fc.constantFrom(1, 2.3, 4),
    open: between(1.2, 5.6),
    slower: fc.constantFrom(1, 1.6),
    halo: samples,
    tStopOver: maybe(between(1.02, 1.4)),
    squeeze: fc.constantFrom(1, 1, 1.33, 2),
    pupil: maybe(between(0.4, 3)),
    focusing: fc.constantFrom('unit' as const, 'internal' as const, 'unknown' as const),
    most: maybe(between(0.1, 1)),
    format: fc.constantFrom(
      { widthMm: 36, heightMm: 24 },
      { widthMm: 17.3, heightMm: 13 },
      { widthMm: 56, heightMm: 41.5 },
    ),
    definition: maybe(between(6, 20)),
    protrusion: maybe(between(-2, 20)),
    ring: fc.constantFrom('own ring' as const, 'none' as const, 'unknown' as const),
    contacts: either,
  })
  .map((t) =>
    lensOf({
      id: 'lens',
      name: 'Borrowed one',
      maker: 'Brisk & Marrow',
      mountId: 'slr',
      focalMinMm: t.focalMinMm,
      focalMaxMm: t.focalMinMm * t.range,
      openFNumberWide: t.open,
      openFNumberLong: t.range > 1 ? t.open * t.slower : t.open,
      closedFNumber: 22,
      closestFocusM: Math.max(0.3, (8 * t.focalMinMm * t.range) / 1000),
      tStop: t.tStopOver === null ? null : t.open * t.tStopOver,
      squeeze: t.squeeze,
      character: t.squeeze > 1 ? 'anamorphic' : 'general',
      pupilMagnification: t.pupil,
      focusing: t.focusing,
      maxMagnification: t.most,
      designFormat: t.format,
      definitionRadiusMm: t.definition,
      rearProtrusionMm: t.protrusion === null ? null : Math.max(0, t.protrusion),
      apertureRing: t.ring,
      electronics: {
        focus: t.contacts,
        aperture: t.contacts,
        metadata: t.contacts,
        stabiliser: false,
      },
      halo: t.halo.map((sample, i) => ({
        ...sample,
        id: `sample-${i}`,
        focalMm: t.focalMinMm * t.range ** (t.halo.length > 1 ? i / (t.halo.length - 1) : 0),
      })),
    }),
  );

/** Trains from one register to the other, of several parts, with tubes before and behind the glass. */
const trains: fc.Arbitrary<Part[]> = fc
  .record({
    glass: fc.constantFrom('none', 'focal reducer', 'teleconverter', 'expander' as const),
    factorBy: between(0, 1),
    ownRim: maybe(
      fc.record({
        edgeRadiusMm: between(9, 30),
        softnessMm: between(0.3, 6),
        fNumber: fc.constant(2.8),
        exitPupilMm: maybe(between(30, 200)),
      }),
    ),
    transmission: maybe(between(0.7, 0.98)),
    fastest: maybe(between(1, 2.5)),
    front: maybe(between(0.6, 1.7)),
    tube: fc.constantFrom('none', 'before', 'behind'),
    tubeMm: between(3, 20),
    helicoid: either,
    shift: either,
    plate: maybe(fc.constant({ thicknessMm: 1, index: 1.52 })),
  })
  .map((t) => {
    const parts: Part[] = [];
    const add = (
      told: Pick<Part, 'id' | 'kind' | 'frontMountId' | 'rearMountId'> & Partial<Part>,
    ) => parts.push(partOf({ name: told.id, factor: 1, thicknessMm: 10, ...told }));
    if (t.front !== null)
      add({
        id: 'front',
        kind: 'front converter',
        frontMountId: 'slr',
        rearMountId: 'slr',
        factor: t.front,
      });
    const tube = (mount: string) =>
      add({
        id: 'tube',
        kind: 'extension tube',
        frontMountId: mount,
        rearMountId: mount,
        thicknessMm: t.tubeMm,
      });
    if (t.tube === 'before') tube('slr');
    add({
      id: 'to-mid',
      kind: t.shift ? 'shift adapter' : 'plain adapter',
      frontMountId: 'slr',
      rearMountId: 'mid',
      thicknessMm: 18.5,
      shiftMm: t.shift ? 9 : 0,
      plate: t.plate,
    });
    const factors: Record<string, number> = {
      none: 1,
      'focal reducer': 0.58 + 0.3 * t.factorBy,
      teleconverter: 1.3 + 0.8 * t.factorBy,
      expander: 1.2 + 0.5 * t.factorBy,
    };
    const factor = factors[t.glass] ?? 1;
    add({
      id: 'to-ml',
      kind: t.glass === 'none' ? 'helicoid' : t.glass,
      frontMountId: 'mid',
      rearMountId: 'ml',
      factor,
      thicknessMm: factor < 1 ? 3.5 : factor > 1 ? 13 : 7.5,
      helicoidMm: t.glass === 'none' && t.helicoid ? 12 : 0,
      ownRim: t.glass === 'none' ? null : t.ownRim,
      transmission: t.transmission,
      fastestFNumber: t.fastest,
      designFormat: { widthMm: 23.5, heightMm: 15.6 },
    });
    if (t.tube === 'behind') tube('ml');
    return parts;
  });

const settings = fc.record({
  zoomAt: fc.constantFrom(0, 0.37, 1),
  closedStops: between(0, 6),
  focusTimes: maybe(between(1, 30)),
  aspect: fc.constantFrom(null, 1, 1.25, 16 / 9, 2.39),
  zoomed: either,
  crop: fc.constantFrom(null, 'crop-0', 'crop-1'),
  stabiliser: either,
  postScale: fc.constantFrom(1, 1, 1.13),
  shiftXMm: between(-12, 12),
  shiftYMm: between(-12, 12),
  helicoidMm: between(0, 12),
});

const judgements: fc.Arbitrary<Judgement> = fc
  .record({ school: fc.constantFrom(...SCHOOLS), basis: fc.constantFrom(...CROP_BASES) })
  .map((told) => ({ ...DEFAULT_JUDGEMENT, ...told }));

/** Any such rig. */
export const inconvenientRigs: fc.Arbitrary<Rig> = fc
  .record({ body: bodies, lens: lenses, parts: trains, set: settings, judgement: judgements })
  .map(({ body, lens, parts, set, judgement }) => {
    const mode = body.modes[1];
    if (!mode) throw new Error('the body has two modes');
    const focalMm = lens.focalMinMm * (lens.focalMaxMm / lens.focalMinMm) ** set.zoomAt;
    const wanted: RigSettings = {
      ...restingSettings(focalMm, lens.openFNumberWide * 2 ** (set.closedStops / 2)),
      focusM: set.focusTimes === null ? null : lens.closestFocusM * set.focusTimes,
      aspect: set.aspect,
      digitalZoom: set.zoomed ? (mode.digitalZooms[1] ?? 1) : 1,
      cropId: set.crop,
      stabiliser: set.stabiliser,
      postScale: set.postScale,
      shiftXMm: set.shiftXMm,
      shiftYMm: set.shiftYMm,
      helicoidMm: set.helicoidMm,
    };
    return {
      name: 'inconvenient',
      body,
      mode,
      lens,
      parts,
      settings: fitSettings(wanted, { body, lens, mode, parts }),
      judgement,
      mounts: MOUNTS_BY_ID,
    };
  });

/** The same with a rectangular opening in one of its parts behind the lens, wide enough to matter and narrow enough to cut. */
export const openedRigs: fc.Arbitrary<Rig> = fc
  .record({
    rig: inconvenientRigs,
    at: between(0, 0.999),
    opening: fc.record({
      widthMm: between(16, 44),
      heightMm: between(11, 32),
      beforeFlangeMm: between(-6, 12),
    }),
  })
  .map(({ rig, at, opening }) => {
    const behind = rig.parts.filter((part) => part.kind !== 'front converter');
    const masked = behind[Math.floor(at * behind.length)];
    const parts = rig.parts.map((part) => (part === masked ? { ...part, opening } : part));
    return { ...rig, parts };
  });
