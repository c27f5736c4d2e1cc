'use client';
/** What stands on the plan and is moved by hand. */
import { lampsOf, SCENE_RANGE, FARTHEST_M } from '@/core/framing';
import { metres } from '@/core/words';
import { MARGIN, type Sheet } from './planSheet';
import { dashOf, inkOf } from './takeInks';
import type { Framed, Framing } from './useFraming';
import { usePlanDrag } from './usePlanDrag';

interface HandleProps {
  sheet: Sheet;
  label: string;
  /** Where it stands, and how far it may be moved, m. */
  at: number;
  range: readonly [least: number, most: number];
  along: 'x' | 'y';
  sign: 1 | -1;
  words: string;
  onMove: (m: number) => void;
  onRest: () => void;
  children: React.ReactNode;
}

/** Something on the plan that can be moved; told in cm. */
function Handle({ sheet, label, range, words, children, ...moved }: HandleProps) {
  const { at, along } = moved;
  const hand = usePlanDrag({ metresPerPx: 1 / sheet.pxPerM, ...moved });
  const [least, most] = range;
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={label}
      aria-orientation={along === 'x' ? 'horizontal' : 'vertical'}
      aria-valuemin={Math.round(least * 100)}
      aria-valuemax={Math.round(most * 100)}
      aria-valuenow={Math.round(at * 100)}
      aria-valuetext={words}
      {...hand}
    >
      {children}
    </g>
  );
}

interface CameraProps {
  framed: Framed;
  index: number;
  sheet: Sheet;
  actions: Framing['actions'];
}

/** A camera, where it stands. */
export function Camera({ framed, index, sheet, actions }: CameraProps) {
  const { shot, rig, words } = framed;
  const x = sheet.x0 - shot.distanceM * sheet.pxPerM;
  return (
    <Handle
      sheet={sheet}
      label={`Camera ${index + 1}, ${rig.name}, ${words}`}
      at={shot.distanceM}
      range={[rig.lens.closestFocusM, FARTHEST_M]}
      along="x"
      sign={-1}
      words={`${metres(shot.distanceM)} from the miller`}
      onMove={(m) => actions.move(framed.at, m)}
      onRest={actions.rest}
    >
      <rect x={x - 26} y={sheet.y0 - 20} width="36" height="40" fill="transparent" />
      <rect
        className="hold"
        x={x - 22}
        y={sheet.y0 - 9}
        width="22"
        height="18"
        fill="var(--raised)"
        stroke={inkOf(index)}
        strokeWidth="1.5"
        strokeDasharray={dashOf(index)}
      />
      <text x={x - 11} y={sheet.y0 + (index % 2 === 0 ? 24 : -15)} textAnchor="middle">
        {index + 1}
      </text>
    </Handle>
  );
}

/** The miller, about whom all turns, and the second person. */
export function People({ framing, sheet }: { framing: Framing; sheet: Sheet }) {
  const { scene, actions } = framing;
  const [w, h] = [Math.max(5, 0.13 * sheet.pxPerM), Math.max(9, 0.25 * sheet.pxPerM)];
  const y = sheet.y0 + scene.besideM * sheet.pxPerM;
  return (
    <>
      <ellipse cx={sheet.x0} cy={sheet.y0} rx={w} ry={h} fill="var(--ink)" opacity="0.85" />
      <text x={sheet.x0} y={sheet.y0 - h - 6} textAnchor="middle">
        the miller
      </text>
      <Handle
        sheet={sheet}
        label="The second person"
        at={scene.besideM}
        range={SCENE_RANGE.besideM}
        along="y"
        sign={1}
        words={`${metres(Math.abs(scene.besideM))} to the ${scene.besideM < 0 ? 'left' : 'right'} of the miller`}
        onMove={(besideM) => actions.moveScene('Move the second person', { besideM })}
        onRest={actions.rest}
      >
        <ellipse cx={sheet.x0} cy={y} rx={w + 8} ry={h + 6} fill="transparent" />
        <ellipse
          className="hold"
          cx={sheet.x0}
          cy={y}
          rx={w}
          ry={h}
          fill="var(--muted)"
          stroke="transparent"
        />
      </Handle>
    </>
  );
}

/** The lamps behind them, moved together. */
export function Lamps({ framing, sheet }: { framing: Framing; sheet: Sheet }) {
  const { scene, actions } = framing;
  const lamps = lampsOf(scene);
  const x = sheet.x0 + scene.lampsM * sheet.pxPerM;
  return (
    <Handle
      sheet={sheet}
      label="The lamps"
      at={scene.lampsM}
      range={SCENE_RANGE.lampsM}
      along="x"
      sign={1}
      words={`${metres(scene.lampsM)} behind the miller`}
      onMove={(lampsM) => actions.moveScene('Move the lamps', { lampsM })}
      onRest={actions.rest}
    >
      <rect
        className="hold"
        x={x - Math.max(14, 0.4 * sheet.pxPerM)}
        y={MARGIN.top}
        width={2 * Math.max(14, 0.4 * sheet.pxPerM)}
        height={sheet.height - MARGIN.foot - MARGIN.top}
        rx="3"
        fill="transparent"
        stroke="transparent"
      />
      {lamps.map((lamp) => (
        <circle
          key={`${lamp.xM}`}
          cx={sheet.x0 + lamp.zM * sheet.pxPerM}
          cy={sheet.y0 + lamp.xM * sheet.pxPerM}
          r="4"
          fill="var(--amber)"
        />
      ))}
      <text x={x} y={MARGIN.top - 3} textAnchor="middle">
        lamps
      </text>
    </Handle>
  );
}
