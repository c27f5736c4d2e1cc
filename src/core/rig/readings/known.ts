/** What the owner of a lens knows of it, as far as it was said near how the lens is set. */
import {
  ASPECTS_KNOWN,
  isJudged,
  type Knowledge,
  type KnownAspect,
  type Lens,
} from '../../kit/records';
import { stopsBetweenFNumbers } from '../../optics';
import { fWords, mm } from '../../words';
import type { Why } from './whyTypes';

export interface Known {
  aspect: KnownAspect | 'character';
  name: string;
  word: string;
  /** Where it was seen: "at 18 mm and f/1.8". */
  where: string;
}

/** What was seen farther away than this says nothing here: octaves of focal length, stops. */
const NEAR_OCTAVES = 0.25;
const NEAR_STOPS = 1;

const NAMES: Readonly<Record<Known['aspect'], string>> = {
  corners: 'Corners',
  distortion: 'Distortion',
  breathing: 'Breathing',
  zoomFocus: 'Focus while zooming',
  character: 'Character',
};

/** How far away a note was seen, 0 where it stands for every mark; null where too far. */
function distanceOf({ focalMm, fNumber }: Knowledge, at: At): number | null {
  const octaves = focalMm === null ? 0 : Math.abs(Math.log2(at.focalMm / focalMm));
  const stops = fNumber === null ? 0 : Math.abs(stopsBetweenFNumbers(at.fNumber, fNumber));
  if (octaves > NEAR_OCTAVES || stops > NEAR_STOPS) return null;
  // One that speaks of this setting comes before one that speaks of all.
  const general = (focalMm === null ? 0.5 : 0) + (fNumber === null ? 0.5 : 0);
  return octaves / NEAR_OCTAVES + stops / NEAR_STOPS + general;
}

const whereWords = ({ focalMm, fNumber }: Knowledge): string =>
  [
    focalMm === null ? '' : `at ${mm(focalMm, 0)}`,
    fNumber === null ? '' : `${focalMm === null ? 'at' : 'and'} ${fWords(fNumber, 1)}`,
  ]
    .filter(Boolean)
    .join(' ') || 'everywhere';

interface At {
  focalMm: number;
  fNumber: number;
}

/** What is known of a lens at a setting: of each aspect the note that was seen nearest. Nothing is made up. */
export function knownAt({ knowledge }: Pick<Lens, 'knowledge'>, at: At): Known[] {
  const near = knowledge
    .flatMap((note) => {
      const distance = distanceOf(note, at);
      return distance === null ? [] : [{ note, distance }];
    })
    .toSorted((a, b) => a.distance - b.distance);
  return [...ASPECTS_KNOWN, 'character' as const].flatMap((aspect) => {
    const found = near.find(({ note }) => isJudged(note[aspect]));
    return found
      ? [
          {
            aspect,
            name: NAMES[aspect],
            word: found.note[aspect],
            where: whereWords(found.note),
          },
        ]
      : [];
  });
}

/** One aspect in words: "soft, at 18 mm and f/1.8"; null where nobody said. */
export function knownWords(
  lens: Pick<Lens, 'knowledge'>,
  at: At,
  aspect: Known['aspect'],
): string | null {
  const known = knownAt(lens, at).find((k) => k.aspect === aspect);
  return known ? `${known.word}, seen ${known.where}` : null;
}

/** Why something is said of a lens: its owner said it. `inputs` are what of it is shown. */
export const whyKnown = (inputs: Why['inputs']): Why => ({
  title: 'What you know of this lens',
  formula: 'what its owner said of it nearest to this zoom mark and aperture',
  inputs,
  evidence:
    'Data only: nothing is worked out from it, and nothing is said that nobody saw. Said on the Bench or in the Kit.',
});
