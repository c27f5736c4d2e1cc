'use client';
import { Pause, Play } from 'lucide-react';
import { memo, useRef, useState } from 'react';
import styled from 'styled-components';
import type { Offset } from '@/core/optics';
import type { Report } from '@/core/rig/report';
import type { Rig } from '@/core/rig';
import { shiftRangeMm } from '@/core/rig/train';
import { TextButton } from '@/ui/controls/Buttons';
import { Stage } from '@/ui/stage/Stage';
import { flickerWords } from '@/core/words';
import type { Ghost } from '@/ui/stage/stageWords';
import { PHONE } from '@/ui/theme/type';
import type { Tell } from '@/shell/tell';
import type { BenchActions } from '@/shell/rig/useBench';
import { ShownTools } from './ShownTools';
import { useShown } from './useShown';
import { useWander, type Wander } from './useWander';
import { isMoving } from '@/core/frame';

const Place = styled.div`
  position: relative;
  min-height: 0;
`;

const Wandering = styled.div`
  position: absolute;
  right: 10px;
  bottom: 26px;
  display: flex;
  border-radius: var(--radius);
  background: var(--raised);
  button {
    display: flex;
    align-items: center;
    gap: 6px;
  }
  button[aria-pressed='true'] {
    color: var(--amber);
  }
  @media ${PHONE} {
    right: 6px;
    bottom: 2px;
    button {
      height: 40px;
    }
  }
`;

interface WanderToolsProps {
  wander: Wander;
  onWander: (next: Wander) => void;
}

const WanderTools = memo(function WanderTools({ wander, onWander }: WanderToolsProps) {
  const playing = wander === 'wander';
  const worst = wander === 'worst';
  return (
    <Wandering>
      <TextButton onPress={() => onWander(playing ? 'rest' : 'wander')}>
        {playing ? <Pause size={13} aria-hidden="true" /> : <Play size={13} aria-hidden="true" />}
        {playing ? 'Hold still' : 'Let it wander'}
      </TextButton>
      <TextButton aria-pressed={worst} onPress={() => onWander(worst ? 'rest' : 'worst')}>
        Worst case
      </TextButton>
    </Wandering>
  );
});

interface StagePlaceProps {
  rig: Rig;
  report: Report;
  /** The way out looked at; null while the stage shows the rig as it is. */
  preview: string | null;
  ghost: Ghost | null;
  onPin: () => void;
  actions: BenchActions;
  tell: Tell;
}

const step = (v: number): number => Math.round(v * 10) / 10;

/** What is said over the stage while the sensor is not at rest. */
function wanderWords(report: Report, wander: Wander): string | null {
  if (wander === 'rest') return null;
  return wander === 'wander'
    ? `Wandering: ${flickerWords(report.wander.flickerStops)}`
    : `The frame at its worst end: ${flickerWords(report.wander.flickerStops)}`;
}

/** The stage with what is done on it: shifting by drag, and letting the stabiliser wander. */
export function StagePlace(props: StagePlaceProps) {
  const { rig, report, preview, ghost, onPin, actions, tell } = props;
  const onStage = useShown(rig, report, tell);
  const [wanted, setWanted] = useState<Wander>('rest');
  const moves = isMoving(report.frame.travel);
  const wander = moves ? wanted : 'rest';
  const shown = useWander(report, wander);
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
      <Stage
        report={shown}
        ghost={ghost}
        shown={onStage.shown}
        said={preview ?? wanderWords(report, wander)}
        shiftRangeMm={range}
        onShift={shift}
        onPin={onPin}
      />
      <ShownTools shown={onStage} />
      {moves && <WanderTools wander={wander} onWander={setWanted} />}
    </Place>
  );
}
