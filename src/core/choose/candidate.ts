/** A combination of the kit as it was judged for a job. */
import type { Availability } from '../kit/records';
import type { Window } from '../maths';

/** What a job can fail by, the weightiest first: what goes together, then what the gear can do, then what it costs. */
type FailCode =
  | 'fit'
  | 'stabiliser'
  | 'autofocus'
  | 'frame rate'
  | 'pixels'
  | 'view'
  | 'light'
  | 'depth'
  | 'corners'
  | 'range'
  | 'mass'
  | 'price'
  | 'source';

export interface Fail {
  code: FailCode;
  /** What it has and what is wanted, in the unit of the code; null where there is no figure. */
  has: number | null;
  wants: number | null;
  /** How far it is from passing, as a ratio of what is wanted, log2; Infinity where nothing would mend it. */
  away: number;
  /** What the code does not say. */
  words?: string;
}

/** What is asked and is not known of it. */
export type Unknown =
  | 'mass'
  | 'price'
  | 'source'
  | 'autofocus'
  | 'frame rate'
  | 'light'
  | 'aperture'
  | 'mounts'
  | 'rear glass';

/** How it is set where it serves the widest of its views. */
export interface ServedAt {
  focalMm: number;
  fNumber: number;
  postScale: number;
}

/** What is known of the light: a T-stop, one but for the glass of a part, or the f-number alone. */
export type LightFigure = 'T' | 'T at best' | 'f';

export interface Candidate {
  bodyId: string;
  modeId: string;
  lensId: string;
  partIds: string[];
  cropId: string | null;
  digitalZoom: number;
  /** What it fails by; none where it serves the job. */
  fails: Fail[];
  unknowns: Unknown[];
  /** Views it serves, as focal lengths on 36x24, mm. */
  views: Window[];
  /** Share of the octaves wanted that it serves, 0..1. */
  share: number;
  /** The most scale-up in post any of them needs. */
  scale: number;
  /** Least scale-up that would clear the corners somewhere in the range; null where none does. */
  leastScale: number | null;
  at: ServedAt | null;
  /** T-stop, or f-number where no T-stop is known, behind the train as it is set there; null where it serves nothing. */
  tStop: number | null;
  light: LightFigure;
  pixelsAcross: number;
  massG: number | null;
  price: number | null;
  source: Availability | null;
}

export const passes = ({ fails }: Pick<Candidate, 'fails'>): boolean => fails.length === 0;

/** How far it is from passing, all it fails by together. */
export const awayOf = ({ fails }: Pick<Candidate, 'fails'>): number =>
  fails.reduce((sum, f) => sum + f.away, 0);

/** Names what is carried of it, however it records. */
export const carriedKey = ({ bodyId, lensId, partIds }: Candidate): string =>
  [bodyId, lensId, ...partIds].join('|');

/** Names a combination. */
export const candidateKey = (c: Candidate): string =>
  [c.bodyId, c.modeId, c.lensId, ...c.partIds, c.cropId ?? '', String(c.digitalZoom)].join('|');
