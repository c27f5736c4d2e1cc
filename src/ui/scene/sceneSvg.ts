/** The picture of the scene as SVG text: the same outlines and light as on the screen. */
import { falloffOf, pictureOf, type Shape, type Scene, type Shot } from '@/core/framing';
import { lightRings, type LightRing } from '@/core/halo';
import { escapedMarkup } from '@/core/words';
import { pointsPath, type OnDrawing } from '../stage/outlinePath';
import type { Theme } from '../theme/themeScript';
import { deviationOf, SCENE_INKS, SHADE_STEPS, shadeOf, shadeStops } from './sceneInks';

const n = (value: number): string => String(Number(value.toFixed(4)));

function shapeSvg({ ink, points, blurMm }: Shape, theme: Theme): string {
  const list = points.map((p) => `${n(p.xMm)},${n(p.yMm)}`).join(' ');
  const inks = SCENE_INKS[theme];
  const soft = ink === 'beam' && blurMm > 0 ? ` filter="url(#b${n(blurMm)})"` : '';
  const rim = ink === 'lamp' ? ` stroke="${inks.lampRim}" stroke-width="0.05"` : '';
  return `<polygon points="${list}" fill="${inks[ink]}"${rim}${soft}/>`;
}

const UNIT: OnDrawing = { xPx: 0, yPx: 0, pxPerMm: 1 };

/** Black between each line of equal light and the next one inside, and beyond the last. */
function ringShade(rings: readonly LightRing[], reachMm: number): string {
  const far = n(4 * reachMm);
  const beyond = `M-${far} -${far}H${far}V${far}H-${far}Z`;
  const paths = rings.map(({ points }) => pointsPath(points, UNIT));
  return [beyond, ...paths]
    .map((outer, i) => {
      const opacity = shadeOf(rings[i - 1]?.light ?? 0);
      return `<path d="${outer}${paths[i] ?? ''}" fill-rule="evenodd" fill-opacity="${n(opacity)}"/>`;
    })
    .join('');
}

/** One picture as a nested drawing: its own size in mm, so that it prints to scale. */
function pictureSvg(
  shot: Shot,
  scene: Scene,
  theme: Theme,
  { title, id, x = 0, y = 0 }: { title: string; id: string; x?: number; y?: number },
): string {
  const { widthMm, heightMm } = shot.picture;
  const shapes = pictureOf(shot, scene);
  const { xMm, yMm, squeeze, halo, reachMm } = falloffOf(shot);
  const blurs = [...new Set(shapes.filter((s) => s.ink === 'beam').map((s) => s.blurMm))];
  const filters = blurs
    .map(
      (blur) =>
        `<filter id="b${n(blur)}" x="-50%" y="-50%" width="200%" height="200%"><feGaussianBlur stdDeviation="${n(deviationOf(blur))}"/></filter>`,
    )
    .join('');
  const placed = `translate(${n(xMm)} ${n(yMm)}) scale(${n(squeeze)} 1)`;
  const whole = `x="${n(-widthMm / 2)}" y="${n(-heightMm / 2)}" width="${n(widthMm)}" height="${n(heightMm)}"`;
  const stops = shadeStops(halo, reachMm)
    .map(({ share, alpha }) => `<stop offset="${n(share)}" stop-opacity="${n(alpha)}"/>`)
    .join('');
  const round = {
    defs: `<radialGradient id="s${id}" gradientUnits="userSpaceOnUse" cx="0" cy="0" r="${n(reachMm)}" gradientTransform="${placed}">${stops}</radialGradient>`,
    shade: `<rect ${whole} fill="url(#s${id})"/>`,
  };
  const rings = lightRings(halo, SHADE_STEPS.rings);
  const { defs, shade } = rings
    ? { defs: '', shade: `<g transform="${placed}">${ringShade(rings, reachMm)}</g>` }
    : round;
  return [
    `<svg x="${n(x)}" y="${n(y)}" width="${n(widthMm)}" height="${n(heightMm)}" viewBox="${n(-widthMm / 2)} ${n(-heightMm / 2)} ${n(widthMm)} ${n(heightMm)}">`,
    `<title>${escapedMarkup(title)}</title>`,
    `<defs>${filters}${defs}</defs>`,
    ...shapes.map((shape) => shapeSvg(shape, theme)),
    shade,
    '</svg>',
  ].join('');
}

/** All pictures beside each other as one file. */
export function picturesSvg(
  shots: readonly { shot: Shot; title: string }[],
  scene: Scene,
  theme: Theme,
): string {
  const GAP_MM = 2;
  let x = 0;
  const drawn = shots.map(({ shot, title }, i) => {
    const svg = pictureSvg(shot, scene, theme, { title, id: String(i), x });
    x += shot.picture.widthMm + GAP_MM;
    return svg;
  });
  const height = Math.max(...shots.map(({ shot }) => shot.picture.heightMm));
  const width = x - GAP_MM;
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${n(width)}mm" height="${n(height)}mm" viewBox="0 0 ${n(width)} ${n(height)}">${drawn.join('')}</svg>\n`;
}
