/** All the picture says, in words, for those who do not see it. */
import type { Report } from '@/core/rig/report/evaluate';

const mm = (v: number): string => `${v.toFixed(1)} mm`;
const CORNER_NAMES = ['top left', 'top right', 'bottom right', 'bottom left'] as const;

/** Darkness as shown at a corner: "1.3" stops, or "black". */
export function cornerWords(stops: number | null): string {
  if (stops === null || stops >= 5) return 'black';
  return stops < 0.05 ? '0.0' : `−${stops.toFixed(1)}`;
}

/** A state held to compare with. */
export interface Ghost {
  /** What it was: rig and settings, short. */
  name: string;
  report: Report;
}

export const ghostWords = ({ name, report }: Ghost): string =>
  `pinned: ${name}, ${report.verdict.kind}, halo ⌀ ${mm(report.coverage.radiiMm.half * 2)}`;

/** How much a corner's light changes over the stabiliser's travel. */
export function flickerWords({ wander }: Report): string {
  const { flickerStops } = wander;
  return flickerStops === null
    ? 'a corner goes black and back'
    : `corners flicker by ${flickerStops.toFixed(2)} stops`;
}

export function stageWords(report: Report): string {
  const { verdict, coverage, frame, halo } = report;
  const corners = coverage.cornerStops
    .map(
      (v, i) =>
        `${CORNER_NAMES[i] ?? ''} ${v === null || v >= 5 ? 'black' : `${v.toFixed(1)} stops down`}`,
    )
    .join(', ');
  const parts = [
    `${verdict.kind}. ${verdict.sentence}`,
    `The sensor plane seen from behind: the halo is ${mm(coverage.radiiMm.half * 2)} across at half light and black beyond ${mm(coverage.radiiMm.black * 2)}.`,
    `Read-out ${mm(frame.readOut.widthMm)} by ${mm(frame.readOut.heightMm)}, delivered ${mm(frame.delivered.widthMm)} by ${mm(frame.delivered.heightMm)}.`,
    `Corners: ${corners}.`,
  ];
  parts.push(
    `To cover it the halo would have to be ${mm(coverage.worstCornerRadiusMm * 2)} across.`,
  );
  if (frame.travel.xMm > 0)
    parts.push(
      `The stabiliser may move the frame by ${mm(frame.travel.xMm)}; ${flickerWords(report)}.`,
    );
  if (halo.definitionRadiusMm !== null) {
    parts.push(`Good definition within a circle ${mm(halo.definitionRadiusMm * 2)} across.`);
  }
  return parts.join(' ');
}
