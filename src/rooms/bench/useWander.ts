'use client';
import { useEffect, useState } from 'react';
import type { Report } from '@/core/rig/evaluate';
import { wanderAt, wandered } from '@/core/rig/wandered';

/** The report with the sensor wandering through its travel while `playing`; the report itself otherwise. */
export function useWander(report: Report | null, playing: boolean): Report | null {
  const [seconds, setSeconds] = useState(0);
  useEffect(() => {
    if (!playing) return undefined;
    const started = performance.now();
    let frame = requestAnimationFrame(function tick(now) {
      setSeconds((now - started) / 1000);
      frame = requestAnimationFrame(tick);
    });
    return () => cancelAnimationFrame(frame);
  }, [playing]);
  return report && playing ? wandered(report, wanderAt(report.frame.travel, seconds)) : report;
}
