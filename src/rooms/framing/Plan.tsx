'use client';
import styled from 'styled-components';
import { lampsOf, SCENE_RANGE } from '@/core/framing/scene';
import { FARTHEST_M } from '@/core/framing/shot';
import { metres, short } from '@/core/words/figures';
import { engraved, PHONE } from '@/ui/theme/type';
import { useSize } from '@/ui/useSize';
import { dashOf, inkOf } from './takeInks';
import type { Framed, Framing } from './useFraming';
import { usePlanDrag } from './usePlanDrag';

const Place = styled.figure`
  margin: 0;
  flex: 1;
  min-height: 210px;
  display: flex;
  flex-direction: column;
`;

const Words = styled.figcaption`
  color: var(--muted);
  padding-bottom: 4px;
`;

const Drawing = styled.div`
  position: relative;
  overflow: hidden;
  flex: 1;
  min-height: 190px;
  background: var(--well);
  border-radius: var(--radius);
  @media ${PHONE} {
    height: 220px;
    flex: none;
  }
  svg {
    display: block;
    touch-action: pan-y;
  }
  text {
    ${engraved}
    font-size: 12px;
    fill: var(--muted);
    paint-order: stroke;
    stroke: var(--well);
    stroke-width: 3px;
    stroke-linejoin: round;
  }
  [role='slider'] {
    cursor: grab;
    outline: none;
  }
  [role='slider']:focus-visible .hold,
  [role='slider']:hover .hold {
    stroke: var(--amber);
    stroke-width: 2.5;
  }
`;

/** Room beside what is drawn, px. */
const MARGIN = { left: 44, right: 24, foot: 26, top: 16 };
/** How far past the lamps the plan goes, m. */
const BEHIND_M = 1.2;

interface Sheet {
  width: number;
  height: number;
  pxPerM: number;
  /** Where the miller stands, px. */
  x0: number;
  y0: number;
}

function layOut(framing: Framing, width: number, height: number): Sheet {
  const { framed, scene } = framing;
  const farthest = Math.max(...framed.map((f) => f.shot.distanceM));
  const length = farthest + scene.lampsM + BEHIND_M;
  const inner = Math.max(80, width - MARGIN.left - MARGIN.right);
  const pxPerM = inner / length;
  return {
    width,
    height,
    pxPerM,
    x0: MARGIN.left + farthest * pxPerM,
    y0: (height - MARGIN.foot + MARGIN.top) / 2,
  };
}

/** A view from above: a wedge from the camera to the end of the plan. */
function Wedge({ framed, index, sheet }: { framed: Framed; index: number; sheet: Sheet }) {
  const { shot } = framed;
  const u = shot.subject.distanceMm / 1000;
  const half = shot.field.widthM / 2 / u;
  const x = sheet.x0 - shot.distanceM * sheet.pxPerM;
  const reach = sheet.width - x;
  const spread = reach * half;
  return (
    <g pointerEvents="none">
      <polygon
        points={`${x},${sheet.y0} ${sheet.width},${sheet.y0 - spread} ${sheet.width},${sheet.y0 + spread}`}
        fill={inkOf(index)}
        opacity="0.06"
      />
      {[-1, 1].map((side) => (
        <line
          key={side}
          x1={x}
          y1={sheet.y0}
          x2={sheet.width}
          y2={sheet.y0 + side * spread}
          stroke={inkOf(index)}
          strokeWidth="1.25"
          strokeDasharray={dashOf(index)}
        />
      ))}
    </g>
  );
}

/** What is in focus about the miller, as wide as the picture is there. */
function InFocus({ framed, index, sheet }: { framed: Framed; index: number; sheet: Sheet }) {
  const { shot } = framed;
  const { nearM, farM } = shot.report.picture.depth;
  const u = shot.subject.distanceMm / 1000;
  const from = sheet.x0 + (nearM - u) * sheet.pxPerM;
  const to = farM === null ? sheet.width : sheet.x0 + (farM - u) * sheet.pxPerM;
  const half = (shot.field.widthM / 2) * sheet.pxPerM;
  return (
    <rect
      x={from}
      width={Math.max(1, Math.min(to, sheet.width) - from)}
      y={sheet.y0 - half}
      height={half * 2}
      fill={inkOf(index)}
      opacity="0.16"
      pointerEvents="none"
    />
  );
}

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

function Camera({ framed, index, sheet, actions }: CameraProps) {
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

function People({ framing, sheet }: { framing: Framing; sheet: Sheet }) {
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

function Lamps({ framing, sheet }: { framing: Framing; sheet: Sheet }) {
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

const STEPS_M = [0.1, 0.2, 0.5, 1, 2, 5, 10, 20, 50, 100, 200, 500];
const LEAST_STEP_PX = 60;

/** Metres from the farthest camera. */
function Scale({ sheet }: { sheet: Sheet }) {
  const step = STEPS_M.find((s) => s * sheet.pxPerM >= LEAST_STEP_PX) ?? 1000;
  const from = sheet.x0 - MARGIN.left;
  const count = Math.floor((sheet.width - MARGIN.left) / (step * sheet.pxPerM));
  const y = sheet.height - MARGIN.foot + 6;
  return (
    <g aria-hidden="true">
      <line x1={MARGIN.left} x2={sheet.width - 8} y1={y} y2={y} stroke="var(--line)" />
      {Array.from({ length: count + 1 }, (_, i) => {
        const x = sheet.x0 - from + i * step * sheet.pxPerM;
        return (
          <g key={i}>
            <line x1={x} x2={x} y1={y} y2={y + 5} stroke="var(--muted)" />
            <text x={x} y={y + 17} textAnchor="middle">
              {short(i * step, 1)} m
            </text>
          </g>
        );
      })}
    </g>
  );
}

/** The scene from above, to scale: what stands on it is moved by hand, and the pictures follow. */
export function Plan({ framing }: { framing: Framing }) {
  const [place, { width, height }] = useSize<HTMLDivElement>();
  const sheet = layOut(framing, Math.max(200, width), Math.max(160, height));
  return (
    <Place>
      <Words>
        Seen from above, to scale, with what is in focus. Drag a camera, the second person or the
        lamps, or use the arrow keys.
      </Words>
      <Drawing ref={place}>
        <svg
          width={sheet.width}
          height={sheet.height}
          style={{ position: 'absolute', overflow: 'hidden' }}
        >
          <line x1="0" x2={sheet.width} y1={sheet.y0} y2={sheet.y0} stroke="var(--line)" />
          {framing.framed.map((f, i) => (
            <Wedge key={f.at} framed={f} index={i} sheet={sheet} />
          ))}
          {framing.framed.map((f, i) => (
            <InFocus key={f.at} framed={f} index={i} sheet={sheet} />
          ))}
          <Scale sheet={sheet} />
          <Lamps framing={framing} sheet={sheet} />
          <People framing={framing} sheet={sheet} />
          {framing.framed.map((f, i) => (
            <Camera key={f.at} framed={f} index={i} sheet={sheet} actions={framing.actions} />
          ))}
        </svg>
      </Drawing>
    </Place>
  );
}
