/**
 * The ASC Framing Decision List as JSON, as far as this program reads it; the structure is from memory of the
 * published specification. Fields that are not named here are kept as they are.
 */
import { integer, label, listOf, number, record, text, unknownOr, type Static } from './schema';

const ID_PATTERN = '^[A-Za-z0-9_-]{1,80}$';
const fdlId = text(80, { pattern: ID_PATTERN });

const wholeSize = record('size, pixels', {
  width: integer(1, 200_000),
  height: integer(1, 200_000),
});
const size = record('size', { width: number(0, 200_000), height: number(0, 200_000) });
const point = record('point', { x: number(-200_000, 200_000), y: number(-200_000, 200_000) });

const framingIntentSchema = record('framing intent', {
  id: fdlId,
  label: text(400, { default: '' }),
  aspect_ratio: record('aspect', { width: number(0.01, 100_000), height: number(0.01, 100_000) }),
  protection: number(0, 1000, { default: 0 }),
});

const framingDecisionSchema = record('framing decision', {
  id: fdlId,
  label: text(400, { default: '' }),
  framing_intent_id: text(80, { default: '' }),
  dimensions: size,
  anchor_point: point,
  protection_dimensions: unknownOr(size),
  protection_anchor_point: unknownOr(point),
});
export type FramingDecision = Static<typeof framingDecisionSchema>;

const canvasSchema = record('canvas', {
  id: fdlId,
  label: text(400, { default: '' }),
  source_canvas_id: text(80, { default: '' }),
  dimensions: wholeSize,
  effective_dimensions: unknownOr(size),
  effective_anchor_point: unknownOr(point),
  photosite_dimensions: unknownOr(size),
  physical_dimensions: unknownOr(size),
  anamorphic_squeeze: number(0.1, 10, { default: 1 }),
  framing_decisions: listOf(framingDecisionSchema, 500, { default: [] }),
});
export type FdlCanvas = Static<typeof canvasSchema>;

export const framingFileSchema = record('framing decision list', {
  uuid: label(80),
  version: record('version', { major: integer(1, 2), minor: integer(0, 1000) }),
  fdl_creator: text(400, { default: '' }),
  default_framing_intent: unknownOr(text(80)),
  framing_intents: listOf(framingIntentSchema, 500, { default: [] }),
  contexts: listOf(
    record('context', {
      label: text(400, { default: '' }),
      context_creator: text(400, { default: '' }),
      canvases: listOf(canvasSchema, 500, { default: [] }),
    }),
    500,
  ),
});
export type FramingDecisionList = Static<typeof framingFileSchema>;
