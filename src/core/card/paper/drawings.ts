/** The drawings on a card: verdict, train, stage and zoom window, in paper's own items. */
import { verdictPaths, type VerdictFace } from '../../frame';
import {
  blackoutRadiusMm,
  circleRadius,
  edgeOutline,
  lightAt,
  lightRings,
  outlinePoints,
  shownOf,
  towardEdge,
} from '../../halo';
import type { Offset } from '../../optics';
import type { CardWindow, RigCard } from '../../card';
import { circlePath, INKS, linePath, polyPath, rectPath, type Item, type PathItem } from './paper';

export interface Place {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** The verdict by its shape. */
export const verdictItems = (face: VerdictFace, { x, y, width, height }: Place): PathItem[] =>
  verdictPaths(face, { x, y, w: width, h: height }).map(({ d, isDotted }) => ({
    kind: 'path',
    d,
    stroke: INKS.ink,
    widthMm: height * 0.07,
    ...(isDotted && { dashMm: [height * 0.07, height * 0.09] }),
  }));

/** Rings the halo is printed in; more nobody tells apart on paper. */
const RINGS = 28;
const greyOf = (light: number): string => {
  const level = Math.round(255 * shownOf(light));
  return `#${level.toString(16).padStart(2, '0').repeat(3)}`;
};

/** The halo printed over the read-out, and the delivered frame: the core's own light. */
export function stageItems(card: RigCard, { x, y, width, height }: Place): Item[] {
  const { halo, readOut, delivered } = card;
  const scale = Math.min(width / readOut.widthMm, height / readOut.heightMm);
  const [w, h] = [readOut.widthMm * scale, readOut.heightMm * scale];
  const [left, top] = [x + (width - w) / 2, y + (height - h) / 2];
  const cx = left + w / 2 + halo.centre.xMm * scale;
  const cy = top + h / 2 + halo.centre.yMm * scale;
  const corner =
    Math.hypot(readOut.widthMm, readOut.heightMm) / 2 +
    Math.hypot(halo.centre.xMm, halo.centre.yMm);
  const reach = Math.min(blackoutRadiusMm(halo.rims), corner);
  const closed = (points: readonly Offset[]): string =>
    polyPath(
      points.map((p): [number, number] => [cx + p.xMm * scale, cy + p.yMm * scale]),
      true,
    );
  // The largest first, so that each lies upon the one before.
  const shares = towardEdge(RINGS).slice(1).toReversed();
  const circles = () =>
    shares.map((share): PathItem => ({
      kind: 'path',
      d: circlePath(cx, cy, share * reach * scale),
      fill: greyOf(lightAt(halo, share * reach * 0.995).light),
    }));
  const rings =
    lightRings(halo, RINGS)?.map(({ points, light }): PathItem => ({
      kind: 'path',
      d: closed(points),
      fill: greyOf(light),
    })) ?? circles();
  const edge = edgeOutline(halo);
  const edgePoints = outlinePoints(edge);
  const [fw, fh] = [delivered.widthMm * scale, delivered.heightMm * scale];
  const hair = Math.max(0.15, height * 0.008);
  return [
    {
      kind: 'clip',
      x: left,
      y: top,
      width: w,
      height: h,
      items: [
        { kind: 'path', d: rectPath(left, top, w, h), fill: '#000000' },
        ...rings,
        {
          kind: 'path',
          d: edgePoints
            ? closed(edgePoints)
            : circlePath(cx, cy, (circleRadius(edge) ?? 0) * scale),
          stroke: INKS.line,
          widthMm: hair,
        },
      ],
    },
    { kind: 'path', d: rectPath(left, top, w, h), stroke: INKS.muted, widthMm: hair },
    {
      kind: 'path',
      d: rectPath(left + (w - fw) / 2, top + (h - fh) / 2, fw, fh),
      stroke: '#ffffff',
      widthMm: hair * 4,
    },
    {
      kind: 'path',
      d: rectPath(left + (w - fw) / 2, top + (h - fh) / 2, fw, fh),
      stroke: INKS.ink,
      widthMm: hair * 2,
    },
  ];
}

const HALF_HEIGHT = { lens: 0.47, adapter: 0.4, glass: 0.4, body: 0.5 } as const;

/** The train to scale along its axis, scene left, sensor right; pieces are told by their numbers in the list. */
export function trainItems({ layout }: RigCard, { x, y, width, height }: Place): Item[] {
  const scale = width / layout.frontMm;
  const at = (mm: number): number => x + (layout.frontMm - mm) * scale;
  const middle = y + height / 2;
  const hair = Math.max(0.15, height * 0.012);
  const beam = (sign: number) =>
    layout.beam.map(({ atMm, halfMm }): [number, number] => [
      at(atMm),
      middle + sign * Math.min(height * 0.44, halfMm * scale),
    ]);
  const half = Math.min(height / 2, layout.sensorHalfWidthMm * scale);
  return [
    { kind: 'path', d: polyPath([...beam(-1), ...beam(1).reverse()], true), fill: INKS.fill },
    ...layout.pieces.map(({ kind, fromMm, toMm }): PathItem => {
      const tall = height * HALF_HEIGHT[kind];
      const left = Math.min(at(fromMm), at(toMm));
      return {
        kind: 'path',
        d: rectPath(left, middle - tall, Math.abs(at(toMm) - at(fromMm)), 2 * tall),
        stroke: INKS.ink,
        widthMm: kind === 'glass' ? hair * 2.4 : hair,
      };
    }),
    {
      kind: 'path',
      d: linePath(x, middle, x + width, middle),
      stroke: INKS.line,
      widthMm: hair,
      dashMm: [2 * hair, 2 * hair],
    },
    {
      kind: 'path',
      d: linePath(at(0), middle - half, at(0), middle + half),
      stroke: INKS.ink,
      widthMm: hair * 4,
    },
  ];
}

/** Where the boxes of the drawn train have their middles, scene to sensor. */
export const pieceMiddles = ({ layout }: RigCard, { x, width }: Place): number[] =>
  layout.pieces.map(
    ({ fromMm, toMm }) => x + (layout.frontMm - (fromMm + toMm) / 2) * (width / layout.frontMm),
  );

/** Points along a shallow arc over `width`, by their share of it. */
const onArc =
  ({ x, y, width, height }: Place) =>
  (share: number, out = 0): [number, number] => {
    // A circle through both ends of the foot and the top of the place.
    const sagitta = height * 0.3;
    const radius = (width * width) / (8 * sagitta) + sagitta / 2;
    const angle = (share - 0.5) * 2 * Math.asin(width / 2 / radius);
    const r = radius + out;
    return [x + width / 2 + r * Math.sin(angle), y + height * 0.34 + radius - r * Math.cos(angle)];
  };

/** How far along a zoom a focal length stands, 0..1 in log f, as barrels have it. */
const shareAlong =
  ({ from, to }: CardWindow['span']) =>
  (mm: number): number =>
    Math.log(mm / from) / Math.log(to / from);

const STEPS = 40;

/** The zoom as an engraved arc: a heavy band where it is Clear, a pointer where it stands. */
export function windowItems({ span, windows, focalMm }: CardWindow, place: Place): Item[] {
  const arc = onArc(place);
  const shareOf = shareAlong(span);
  const line = (from: number, to: number) =>
    polyPath(Array.from({ length: STEPS + 1 }, (_, i) => arc(from + ((to - from) * i) / STEPS)));
  const thick = place.height * 0.14;
  const pointer = shareOf(focalMm);
  const [px, py] = arc(pointer, thick * 1.1);
  return [
    { kind: 'path', d: line(0, 1), stroke: INKS.line, widthMm: thick * 0.18 },
    ...windows.map((w): PathItem => ({
      kind: 'path',
      d: line(shareOf(w.from), shareOf(w.to)),
      stroke: INKS.ink,
      widthMm: thick,
    })),
    {
      kind: 'path',
      d: polyPath(
        [
          [px, py],
          [px - thick * 0.9, py - thick * 1.7],
          [px + thick * 0.9, py - thick * 1.7],
        ],
        true,
      ),
      fill: INKS.ink,
    },
  ];
}

/** Where the figures of an arc's marks stand. */
export function windowMarks(
  { span, windows }: CardWindow,
  place: Place,
): { focalMm: number; x: number; y: number }[] {
  const arc = onArc(place);
  const shareOf = shareAlong(span);
  const wanted = [span.from, span.to, ...windows.flatMap((w) => [w.from, w.to])];
  const marks: { focalMm: number; x: number; y: number }[] = [];
  for (const focalMm of wanted) {
    const [x, y] = arc(shareOf(focalMm), -place.height * 0.2);
    // Two figures over one another are none.
    if (marks.every((m) => Math.abs(m.x - x) > place.width * 0.09)) marks.push({ focalMm, x, y });
  }
  return marks;
}
