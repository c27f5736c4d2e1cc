'use client';
import { useCallback, useEffect, useRef } from 'react';
import styled from 'styled-components';
import type { Offset } from '@/core/optics';
import type { Report } from '@/core/rig/report';
import type { Theme } from '../theme/themeScript';
import { oneLine, PHONE } from '../theme/type';
import { useTheme } from '../theme/useTheme';
import { sized } from '../canvas';
import { useLatest } from '../useLatest';
import { useSize } from '../useSize';
import { paintHalo } from './haloPaint';
import { paintThrough, type Shown } from './paintThrough';
import { PointReading } from './PointReading';
import { StageLines } from './StageLines';
import { StageTools } from './StageTools';
import type { StageView } from './stageView';
import { ghostWords, stageWords, type Ghost } from './stageWords';
import { useStageHand } from './useStageHand';
import { useStageZoom, type StageZoom } from './useStageZoom';

/* On a phone the tools stand under the picture: over it they would hide the corners. */
const Place = styled.div`
  position: relative;
  height: 100%;
  min-height: 0;
  @media ${PHONE} {
    display: grid;
    grid-template-rows: minmax(0, 1fr) 44px;
  }
`;

const Well = styled.div`
  position: relative;
  height: 100%;
  min-height: 0;
  overflow: hidden;
  background: var(--well);
  user-select: none;
  canvas,
  svg.lines,
  figure {
    position: absolute;
    inset: 0;
    margin: 0;
    width: 100%;
    height: 100%;
    display: block;
  }
`;

/** What takes the pointer and the keys; it lies over the picture. */
const Hand = styled.div`
  position: absolute;
  inset: 0;
  &:focus-visible {
    outline-offset: -3px;
  }
`;

interface PaintProps {
  report: Report;
  shown: Shown;
  view: StageView;
  theme: Theme;
}

function Paint({ report, shown, view, theme }: PaintProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const { halo, frame } = report;
  useEffect(() => {
    const sheet = sized(canvas.current, view.widthPx, view.heightPx);
    if (!sheet) return;
    const { context, density } = sheet;
    context.scale(density, density);
    if (shown.kind === 'light') paintHalo(context, halo.model, frame.delivered, view, theme);
    else paintThrough(context, shown, halo.model, frame.delivered, view, theme);
  }, [halo.model, frame, shown, view, theme]);
  return <canvas ref={canvas} aria-hidden="true" />;
}

const Said = styled.p`
  position: absolute;
  left: 50%;
  bottom: 72px;
  transform: translateX(-50%);
  max-width: calc(100% - 80px);
  padding: 3px 10px;
  border-radius: var(--radius);
  background: var(--amber);
  color: var(--on-amber);
  font-weight: 600;
  pointer-events: none;
  ${oneLine}
`;

/** Fits what is shown of the halo whenever it is asked to; the same function from report to report. */
function useFitHalo(report: Report, fitCircle: StageZoom['fitCircle']): () => void {
  const shown = useLatest(report);
  return useCallback(() => {
    const { halo, coverage } = shown.current;
    fitCircle(halo.model.centre, coverage.radiiMm.black);
  }, [shown, fitCircle]);
}

interface StageProps {
  report: Report;
  /** A state to compare with, drawn as lines. */
  ghost: Ghost | null;
  /** What the light shows. */
  shown: Shown;
  /** Said over the picture while it is not the rig at rest as it is set: a way looked at, a wander. */
  said: string | null;
  /** How far the rig lets itself be shifted, mm; 0 where it does not. */
  shiftRangeMm: number;
  /** Dragging the frame: how far the halo has been carried since the drag began, mm. */
  onShift: (byMm: Offset, done: boolean) => void;
  onPin: () => void;
}

/** The sensor plane: halo, read-out area, delivered frame and corner readings, all from the core. */
export function Stage(props: StageProps) {
  const { report, ghost, shown, said, shiftRangeMm, onShift, onPin } = props;
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  const [theme] = useTheme();
  const zoom = useStageZoom(ref, report.frame.readOut, width, height);
  const { view } = zoom;
  const fitHalo = useFitHalo(report, zoom.fitCircle);
  const canShift = shiftRangeMm > 0;
  const hand = useStageHand(zoom, canShift, onShift);
  const words = [stageWords(report), ghost ? ghostWords(ghost) : ''].join(' ').trim();
  const cursor = canShift ? 'move' : zoom.isFitted ? 'crosshair' : 'grab';
  return (
    <Place>
      <Well ref={ref}>
        {width > 0 && height > 0 && (
          <>
            <figure role="img" aria-label={words}>
              <Paint report={report} shown={shown} view={view} theme={theme} />
              <StageLines report={report} view={view} ghost={ghost} />
            </figure>
            <Hand
              role="application"
              tabIndex={0}
              aria-label="Point at the stage: arrow keys move the point, with Shift by a tenth of a millimetre; plus and minus zoom, 0 fits"
              {...hand.props}
              style={{ cursor, touchAction: canShift || !zoom.isFitted ? 'none' : undefined }}
            />
            {hand.at && <PointReading at={hand.at} report={report} view={view} />}
            {said && <Said data-testid="said">{said}</Said>}
          </>
        )}
      </Well>
      <StageTools zoom={zoom} onFitHalo={fitHalo} isPinned={ghost !== null} onPin={onPin} />
    </Place>
  );
}
