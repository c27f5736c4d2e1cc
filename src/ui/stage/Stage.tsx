'use client';
import { useEffect, useRef } from 'react';
import styled from 'styled-components';
import type { Offset } from '@/core/frame/geometry';
import type { Report } from '@/core/rig/evaluate';
import type { Theme } from '../theme/themeScript';
import { oneLine } from '../theme/type';
import { useTheme } from '../theme/useTheme';
import { useSize } from '../useSize';
import { paintHalo } from './haloPaint';
import { PointReading } from './PointReading';
import { StageLines } from './StageLines';
import { useStageHand } from './useStageHand';
import { stageWords } from './stageWords';
import { fitView } from './stageView';

const Well = styled.figure`
  position: relative;
  margin: 0;
  height: 100%;
  min-height: 0;
  overflow: hidden;
  background: var(--well);
  user-select: none;
  canvas,
  svg {
    position: absolute;
    inset: 0;
    width: 100%;
    height: 100%;
    display: block;
  }
`;

interface PaintProps {
  report: Report;
  width: number;
  height: number;
  theme: Theme;
}

function Paint({ report, width, height, theme }: PaintProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const { halo, frame } = report;
  useEffect(() => {
    const element = canvas.current;
    const context = element?.getContext('2d');
    if (!element || !context) return;
    const ratio = Math.min(2, window.devicePixelRatio || 1);
    const [w, h] = [Math.round(width * ratio), Math.round(height * ratio)];
    if (element.width !== w || element.height !== h) {
      element.width = w;
      element.height = h;
    }
    context.setTransform(ratio, 0, 0, ratio, 0, 0);
    paintHalo(context, halo.model, frame.delivered, fitView(frame.readOut, width, height), theme);
  }, [halo.model, frame, width, height, theme]);
  return <canvas ref={canvas} aria-hidden="true" />;
}

const Preview = styled.figcaption`
  position: absolute;
  left: 50%;
  bottom: 30px;
  transform: translateX(-50%);
  max-width: calc(100% - 80px);
  padding: 3px 10px;
  border-radius: var(--radius);
  background: var(--amber);
  color: var(--on-amber);
  font-weight: 600;
  ${oneLine}
`;

interface StageProps {
  report: Report;
  /** What is looked at without being done yet; null while the stage shows the rig as it is. */
  preview?: string | null;
  /** How far the rig lets itself be shifted, mm; 0 where it does not. */
  shiftRangeMm: number;
  /** Dragging the frame: how far the halo has been carried since the drag began, mm. */
  onShift: (byMm: Offset, done: boolean) => void;
}

/** The sensor plane: halo, read-out area, delivered frame and corner readings, all from the core. */
export function Stage({ report, preview = null, shiftRangeMm, onShift }: StageProps) {
  const [ref, { width, height }] = useSize<HTMLElement>();
  const [theme] = useTheme();
  const view = fitView(report.frame.readOut, width, height);
  const hand = useStageHand(view.pxPerMm, shiftRangeMm > 0, onShift);
  return (
    <Well
      ref={ref}
      role="img"
      aria-label={stageWords(report)}
      {...hand.props}
      style={shiftRangeMm > 0 ? { cursor: 'move', touchAction: 'none' } : { cursor: 'crosshair' }}
    >
      {width > 0 && height > 0 && (
        <>
          <Paint report={report} width={width} height={height} theme={theme} />
          <StageLines report={report} view={view} />
          {hand.at && <PointReading at={hand.at} report={report} view={view} />}
          {preview && <Preview>{preview}</Preview>}
        </>
      )}
    </Well>
  );
}
