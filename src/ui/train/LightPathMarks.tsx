'use client';
import { DIMENSION_X, MIDDLE, type Placing } from './drawing';
import type { RearGlass, TrainLayout } from '@/core/rig/readings';

import { mm } from '@/core/words';

const REAR_HALF = 30;
const EDGE_HALF = 86;

/** From the lens's flange to the sensor, as a dimension line. */
function Dimension({ layout, y }: Placing & { layout: TrainLayout }) {
  const [top, bottom] = [y(layout.flangeMm), y(0)];
  const middle = (top + bottom) / 2;
  const figure = mm(layout.flangeMm, layout.flangeMm < 100 ? 2 : 1);
  const fits = bottom - top > 60;
  return (
    <g stroke="var(--muted)" strokeWidth="1">
      <path
        d={`M${DIMENSION_X - 4} ${top}H${DIMENSION_X + 16}M${DIMENSION_X - 4} ${bottom}H${DIMENSION_X + 16}M${DIMENSION_X} ${top}V${bottom}`}
        fill="none"
      />
      {fits && (
        <text
          className="fact"
          transform={`translate(${DIMENSION_X + 13} ${middle}) rotate(-90)`}
          textAnchor="middle"
        >
          {figure}
        </text>
      )}
    </g>
  );
}

const REAR_INK: Record<RearGlass['state'], string> = {
  clear: 'var(--ink)',
  close: 'var(--shaded)',
  strikes: 'var(--clipped)',
  'not known': 'var(--muted)',
};

/** What stands out behind the flange, how far there is room, and the stretch where both are in one place. */
function RearGlassMark({ glass, y }: Placing & { glass: RearGlass }) {
  const { fromMm, toMm, limitMm, state } = glass;
  const bites = state === 'strikes' && limitMm !== null;
  return (
    <g stroke={REAR_INK[state]} fill="none">
      <path
        d={`M${MIDDLE - REAR_HALF} ${y(fromMm)}V${y(toMm)}H${MIDDLE + REAR_HALF}V${y(fromMm)}`}
        strokeWidth={state === 'clear' ? 1 : 1.75}
        strokeDasharray={state === 'not known' ? '3 3' : undefined}
      />
      {limitMm !== null && state !== 'clear' && (
        <line
          x1={MIDDLE - REAR_HALF - 22}
          x2={MIDDLE + REAR_HALF + 22}
          y1={y(limitMm)}
          y2={y(limitMm)}
          strokeWidth="1.75"
        />
      )}
      {bites && (
        <rect
          x={MIDDLE - REAR_HALF}
          y={y(limitMm)}
          width={REAR_HALF * 2}
          height={Math.max(3, y(toMm) - y(limitMm))}
          fill="var(--clipped)"
          fillOpacity="0.55"
        />
      )}
    </g>
  );
}

/** Two mounts that do not join: a line torn in the middle. */
function BrokenJoint({ at }: { at: number }) {
  const zigzag = 'l4 -5 6 10 6 -10 6 10 4 -5';
  return (
    <path
      d={`M${MIDDLE - EDGE_HALF} ${at}H${MIDDLE - 13}${zigzag}H${MIDDLE + EDGE_HALF}`}
      fill="none"
      stroke="var(--clipped)"
      strokeWidth="2"
    />
  );
}

/** A far subject comes to a point before the sensor: two rays that cross too early. */
function EarlyInfinity({ mm, y }: Placing & { mm: number }) {
  const at = Math.min(y(mm), y(0) - 3);
  return (
    <g stroke="var(--clipped)" fill="none" strokeWidth="1.5">
      <path d={`M${MIDDLE - 44} ${at}H${MIDDLE + 44}`} strokeDasharray="5 3" />
      <path
        d={`M${MIDDLE - 12} ${at - 14}L${MIDDLE + 5} ${y(0) + 4}M${MIDDLE + 12} ${at - 14}L${MIDDLE - 5} ${y(0) + 4}`}
      />
      <text
        x={MIDDLE + EDGE_HALF - 4}
        y={at - 3}
        textAnchor="end"
        style={{ fill: 'var(--clipped)', fontSize: 11, fontWeight: 650 }}
      >
        ∞ short
      </text>
    </g>
  );
}

/** What to see at a glance: length, rear glass, joints that do not join, infinity that is not reached. */
export function LightPathMarks({ layout, ...placing }: Placing & { layout: TrainLayout }) {
  return (
    <>
      <Dimension layout={layout} {...placing} />
      {layout.rearGlass && <RearGlassMark glass={layout.rearGlass} {...placing} />}
      {layout.brokenJointsMm.map((mm) => (
        <BrokenJoint key={mm} at={placing.y(mm)} />
      ))}
      {layout.infinityMm !== null && <EarlyInfinity mm={layout.infinityMm} {...placing} />}
    </>
  );
}
