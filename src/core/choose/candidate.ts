/** A combination of the kit as it was judged for a job. */
import type { Availability, EvidenceKind } from '../kit/records';
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
  | 'toss'
  | 'untold'
  | 'risk'
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
  | 'rear glass'
  | 'digital zoom';

/** How likely something is not Clear after all, and what that rests on. */
export interface Risk {
  /** 0..1. */
  risk: number;
  evidence: EvidenceKind;
}

/** How it is set where it serves one of its views. */
export interface ServedAt extends Risk {
  focalMm: number;
  fNumber: number;
  postScale: number;
}

/** A crop the body makes by itself. */
export interface Crop {
  cropId: string | null;
  digitalZoom: number;
}

/** A crop, and what it serves. */
export interface CropUsed extends Crop {
  /** Focal lengths on 36x24, mm. */
  views: Window[];
}

/** What is known of the light: a T-stop, one but for the glass of a part, or the f-number alone. */
export type LightFigure = 'T' | 'T at best' | 'f';

export interface Candidate {
  bodyId: string;
  modeId: string;
  lensId: string;
  partIds: string[];
  /** The crop of the widest of its views. */
  cropId: string | null;
  digitalZoom: number;
  /** All crops its views need, the least first; one where one serves all that can be served. */
  crops: CropUsed[];
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
  /** How it is set for the widest of its views. */
  at: ServedAt | null;
  /** The greatest risk among its views: at their ends and their middle; null where it serves nothing. */
  risk: Risk | null;
  /** T-stop, or f-number where no T-stop is known, behind the train as it is set there; null where it serves nothing. */
  tStop: number | null;
  light: LightFigure;
  /** As it is handed over, before scale-up. */
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
