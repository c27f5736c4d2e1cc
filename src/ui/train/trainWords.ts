/** All the drawn light path says, in words. */
import type { Report } from '@/core/rig/report/evaluate';
import type { TrainLayout } from './trainLayout';

/** What is wrong with the way a rig goes together, a sentence each. */
export function troubleWords({ fit }: Report): string[] {
  const { strike, register } = fit;
  const words = fit.joints.map((j) => j.sentence);
  if (strike?.state === 'strikes' && strike.clearMm !== null)
    words.push(
      `Rear glass stands ${strike.standsMm.toFixed(1)} mm deep into ${strike.against}, which leaves ${strike.clearMm.toFixed(1)} mm: it strikes.`,
    );
  if (register.reachesInfinity === false && register.farthestFocusM !== null)
    words.push(
      `The lens stands ${(register.longMm ?? 0).toFixed(1)} mm too far out for infinity: in focus to ${register.farthestFocusM.toFixed(2)} m.`,
    );
  return words;
}

export function trainWords(layout: TrainLayout, report: Report): string {
  const pieces = layout.pieces.map((p) => `${p.name}, ${p.fact}`).join('; ');
  const long = `From the lens's flange to the sensor ${layout.flangeMm.toFixed(2)} mm.`;
  return [`Light path from scene to sensor: ${pieces}.`, long, ...troubleWords(report)].join(' ');
}
