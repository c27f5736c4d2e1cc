'use client';
import { useEffect, useRef, useState } from 'react';
import styled from 'styled-components';
import { outlineToward, type Outline } from '@/core/halo';
import { times } from '@/core/words';
import { EmptyPlace } from '@/ui/controls/EmptyPlace';
import { FilePicker } from '@/ui/form/FilePicker';
import { outlinePath } from '@/ui/stage/outlinePath';
import type { OpenedPicture } from '@/workers/correction.worker';
import type { Lift } from './useLift';

const Frame = styled.div`
  position: relative;
  max-width: 1100px;
  margin: 0 auto;
  canvas {
    display: block;
    width: 100%;
    height: auto;
  }
  svg {
    position: absolute;
    inset: 0;
    width: 100%;
    height: 100%;
    overflow: hidden;
  }
  text {
    font-size: 13px;
    fill: #f4ead6;
    paint-order: stroke;
    stroke: #14110d;
    stroke-width: 3px;
  }
`;

/** The lifted one over it, from the slider to the right. */
const After = styled.div`
  position: absolute;
  inset: 0;
`;

const Edge = styled.i`
  position: absolute;
  top: 0;
  bottom: 0;
  width: 2px;
  margin-left: -1px;
  background: #ffb84d;
  pointer-events: none;
`;

const Slide = styled.label`
  display: flex;
  align-items: center;
  gap: 10px;
  max-width: 1100px;
  margin: 8px auto 0;
  color: var(--muted);
  input {
    flex: 1;
    accent-color: var(--amber);
  }
`;

function Picture({ bitmap }: { bitmap: ImageBitmap }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const at = canvas.current;
    if (!at) return;
    at.width = bitmap.width;
    at.height = bitmap.height;
    at.getContext('2d')?.drawImage(bitmap, 0, 0);
  }, [bitmap]);
  return <canvas ref={canvas} aria-hidden="true" />;
}

/** Rings of what the lift costs, and hatching where nothing is left; 1000 units across. */
function CostRings({ picture }: { picture: OpenedPicture }) {
  const { frame, cost } = picture;
  const across = 1000;
  const scale = across / frame.widthMm;
  const high = frame.heightMm * scale;
  const [cx, cy] = [across / 2 + frame.centre.xMm * scale, high / 2 + frame.centre.yMm * scale];
  const round = (outline: Outline) => outlinePath(outline, { xPx: cx, yPx: cy, pxPerMm: scale });
  // Where a ring's figure stands: toward the lower right corner, inside the picture.
  const turn = Math.atan2(high, across);
  const way = { xMm: Math.cos(turn), yMm: Math.sin(turn) };
  return (
    <svg viewBox={`0 0 ${across} ${high}`} role="img" aria-label={costWords(picture)}>
      <pattern id="nothing-left" width="12" height="12" patternUnits="userSpaceOnUse">
        <path d="M-3 3L3 -3M0 12L12 0M9 15L15 9" stroke="#ffb84d" strokeWidth="2" />
      </pattern>
      {cost.nothingLeft !== null && (
        <path
          d={`M0 0H${across}V${high}H0Z${round(cost.nothingLeft)}`}
          fill="url(#nothing-left)"
          fillRule="evenodd"
          opacity="0.7"
        />
      )}
      {cost.rings.map(({ stops, outline, isoFactor }) => {
        const reach = outlineToward(outline, way) * scale;
        const [x, y] = [cx + reach * way.xMm, cy + reach * way.yMm];
        const isInside = x < across - 60 && y < high - 8;
        return (
          <g key={stops}>
            <path d={round(outline)} fill="none" stroke="#14110d" strokeWidth="3" opacity="0.6" />
            <path d={round(outline)} fill="none" stroke="#f4ead6" strokeWidth="1.2" />
            {isInside && (
              <text x={x} y={y}>
                ISO {times(isoFactor, 1)}
              </text>
            )}
          </g>
        );
      })}
    </svg>
  );
}

/** What the lift costs, in words. */
export function costWords({ cost }: OpenedPicture): string {
  const { rings, nothingLeft, mostStops } = cost;
  if (rings.length === 0 && nothingLeft === null)
    return 'No place is lifted by more than half a stop: the noise hardly grows.';
  const left = nothingLeft === null ? '' : ' Hatched, nothing is left to lift.';
  return `The darkest place that can be lifted is lifted by ${mostStops.toFixed(1)} stops: noise there as at ISO ${times(2 ** mostStops, 1)}.${left}`;
}

/** The picture as it is and lifted, parted by a slider. */
export function LiftView({ lift }: { lift: Lift }) {
  const [split, setSplit] = useState(50);
  const { picture, trouble, open, name } = lift;
  if (!picture)
    return (
      <EmptyPlace as="div">
        <h1>{trouble === null ? 'Lift a picture of your own' : 'That cannot be lifted'}</h1>
        <p role={trouble === null ? undefined : 'alert'}>
          {trouble ??
            'A JPEG, PNG or TIFF taken with this rig as it is set, not cropped. Its dark corners are evened out by the halo the rig is known to have. It stays in this browser.'}
        </p>
        <div>
          <FilePicker
            label="Picture to lift"
            accept="image/jpeg,image/png,image/tiff,.tif,.tiff"
            onFiles={([file]) => file && open(file)}
          >
            Open a picture
          </FilePicker>
        </div>
      </EmptyPlace>
    );
  return (
    <>
      <Frame>
        <Picture bitmap={picture.before} />
        <After style={{ clipPath: `inset(0 0 0 ${split}%)` }}>
          <Picture bitmap={picture.after} />
        </After>
        <CostRings picture={picture} />
        <Edge style={{ left: `${split}%` }} />
      </Frame>
      <Slide>
        as it is
        <input
          type="range"
          min={0}
          max={100}
          value={split}
          aria-label={`${name ?? 'the picture'}: how much of it is shown as it is`}
          onChange={(event) => setSplit(Number(event.target.value))}
        />
        lifted
      </Slide>
    </>
  );
}
