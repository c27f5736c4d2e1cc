'use client';
import styled from 'styled-components';
import { darknessStops, lightAt } from '@/core/halo/rims';
import type { Report } from '@/core/rig/evaluate';
import { engraved } from '../theme/type';
import type { StageView } from './haloPaint';
import { cornerWords } from './stageWords';
import type { StagePoint } from './useStageHand';

const Tag = styled.div`
  ${engraved}
  position: absolute;
  pointer-events: none;
  padding: 2px 7px;
  border-radius: var(--radius);
  background: var(--lifted);
  color: var(--ink);
  font-size: 12px;
  white-space: nowrap;
`;

interface PointReadingProps {
  at: StagePoint;
  report: Report;
  view: StageView;
}

/** Radius and darkness at the pointer, from the same function that draws. */
export function PointReading({ at, report, view }: PointReadingProps) {
  const { model } = report.halo;
  const xMm = (at.xPx - view.widthPx / 2) / view.pxPerMm - model.centre.xMm;
  const yMm = (at.yPx - view.heightPx / 2) / view.pxPerMm - model.centre.yMm;
  const radiusMm = Math.hypot(xMm, yMm);
  const words = cornerWords(darknessStops(lightAt(model, radiusMm).light));
  const left = at.xPx > view.widthPx - 150;
  return (
    <Tag
      data-testid="point"
      style={{
        left: at.xPx + (left ? -14 : 14),
        top: Math.min(view.heightPx - 40, at.yPx + 12),
        transform: left ? 'translateX(-100%)' : undefined,
      }}
    >
      r {radiusMm.toFixed(1)} mm · {words === 'black' ? words : `${words} stops`}
    </Tag>
  );
}
