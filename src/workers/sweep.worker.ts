/** A thin door to a sweep's answer and curve, so that turning to another frame never waits for them. */
import { expose } from 'comlink';
import type { Rig } from '@/core/rig';
import {
  sweepAnswer,
  type SweepAnswer,
  coverageCurve,
  type CoverageCurve,
  type CurveAxis,
} from '@/core/sweep';

export interface Swept {
  answer: SweepAnswer;
  curve: CoverageCurve;
  /** The curve of what it is held against; null where that is nothing. */
  otherCurve: CoverageCurve | null;
}

const sweepDoor = {
  swept(rig: Rig, other: Rig | null, along: CurveAxis): Swept {
    return {
      answer: sweepAnswer(rig),
      curve: coverageCurve(rig, along),
      otherCurve: other ? coverageCurve(other, along) : null,
    };
  },
};

export type SweepDoor = typeof sweepDoor;

expose(sweepDoor);
