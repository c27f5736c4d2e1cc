'use client';
import type { Mount } from '@/core/kit/records/mount';

/** Everything in mm: all mounts are drawn to one scale, the sensor at the right. */
const SENSOR_X = 77;
const HALF_SENSOR = 12;
/** A throat nobody told is drawn open, this wide. */
const UNKNOWN_THROAT = 44;
const FLANGE = 7;

/** A mount from the side, to scale: its flange, the throat, and how far behind it the sensor lies. */
export function MountPicture({ mount }: { mount: Mount }) {
  const { registerMm, throatMm, locking } = mount;
  const x = SENSOR_X - registerMm;
  const half = (throatMm ?? UNKNOWN_THROAT) / 2;
  const dash = throatMm === null ? '3 3' : undefined;
  const isScrew = locking === 'screw';
  return (
    <svg width="52" height="52" viewBox="-3 -41 84 82" aria-hidden="true" fill="none">
      <line x1="-3" x2="81" y1="0" y2="0" stroke="var(--line)" strokeDasharray="2 3" />
      {[-1, 1].map((side) => (
        <g key={side} stroke="var(--ink)" strokeWidth="2.5" strokeDasharray={dash}>
          <line x1={x} x2={x} y1={side * half} y2={side * (half + FLANGE)} />
          {/* A screw shows its turns, a bayonet one lug. */}
          {isScrew ? (
            <path
              d={[0, 3, 6].map((at) => `M${x - at} ${side * half} l-1.5 ${side * 3}`).join(' ')}
            />
          ) : (
            <line x1={x} x2={x - 6} y1={side * half} y2={side * half} />
          )}
        </g>
      ))}
      <line
        x1={SENSOR_X}
        x2={SENSOR_X}
        y1={-HALF_SENSOR}
        y2={HALF_SENSOR}
        stroke="var(--amber)"
        strokeWidth="3"
      />
    </svg>
  );
}
