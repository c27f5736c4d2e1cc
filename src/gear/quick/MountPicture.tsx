'use client';
import type { Mount } from '@/core/kit/records';

/** Everything in mm: all mounts are drawn to one scale, the sensor at the right. */
const SENSOR_X = 77;
const HALF_SENSOR = 12;
/** A throat nobody told is drawn open, this wide. */
const UNKNOWN_THROAT = 44;
const FLANGE = 9;

/** A mount from the side, to scale: its flange, the throat, and how far behind it the sensor lies. */
export function MountPicture({ mount }: { mount: Mount }) {
  const { registerMm, throatMm, locking } = mount;
  const x = SENSOR_X - registerMm;
  const half = (throatMm ?? UNKNOWN_THROAT) / 2;
  const dash = throatMm === null ? '3 3' : undefined;
  const isScrew = locking === 'screw';
  return (
    <svg width="66" height="62" viewBox="-6 -44 90 88" aria-hidden="true" fill="none">
      <line x1={x} x2={SENSOR_X} y1="0" y2="0" stroke="var(--muted)" strokeWidth="1.5" />
      {[-1, 1].map((side) => (
        <g key={side} stroke="var(--ink)" strokeWidth="5" strokeDasharray={dash}>
          <line x1={x} x2={x} y1={side * half} y2={side * (half + FLANGE)} />
          {/* A screw shows its turns, a bayonet one lug. */}
          {isScrew ? (
            <path
              strokeWidth="2"
              d={[0, 3.5, 7].map((at) => `M${x - at} ${side * half} l-2 ${side * 5}`).join(' ')}
            />
          ) : (
            <line x1={x} x2={x - 8} y1={side * (half + 2.5)} y2={side * (half + 2.5)} />
          )}
        </g>
      ))}
      <line
        x1={SENSOR_X}
        x2={SENSOR_X}
        y1={-HALF_SENSOR}
        y2={HALF_SENSOR}
        stroke="var(--amber)"
        strokeWidth="6"
      />
    </svg>
  );
}
