'use client';
import { useEffect, useState } from 'react';
import { type Report, wanderAt, wandered, worstStand } from '@/core/rig/report';

/** What the sensor does: it rests, wanders through its travel, or is held where it stands worst. */
export type Wander = 'rest' | 'wander' | 'worst';

/** The report with the sensor where it is; the report itself at rest. */
export function useWander(report: Report, wander: Wander): Report {
  const [seconds, setSeconds] = useState(0);
  useEffect(() => {
    if (wander !== 'wander') return undefined;
    const started = performance.now();
    let frame = requestAnimationFrame(function tick(now) {
      setSeconds((now - started) / 1000);
      frame = requestAnimationFrame(tick);
    });
    return () => cancelAnimationFrame(frame);
  }, [wander]);
  switch (wander) {
    case 'rest':
      return report;
    case 'wander':
      return wandered(report, wanderAt(report.frame.travel, seconds));
    case 'worst':
      return wandered(report, worstStand(report));
  }
}
