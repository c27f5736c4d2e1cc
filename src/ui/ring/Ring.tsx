'use client';
import { memo, useMemo } from 'react';
import styled from 'styled-components';
import { bothOf, type VerdictFace, verdictWords } from '@/core/frame';
import { engraved, PHONE } from '../theme/type';
import { useSize } from '../useSize';
import { legibleMarks, type BarrelScale } from './scale';
import { useRing } from './useRing';
import { ValueField } from './ValueField';

/** A stretch of the ring with one verdict or one coin's toss, places 0..1. */
interface RibbonStretch extends VerdictFace {
  from: number;
  to: number;
}

interface RingProps {
  /** What the ring turns: "Zoom". */
  name: string;
  scale: BarrelScale;
  value: number;
  /** The value as engraved: "20 mm". */
  words: (value: number) => string;
  /** Reads a typed value; null where it is none. */
  read: (text: string) => number | null;
  /** The allowed range in words: "18 to 35 mm". */
  range: string;
  ribbon: readonly RibbonStretch[];
  /** Why nothing turns it; null where it turns. */
  held: string | null;
  onTurn: (value: number) => void;
  onSettle: (value: number) => void;
}

const Row = styled.div`
  display: grid;
  grid-template-columns: 78px minmax(0, 1fr);
  align-items: end;
  column-gap: 6px;
  @media ${PHONE} {
    grid-template-columns: 1fr;
  }
`;

const Barrel = styled.div`
  position: relative;
  padding: 0 14px;
  height: 62px;
  touch-action: pan-y;
  cursor: ew-resize;
  border-radius: var(--radius);
  svg {
    display: block;
    width: 100%;
    height: 100%;
    overflow: visible;
    pointer-events: none;
  }
  text {
    ${engraved}
    font-size: 12px;
    fill: var(--ink);
    text-anchor: middle;
  }
`;

/** A place on the ring as a length of the drawing. */
const along = (place: number): string => `${place * 100}%`;

/* Heights within the barrel, px. The figures stand low and the pointer ends above them, so that they never collide. */
const RIBBON = { y: 4, height: 8 };
const BAND = { y: 15, height: 45 };
const FIGURE_Y = 55;

/** A ring that nothing turns. */
const HELD = { cursor: 'not-allowed' } as const;
const HELD_Y = 42;

/** Room a figure needs, px. */
const FIGURE_PX = 34;

const Marks = memo(function Marks({ scale, width }: { scale: BarrelScale; width: number }) {
  const marks = useMemo(
    () => legibleMarks(scale, FIGURE_PX / Math.max(width, 100)),
    [scale, width],
  );
  return marks.map((mark) => (
    <g key={mark.value}>
      <line
        x1={along(scale.place(mark.value))}
        x2={along(scale.place(mark.value))}
        y1={BAND.y + 3}
        y2={BAND.y + (mark.label ? 14 : 8)}
        stroke={mark.label ? 'var(--ink)' : 'var(--muted)'}
        strokeWidth={mark.label ? 1.25 : 1}
      />
      {mark.label && (
        <text x={along(scale.place(mark.value))} y={FIGURE_Y}>
          {mark.label}
        </text>
      )}
    </g>
  ));
});

/** Each stretch in its verdict's pattern; a coin's toss runs in two, the better above. */
function Ribbon({ stretches }: { stretches: readonly RibbonStretch[] }) {
  return stretches.map((s) => {
    const kinds = [...new Set(bothOf(s))];
    const height = RIBBON.height / kinds.length;
    return kinds.map((kind, i) => (
      <rect
        key={`${s.from} ${kind}`}
        x={along(s.from)}
        width={along(s.to - s.from)}
        y={RIBBON.y + i * height}
        height={height}
        fill={`url(#ribbon-${kind})`}
      />
    ));
  });
}

function Pointer({ place }: { place: number }) {
  return (
    <svg x={along(place)} style={{ overflow: 'visible' }}>
      <path d="M0 1V31" stroke="var(--amber)" strokeWidth="2" />
      <path d="M-5 41L0 31L5 41Z" fill="var(--amber)" />
    </svg>
  );
}

/** The ribbon in words: "Clipped to 23 mm, Clear to 35 mm". */
function ribbonWords(props: RingProps): string {
  const { ribbon, scale, words } = props;
  return ribbon.map((s) => `${verdictWords(s)} to ${words(scale.value(s.to))}`).join(', ');
}

/** A barrel scale with its verdict ribbon; turned by finger, mouse, keyboard or typing. */
export function Ring(props: RingProps) {
  const { name, scale, value, words, read, range, ribbon, held, onTurn, onSettle } = props;
  const [ref, { width }] = useSize<HTMLDivElement>();
  const barrel = useRing({ scale, value, onTurn, onSettle, isHeld: held !== null });
  return (
    <Row>
      <ValueField
        name={name}
        shown={words(value)}
        read={read}
        range={range}
        isHeld={held !== null}
        onEnter={onSettle}
      />
      <Barrel
        {...barrel}
        ref={ref}
        aria-label={`${name} ring`}
        aria-disabled={held !== null}
        style={held === null ? undefined : HELD}
        aria-valuemin={0}
        aria-valuemax={1000}
        aria-valuenow={Math.round(scale.place(value) * 1000)}
        aria-valuetext={words(value)}
        aria-description={held ?? ribbonWords(props)}
        data-ring={name}
      >
        <svg aria-hidden="true">
          <Ribbon stretches={ribbon} />
          <rect
            x="-14"
            width="calc(100% + 28px)"
            y={BAND.y}
            height={BAND.height}
            rx="3"
            fill="var(--raised)"
          />
          {held === null ? (
            <Marks scale={scale} width={width} />
          ) : (
            <text x="50%" y={HELD_Y}>
              {held}
            </text>
          )}
          <Pointer place={scale.place(value)} />
        </svg>
      </Barrel>
    </Row>
  );
}
