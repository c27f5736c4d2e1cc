'use client';
import { memo, useEffect, useRef } from 'react';
import styled from 'styled-components';
import type { FrameMeasure, FrameView } from '@/core/measure';
import { diameterMm } from '@/core/words';

const Figure = styled.figure`
  position: relative;
  margin: 0;
  min-height: 0;
  background: var(--well);
  overflow: hidden;
  canvas,
  svg {
    position: absolute;
    inset: 14px;
    width: calc(100% - 28px);
    height: calc(100% - 28px);
    object-fit: contain;
  }
  svg {
    overflow: visible;
  }
`;

/** Grey for the frame; for what the fit leaves, blue below and amber above, grey where they agree. */
function colour(value: number, residual: boolean): [number, number, number] {
  if (!residual) return [value, value * 0.96, value * 0.88];
  const off = (value - 128) / 127;
  const base = 72;
  return off > 0
    ? [base + off * 183, base + off * 110, base - off * 30]
    : [base + off * 30, base - off * 60, base - off * 170];
}

/** The colour of every value there is, as bytes of a picture. */
const colours = (residual: boolean): readonly Uint8ClampedArray[] =>
  Array.from({ length: 256 }, (_, v) => Uint8ClampedArray.from([...colour(v, residual), 255]));
const COLOURS = { light: colours(false), residual: colours(true) };

interface FramePictureProps {
  view: FrameView;
  measure: FrameMeasure;
  residual: boolean;
}

/** A measured frame with the circle that was found in it, or what the fit leaves of it. */
export const FramePicture = memo(function FramePicture(props: FramePictureProps) {
  const { view, measure, residual } = props;
  const canvas = useRef<HTMLCanvasElement>(null);
  const { columns, rows, sensor } = view;
  useEffect(() => {
    const context = canvas.current?.getContext('2d');
    if (!context) return;
    const pixels = context.createImageData(columns, rows);
    const shown = residual ? 'residual' : 'light';
    view[shown].forEach((value, k) => {
      const bytes = COLOURS[shown][value];
      if (bytes) pixels.data.set(bytes, k * 4);
    });
    context.putImageData(pixels, 0, 0);
  }, [view, residual, columns, rows]);
  const half = measure.halfLightRadiusMm;
  const [cx, cy] = measure.centreMm ?? [0, 0];
  const radius = half?.value ?? measure.lowerBoundMm;
  const { widthMm: w, heightMm: h } = sensor;
  const unit = w / 36;
  return (
    <Figure
      role="img"
      aria-label={
        residual
          ? 'What the fit leaves of the frame: amber where it is brighter than the model, blue where darker, a quarter stop at most.'
          : `The frame with ${half ? `the half-light circle, ${diameterMm(half.value, 2)}` : 'the circle its half light must lie outside'}.`
      }
    >
      <canvas ref={canvas} width={columns} height={rows} />
      <svg
        viewBox={`${-w / 2} ${-h / 2} ${w} ${h}`}
        preserveAspectRatio="xMidYMid meet"
        aria-hidden="true"
      >
        {radius !== null && radius > 0 && measure.status !== 'refused' && (
          <>
            <circle
              cx={cx}
              cy={cy}
              r={radius}
              fill="none"
              stroke="#ffb84d"
              strokeWidth={0.16 * unit}
              strokeDasharray={half ? undefined : `${0.8 * unit} ${0.6 * unit}`}
            />
            <path
              d={`M${cx - unit} ${cy}h${2 * unit}M${cx} ${cy - unit}v${2 * unit}`}
              stroke="#ffb84d"
              strokeWidth={0.12 * unit}
            />
          </>
        )}
      </svg>
    </Figure>
  );
});
