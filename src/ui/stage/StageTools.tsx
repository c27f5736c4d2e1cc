'use client';
import { Circle, Minus, Pin, PinOff, Plus, Square } from 'lucide-react';
import { memo } from 'react';
import styled from 'styled-components';
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
    position: static;
    justify-self: start;
    align-self: center;
    margin-left: 6px;
    button {
      min-width: 31px;
    }
  }
`;

interface StageToolsProps {
  zoom: StageZoom;
  onFitHalo: () => void;
  isPinned: boolean;
  onPin: () => void;
}

/** Zoom, fit, and the pin that holds a state to compare with. They stand still while rings are turned. */
export const StageTools = memo(function StageTools(props: StageToolsProps) {
  const { zoom, onFitHalo, isPinned, onPin } = props;
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
      <IconButton label="Fit the whole halo" onPress={onFitHalo}>
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
});
