/** What stands on a rig's card: what to dial, where it is safe, what to mind. Words and figures; no layout. */
import type { VerdictFace } from '../frame';
import type { Halo } from '../halo';
import { fullName, isZoom } from '../kit/records';
import type { Window } from '../maths';
import type { FrameSize } from '../optics';
import { layTrain, type TrainLayout, troubleWords, evidenceSentence } from '../rig/readings';
import { evaluate } from '../rig/report';
import type { Rig } from '../rig';
import { sweepAnswer } from '../sweep';
import { riskFigure } from '../words';
import type { CardLine, CardSection } from './cardLine';
import { dialsOf } from './dials';
import { sectionsOf } from './sections';

/** Where the zoom stands and where it is Clear, for the engraved arc. */
export interface CardWindow {
  span: Window;
  windows: Window[];
  focalMm: number;
}

export interface RigCard {
  name: string;
  /** Body and mode. */
  on: string;
  verdict: VerdictFace;
  /** What stands before all coverage; null where it goes together. */
  fitProblem: string | null;
  sentence: string;
  /** "risk 4 %, measured". */
  risk: string;
  /** What is dialled, large. */
  dials: CardLine[];
  /** Scene to sensor. */
  train: CardLine[];
  layout: TrainLayout;
  window: CardWindow | null;
  halo: Halo;
  delivered: FrameSize;
  readOut: FrameSize;
  sections: CardSection[];
  cautions: string[];
  evidence: string;
  note: string;
}

/** Scene to sensor, what is screwed to what. */
const trainOf = (layout: TrainLayout): CardLine[] =>
  layout.pieces.map(({ name, fact }) => ({ name, figure: fact }));

/** The card of a rig as it is set. `today` is an ISO date. */
export function rigCard(rig: Rig, note: string, today: string): RigCard {
  const report = evaluate(rig);
  const answer = sweepAnswer(rig);
  const layout = layTrain(rig, report);
  const { verdict, halo, frame, cautions, fitProblem } = report;
  return {
    name: rig.name,
    on: `${fullName(rig.body)} · ${rig.mode.name}`,
    verdict: { kind: verdict.kind, or: verdict.or },
    fitProblem: fitProblem?.words ?? null,
    sentence: verdict.sentence,
    risk: riskFigure(verdict.risk, halo.evidence.kind),
    dials: dialsOf(rig, report),
    train: trainOf(layout),
    layout,
    window: isZoom(rig.lens)
      ? {
          span: { from: rig.lens.focalMinMm, to: rig.lens.focalMaxMm },
          windows: answer.now.windows,
          focalMm: rig.settings.focalMm,
        }
      : null,
    halo: halo.model,
    delivered: frame.delivered,
    readOut: frame.readOut,
    sections: sectionsOf(rig, report, answer),
    cautions: [...troubleWords(report), ...cautions.map((c) => c.words)],
    evidence: evidenceSentence(report, today),
    note,
  };
}
