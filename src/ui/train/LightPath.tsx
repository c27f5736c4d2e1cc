'use client';
import styled from 'styled-components';
import type { Report } from '@/core/rig/evaluate';
import type { Rig } from '@/core/rig/rig';
import { layTrain, type Piece, type TrainLayout } from './trainLayout';

const Drawing = styled.svg`
  display: block;
  width: 100%;
  height: 100%;
  text {
    font-size: 12px;
    fill: var(--ink);
  }
  .fact {
    fill: var(--muted);
    font-size: 11px;
    font-variant-numeric: tabular-nums;
  }
`;

/* The sheet it is drawn on, units. It is scaled as a whole to fit its place. */
const SHEET = { width: 204, height: 300, top: 6, bottom: 16 };
const MIDDLE = SHEET.width / 2;
/** Half-widths of the boxes: for the eye and the names only, the lengths are what is to scale. */
const HALF_WIDTH: Record<Piece['kind'], number> = { lens: 86, adapter: 78, glass: 78, body: 99 };
const MOST_NAME = 27;

const clipped = (text: string): string =>
  text.length > MOST_NAME ? `${text.slice(0, MOST_NAME - 1).trimEnd()}…` : text;

interface Placing {
  y: (mm: number) => number;
  scale: number;
}

function place({ frontMm }: TrainLayout): Placing {
  const scale = Math.min(4.2, (SHEET.height - SHEET.top - SHEET.bottom) / frontMm);
  const slack = SHEET.height - SHEET.top - SHEET.bottom - frontMm * scale;
  return { scale, y: (mm) => SHEET.top + slack / 2 + (frontMm - mm) * scale };
}

function Light({ layout, y, scale }: Placing & { layout: TrainLayout }) {
  const most = MIDDLE - 3;
  const side = (sign: number) =>
    layout.beam.map(
      ({ atMm, halfMm }) => `${MIDDLE + sign * Math.min(most, halfMm * scale)},${y(atMm)}`,
    );
  return (
    <polygon
      points={[...side(-1), ...side(1).reverse()].join(' ')}
      fill="var(--amber)"
      fillOpacity="0.17"
    />
  );
}

function PieceBox({ piece, y }: Placing & { piece: Piece }) {
  const half = HALF_WIDTH[piece.kind];
  const top = Math.min(y(piece.fromMm), y(piece.toMm));
  const height = Math.abs(y(piece.toMm) - y(piece.fromMm));
  const middle = top + height / 2;
  const roomy = height >= (piece.kind === 'glass' ? 56 : 32);
  const roomForGlass = height >= 30;
  return (
    <g>
      <rect
        x={MIDDLE - half}
        y={top}
        width={half * 2}
        height={Math.max(2, height)}
        rx="2"
        fill={piece.kind === 'glass' && !roomForGlass ? 'var(--amber)' : 'none'}
        fillOpacity="0.16"
        stroke={piece.kind === 'glass' ? 'var(--amber)' : 'var(--muted)'}
        strokeWidth="1"
      />
      {piece.kind === 'glass' && roomForGlass && (
        <ellipse
          cx={MIDDLE}
          cy={top + Math.max(4, height - 7)}
          rx={half - 7}
          ry={Math.min(4, height / 3)}
          fill="var(--amber)"
          fillOpacity="0.3"
          stroke="var(--amber)"
        />
      )}
      {height >= 15 && (
        <text
          x={MIDDLE}
          y={
            roomy
              ? middle - 2
              : piece.kind === 'glass'
                ? top + Math.min(17, middle - top + 2)
                : middle + 4
          }
          textAnchor="middle"
        >
          {clipped(piece.name)}
        </text>
      )}
      {roomy && (
        <text x={MIDDLE} y={middle + 13} textAnchor="middle" className="fact">
          {piece.fact}
        </text>
      )}
    </g>
  );
}

/** The sign of a drawing that something long is shown short. */
function Break({ at }: { at: number }) {
  const wave = `q12 -7 24 0t24 0t24 0t24 0t24 0t24 0t24 0t24 0`;
  return (
    <>
      <path d={`M${MIDDLE - 96} ${at}${wave}`} fill="none" stroke="var(--ground)" strokeWidth="7" />
      {[-3.5, 3.5].map((dy) => (
        <path key={dy} d={`M${MIDDLE - 96} ${at + dy}${wave}`} fill="none" stroke="var(--line)" />
      ))}
    </>
  );
}

/** The train drawn to scale along its axis, scene above, sensor below. */
export function LightPath({ rig, report }: { rig: Rig; report: Report }) {
  const layout = layTrain(rig, report);
  const placing = place(layout);
  const { y, scale } = placing;
  const words = layout.pieces.map((p) => `${p.name}, ${p.fact}`).join('; ');
  return (
    <Drawing
      viewBox={`0 0 ${SHEET.width} ${SHEET.height}`}
      role="img"
      aria-label={`Light path from scene to sensor: ${words}.`}
    >
      <Light layout={layout} {...placing} />
      {layout.pieces.map((piece, i) => (
        <PieceBox key={`${i}-${piece.name}`} piece={piece} {...placing} />
      ))}
      {layout.lensCut && <Break at={y(layout.frontMm) + 22} />}
      <line
        x1={MIDDLE - layout.sensorHalfWidthMm * scale}
        x2={MIDDLE + layout.sensorHalfWidthMm * scale}
        y1={y(0)}
        y2={y(0)}
        stroke="var(--amber)"
        strokeWidth="4"
      />
    </Drawing>
  );
}
