/** A frame guide as a drawing that stands alone, see-through wherever it says nothing. */
import { escapedMarkup } from '../words';
import type { Guide, GuideBox, GuideEllipse } from './guide';

/** Inks of the guide: each line has a dark casing, so that it is seen on light and on dark. */
const INKS = { frame: '#f4ead6', light: '#ffb648', dark: '#14110d' } as const;
/** Line widths are so many parts of the picture's width; fewer where it is shown small. */
const PARTS = 900;
export const PARTS_SMALL = 260;
/** Corners of the delivered frame are drawn heavier over this share of its height. */
const CORNER_SHARE = 0.07;

/** Opacities of the zones, and of the lines across them. */
export const ZONE_OPACITY = { shaded: 0.16, black: 0.62 } as const;

const n = (value: number): string => String(Number(value.toFixed(3)));

const ellipsePath = ({ cx, cy, rx, ry, points }: GuideEllipse): string =>
  points
    ? `M${points.map((p) => `${n(p.x)} ${n(p.y)}`).join('L')}Z`
    : `M${n(cx - rx)} ${n(cy)}A${n(rx)} ${n(ry)} 0 1 0 ${n(cx + rx)} ${n(cy)}A${n(rx)} ${n(ry)} 0 1 0 ${n(cx - rx)} ${n(cy)}Z`;

const boxPath = ({ x, y, width, height }: GuideBox): string =>
  `M${n(x)} ${n(y)}h${n(width)}v${n(height)}h${n(-width)}Z`;

/** The four corners of a box alone, as angles of `arm` px. */
function cornersPath({ x, y, width, height }: GuideBox, arm: number): string {
  const corner = (cx: number, cy: number, sx: number, sy: number) =>
    `M${n(cx + sx * arm)} ${n(cy)}H${n(cx)}V${n(cy + sy * arm)}`;
  return [
    corner(x, y, 1, 1),
    corner(x + width, y, -1, 1),
    corner(x + width, y + height, -1, -1),
    corner(x, y + height, 1, -1),
  ].join('');
}

/** One line twice: dark and wide beneath, its own ink above. */
const cased = (path: string, ink: string, width: number, more = ''): string =>
  `<path d="${path}" fill="none" stroke="${INKS.dark}" stroke-opacity=".75" stroke-width="${n(width * 2.4)}" ${more}/>` +
  `<path d="${path}" fill="none" stroke="${ink}" stroke-width="${n(width)}" ${more}/>`;

/** The guide as SVG, one unit a pixel of the picture. `title` and `description` may hold anything. */
export function guideSvg(guide: Guide, title: string, description: string, parts = PARTS): string {
  const { widthPx, heightPx, delivered, composed, edge, shadedFrom, blackFrom, centre } = guide;
  const u = Math.max(1, widthPx / parts);
  const picture = boxPath({ x: 0, y: 0, width: widthPx, height: heightPx });
  const ring = n(6 * u);
  const tick = (x: number, y: number) =>
    `M${n(centre.x + x * 6 * u)} ${n(centre.y + y * 6 * u)}L${n(centre.x + x * 13 * u)} ${n(centre.y + y * 13 * u)}`;
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${widthPx}" height="${heightPx}" viewBox="0 0 ${widthPx} ${heightPx}">`,
    `<title>${escapedMarkup(title)}</title><desc>${escapedMarkup(description)}</desc>`,
    `<defs><clipPath id="picture"><path d="${picture}"/></clipPath></defs>`,
    '<g clip-path="url(#picture)">',
    `<path d="${picture}${ellipsePath(shadedFrom)}" fill="${INKS.light}" fill-opacity="${ZONE_OPACITY.shaded}" fill-rule="evenodd"/>`,
    `<path d="${picture}${ellipsePath(blackFrom)}" fill="${INKS.dark}" fill-opacity="${ZONE_OPACITY.black}" fill-rule="evenodd"/>`,
    cased(
      ellipsePath(edge),
      INKS.light,
      1.6 * u,
      `stroke-linecap="round" stroke-dasharray="${n(0.1 * u)} ${n(6 * u)}"`,
    ),
    '</g>',
    composed
      ? cased(boxPath(composed), INKS.frame, u, `stroke-dasharray="${n(9 * u)} ${n(5 * u)}"`)
      : '',
    cased(boxPath(delivered), INKS.frame, u),
    cased(cornersPath(delivered, CORNER_SHARE * delivered.height), INKS.frame, 2.2 * u),
    cased(
      `M${n(centre.x - 6 * u)} ${n(centre.y)}a${ring} ${ring} 0 1 0 ${n(12 * u)} 0a${ring} ${ring} 0 1 0 ${n(-12 * u)} 0Z${tick(1, 0)}${tick(-1, 0)}${tick(0, 1)}${tick(0, -1)}`,
      INKS.frame,
      u,
    ),
    '</svg>',
  ]
    .filter(Boolean)
    .join('\n');
}
