'use client';
import styled from 'styled-components';
import { CORNERS } from '@/core/frame/geometry';
import type { FrameSize } from '@/core/optics/formats';
import type { Report } from '@/core/rig/evaluate';
import { engraved } from '../theme/type';
import type { StageView } from './haloPaint';
import { rulerMarks } from './stageView';
import { cornerWords } from './stageWords';

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

function Rulers({ view }: { view: StageView }) {
  const { widthPx, heightPx } = view;
  return (
    <g stroke="var(--stage-ink)" strokeWidth="1">
      {rulerMarks(view, widthPx).map(({ mm, px, figure }) => (
        <g key={`x${mm}`}>
          <line x1={px} x2={px} y1={heightPx} y2={heightPx - (figure ? 9 : 5)} />
          {figure && px > 30 && px < widthPx - 20 && (
            <text className="figure" x={px} y={heightPx - 13} textAnchor="middle">
              {Math.abs(mm)}
            </text>
          )}
        </g>
      ))}
      {rulerMarks(view, heightPx).map(({ mm, px, figure }) => (
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
}

/** Half-light circle as a fine line, black radius dotted, definition circle dashed. */
function Circles({ report, view }: StageLinesProps) {
  const { pxPerMm, widthPx, heightPx } = view;
  const { model, definitionRadiusMm } = report.halo;
  const { half, black } = report.coverage.radiiMm;
  const circle = {
    cx: widthPx / 2 + model.centre.xMm * pxPerMm,
    cy: heightPx / 2 + model.centre.yMm * pxPerMm,
    fill: 'none',
  };
  return (
    <>
      <circle {...circle} r={half * pxPerMm} stroke="var(--stage-amber)" strokeWidth="1.5" />
      <circle
        {...circle}
        r={black * pxPerMm}
        stroke="var(--stage-amber)"
        strokeWidth="1.2"
        strokeDasharray="1 5"
        strokeLinecap="round"
      />
      {definitionRadiusMm !== null && (
        <circle
          {...circle}
          r={definitionRadiusMm * pxPerMm}
          stroke="#4a3a20"
          strokeWidth="1.2"
          strokeDasharray="6 5"
        />
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

function Frames({ report, view }: StageLinesProps) {
  const { readOut, delivered, travel } = report.frame;
  const { pxPerMm, widthPx, heightPx } = view;
  const box = (f: { widthMm: number; heightMm: number }, growX = 0, growY = growX) => ({
    x: widthPx / 2 - (f.widthMm / 2 + growX) * pxPerMm,
    y: heightPx / 2 - (f.heightMm / 2 + growY) * pxPerMm,
    width: (f.widthMm + 2 * growX) * pxPerMm,
    height: (f.heightMm + 2 * growY) * pxPerMm,
    fill: 'none',
  });
  const cropped =
    delivered.widthMm < readOut.widthMm - 0.005 || delivered.heightMm < readOut.heightMm - 0.005;
  const moves = travel.xMm > 0 || travel.yMm > 0;
  const disc = travel.shape === 'disc';
  const top = heightPx / 2 - (labelBox(report, pxPerMm).heightMm / 2) * pxPerMm;
  return (
    <>
      {moves && (
        <rect
          {...box(delivered, travel.xMm, disc ? travel.xMm : travel.yMm)}
          rx={disc ? travel.xMm * pxPerMm : 0}
          stroke="var(--stage-ink)"
          strokeWidth="1"
          strokeDasharray="3 4"
        />
      )}
      {cropped && <rect {...box(readOut)} stroke="var(--stage-ink)" strokeWidth="1" />}
      <rect {...box(delivered)} stroke="var(--frame)" strokeWidth="1.75" />
      <text x={widthPx / 2} y={top - 8} textAnchor="middle" style={{ fill: 'var(--ink)' }}>
        {cropped ? 'delivered' : 'read-out'} {delivered.widthMm.toFixed(1)} ×{' '}
        {delivered.heightMm.toFixed(1)} mm
      </text>
    </>
  );
}

function Corners({ report, view }: StageLinesProps) {
  const delivered = labelBox(report, view.pxPerMm);
  const { pxPerMm, widthPx, heightPx } = view;
  return CORNERS.map(([sx, sy], i) => {
    const stops = report.coverage.cornerStops[i] ?? null;
    const words = cornerWords(stops);
    const bad = words === 'black' || (stops ?? 0) > report.verdict.limitStops;
    return (
      <text
        key={`${sx},${sy}`}
        x={widthPx / 2 + sx * ((delivered.widthMm / 2) * pxPerMm)}
        y={heightPx / 2 + sy * ((delivered.heightMm / 2) * pxPerMm) + (sy < 0 ? -8 : 18)}
        textAnchor={sx < 0 ? 'start' : 'end'}
        style={{ fill: bad ? 'var(--clipped)' : 'var(--ink)', fontSize: 13 }}
      >
        {words}
      </text>
    );
  });
}

/** Everything drawn in lines and figures over the light. */
export function StageLines({ report, view }: StageLinesProps) {
  return (
    <Lines aria-hidden="true">
      <Circles report={report} view={view} />
      <Frames report={report} view={view} />
      <Corners report={report} view={view} />
      <Rulers view={view} />
      <text x={14} y={20}>
        Sensor seen from behind, mm
      </text>
      <text x={view.widthPx - 14} y={20} textAnchor="end" className="halo">
        halo ⌀ {(report.coverage.radiiMm.half * 2).toFixed(1)} mm at half light
      </text>
    </Lines>
  );
}
