'use client';
import { useId } from 'react';
import { blackoutRadiusMm } from '@/core/halo/rims';
import { setUp, verdictOf } from '@/core/rig/report/setUp';
import type { Rig } from '@/core/rig/rig';
import { VERDICT_INK } from './VerdictMark';
import { verdictPaths } from '@/core/frame/verdictPaths';
import { lightStops } from '../stage/haloPaint';
import { useTheme } from '../theme/useTheme';

const WIDTH_PX = 54;
const HEIGHT_PX = 40;
const STOPS = 14;

/** The frame of a rig with its halo, as the stage draws it, and its verdict by the shape of its border. */
export function MiniFrame({ rig }: { rig: Rig }) {
  const id = useId();
  const [theme] = useTheme();
  const { halo, delivered } = setUp(rig);
  const { kind } = verdictOf(rig);
  const scale = Math.min((WIDTH_PX - 4) / delivered.widthMm, (HEIGHT_PX - 4) / delivered.heightMm);
  const [w, h] = [delivered.widthMm * scale, delivered.heightMm * scale];
  const box = { x: (WIDTH_PX - w) / 2, y: (HEIGHT_PX - h) / 2, w, h };
  const reachMm = Math.min(
    blackoutRadiusMm(halo.rims),
    Math.hypot(delivered.widthMm, delivered.heightMm) / 2 +
      Math.hypot(halo.centre.xMm, halo.centre.yMm),
  );
  return (
    <svg width={WIDTH_PX} height={HEIGHT_PX} aria-hidden="true" style={{ flex: 'none' }}>
      <radialGradient
        id={id}
        gradientUnits="userSpaceOnUse"
        cx={WIDTH_PX / 2 + halo.centre.xMm * scale}
        cy={HEIGHT_PX / 2 + halo.centre.yMm * scale}
        r={Math.max(0.1, reachMm * scale)}
      >
        {lightStops(halo, reachMm, theme, STOPS).map(({ share, colour }, i) => (
          <stop key={i} offset={share} stopColor={colour} />
        ))}
      </radialGradient>
      <rect x={box.x} y={box.y} width={w} height={h} fill={`url(#${id})`} />
      <g stroke={VERDICT_INK[kind]} strokeWidth="1.6" fill="none">
        {verdictPaths(kind, box).map(({ d, isDotted }) => (
          <path key={d} d={d} strokeDasharray={isDotted ? '1.6 1.8' : undefined} />
        ))}
      </g>
    </svg>
  );
}
