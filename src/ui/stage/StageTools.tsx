'use client';
import { Circle, Minus, Pin, PinOff, Plus, Square } from 'lucide-react';
import styled from 'styled-components';
import type { Report } from '@/core/rig/evaluate';
import { IconButton } from '../controls/Buttons';
import { PHONE } from '../theme/type';
import { ZOOM_STEP, type StageZoom } from './useStageZoom';

const Tools = styled.div`
  position: absolute;
  left: 30px;
  bottom: 26px;
  display: flex;
  border-radius: var(--radius);
  background: var(--raised);
  @media ${PHONE} {
    left: 6px;
    button {
      min-width: 31px;
    }
  }
`;

interface StageToolsProps {
  zoom: StageZoom;
  report: Report;
  isPinned: boolean;
  onPin: () => void;
}

/** Zoom, fit, and the pin that holds a state to compare with. */
export function StageTools({ zoom, report, isPinned, onPin }: StageToolsProps) {
  const { model } = report.halo;
  const fitHalo = () => zoom.fitCircle(model.centre, report.coverage.radiiMm.black);
  return (
    <Tools>
      <IconButton label="Smaller" onPress={() => zoom.zoomBy(1 / ZOOM_STEP)}>
        <Minus size={14} aria-hidden="true" />
      </IconButton>
      <IconButton label="Larger" onPress={() => zoom.zoomBy(ZOOM_STEP)}>
        <Plus size={14} aria-hidden="true" />
      </IconButton>
      <IconButton label="Fit the frame" onPress={zoom.fitFrame}>
        <Square size={13} aria-hidden="true" />
      </IconButton>
      <IconButton label="Fit the whole halo" onPress={fitHalo}>
        <Circle size={14} aria-hidden="true" />
      </IconButton>
      <IconButton
        label={isPinned ? 'Take the pin out' : 'Pin this state to compare with'}
        onPress={onPin}
      >
        {isPinned ? <PinOff size={14} aria-hidden="true" /> : <Pin size={14} aria-hidden="true" />}
      </IconButton>
    </Tools>
  );
}
