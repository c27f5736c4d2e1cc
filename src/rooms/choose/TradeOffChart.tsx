'use client';
import {
  CartesianGrid,
  ResponsiveContainer,
  Scatter,
  ScatterChart,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts';
import styled from 'styled-components';
import {
  candidateKey,
  type Candidate,
  type TradeOffCost,
  lightWords,
  viewWords,
} from '@/core/choose';
import { fixed } from '@/core/words';
import { wholeName, type Namer } from './names';

const Place = styled.div`
  height: 190px;
`;

const Bubble = styled.div`
  max-width: 260px;
  padding: 6px 10px;
  background: var(--lifted);
  border: 1px solid var(--line);
  border-radius: var(--radius);
  font-size: 12px;
`;

const TICK = { fill: 'var(--muted)', fontSize: 11 };

/** More dots than this are a cloud. */
const MOST_DOTS = 120;

interface Point {
  light: number;
  cost: number;
  candidate: Candidate;
}

/** A dot for each place of the chart, however many stand there. */
function pointsOf(candidates: readonly Candidate[], cost: TradeOffCost): Point[] {
  const places = new Map<string, Point>();
  for (const candidate of candidates) {
    const { tStop } = candidate;
    const value = candidate[cost];
    if (tStop === null || value === null) continue;
    const place = `${tStop.toFixed(2)} ${value}`;
    if (places.size < MOST_DOTS && !places.has(place))
      places.set(place, { light: tStop, cost: value, candidate });
  }
  return [...places.values()];
}

interface TradeOffChartProps {
  passing: readonly Candidate[];
  best: readonly Candidate[];
  cost: TradeOffCost;
  nameOf: Namer;
  onChoose: (candidate: Candidate) => void;
}

/** Ends of the scale are whole hundreds, of grams as of money. */
const ROUND = 100;
/** Room beyond the ends of the light, as factors. */
const LIGHT_ENDS = { least: 0.93, most: 1.07 };
/** A scale of light that is shorter, in T-stop numbers, is told by hundredths. */
const SHORT_SCALE = 0.5;

function lightDigits(points: readonly Point[]): number {
  const lights = points.map((p) => p.light);
  const [low, high] = [Math.min(...lights), Math.max(...lights)];
  return high * LIGHT_ENDS.most - low * LIGHT_ENDS.least < SHORT_SCALE ? 2 : 1;
}

/** Light against mass or price: what nothing beats glows, all else is quiet. */
export default function TradeOffChart(props: TradeOffChartProps) {
  const { passing, best, cost, nameOf, onChoose } = props;
  const bestKeys = new Set(best.map(candidateKey));
  const others = passing.filter((c) => !bestKeys.has(candidateKey(c)));
  const [quiet, glowing] = [pointsOf(others, cost), pointsOf(best, cost)];
  const digits = lightDigits([...quiet, ...glowing]);
  const choose = (point: unknown) => {
    const { payload } = point as { payload?: Point };
    if (payload) onChoose(payload.candidate);
  };
  return (
    <Place
      role="img"
      aria-label={`Light against ${cost === 'massG' ? 'mass' : 'price'}: ${best.length} rigs that no other beats, of ${passing.length}.`}
    >
      <ResponsiveContainer width="100%" height="100%">
        <ScatterChart
          margin={{ top: 6, right: 12, bottom: 16, left: 0 }}
          accessibilityLayer={false}
        >
          <CartesianGrid stroke="var(--line)" strokeWidth={0.5} />
          <XAxis
            type="number"
            dataKey="cost"
            domain={[
              (low: number) => ROUND * Math.floor((low * 0.97) / ROUND),
              (high: number) => ROUND * Math.ceil((high * 1.03) / ROUND),
            ]}
            tickCount={4}
            stroke="var(--line)"
            tick={TICK}
            tickFormatter={(v: number) => (cost === 'massG' ? `${v} g` : String(v))}
          />
          <YAxis
            type="number"
            dataKey="light"
            scale="log"
            reversed
            domain={[
              (low: number) => low * LIGHT_ENDS.least,
              (high: number) => high * LIGHT_ENDS.most,
            ]}
            width={34}
            stroke="var(--line)"
            tick={TICK}
            tickFormatter={(v: number) => `T${fixed(v, digits)}`}
          />
          <Tooltip
            isAnimationActive={false}
            cursor={false}
            content={({ payload }) => {
              const point = payload[0]?.payload as Point | undefined;
              return point ? (
                <Bubble>
                  {wholeName(nameOf(point.candidate))}: {viewWords(point.candidate.views)},{' '}
                  {lightWords(point.candidate)}
                </Bubble>
              ) : null;
            }}
          />
          <Scatter
            data={quiet}
            fill="var(--muted)"
            fillOpacity={0.5}
            isAnimationActive={false}
            onClick={choose}
          />
          <Scatter
            data={glowing}
            fill="var(--amber)"
            stroke="var(--ground)"
            shape="diamond"
            isAnimationActive={false}
            onClick={choose}
          />
        </ScatterChart>
      </ResponsiveContainer>
    </Place>
  );
}
