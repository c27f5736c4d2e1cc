/** All the picture says, in words, for those who do not see it. */
import type { Report } from '@/core/rig/report';
import {
  CORNER_NAMES,
  darknessWords,
  flickerWords,
  diameterMm,
  mm,
  placeWords,
  travelWords,
} from '@/core/words';
import { isOffMiddle } from '@/core/optics';
import { isMoving, verdictWords } from '@/core/frame';

/** A state held to compare with. */
export interface Ghost {
  /** What it was: rig and settings, short. */
  name: string;
  report: Report;
}

export const ghostWords = ({ name, report }: Ghost): string =>
  `pinned: ${name}, ${verdictWords(report.verdict)}, halo ${diameterMm(report.coverage.radiiMm.half)}`;

export function stageWords(report: Report): string {
  const { verdict, coverage, frame, halo } = report;
  const corners = coverage.cornerStops
    .map((v, i) => `${CORNER_NAMES[i] ?? ''} ${darknessWords(v)}`)
    .join(', ');
  const parts = [
    `${verdictWords(verdict)}. ${verdict.sentence}`,
    `The sensor plane seen from behind: the halo is ${mm(coverage.radiiMm.half * 2)} across at half light and black beyond ${mm(coverage.radiiMm.black * 2)}.`,
    `Read-out ${mm(frame.readOut.widthMm)} by ${mm(frame.readOut.heightMm)}, delivered ${mm(frame.delivered.widthMm)} by ${mm(frame.delivered.heightMm)}.`,
    `Corners${isMoving(frame.travel) ? ' at rest' : ''}: ${corners}.`,
  ];
  if (isOffMiddle(frame.middle))
    parts.push(`The read-out lies ${placeWords(frame.middle)} of the sensor’s middle.`);
  parts.push(
    `To cover it the halo would have to be ${mm(coverage.worstCornerRadiusMm * 2)} across.`,
  );
  if (isMoving(frame.travel))
    parts.push(
      `The frame may move by ${travelWords(frame.travel)}; ${flickerWords(report.wander.flickerStops)}.`,
    );
  if (halo.definitionRadiusMm !== null) {
    parts.push(`Good definition within a circle ${mm(halo.definitionRadiusMm * 2)} across.`);
  }
  return parts.join(' ');
}
