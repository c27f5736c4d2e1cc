'use client';
import { verdictPaths } from '@/core/frame';
import { blackoutRadiusMm, lightRings } from '@/core/halo';
import { situationOf, type Rig } from '@/core/rig';
import { verdictOf } from '@/core/rig/judged';
import { lightColour, lightStops } from '../stage/haloPaint';
import { pointsPath } from '../stage/outlinePath';
import { useTheme } from '../theme/useTheme';
import { VERDICT_INK } from './VerdictMark';

const WIDTH_PX = 54;
const HEIGHT_PX = 40;
const STOPS = 14;

/** The frame of a rig with its halo, as the stage draws it, and its verdict by the shape of its border. */
export function MiniFrame({ rig }: { rig: Rig }) {
  const [theme] = useTheme();
  const { halo, delivered } = situationOf(rig);
  const scale = Math.min((WIDTH_PX - 4) / delivered.widthMm, (HEIGHT_PX - 4) / delivered.heightMm);
  const [w, h] = [delivered.widthMm * scale, delivered.heightMm * scale];
  const box = { x: (WIDTH_PX - w) / 2, y: (HEIGHT_PX - h) / 2, w, h };
  const [cx, cy] = [w / 2 + halo.centre.xMm * scale, h / 2 + halo.centre.yMm * scale];
  const rings = lightRings(halo, STOPS);
  const reachMm = Math.min(
    blackoutRadiusMm(halo.rims),
    Math.hypot(delivered.widthMm, delivered.heightMm) / 2 +
      Math.hypot(halo.centre.xMm, halo.centre.yMm),
  );
  const colourOf = (light: number): string => lightColour(light, theme);
  const stops = lightStops(halo, reachMm, colourOf, STOPS)
    .map(({ share, colour }) => `${colour} ${100 * share}%`)
    .join(', ');
  const light = rings
    ? lightColour(0, theme)
    : `radial-gradient(circle ${Math.max(0.1, reachMm * scale)}px at ${cx}px ${cy}px, ${stops})`;
  return (
    <svg
      width={WIDTH_PX}
      height={HEIGHT_PX}
      aria-hidden="true"
      style={{
        flex: 'none',
        // In the style and not an element a stop: hundreds of these come and go while one waits.
        background: rings ? undefined : `${light} ${box.x}px ${box.y}px / ${w}px ${h}px no-repeat`,
      }}
    >
      {rings && (
        <svg {...{ x: box.x, y: box.y, width: w, height: h }}>
          <rect width={w} height={h} fill={light} />
          {rings.map(({ points, light: ofRing }) => (
            <path
              key={ofRing}
              d={pointsPath(points, { xPx: cx, yPx: cy, pxPerMm: scale })}
              fill={lightColour(ofRing, theme)}
            />
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
