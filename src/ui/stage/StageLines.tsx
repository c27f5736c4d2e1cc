'use client';
import { memo } from 'react';
import styled from 'styled-components';
import { CORNERS, isMoving } from '@/core/frame';
import { blackOutline, edgeOutline, isRound } from '@/core/halo';
import { isOffMiddle, type FrameSize } from '@/core/optics';
import type { Report } from '@/core/rig/report';
import { engraved } from '../theme/type';
import { outlinePath } from './outlinePath';
import { rulerMarks, toPx, type StageView } from './stageView';
import { cornerWords, diameterMm, sizeMm } from '@/core/words';
import { ghostWords, type Ghost } from './stageWords';

const Lines = styled.svg`
  text {
    ${engraved}
    font-size: 12px;
    fill: var(--stage-ink);
    paint-order: stroke;
    stroke: var(--stage-under);
    stroke-width: 3px;
    stroke-linejoin: round;
  }
  .figure {
    font-size: 11px;
  }
  .halo {
    fill: var(--stage-amber);
  }
`;

interface StageLinesProps {
  report: Report;
  view: StageView;
}

const Rulers = memo(function Rulers({ view }: { view: StageView }) {
  const { widthPx, heightPx } = view;
  return (
    <g stroke="var(--stage-ink)" strokeWidth="1">
      {rulerMarks(view, 'x').map(({ mm, px, figure }) => (
        <g key={`x${mm}`}>
          <line x1={px} x2={px} y1={heightPx} y2={heightPx - (figure ? 9 : 5)} />
          {figure && px > 30 && px < widthPx - 20 && (
            <text className="figure" x={px} y={heightPx - 13} textAnchor="middle">
              {Math.abs(mm)}
            </text>
          )}
        </g>
      ))}
      {rulerMarks(view, 'y').map(({ mm, px, figure }) => (
        <g key={`y${mm}`}>
          <line x1={0} x2={figure ? 9 : 5} y1={px} y2={px} />
          {figure && px > 30 && px < heightPx - 30 && (
            <text className="figure" x={13} y={px + 4}>
              {Math.abs(mm)}
            </text>
          )}
        </g>
      ))}
    </g>
  );
});

const DEFINITION_INK = '#4a3a20';

/** Half light as a fine line, black dotted, definition circle dashed, needed halo in dash and dot. */
function Circles({ report, view }: StageLinesProps) {
  const { pxPerMm } = view;
  const { model, definitionRadiusMm } = report.halo;
  const { worstCornerRadiusMm } = report.coverage;
  const { xPx, yPx } = toPx(view, model.centre);
  const circle = { cx: xPx, cy: yPx, fill: 'none' };
  const on = { xPx, yPx, pxPerMm };
  return (
    <>
      <path
        d={outlinePath(edgeOutline(model), on)}
        fill="none"
        stroke="var(--stage-amber)"
        strokeWidth="1.5"
      />
      <path
        d={outlinePath(blackOutline(model), on)}
        fill="none"
        stroke="var(--stage-amber)"
        strokeWidth="1.2"
        strokeDasharray="1 5"
        strokeLinecap="round"
      />
      <circle
        {...circle}
        r={worstCornerRadiusMm * pxPerMm}
        stroke="var(--frame)"
        strokeOpacity="0.75"
        strokeWidth="1"
        strokeDasharray="12 4 1 4"
      />
      {definitionRadiusMm !== null && (
        <>
          <circle
            {...circle}
            r={definitionRadiusMm * pxPerMm}
            stroke={DEFINITION_INK}
            strokeWidth="1.2"
            strokeDasharray="6 5"
          />
          <text
            x={xPx}
            y={yPx + definitionRadiusMm * pxPerMm - 5}
            fill={DEFINITION_INK}
            fontSize="11"
            textAnchor="middle"
          >
            definition
          </text>
        </>
      )}
    </>
  );
}

/** Figures stand outside the delivered frame, and clear of the read-out's line where that runs close by. */
function labelBox(report: Report, pxPerMm: number): FrameSize {
  const { readOut, delivered } = report.frame;
  const strip = ((readOut.heightMm - delivered.heightMm) / 2) * pxPerMm;
  return strip < 30 ? { widthMm: delivered.widthMm, heightMm: readOut.heightMm } : delivered;
}

/** A frame about the middle of the sensor as a rectangle on the stage, grown by so many mm all round. */
function boxOf(view: StageView, frame: FrameSize, growX = 0, growY = 0) {
  const [w, h] = [frame.widthMm + 2 * growX, frame.heightMm + 2 * growY];
  const { xPx, yPx } = toPx(view, { xMm: -w / 2, yMm: -h / 2 });
  return { x: xPx, y: yPx, width: w * view.pxPerMm, height: h * view.pxPerMm, fill: 'none' };
}

const CROSS_PX = 6;

/** The middle of the sensor, marked where the read-out lies off it. */
function SensorMiddle({ report, view }: StageLinesProps) {
  const { middle } = report.frame;
  if (!isOffMiddle(middle)) return null;
  const { xPx, yPx } = toPx(view, { xMm: -middle.xMm, yMm: -middle.yMm });
  return (
    <>
      <path
        d={`M${xPx - CROSS_PX} ${yPx}h${2 * CROSS_PX}M${xPx} ${yPx - CROSS_PX}v${2 * CROSS_PX}`}
        stroke={DEFINITION_INK}
        strokeWidth="1"
      />
      <text x={xPx + CROSS_PX + 3} y={yPx + 4} fill={DEFINITION_INK} fontSize="11">
        sensor’s middle
      </text>
    </>
  );
}

/** The pinned state: its half-light line, its delivered frame, and what it was. */
function GhostLines({ ghost, view }: { ghost: Ghost; view: StageView }) {
  const { halo, frame } = ghost.report;
  const { xPx, yPx } = toPx(view, halo.model.centre);
  return (
    <>
      <g stroke="var(--frame)" strokeOpacity="0.6" strokeWidth="1" strokeDasharray="2 3">
        <path
          d={outlinePath(edgeOutline(halo.model), { xPx, yPx, pxPerMm: view.pxPerMm })}
          fill="none"
        />
        <rect {...boxOf(view, frame.delivered)} />
      </g>
      <text x={14} y={38}>
        {ghostWords(ghost)}
      </text>
    </>
  );
}

function Frames({ report, view }: StageLinesProps) {
  const { readOut, delivered, travel } = report.frame;
  const { pxPerMm } = view;
  const box = (f: FrameSize, growX = 0, growY = growX) => boxOf(view, f, growX, growY);
  const cropped =
    delivered.widthMm < readOut.widthMm - 0.005 || delivered.heightMm < readOut.heightMm - 0.005;
  const label = toPx(view, { xMm: 0, yMm: -labelBox(report, pxPerMm).heightMm / 2 });
  return (
    <>
      {isMoving(travel) && (
        <rect
          {...box(delivered, travel.xMm + travel.discMm, travel.yMm + travel.discMm)}
          rx={travel.discMm * pxPerMm}
          stroke="var(--stage-ink)"
          strokeWidth="1"
          strokeDasharray="3 4"
        />
      )}
      {cropped && <rect {...box(readOut)} stroke="var(--stage-ink)" strokeWidth="1" />}
      <rect {...box(delivered)} stroke="var(--frame)" strokeWidth="1.75" />
      <text x={label.xPx} y={label.yPx - 8} textAnchor="middle" style={{ fill: 'var(--ink)' }}>
        {cropped ? 'delivered' : 'read-out'} {sizeMm(delivered)}
      </text>
    </>
  );
}

function Corners({ report, view }: StageLinesProps) {
  const delivered = labelBox(report, view.pxPerMm);
  return CORNERS.map(([sx, sy], i) => {
    const stops = report.coverage.cornerStops[i] ?? null;
    const words = cornerWords(stops);
    const bad = words === 'black' || (stops ?? 0) > report.verdict.limitStops;
    const at = toPx(view, {
      xMm: (sx * delivered.widthMm) / 2,
      yMm: (sy * delivered.heightMm) / 2,
    });
    return (
      <text
        key={`${sx},${sy}`}
        x={at.xPx}
        y={at.yPx + (sy < 0 ? -8 : 18)}
        textAnchor={sx < 0 ? 'start' : 'end'}
        style={{ fill: bad ? 'var(--clipped)' : 'var(--ink)', fontSize: 13 }}
      >
        {words}
      </text>
    );
  });
}

/** On a stage as narrow as a phone the halo's figure needs the room beside what one sees. */
const NARROW_PX = 480;

interface AllLinesProps extends StageLinesProps {
  ghost: Ghost | null;
}

/** Everything drawn in lines and figures over the light. */
export function StageLines({ report, view, ghost }: AllLinesProps) {
  const { radiiMm, worstCornerRadiusMm } = report.coverage;
  return (
    <Lines className="lines" aria-hidden="true">
      <Circles report={report} view={view} />
      <Frames report={report} view={view} />
      <SensorMiddle report={report} view={view} />
      {ghost && <GhostLines ghost={ghost} view={view} />}
      <Corners report={report} view={view} />
      <Rulers view={view} />
      <text x={14} y={20}>
        {view.widthPx < NARROW_PX ? 'Seen from behind, mm' : 'Sensor seen from behind, mm'}
      </text>
      <text x={view.widthPx - 14} y={20} textAnchor="end" className="halo">
        halo {diameterMm(radiiMm.half)} at half light
        {isRound(report.halo.model) ? '' : ' along the diagonal'}
      </text>
      <text x={view.widthPx - 14} y={38} textAnchor="end">
        the frame needs {diameterMm(worstCornerRadiusMm)}
      </text>
      {isMoving(report.frame.travel) && (
        <text x={view.widthPx - 14} y={56} textAnchor="end">
          corner figures: at rest
        </text>
      )}
    </Lines>
  );
}
