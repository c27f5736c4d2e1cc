'use client';
import { memo } from 'react';
import styled from 'styled-components';
import type { Report } from '@/core/rig/report';
import type { Rig } from '@/core/rig';
import { LightPathMarks } from './LightPathMarks';
import { MIDDLE, place, SHEET, type Placing } from './drawing';
import { layTrain, type Piece, type TrainLayout, layoutWords } from '@/core/rig/readings';

const Drawing = styled.svg`
  display: block;
  width: 100%;
  height: 100%;
  text {
    font-size: 12px;
    fill: var(--ink);
    paint-order: stroke;
    stroke: var(--ground);
    stroke-width: 3px;
    stroke-linejoin: round;
  }
  .fact {
    fill: var(--muted);
    font-size: 11px;
    font-variant-numeric: tabular-nums;
  }
`;

/** Half-widths of the boxes: for the eye and the names only, the lengths are what is to scale. */
const HALF_WIDTH: Record<Piece['kind'], number> = { lens: 80, adapter: 72, glass: 72, body: 86 };
const MOST_NAME = 25;

const clipped = (text: string): string =>
  text.length > MOST_NAME ? `${text.slice(0, MOST_NAME - 1).trimEnd()}…` : text;

function Light({ layout, y, scale }: Placing & { layout: TrainLayout }) {
  const side = (sign: number) =>
    layout.beam.map(
      ({ atMm, halfMm }) =>
        `${MIDDLE + sign * Math.min(HALF_WIDTH.body, halfMm * scale)},${y(atMm)}`,
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
  const glass = piece.kind === 'glass';
  const drawsGlass = glass && height >= 30;
  return (
    <g>
      <rect
        x={MIDDLE - half}
        y={top}
        width={half * 2}
        height={Math.max(2, height)}
        rx="2"
        fill={glass && !drawsGlass ? 'var(--amber)' : 'none'}
        fillOpacity="0.16"
        stroke={glass ? 'var(--amber)' : 'var(--muted)'}
        strokeWidth="1"
      />
      {drawsGlass && (
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
    </g>
  );
}

/** Name and fact of a piece, over everything drawn. */
function PieceWords({ piece, y }: Placing & { piece: Piece }) {
  const top = Math.min(y(piece.fromMm), y(piece.toMm));
  const height = Math.abs(y(piece.toMm) - y(piece.fromMm));
  const middle = top + height / 2;
  const glass = piece.kind === 'glass';
  const roomy = height >= (glass ? 56 : 32);
  const nameAt = glass ? top + Math.min(17, height / 2 + 2) : middle + 4;
  return (
    <>
      {height >= 15 && (
        <text x={MIDDLE} y={roomy ? middle - 2 : nameAt} textAnchor="middle">
          {clipped(piece.name)}
        </text>
      )}
      {roomy && (
        <text x={MIDDLE} y={middle + 13} textAnchor="middle" className="fact">
          {piece.fact}
        </text>
      )}
    </>
  );
}

/** The sign of a drawing that something long is shown short. */
function Break({ at }: { at: number }) {
  const wave = `q12 -7 24 0t24 0t24 0t24 0t24 0t24 0t24 0`;
  return (
    <>
      <path d={`M${MIDDLE - 84} ${at}${wave}`} fill="none" stroke="var(--ground)" strokeWidth="7" />
      {[-3.5, 3.5].map((dy) => (
        <path key={dy} d={`M${MIDDLE - 84} ${at + dy}${wave}`} fill="none" stroke="var(--line)" />
      ))}
    </>
  );
}

/** The train drawn to scale along its axis, scene above, sensor below. */
export const LightPath = memo(function LightPath({ rig, report }: { rig: Rig; report: Report }) {
  const layout = layTrain(rig, report);
  const placing = place(layout.frontMm);
  const { y, scale } = placing;
  const lens = layout.pieces.find((p) => p.kind === 'lens');
  return (
    <Drawing
      viewBox={`0 0 ${SHEET.width} ${SHEET.height}`}
      role="img"
      aria-label={layoutWords(layout, report)}
    >
      <Light layout={layout} {...placing} />
      {layout.pieces.map((piece, i) => (
        <PieceBox key={`${i}-${piece.name}`} piece={piece} {...placing} />
      ))}
      {layout.lensCut && lens && <Break at={y(lens.fromMm) + 22} />}
      <line
        x1={MIDDLE - Math.min(HALF_WIDTH.body, layout.sensorHalfWidthMm * scale)}
        x2={MIDDLE + Math.min(HALF_WIDTH.body, layout.sensorHalfWidthMm * scale)}
        y1={y(0)}
        y2={y(0)}
        stroke="var(--amber)"
        strokeWidth="4"
      />
      <LightPathMarks layout={layout} {...placing} />
      {layout.pieces.map((piece, i) => (
        <PieceWords key={`${i}-${piece.name}`} piece={piece} {...placing} />
      ))}
    </Drawing>
  );
});
