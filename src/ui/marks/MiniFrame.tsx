'use client';
import { verdictPaths } from '@/core/frame';
import { lightRings } from '@/core/halo';
import { situationOf, type Rig, type Situation } from '@/core/rig';
import { verdictOf } from '@/core/rig/judged';
import { lightColour, roundLight } from '../stage/haloPaint';
import { pointsPath, type OnDrawing } from '../stage/outlinePath';
import { useTheme } from '../theme/useTheme';
import { VERDICT_INK } from './VerdictMark';

const WIDTH_PX = 54;
const HEIGHT_PX = 40;
const STOPS = 14;

/** A frame in the small drawing, px, and the halo's middle in it. */
interface SmallFrame {
  x: number;
  y: number;
  w: number;
  h: number;
  on: OnDrawing;
}

function smallFrame({ halo, delivered }: Situation): SmallFrame {
  const pxPerMm = Math.min(
    (WIDTH_PX - 4) / delivered.widthMm,
    (HEIGHT_PX - 4) / delivered.heightMm,
  );
  const [w, h] = [delivered.widthMm * pxPerMm, delivered.heightMm * pxPerMm];
  const on = {
    xPx: w / 2 + halo.centre.xMm * pxPerMm,
    yPx: h / 2 + halo.centre.yMm * pxPerMm,
    pxPerMm,
  };
  return { x: (WIDTH_PX - w) / 2, y: (HEIGHT_PX - h) / 2, w, h, on };
}

/** The light of a round halo, as a style: hundreds of these come and go while one waits, and an element a stop is slow. */
function lightStyle(
  { halo, delivered }: Situation,
  { x, y, w, h, on }: SmallFrame,
  colourOf: (light: number) => string,
): string {
  const farthestMm =
    Math.hypot(delivered.widthMm, delivered.heightMm) / 2 +
    Math.hypot(halo.centre.xMm, halo.centre.yMm);
  const { reachMm, stops: told } = roundLight(halo, farthestMm, colourOf, STOPS);
  const stops = told.map(({ share, colour }) => `${colour} ${100 * share}%`).join(', ');
  const radius = Math.max(0.1, reachMm * on.pxPerMm);
  return `radial-gradient(circle ${radius}px at ${on.xPx}px ${on.yPx}px, ${stops}) ${x}px ${y}px / ${w}px ${h}px no-repeat`;
}

/** The frame of a rig with its halo, as the stage draws it, and its verdict by the shape of its border. */
export function MiniFrame({ rig }: { rig: Rig }) {
  const [theme] = useTheme();
  const colourOf = (light: number): string => lightColour(light, theme);
  const situation = situationOf(rig);
  const box = smallFrame(situation);
  const rings = lightRings(situation.halo, STOPS);
  return (
    <svg
      width={WIDTH_PX}
      height={HEIGHT_PX}
      aria-hidden="true"
      style={{
        flex: 'none',
        background: rings ? undefined : lightStyle(situation, box, colourOf),
      }}
    >
      {rings && (
        <svg x={box.x} y={box.y} width={box.w} height={box.h}>
          <rect width={box.w} height={box.h} fill={colourOf(0)} />
          {rings.map(({ points, light }) => (
            <path key={light} d={pointsPath(points, box.on)} fill={colourOf(light)} />
          ))}
        </svg>
      )}
      <g strokeWidth="1.6" fill="none">
        {verdictPaths(verdictOf(rig), box).map(({ d, kind, isDotted }) => (
          <path
            key={d}
            d={d}
            stroke={VERDICT_INK[kind]}
            strokeDasharray={isDotted ? '1.6 1.8' : undefined}
          />
        ))}
      </g>
    </svg>
  );
}
