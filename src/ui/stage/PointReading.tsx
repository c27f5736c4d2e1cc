'use client';
import styled from 'styled-components';
import { countedFrom, type Offset } from '@/core/optics';
import { darknessStops, lightAtPlace } from '@/core/halo';
import type { Report } from '@/core/rig/report';
import { engraved } from '../theme/type';
import { toPx, type StageView } from './stageView';
import { cornerWords, mm } from '@/core/words';

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

const Cross = styled.div`
  position: absolute;
  pointer-events: none;
  width: 15px;
  height: 15px;
  margin: -7px 0 0 -7px;
  background:
    linear-gradient(var(--stage-under), var(--stage-under)) 50% 50% / 3px 100% no-repeat,
    linear-gradient(var(--stage-under), var(--stage-under)) 50% 50% / 100% 3px no-repeat;
  &::after {
    content: '';
    position: absolute;
    inset: 0;
    background:
      linear-gradient(var(--frame), var(--frame)) 50% 50% / 1px 100% no-repeat,
      linear-gradient(var(--frame), var(--frame)) 50% 50% / 100% 1px no-repeat;
  }
`;

interface PointReadingProps {
  at: Offset;
  report: Report;
  view: StageView;
}

/** Radius and darkness at a place on the sensor plane, from the same function that draws. */
export function PointReading({ at, report, view }: PointReadingProps) {
  const { model } = report.halo;
  const place = countedFrom(at, model.centre);
  const radiusMm = Math.hypot(place.xMm, place.yMm);
  const words = cornerWords(darknessStops(lightAtPlace(model, place).light));
  const { xPx, yPx } = toPx(view, at);
  const left = xPx > view.widthPx - 150;
  return (
    <>
      <Cross style={{ left: xPx, top: yPx }} />
      <Tag
        data-testid="point"
        role="status"
        style={{
          left: xPx + (left ? -14 : 14),
          top: Math.min(view.heightPx - 40, yPx + 12),
          transform: left ? 'translateX(-100%)' : undefined,
        }}
      >
        r {mm(radiusMm)} · {words === 'black' ? words : `${words} stops`}
      </Tag>
    </>
  );
}
