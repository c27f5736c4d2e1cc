/**
 * A frame guide: where on a recorded picture the delivered frame, its protection and the zones of the halo lie.
 * Pixels from the top left of the picture, x right, y down; circles on the sensor are ellipses where pixels are
 * not square.
 */
import { blackOutline, edgeOutline, type Outline, outlinePoints, outlineToward } from '../halo';
import { acceptedIn, type Report } from '../rig/report';
import { recordedOf, type Rig } from '../rig';
import { fail, ok, type Result } from '../words';

export interface GuideBox {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** A line about the halo's middle: an ellipse, or through points the way round where a rectangular opening makes it none. */
export interface GuideEllipse {
  cx: number;
  cy: number;
  rx: number;
  ry: number;
  /** Left out of an ellipse. */
  points?: { x: number; y: number }[];
}

interface GuideChoice {
  /** Share of the delivered frame kept around the frame that is composed for, 0..0.4. */
  protection: number;
  /** Whether the picture is stretched by the squeeze first, as a monitor shows it. */
  desqueezed: boolean;
}

export interface Guide {
  widthPx: number;
  heightPx: number;
  /** The frame the verdict is about. */
  delivered: GuideBox;
  /** The frame composed for within it; null without protection. */
  composed: GuideBox | null;
  /** Half light through the rims: the halo's edge as people draw it. */
  edge: GuideEllipse;
  /** From here on corners are darker or harder than the school accepts. */
  shadedFrom: GuideEllipse;
  /** From here on the rims leave less than 1 %. */
  blackFrom: GuideEllipse;
  centre: { x: number; y: number };
}

/** Larger pictures no browser draws. */
const MOST_GUIDE_PX = 16_384;
export const MOST_PROTECTION = 0.4;

/** The guide of a rig as it is set; refused where its picture is too large to be drawn. */
export function guideOf(rig: Rig, report: Report, choice: GuideChoice): Result<Guide> {
  const { delivered } = report.frame;
  const recorded = recordedOf(rig);
  const stretch = choice.desqueezed ? rig.lens.squeeze : 1;
  const [widthPx, heightPx] = [Math.round(recorded.widthPx * stretch), recorded.heightPx];
  if (Math.max(widthPx, heightPx) > MOST_GUIDE_PX)
    return fail(
      'tooLarge',
      '',
      `A picture of ${widthPx} × ${heightPx} pixels is larger than can be drawn; at most ${MOST_GUIDE_PX} on a side.`,
    );
  const across = widthPx / recorded.widthMm;
  const down = heightPx / recorded.heightMm;
  const centre = { x: widthPx / 2, y: heightPx / 2 };
  const box = (share: number): GuideBox => {
    const [width, height] = [delivered.widthMm * across * share, delivered.heightMm * down * share];
    return { x: centre.x - width / 2, y: centre.y - height / 2, width, height };
  };
  const { model } = report.halo;
  const [cx, cy] = [centre.x + model.centre.xMm * across, centre.y + model.centre.yMm * down];
  const line = (outline: Outline): GuideEllipse => {
    const points = outlinePoints(outline)?.map((p) => ({
      x: cx + p.xMm * across,
      y: cy + p.yMm * down,
    }));
    return {
      cx,
      cy,
      rx: outlineToward(outline, { xMm: 1, yMm: 0 }) * across,
      ry: outlineToward(outline, { xMm: 0, yMm: 1 }) * down,
      ...(points && { points }),
    };
  };
  const black = blackOutline(model);
  const accepted = acceptedIn(report);
  const shaded: Outline = {
    ...accepted,
    radiiMm: accepted.radiiMm.map((mm, i) => Math.min(mm, black.radiiMm[i] ?? mm)),
  };
  const protection = Math.min(MOST_PROTECTION, Math.max(0, choice.protection));
  return ok({
    widthPx,
    heightPx,
    delivered: box(1),
    composed: protection > 0 ? box(1 - protection) : null,
    edge: line(edgeOutline(model)),
    shadedFrom: line(shaded),
    blackFrom: line(black),
    centre,
  });
}

/** How far out a place is on an ellipse's own scale: below 1 inside it, above 1 outside. */
export const reachIn = ({ cx, cy, rx, ry }: GuideEllipse, x: number, y: number): number =>
  Math.hypot((x - cx) / rx, (y - cy) / ry);
