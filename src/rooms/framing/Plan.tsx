'use client';
import styled from 'styled-components';
import { short } from '@/core/words';
import { engraved, PHONE } from '@/ui/theme/type';
import { useSize } from '@/ui/useSize';
import { Camera, Lamps, People } from './PlanHandles';
import { layOut, MARGIN, type Sheet } from './planSheet';
import { dashOf, inkOf } from './takeInks';
import type { Framed, Framing } from './useFraming';

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
  // All counted from the sensor; the miller stands at x0.
  const from = sheet.x0 + (nearM - shot.distanceM) * sheet.pxPerM;
  const to = farM === null ? sheet.width : sheet.x0 + (farM - shot.distanceM) * sheet.pxPerM;
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
