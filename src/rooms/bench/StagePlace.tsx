'use client';
import { Pause, Play } from 'lucide-react';
import { useRef, useState } from 'react';
import styled from 'styled-components';
import type { Offset } from '@/core/frame/geometry';
import type { Report } from '@/core/rig/evaluate';
import type { Rig } from '@/core/rig/rig';
import { shiftRangeMm } from '@/core/rig/train';
import { TextButton } from '@/ui/controls/Buttons';
import { Stage } from '@/ui/stage/Stage';
import type { BenchActions } from './useBench';
import { useWander } from './useWander';

const Place = styled.div`
  position: relative;
  min-height: 0;
`;

const Wander = styled(TextButton)`
  position: absolute;
  right: 10px;
  bottom: 26px;
  display: flex;
  align-items: center;
  gap: 6px;
  background: var(--raised);
`;

interface StagePlaceProps {
  rig: Rig;
  report: Report;
  preview: string | null;
  actions: BenchActions;
}

const step = (v: number): number => Math.round(v * 10) / 10;

/** The stage with what is done on it: shifting by drag, and letting the stabiliser wander. */
export function StagePlace({ rig, report, preview, actions }: StagePlaceProps) {
  const [wanted, setPlaying] = useState(false);
  const moves = report.frame.travel.xMm > 0 || report.frame.travel.yMm > 0;
  const playing = wanted && moves;
  const shown = useWander(report, playing);
  const range = shiftRangeMm(rig.parts);
  const before = useRef<Offset | null>(null);

  const shift = (byMm: Offset, done: boolean) => {
    const { settings } = rig;
    before.current ??= { xMm: settings.shiftXMm, yMm: settings.shiftYMm };
    const held = (v: number) => Math.min(range, Math.max(-range, step(v)));
    const change = {
      shiftXMm: held(before.current.xMm + byMm.xMm),
      shiftYMm: held(before.current.yMm + byMm.yMm),
    };
    if (done) {
      before.current = null;
      actions.settle('Shift the lens', change);
    } else actions.turn(change);
  };

  return (
    <Place>
      <Stage report={shown ?? report} preview={preview} shiftRangeMm={range} onShift={shift} />
      {moves && (
        <Wander onPress={() => setPlaying(!playing)}>
          {playing ? <Pause size={13} aria-hidden="true" /> : <Play size={13} aria-hidden="true" />}
          {playing ? 'Hold still' : 'Let it wander'}
        </Wander>
      )}
    </Place>
  );
}
