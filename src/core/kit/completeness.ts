/** What a record does not say, and which answers lack it. */
import {
  type Body,
  type Estimated,
  isFront,
  isOneFrame,
  type Lens,
  type Mount,
  magnifies,
  type Part,
  type Tables,
} from './records';
import type { KitTable } from './fields';

interface Hint {
  /** The field that would settle it. */
  path: string;
  sentence: string;
}

const when = (holds: boolean, path: string, sentence: string): Hint[] =>
  holds ? [{ path, sentence }] : [];

const estimatedHint = ({ estimated }: Estimated, word: string): Hint[] =>
  when(
    estimated.length > 0,
    estimated[0] ?? '',
    `Some figures are what is usual, not what this ${word} says.`,
  );

function lensHints(lens: Lens): Hint[] {
  const oneFrame = lens.halo.some((s) => isOneFrame(s.evidence));
  return [
    ...when(
      lens.halo.length === 0,
      'halo',
      'No halo sample: whether it covers is an estimate only.',
    ),
    ...when(
      oneFrame,
      'halo',
      'A setting measured from one frame: other apertures are known far less well.',
    ),
    ...when(
      lens.rearProtrusionMm === null,
      'rearProtrusionMm',
      'Rear glass never measured: nothing is known of what it may strike.',
    ),
    ...when(lens.tStop === null, 'tStop', 'No T-stop: light is counted by f-number.'),
    ...when(
      lens.pupilMagnification === null,
      'pupilMagnification',
      'No pupil magnification: close up the halo is less sure.',
    ),
    ...estimatedHint(lens, 'lens'),
  ];
}

const bodyHints = (body: Body): Hint[] => [
  ...estimatedHint(body, 'camera'),
  ...when(
    body.clearDepthMm === null && body.mirrorDepthMm === null,
    'clearDepthMm',
    'Free depth not known: rear glass cannot be checked.',
  ),
  ...when(
    body.modes.some((m) => m.crops.some((c) => c.measured === null)),
    'modes',
    'A stabilisation crop is nominal only: two frames would measure it.',
  ),
  ...when(
    body.autofocusLimitFNumber === null,
    'autofocusLimitFNumber',
    'No autofocus limit: nothing is said of focusing through converters.',
  ),
];

const partHints = (part: Part): Hint[] => [
  ...estimatedHint(part, 'part'),
  ...when(
    magnifies(part) && part.clearDepthMm === null,
    'clearDepthMm',
    'Free depth not known: rear glass cannot be checked against it.',
  ),
  ...when(
    part.factor !== 1 && part.transmission === null,
    'transmission',
    'Light lost in its glass not known: T-stops end here.',
  ),
  ...when(
    magnifies(part) && part.ownRim === null && part.opening === null,
    'ownRim',
    'Its own rim never measured: it is taken from its throat or the format it was made for, where one of them is known.',
  ),
  ...when(
    isFront(part) && part.opening !== null,
    'opening',
    'A rectangular opening is counted with in parts behind the lens only: before it, its rim tells how it cuts.',
  ),
  ...when(
    isFront(part) && part.ownRim === null,
    'ownRim',
    'Its own rim never measured: one in five cuts corners that the lens alone leaves clear.',
  ),
];

const mountHints = (mount: Mount): Hint[] =>
  when(mount.throatMm === null, 'throatMm', 'No throat diameter: the mount finder cannot use it.');

/** What a record lacks, the weightiest first. */
export function hintsFor<T extends KitTable>(table: T, record: Tables[T]): Hint[] {
  switch (table) {
    case 'lenses':
      return lensHints(record as Lens);
    case 'bodies':
      return bodyHints(record as Body);
    case 'parts':
      return partHints(record as Part);
    case 'mounts':
      return mountHints(record as Mount);
    default:
      return [];
  }
}
