/**
 * ASC Framing Decision List files: what a rig records and delivers as a canvas and a framing decision, and back.
 * Structure from memory of the published specification; docs/formats.md tells what is written.
 */
import { judge, outlineCoverage, recordedFrame } from '../../frame';
import { checkFramingFile } from '../../kit/checks';
import {
  fullName,
  type Mode,
  type FdlCanvas,
  type FramingDecision,
  type FramingDecisionList,
  isJson,
  type Json,
  type RigSettings,
} from '../../kit/records';
import type { Guide, GuideBox } from '../../guides';
import { acceptedIn, type Report } from '../../rig/report';
import { deliveredOf, recordedOf, seenFrom, situationOf, turned, type Rig } from '../../rig';
import { fail, named, ok, type Result, darknessWords, fixed } from '../../words';
import { checkSize, parseJson } from '../json';

const FDL_CREATOR = 'Wandering Halo';
const VERSION = { major: 1, minor: 0 } as const;
/** The specification's ids are short and plain. */
const MOST_ID = 32;

/** An id of letters, digits and _ made of any name. */
const plainId = (name: string, fallback: string): string => {
  const id = name
    .normalize('NFKD')
    .replace(/[^A-Za-z0-9]+/g, '_')
    .replace(/^_+|_+$/g, '')
    .slice(0, MOST_ID);
  return id || fallback;
};

const rounded = (value: number): number => Number(value.toFixed(4));
const sizeOf = ({ width, height }: Pick<GuideBox, 'width' | 'height'>) => ({
  width: rounded(width),
  height: rounded(height),
});
const anchorOf = ({ x, y }: Pick<GuideBox, 'x' | 'y'>) => ({ x: rounded(x), y: rounded(y) });

/** An aspect in whole numbers: 16:9 as it is, 2.39 as 239:100. */
function aspectRatio(aspect: number): { width: number; height: number } {
  for (let height = 1; height <= 100; height += 1) {
    const width = Math.round(aspect * height);
    if (Math.abs(width / height / aspect - 1) < 1e-4) return { width, height };
  }
  return { width: Math.round(aspect * 1000), height: 1000 };
}

/** The area of the recorded picture that is clean to its corners, px; null where none is or all of it is. */
function cleanArea(rig: Rig, report: Report, guide: Guide): GuideBox | null {
  const recorded = recordedOf(rig);
  const { free } = outlineCoverage(
    recorded,
    report.halo.model.centre,
    acceptedIn(report),
    report.frame.travel,
  ).cleanFrame;
  const share = free.widthMm / recorded.widthMm;
  if (share <= 0) return null;
  const [width, height] = [guide.widthPx * share, guide.heightPx * share];
  // Off the middle of the picture where the halo lies off it.
  const x = guide.centre.x + (free.xMm * guide.widthPx) / recorded.widthMm;
  const y = guide.centre.y + (free.yMm * guide.heightPx) / recorded.heightMm;
  return { x: x - width / 2, y: y - height / 2, width, height };
}

/** 32 hexadecimal digits as a UUID. */
export const uuidOf = (id: string): string =>
  id.replace(/^(.{8})(.{4})(.{4})(.{4})(.{12}).*$/, '$1-$2-$3-$4-$5');

/** The rig's own part of a list: its intent and its canvas with one decision. `guide` must not be desqueezed. */
function ownParts(rig: Rig, report: Report, guide: Guide) {
  const { delivered, composed, widthPx, heightPx } = guide;
  const { squeeze } = rig.lens;
  const aspect = ((composed ?? delivered).width / (composed ?? delivered).height) * squeeze;
  const recorded = recordedOf(rig);
  const canvasId = plainId(`${rig.body.name} ${rig.mode.name} ${rig.lens.name}`, 'canvas');
  const intentId = plainId(rig.name, 'framing');
  const clean = cleanArea(rig, report, guide);
  const crop = rig.mode.widthMm / recorded.widthMm;
  const intent = {
    id: intentId,
    label: rig.name,
    aspect_ratio: aspectRatio(aspect),
    protection: rounded(composed ? (1 - composed.width / delivered.width) * 100 : 0),
  };
  const canvas = {
    id: canvasId,
    label: `${fullName(rig.body)}, ${rig.mode.name}`,
    source_canvas_id: canvasId,
    dimensions: { width: widthPx, height: heightPx },
    ...(clean && {
      effective_dimensions: sizeOf(clean),
      effective_anchor_point: anchorOf(clean),
    }),
    photosite_dimensions: {
      width: Math.round(rig.mode.widthPx / crop),
      height: Math.round(rig.mode.heightPx / crop),
    },
    physical_dimensions: { width: rounded(recorded.widthMm), height: rounded(recorded.heightMm) },
    anamorphic_squeeze: squeeze,
    framing_decisions: [
      {
        id: `${canvasId}-${intentId}`,
        label: rig.name,
        framing_intent_id: intentId,
        dimensions: sizeOf(composed ?? delivered),
        anchor_point: anchorOf(composed ?? delivered),
        ...(composed && {
          protection_dimensions: sizeOf(delivered),
          protection_anchor_point: anchorOf(delivered),
        }),
      },
    ],
  };
  return { intent, canvas };
}

const withOwn = (list: unknown, own: Json): unknown[] => [
  ...(Array.isArray(list) ? (list as unknown[]) : []).filter(
    (item) => !isJson(item) || item.id !== own.id,
  ),
  own,
];

/**
 * A list that holds the rig's framing. Into `known`, a list read before, it is added beside what is there, and all
 * that is not understood stays; without one a new list begins.
 */
export function writeFraming(
  rig: Rig,
  report: Report,
  guide: Guide,
  { uuid, known }: { uuid: string; known?: Json | null },
): string {
  const { intent, canvas } = ownParts(rig, report, guide);
  const contexts: readonly unknown[] = Array.isArray(known?.contexts) ? known.contexts : [];
  const isOurs = (context: unknown) => isJson(context) && context.context_creator === FDL_CREATOR;
  const ours = contexts.find(isOurs);
  const context = {
    label: 'Rigs',
    context_creator: FDL_CREATOR,
    ...(isJson(ours) ? ours : {}),
    canvases: withOwn(isJson(ours) ? ours.canvases : [], canvas),
  };
  const list = {
    uuid,
    version: VERSION,
    fdl_creator: FDL_CREATOR,
    default_framing_intent: intent.id,
    ...known,
    framing_intents: withOwn(known?.framing_intents, intent),
    contexts: ours ? contexts.map((c) => (c === ours ? context : c)) : [...contexts, context],
    canvas_templates: known?.canvas_templates ?? [],
  };
  return `${JSON.stringify(list, null, 2)}\n`;
}

/** One framing decision of a list, with the canvas it stands on. */
export interface FoundFraming {
  canvas: FdlCanvas;
  decision: FramingDecision;
  /** "Sluice tower, wide on Tolvane L45, Open gate". */
  label: string;
  /** Aspect of the decision after desqueeze. */
  aspect: number;
}

interface ReadFraming {
  list: FramingDecisionList;
  /** The file as it was, for writing it out again with nothing lost. */
  known: Json;
  framings: FoundFraming[];
}

/** What is smaller than a pixel either way frames nothing. */
const isFrame = ({ width, height }: Pick<GuideBox, 'width' | 'height'>): boolean =>
  width >= 1 && height >= 1;

/** Reads a list; refuses what is none, with the place. */
export function readFraming(textOfFile: string, name: string): Result<ReadFraming> {
  const size = checkSize(textOfFile.length, name);
  if (!size.ok) return size;
  const parsed = parseJson(textOfFile, name);
  if (!parsed.ok) return parsed;
  const data = parsed.value;
  if (!isJson(data) || !Array.isArray(data.contexts))
    return fail(
      'notFdl',
      '/contexts',
      `${name} is no framing decision list: it has no list of contexts.`,
    );
  const checked = named(checkFramingFile(data), name);
  if (!checked.ok) return checked;
  const framings = checked.value.contexts.flatMap(({ canvases }) =>
    canvases.flatMap((canvas) =>
      canvas.framing_decisions
        .filter(({ dimensions }) => isFrame(dimensions))
        .map((decision) => ({
          canvas,
          decision,
          label: `${decision.label || decision.id} on ${canvas.label || canvas.id}`,
          aspect:
            (decision.dimensions.width / decision.dimensions.height) * canvas.anamorphic_squeeze,
        })),
    ),
  );
  return framings.length > 0
    ? ok({ list: checked.value, known: data, framings })
    : fail('noFraming', '/contexts', `${name} holds no framing decision with a size.`);
}

interface TakenFraming {
  modeId: string;
  change: Pick<RigSettings, 'aspect' | 'postScale' | 'digitalZoom' | 'cropId'>;
  /** What does not agree between the list and the rig, a sentence each. */
  notes: string[];
}

const NEAR_SHARE = 0.01;
const isNear = (a: number, b: number): boolean => Math.abs(a / b - 1) <= NEAR_SHARE;

/** The mode of a body that records a canvas: by its area where that is told, else by its pixels. */
function modeFor(rig: Rig, { physical_dimensions: area, dimensions }: FdlCanvas): Mode | undefined {
  const fits = (mode: Mode): boolean => {
    const recorded = recordedFrame(mode, 1);
    return area && area.width > 0
      ? isNear(recorded.widthMm, area.width) && isNear(recorded.heightMm, area.height)
      : recorded.widthPx === dimensions.width && recorded.heightPx === dimensions.height;
  };
  return fits(rig.mode) ? rig.mode : rig.body.modes.find(fits);
}

/** What must be clean of a framing, px of its canvas: its protection where it has one. */
function wantedOf(decision: FramingDecision): GuideBox {
  const { dimensions, anchor_point: anchor, protection_dimensions: size } = decision;
  if (!size || !isFrame(size)) return { ...dimensions, ...anchor };
  // Where its own place is not told it lies evenly about what it protects.
  const evenly = {
    x: anchor.x + (dimensions.width - size.width) / 2,
    y: anchor.y + (dimensions.height - size.height) / 2,
  };
  return { ...size, ...(decision.protection_anchor_point ?? evenly) };
}

/** What a frame off the middle of its canvas has in its corners, where this program frames about the middle. */
function asideWords(rig: Rig, aside: { x: number; y: number }): string {
  const { halo, delivered, travel, limitStops } = situationOf(rig);
  const recorded = recordedOf(rig);
  const at = { xMm: aside.x * recorded.widthMm, yMm: aside.y * recorded.heightMm };
  const { kind, worstCornerStops } = judge(seenFrom(halo, at), delivered, travel, limitStops);
  const place = [at.xMm, at.yMm].map((v) => fixed(v, 1)).join(' and ');
  return `The list frames ${place} mm off the middle of its canvas, across and down; here frames are about the middle. As the list has it this rig is ${kind}, its darkest corner ${darknessWords(worstCornerStops)}.`;
}

/**
 * How a rig is set to deliver a framing: its protection where it has one, as that is what must be clean. Refused
 * where the framing is larger than the canvas.
 */
export function takeFraming(rig: Rig, { canvas, decision }: FoundFraming): Result<TakenFraming> {
  const wanted = wantedOf(decision);
  const { dimensions, anamorphic_squeeze: squeeze } = canvas;
  if (wanted.width > dimensions.width * 1.0005 || wanted.height > dimensions.height * 1.0005)
    return fail(
      'beyondCanvas',
      '',
      `${decision.label || decision.id} is ${fixed(wanted.width, 0)} × ${fixed(wanted.height, 0)} on a canvas of ${dimensions.width} × ${dimensions.height} pixels: it does not lie within it.`,
    );
  const notes: string[] = [];
  const mode = modeFor(rig, canvas);
  if (!mode)
    notes.push(
      `No mode of ${fullName(rig.body)} records this canvas; the framing is fitted into ${rig.mode.name}.`,
    );
  if (!isNear(squeeze, rig.lens.squeeze))
    notes.push(`The list is for a squeeze of ${squeeze}, this lens has ${rig.lens.squeeze}.`);
  const aspect = (wanted.width / wanted.height) * rig.lens.squeeze;
  const set = turned(
    { ...rig, mode: mode ?? rig.mode },
    { aspect, postScale: 1, digitalZoom: 1, cropId: null },
  );
  const whole = deliveredOf(set);
  const share = wanted.width / dimensions.width;
  const postScale = Math.max(1, whole.widthMm / (set.mode.widthMm * share));
  const change = {
    aspect: rounded(aspect),
    postScale: isNear(postScale, 1) && postScale < 1.0005 ? 1 : rounded(postScale),
    digitalZoom: 1,
    cropId: null,
  };
  // From the middle of the canvas, as shares of it.
  const aside = {
    x: (wanted.x + wanted.width / 2) / dimensions.width - 0.5,
    y: (wanted.y + wanted.height / 2) / dimensions.height - 0.5,
  };
  if (Math.max(Math.abs(aside.x), Math.abs(aside.y)) > NEAR_SHARE / 2)
    notes.push(asideWords(turned(set, change), aside));
  return ok({ modeId: set.mode.id, change, notes });
}
