'use client';
import {
  Area,
  ComposedChart,
  Line,
  ReferenceDot,
  ReferenceLine,
  ResponsiveContainer,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts';
import styled from 'styled-components';
import type { CoverageCurve, CurveMark, NeededCircle } from '@/core/sweep';
import { fixed, fWords, mm } from '@/core/words';

const Place = styled.figure`
  margin: 0;
  height: 176px;
  figcaption {
    color: var(--muted);
    font-size: 12px;
  }
`;

const TICK = { fill: 'var(--muted)', fontSize: 11 };

interface CurveChartProps {
  curve: CoverageCurve;
  other: CoverageCurve | null;
  otherName: string;
  /** Where the first and the last column of the sheet below have their middles, px from left and right. */
  leftPx: number;
  rightPx: number;
  /** The ends of the sheet's columns. */
  from: number;
  to: number;
  /** Where the frame in hand stands; null off the curve. */
  at: number | null;
}

const digits = (v: number): number => Number(v.toFixed(2));

/** The curve's points as the chart wants them, the band as a pair. */
const rowsOf = ({ points }: CoverageCurve) =>
  points.map((p) => ({
    at: p.at,
    accepted: digits(p.acceptedMm),
    band: [digits(p.lowMm), digits(p.highMm)] as const,
    half: digits(p.halfMm),
  }));

/** The circles so far apart that their names do not lie over each other, the rig's own among them. */
function labelled(needed: readonly NeededCircle[], spanMm: number): Set<NeededCircle> {
  const apart = spanMm / 9;
  const inOrder = needed.toSorted((a, b) => Number(b.isOwn) - Number(a.isOwn));
  return new Set(
    inOrder.reduce<NeededCircle[]>(
      (kept, next) =>
        kept.some((k) => Math.abs(k.diameterMm - next.diameterMm) < apart) ? kept : [...kept, next],
      [],
    ),
  );
}

function neededLines(needed: readonly NeededCircle[], low: number, high: number) {
  const named = labelled(needed, high - low);
  return needed.map((circle) => (
    <ReferenceLine
      key={circle.names.join()}
      y={circle.diameterMm}
      stroke={circle.isOwn ? 'var(--ink)' : 'var(--muted)'}
      strokeDasharray="5 4"
      strokeWidth={circle.isOwn ? 1.2 : 0.8}
      label={
        named.has(circle)
          ? {
              value: circle.names.join(' · '),
              position: 'insideBottomRight',
              fill: circle.isOwn ? 'var(--ink)' : 'var(--muted)',
              fontSize: 11,
              // Read over the curve it may cross.
              style: { paintOrder: 'stroke', stroke: 'var(--ground)', strokeWidth: 4 },
            }
          : undefined
      }
    />
  ));
}

const dots = (marks: readonly CurveMark[]) =>
  marks.map(({ at, acceptedMm, kind }, i) => (
    <ReferenceDot
      key={`${at}/${i}`}
      x={at}
      y={acceptedMm}
      r={4}
      fill={kind === 'measured' ? 'var(--amber)' : 'var(--ground)'}
      stroke="var(--amber)"
      strokeWidth={1.8}
      ifOverflow="visible"
    />
  ));

/** Steps of the scale that give three to five marks, mm. */
const SCALE_STEPS = [1, 2, 5, 10, 20, 50, 100];

function ticksBetween(low: number, high: number): number[] {
  const step = SCALE_STEPS.find((s) => (high - low) / s <= 5) ?? 200;
  const first = Math.ceil(low / step) * step;
  return Array.from({ length: Math.floor((high - first) / step) + 1 }, (_, i) => first + i * step);
}

function spanOf(curve: CoverageCurve, other: CoverageCurve | null): [number, number] {
  const all = [
    ...[curve, ...(other ? [other] : [])].flatMap((c) =>
      c.points.flatMap((p) => [p.acceptedMm, p.highMm, p.lowMm]),
    ),
    ...curve.needed.map((n) => n.diameterMm),
  ];
  return [Math.floor(Math.min(...all) - 1), Math.ceil(Math.max(...all) + 1)];
}

const otherLine = (other: CoverageCurve, name: string) => (
  <Line
    data={rowsOf(other)}
    dataKey="accepted"
    name={name}
    stroke="var(--ink)"
    strokeWidth={1.4}
    dot={false}
    activeDot={false}
    isAnimationActive={false}
  />
);

/** What the chart says to who cannot see it. */
const spoken = ({ along, points, needed }: CoverageCurve): string =>
  `Diameter of the circle of accepted corners by ${along === 'focal' ? 'focal length' : 'aperture'}, from ${mm(points[0]?.acceptedMm ?? 0)} to ${mm(points.at(-1)?.acceptedMm ?? 0)}; needed: ${needed.map((n) => `${n.names.join(', ')} ${mm(n.diameterMm)}`).join('; ')}.`;

/** Diameter of the circle of accepted corners over the sheet's own axis, and what each mode needs. */
export default function CurveChart(props: CurveChartProps) {
  const { curve, other, otherName, leftPx, rightPx, from, to, at } = props;
  const isFocal = curve.along === 'focal';
  const [low, high] = spanOf(curve, other);
  const shared = { data: rowsOf(curve), isAnimationActive: false, dot: false } as const;
  return (
    <Place role="img" aria-label={spoken(curve)}>
      <ResponsiveContainer width="100%" height="100%">
        <ComposedChart
          margin={{ top: 6, right: rightPx, bottom: 0, left: 0 }}
          accessibilityLayer={false}
        >
          <XAxis
            dataKey="at"
            type="number"
            scale="log"
            domain={from < to ? [from, to] : [from * 0.98, to * 1.02]}
            allowDataOverflow
            hide
          />
          <YAxis
            width={leftPx}
            domain={[low, high]}
            ticks={ticksBetween(low, high)}
            interval={0}
            stroke="none"
            tick={TICK}
            tickFormatter={(v: number) => fixed(v, 0)}
          />
          <Tooltip
            isAnimationActive={false}
            cursor={{ stroke: 'var(--line)' }}
            contentStyle={{ background: 'var(--lifted)', border: '1px solid var(--line)' }}
            formatter={(v, name) => [
              Array.isArray(v) ? v.map((x) => fixed(Number(x), 1)).join('–') : mm(Number(v)),
              name,
            ]}
            labelFormatter={(v) => (isFocal ? mm(Number(v)) : fWords(Number(v), 1))}
          />
          <Area
            {...shared}
            dataKey="band"
            name="9 of 10 between"
            stroke="none"
            fill="var(--amber)"
            fillOpacity={0.16}
            activeDot={false}
          />
          {neededLines(curve.needed, low, high)}
          {at !== null && <ReferenceLine x={at} stroke="var(--line)" />}
          <Line
            {...shared}
            dataKey="half"
            name="half light"
            stroke="var(--muted)"
            strokeWidth={1}
            strokeDasharray="1 3"
            activeDot={false}
          />
          {other && otherLine(other, otherName)}
          <Line
            {...shared}
            dataKey="accepted"
            name="corners accepted"
            stroke="var(--amber)"
            strokeWidth={2}
          />
          {dots(curve.marks)}
        </ComposedChart>
      </ResponsiveContainer>
    </Place>
  );
}
