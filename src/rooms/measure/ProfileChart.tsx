'use client';
import { memo, useMemo } from 'react';
import {
  CartesianGrid,
  Line,
  LineChart,
  ReferenceLine,
  ResponsiveContainer,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts';
import styled from 'styled-components';
import type { FrameView, FrameMeasure } from '@/core/measure';
import { stopsWords } from '@/core/words';

const Place = styled.div`
  height: 190px;
  padding: 6px 14px 0 0;
  border-top: 1px solid var(--line);
`;

const TICK = { fill: 'var(--muted)', fontSize: 11 };

/** Where the half-light and the -1 and -2 stop radii stand. */
function marks({ halfLightRadiusMm, stopRadiiMm }: FrameMeasure) {
  const stopsAt = [stopRadiiMm[1], stopRadiiMm[2]].filter((r) => r !== null);
  return [
    ...stopsAt.map((r) => <ReferenceLine key={r} x={r} stroke="var(--line)" />),
    halfLightRadiusMm && (
      <ReferenceLine
        key="half"
        x={halfLightRadiusMm.value}
        stroke="var(--amber)"
        strokeDasharray="3 3"
      />
    ),
  ];
}

/** Darkness by radius: medians of the frame, and the model through them. */
export default memo(function ProfileChart(props: { view: FrameView; measure: FrameMeasure }) {
  const { view, measure } = props;
  const points = useMemo(
    () =>
      view.profile.map((p) => ({
        radiusMm: Number(p.radiusMm.toFixed(2)),
        frame: Number((-p.measured).toFixed(3)),
        model: p.model === null ? null : Number((-p.model).toFixed(3)),
      })),
    [view],
  );
  return (
    <Place
      role="img"
      aria-label="Light by distance from the halo’s centre, in stops below the middle: the frame and the model."
    >
      <ResponsiveContainer width="100%" height="100%">
        <LineChart
          data={points}
          margin={{ top: 8, right: 8, bottom: 16, left: 0 }}
          accessibilityLayer={false}
        >
          <CartesianGrid stroke="var(--line)" strokeWidth={0.5} />
          <XAxis
            dataKey="radiusMm"
            type="number"
            domain={[0, 'dataMax']}
            tickCount={8}
            stroke="var(--line)"
            tick={TICK}
            label={{
              value: 'from the centre, mm; dots are the frame, the line is the model',
              position: 'insideBottom',
              offset: -10,
              fill: 'var(--muted)',
            }}
            tickFormatter={(v: number) => v.toFixed(0)}
          />
          <YAxis
            domain={[-6, 0]}
            ticks={[0, -1, -2, -3, -4, -5, -6]}
            width={44}
            stroke="var(--line)"
            tick={TICK}
            tickFormatter={(v: number) => (v === 0 ? '0' : `−${-v}`)}
          />
          <Tooltip
            isAnimationActive={false}
            contentStyle={{ background: 'var(--lifted)', border: '1px solid var(--line)' }}
            formatter={(v) => (typeof v === 'number' ? stopsWords(v, 2) : '')}
            labelFormatter={(r) => (typeof r === 'number' ? `${r} mm from the centre` : '')}
          />
          {marks(measure)}
          <Line
            dataKey="model"
            name="model"
            stroke="var(--amber)"
            strokeWidth={1.5}
            dot={false}
            isAnimationActive={false}
          />
          <Line
            dataKey="frame"
            name="frame"
            stroke="var(--ink)"
            strokeWidth={0}
            dot={{ r: 1.3, fill: 'var(--ink)', strokeWidth: 0 }}
            activeDot={{ r: 3 }}
            isAnimationActive={false}
          />
        </LineChart>
      </ResponsiveContainer>
    </Place>
  );
});
