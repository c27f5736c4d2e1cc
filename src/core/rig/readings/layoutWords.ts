/** All the drawn light path says, in words. */
import type { Report } from '../report';
import type { TrainLayout } from './trainLayout';
import { fixed, mm } from '../../words';

/** What is wrong with the way a rig goes together, a sentence each. */
export function troubleWords({ fit }: Report): string[] {
  const { strike, register } = fit;
  const words = fit.joints.map((j) => j.sentence);
  if (strike?.state === 'strikes' && strike.clearMm !== null)
    words.push(
      `Rear glass stands ${mm(strike.standsMm)} deep into ${strike.against}, which leaves ${mm(strike.clearMm)}: it strikes.`,
    );
  if (register.reachesInfinity === false && register.farthestFocusM !== null)
    words.push(
      `The lens stands ${mm(register.longMm ?? 0)} too far out for infinity: in focus to ${fixed(register.farthestFocusM, 2)} m.`,
    );
  return words;
}

export function layoutWords(layout: TrainLayout, report: Report): string {
  const pieces = layout.pieces.map((p) => `${p.name}, ${p.fact}`).join('; ');
  const long = `From the lens's flange to the sensor ${mm(layout.flangeMm, 2)}.`;
  return [`Light path from scene to sensor: ${pieces}.`, long, ...troubleWords(report)].join(' ');
}
