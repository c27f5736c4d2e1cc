'use client';
import styled from 'styled-components';
import type { Job } from '@/core/kit/records';
import type { Window } from '@/core/maths';
import { engraved } from '@/ui/theme/type';

const Scale = styled.svg`
  display: block;
  width: 100%;
  overflow: visible;
`;

const Heads = styled.div`
  ${engraved}
  position: relative;
  height: 16px;
  color: var(--muted);
  font-size: 11px;
  span {
    position: absolute;
    transform: translateX(-50%);
  }
`;

const HEIGHT_PX = 12;
const ROUND = [
  6, 8, 10, 12, 14, 16, 18, 20, 24, 28, 35, 40, 50, 60, 70, 85, 100, 135, 150, 200, 300, 400, 500,
  600, 800, 1000, 1200, 1600, 2000,
];
/** Marks nearer than this share of the scale lie over each other. */
const APART = 0.14;

/** Share of the way from the widest to the longest view wanted. */
const place = (view: number, { viewFromMm, viewToMm }: Job): number =>
  viewToMm > viewFromMm ? Math.log(view / viewFromMm) / Math.log(viewToMm / viewFromMm) : 0.5;

/** Round focal lengths along the scale, its ends first. */
export function ViewHeads({ job }: { job: Job }) {
  const { viewFromMm, viewToMm } = job;
  const ends = viewToMm > viewFromMm ? [viewFromMm, viewToMm] : [viewFromMm];
  const marks = [...ends, ...ROUND.filter((v) => v > viewFromMm && v < viewToMm)].reduce<number[]>(
    (kept, next) =>
      kept.every((k) => Math.abs(place(k, job) - place(next, job)) > APART)
        ? [...kept, next]
        : kept,
    [],
  );
  return (
    <Heads aria-hidden="true">
      {marks.map((v) => (
        <span key={v} style={{ left: `${100 * place(v, job)}%` }}>
          {Number(v.toFixed(1))}
        </span>
      ))}
    </Heads>
  );
}

/** The views a rig serves, on the scale all rows share. */
export function ViewScale({ views, job }: { views: readonly Window[]; job: Job }) {
  const x = (view: number) => `${100 * Math.min(1, Math.max(0, place(view, job)))}%`;
  return (
    <Scale height={HEIGHT_PX} aria-hidden="true">
      <line x1="0" x2="100%" y1={HEIGHT_PX / 2} y2={HEIGHT_PX / 2} stroke="var(--line)" />
      {views.map(({ from, to }) => {
        const [a, b] = [place(from, job), place(to, job)];
        return b - a < 0.01 ? (
          <circle key={from} cx={x(from)} cy={HEIGHT_PX / 2} r="3.5" fill="var(--amber)" />
        ) : (
          <line
            key={from}
            x1={x(from)}
            x2={x(to)}
            y1={HEIGHT_PX / 2}
            y2={HEIGHT_PX / 2}
            stroke="var(--amber)"
            strokeWidth="4"
          />
        );
      })}
    </Scale>
  );
}
