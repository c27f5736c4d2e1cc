import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoRig } from '../../../../tests/support/demo';
import { plainRig } from '../../../../tests/support/plainRig';
import { sampleWith } from '../../../../tests/support/samples';
import { runs } from '../../../../tests/support/seed';
import { guideOf } from '../../guides';
import { isJson, modeOf, type Json } from '../../kit/records';
import { evaluate } from '../../rig/report';
import { turned, type Rig } from '../../rig';
import { readFraming, takeFraming, uuidOf, writeFraming } from './framingFile';

const circle = (edgeRadiusMm: number) =>
  sampleWith({
    focalMm: 50,
    fNumber: 2,
    front: { edgeRadiusMm, softnessMm: 0.2 },
    rear: null,
    centreXMm: 0,
    centreYMm: 0,
  });

const UUID = uuidOf('0123456789abcdef0123456789abcdef');

function written(rig: Rig, protection = 0, known: Json | null = null): string {
  const report = evaluate(rig);
  const guide = guideOf(rig, report, { protection, desqueezed: false });
  if (!guide.ok) throw new Error('the guide is drawn');
  return writeFraming(rig, report, guide.value, { uuid: UUID, known });
}

const read = (text: string) => {
  const found = readFraming(text, 'list.fdl');
  if (!found.ok) throw new Error(found.problems[0]?.sentence);
  return found.value;
};

describe('a framing decision list', () => {
  it('says what a plain rig records and delivers', () => {
    // 36x24 at 3000 recorded pixels, 16:9 fitted inside: 3000 x 1687.5, 156.25 from the top.
    const rig = turned(plainRig(), { aspect: 16 / 9 });
    const { list, framings } = read(written(rig));
    const [{ canvas, decision, aspect } = { canvas: null, decision: null, aspect: 0 }] = framings;
    expect(list.uuid).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/);
    expect(canvas?.dimensions).toEqual({ width: 3000, height: 2000 });
    expect(canvas?.physical_dimensions).toEqual({ width: 36, height: 24 });
    expect(canvas?.photosite_dimensions).toEqual({ width: 6000, height: 4000 });
    expect(decision?.dimensions).toEqual({ width: 3000, height: 1687.5 });
    expect(decision?.anchor_point).toEqual({ x: 0, y: 156.25 });
    expect(decision?.protection_dimensions).toBeNull();
    expect(list.framing_intents[0]?.aspect_ratio).toEqual({ width: 16, height: 9 });
    expect(aspect).toBeCloseTo(16 / 9, 6);
  });

  it('keeps protection around what is composed for, both about the middle', () => {
    const { framings, list } = read(written(turned(plainRig(), { aspect: 2 }), 0.1));
    const decision = framings[0]?.decision;
    expect(decision?.protection_dimensions).toEqual({ width: 3000, height: 1500 });
    expect(decision?.dimensions).toEqual({ width: 2700, height: 1350 });
    expect(decision?.anchor_point).toEqual({ x: 150, y: 325 });
    expect(decision?.protection_anchor_point).toEqual({ x: 0, y: 250 });
    expect(list.framing_intents[0]?.protection).toBeCloseTo(10, 6);
  });

  it('anchors the clean area where the halo lies, of a mode that reads off the sensor’s middle', () => {
    // A halo of 19 mm whose centre lies 2 mm left of the read-out's middle and 1 mm above it.
    const dark = plainRig({ lens: { halo: [circle(19)] } });
    const mode = modeOf({ ...dark.mode, middleXMm: 2, middleYMm: 1 });
    const rig = { ...dark, mode };
    const { canvas } = read(written(rig)).framings[0]!;
    const { effective_dimensions: clean, effective_anchor_point: at } = canvas;
    const perMm = 3000 / 36;
    const [left, top] = [at!.x / perMm - 18, at!.y / perMm - 12];
    const [right, foot] = [left + clean!.width / perMm, top + clean!.height / perMm];
    const { acceptedRadiusMm } = evaluate(rig).coverage;
    for (const [x, y] of [
      [left, top],
      [right, top],
      [left, foot],
      [right, foot],
    ] as const)
      expect(Math.hypot(x + 2, y + 1)).toBeLessThan(acceptedRadiusMm + 0.01);
    expect((left + right) / 2).toBeLessThan(-1);
    expect(left).toBeGreaterThanOrEqual(-18);
    expect(top).toBeGreaterThanOrEqual(-12);
  });

  it('is taken in the mode that records its canvas: by its area where that is told, else by its pixels', () => {
    const rig = plainRig();
    const at = (id: string, widthMm: number, heightMm: number, widthPx: number, heightPx: number) =>
      modeOf({ ...rig.mode, id, widthMm, heightMm, widthPx, heightPx, recordedWidthPx: null });
    const modes = [
      rig.mode,
      at('wide', 36, 20.25, 3840, 2160),
      at('small', 24, 13.5, 3840, 2160),
      at('tall', 24, 18, 3840, 2880),
      at('narrow', 20, 18, 3000, 2880),
    ];
    const body = { ...rig.body, modes };
    const list = (area: [number, number] | null, width: number, height: number) =>
      JSON.stringify({
        uuid: UUID,
        version: { major: 1, minor: 0 },
        framing_intents: [],
        contexts: [
          {
            label: 'x',
            canvases: [
              {
                id: 'c',
                label: 'c',
                dimensions: { width, height },
                ...(area && { physical_dimensions: { width: area[0], height: area[1] } }),
                anamorphic_squeeze: 1,
                framing_decisions: [
                  {
                    id: 'd',
                    label: 'd',
                    dimensions: { width, height },
                    anchor_point: { x: 0, y: 0 },
                  },
                ],
              },
            ],
          },
        ],
        canvas_templates: [],
      });
    const taken = (area: [number, number] | null, width: number, height: number) => {
      const found = takeFraming({ ...rig, body }, read(list(area, width, height)).framings[0]!);
      if (!found.ok) throw new Error(found.problems[0]?.sentence);
      return [found.value.modeId, found.value.notes.length];
    };
    expect(taken([24, 13.5], 3840, 2160)).toEqual(['small', 0]);
    expect(taken([36, 20.25], 3840, 2160)).toEqual(['wide', 0]);
    expect(taken([24, 18], 1000, 750)).toEqual(['tall', 0]);
    // Nothing told, or nothing wide: by both sides of the picture.
    expect(taken(null, 3840, 2880)).toEqual(['tall', 0]);
    expect(taken(null, 3000, 2880)).toEqual(['narrow', 0]);
    expect(taken([0, 0], 3840, 2160)).toEqual(['wide', 0]);
    // Nothing of the body records it: the mode in hand stays, and that is said.
    expect(taken([30, 30], 500, 500)).toEqual(['full', 1]);
    expect(taken(null, 3840, 777)).toEqual(['full', 1]);
  });

  it('off the middle of its canvas: says where it lies and what its corners are there', () => {
    // A hard circle of 19 mm on 36x24. 24x12 about the middle ends at 13.42 mm; set against the right edge its far
    // corners lie at hypot(18, 6) = 18.97, set into the corner at hypot(18, 12) = 21.63, past the circle.
    const dark = plainRig({ lens: { halo: [circle(19)] } });
    const [framing] = read(written(turned(dark, { aspect: 2, postScale: 1.5 }))).framings;
    if (!framing) throw new Error('there is one');
    const said = (x: number, y: number, isProtection = false) => {
      const { dimensions } = framing.decision;
      const decision = isProtection
        ? {
            ...framing.decision,
            dimensions: { width: dimensions.width / 2, height: dimensions.height / 2 },
            protection_dimensions: dimensions,
            anchor_point: { x: x + dimensions.width / 4, y: y + dimensions.height / 4 },
            protection_anchor_point: x < 0.1 ? null : { x, y },
          }
        : { ...framing.decision, anchor_point: { x, y } };
      const taken = takeFraming(dark, { ...framing, decision });
      if (!taken.ok) throw new Error(taken.problems[0]?.sentence);
      return taken.value.notes.join(' ');
    };
    expect(framing.decision.dimensions).toEqual({ width: 2000, height: 1000 });
    expect(said(500, 500)).toBe('');
    expect(said(1000, 1000)).toMatch(
      /^The list frames 6\.0 and 6\.0 mm off .* is Clipped, .*black/,
    );
    expect(said(1000, 500)).toMatch(/6\.0 and 0\.0 mm off .* is Clear/);
    // What must be clean is the protection, wherever the frame in it lies.
    expect(said(0, 0, true)).toMatch(/−6\.0 and −6\.0 mm off .* is Clipped/);
    expect(said(500, 500, true)).toBe('');
  });

  it('states squeeze, and the desqueezed aspect of an anamorphic', () => {
    const rig = demoRig('long-wall');
    const { framings } = read(written(rig));
    expect(framings[0]?.canvas.anamorphic_squeeze).toBe(rig.lens.squeeze);
    expect(framings[0]?.aspect).toBeCloseTo(rig.settings.aspect ?? NaN, 2);
  });

  it('calls the clean area effective, and the whole canvas where all of it is clean', () => {
    const clean = read(written(plainRig({ settings: { fNumber: 8 } }))).framings[0]?.canvas;
    expect(clean?.effective_dimensions).toEqual({ width: 3000, height: 2000 });
    const small = plainRig({
      lens: {
        halo: plainRig().lens.halo.map((s) => ({
          ...s,
          front: { edgeRadiusMm: 18, softnessMm: 1 },
        })),
      },
    });
    const canvas = read(written(small)).framings[0]?.canvas;
    const radius = evaluate(small).coverage.acceptedRadiusMm;
    const { width = 0, height = 0 } = canvas?.effective_dimensions ?? {};
    // Its corner lies on the circle of accepted corners: 3000 px stand for 36 mm.
    expect(Math.hypot(width / 2, height / 2) * (36 / 3000)).toBeCloseTo(radius, 3);
  });

  it('sets a rig the way it was written, whatever it delivered', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 3, noNaN: true }),
        fc.double({ min: 1, max: 2, noNaN: true }),
        (aspect, postScale) => {
          const rig = turned(plainRig(), { aspect, postScale });
          const [framing] = read(written(rig)).framings;
          const taken = framing ? takeFraming(plainRig(), framing) : null;
          expect(taken?.ok && taken.value.notes).toEqual([]);
          const { change } = (taken?.ok && taken.value) || { change: null };
          expect((change?.aspect ?? 0) / aspect).toBeCloseTo(1, 3);
          expect((change?.postScale ?? 0) / postScale).toBeCloseTo(1, 3);
        },
      ),
      { numRuns: runs(200) },
    );
  });

  it('keeps what it does not understand when it is added to', () => {
    const others = {
      ...(JSON.parse(written(plainRig())) as Json),
      studio_note: { colour: 'teal' },
      canvas_templates: [{ id: 'T1', fit_source: 'framing_decision.dimensions' }],
      contexts: [{ label: 'A', context_creator: 'someone else', canvases: [], odd: [1, 2] }],
    };
    const found = read(
      JSON.stringify({
        ...others,
        contexts: [
          ...others.contexts,
          ...(JSON.parse(written(plainRig())) as { contexts: Json[] }).contexts,
        ],
      }),
    );
    const again = JSON.parse(written(demoRig('sluice-tower'), 0, found.known)) as Json;
    expect(again.studio_note).toEqual({ colour: 'teal' });
    expect(again.canvas_templates).toEqual(others.canvas_templates);
    expect(again.uuid).toBe(UUID);
    const contexts = again.contexts as Json[];
    expect(contexts[0]).toEqual(others.contexts[0]);
    expect((contexts[1]?.canvases as unknown[]).length).toBe(2);
    expect(isJson(contexts[1])).toBe(true);
  });

  it('refuses wrong files with the place', () => {
    const said = (text: string) => {
      const result = readFraming(text, 'x.fdl');
      return result.ok ? '' : (result.problems[0]?.sentence ?? '');
    };
    expect(said('')).toContain('x.fdl is empty');
    expect(said('{"contexts": [')).toContain('not JSON');
    expect(said('[]')).toContain('no framing decision list');
    expect(said('{"format":"wandering-halo/workspace"}')).toContain('no list of contexts');
    const list = JSON.parse(written(plainRig())) as { contexts: { canvases: Json[] }[] };
    const canvas = list.contexts[0]?.canvases[0] as { dimensions: { width: unknown } };
    canvas.dimensions.width = 'wide';
    expect(said(JSON.stringify(list))).toContain('contexts, 0, canvases, 0, dimensions, width');
    canvas.dimensions.width = 1e308;
    expect(said(JSON.stringify(list))).toContain('from 1 to 200000');
    expect(said('{"uuid":"u","version":{"major":1,"minor":0},"contexts":[]}')).toContain(
      'no framing decision',
    );
    const thin = structuredClone(JSON.parse(written(plainRig()))) as typeof list;
    const [decision] = thin.contexts[0]!.canvases[0]!.framing_decisions as {
      dimensions: unknown;
    }[];
    decision!.dimensions = { width: 3000, height: 5e-324 };
    expect(said(JSON.stringify(thin))).toContain('no framing decision with a size');
    expect(said('{"__proto__":1,"contexts":[]}')).toContain('__proto__');
  });

  it('says where a framing is larger than its canvas, and where no mode records it', () => {
    const { framings } = read(written(plainRig()));
    const [framing] = framings;
    if (!framing) throw new Error('there is one');
    const beyond = takeFraming(plainRig(), {
      ...framing,
      decision: { ...framing.decision, dimensions: { width: 9000, height: 10 } },
    });
    expect(beyond.ok).toBe(false);
    const elsewhere = takeFraming(demoRig('lantern-room'), framing);
    expect(elsewhere.ok && elsewhere.value.notes.join(' ')).toContain('No mode of');
  });
});
