/** Whether a rig goes together, as rows of words. */
import type { Report } from '@/core/rig/report';
import { fixed, metres, mm } from '@/core/words';
import type { ReadingRow } from './readingRow';

const STRIKE_WORDS = {
  clear: 'clear',
  close: 'close',
  strikes: 'strikes',
  'not known': 'not known',
} as const;

function infinityWords({ joints, register }: Report['fit']): string {
  const { reachesInfinity, farthestFocusM } = register;
  // What does not join reaches nothing yet.
  if (joints.length > 0) return 'does not join';
  if (reachesInfinity === null) return 'not known';
  return reachesInfinity ? 'reached' : `to ${metres(farthestFocusM)}`;
}

export function fitRows({ fit }: Report): ReadingRow[] {
  const { strike, carried } = fit;
  const carries = (['focus', 'aperture', 'metadata', 'stabiliser'] as const).filter(
    (k) => carried[k],
  );
  return [
    { name: 'Infinity', figure: infinityWords(fit), reading: 'register' },
    {
      name: 'Rear glass',
      figure: strike ? STRIKE_WORDS[strike.state] : 'not measured',
      note:
        strike?.clearMm != null
          ? `${fixed(strike.standsMm, 1)} into ${mm(strike.clearMm)}`
          : undefined,
      reading: 'strike',
    },
    {
      name: 'Contacts',
      figure: contactWords(fit.carriedKnown, carries),
      reading: 'contacts',
    },
    { name: 'Aperture', figure: APERTURE_WORDS[fit.aperture], reading: 'contacts' },
  ];
}

const contactWords = (known: boolean, carries: readonly string[]): string => {
  if (!known) return 'not known';
  return carries.length === 0 ? 'carry nothing' : carries.join(', ');
};

const APERTURE_WORDS = {
  body: 'by the body',
  'own ring': 'by its own ring',
  nothing: 'stays open: nothing works it',
  'not known': 'not known',
} as const;
