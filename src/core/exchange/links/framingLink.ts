/** Rigs before the scene as the query of an address, and back. */
import {
  MOST_TAKES,
  type Take,
  SCENE_RANGE,
  USUAL_SCENE,
  type Scene,
  FARTHEST_M,
} from '../../framing';

export const FRAMING_VIEWS = ['side by side', 'split', 'one over the other'] as const;
export type FramingView = (typeof FRAMING_VIEWS)[number];

export interface FramingLink {
  takes: readonly Take[];
  /** Where each stands, m; those that follow the first too. */
  distancesM: readonly number[];
  scene: Scene;
  keepsSize: boolean;
  view: FramingView;
}

const figure = (v: number): string => String(Number(v.toPrecision(5)));
const LONGEST = 400;

/* A take is one entry: its parts parted by "~", each after the letter of what it is; ids may hold anything. */
const MARKS: Readonly<Record<string, Exclude<keyof Take, 'rigId'> | undefined>> = {
  b: 'bodyId',
  m: 'modeId',
  p: 'partIds',
  x: 'postScale',
};

/** An id with nothing in it that parts a take. */
const encoded = (text: string): string => encodeURIComponent(text).replaceAll('~', '%7E');

function takeText({ rigId, bodyId, modeId, partIds, postScale }: Take): string {
  const pieces = [encoded(rigId)];
  if (bodyId !== undefined) pieces.push(`b${encoded(bodyId)}`);
  if (modeId !== undefined) pieces.push(`m${encoded(modeId)}`);
  if (partIds !== undefined) pieces.push(`p${partIds.map(encoded).join(',')}`);
  if (postScale !== undefined) pieces.push(`x${figure(postScale)}`);
  return pieces.join('~');
}

const decoded = (text: string): string | null => {
  try {
    return decodeURIComponent(text);
  } catch {
    return null;
  }
};

function readTake(text: string): Take | null {
  if (text.length > LONGEST) return null;
  const [rig = '', ...pieces] = text.split('~');
  const rigId = decoded(rig);
  if (!rigId) return null;
  const take: Take = { rigId };
  for (const piece of pieces) {
    const what = MARKS[piece.charAt(0)];
    const value = decoded(piece.slice(1));
    if (value === null) continue;
    if (what === 'postScale') {
      const scale = Number(value);
      if (scale >= 1 && scale <= 8) take.postScale = scale;
    } else if (what === 'partIds') {
      const ids = piece.slice(1).split(',').filter(Boolean).map(decoded);
      if (ids.every((id) => id !== null)) take.partIds = ids;
    } else if (what) take[what] = value;
  }
  return take;
}

export function framingQuery({ takes, distancesM, scene, keepsSize, view }: FramingLink): string {
  const query = new URLSearchParams();
  for (const take of takes) query.append('rig', takeText(take));
  query.set('from', distancesM.map(figure).join(' '));
  query.set('lamps', figure(scene.lampsM));
  query.set('beside', figure(scene.besideM));
  if (keepsSize) query.set('size', 'alike');
  if (view !== 'side by side') query.set('show', view);
  return query.toString();
}

function within(text: string | null, [least, most]: readonly [number, number]): number | null {
  if (text === null || text.trim() === '') return null;
  const value = Number(text);
  return value >= least && value <= most ? value : null;
}

/** Reads a query; null where it names no rig. What cannot be is left as usual. */
export function readFramingQuery(query: string): FramingLink | null {
  const q = new URLSearchParams(query);
  const takes = q
    .getAll('rig')
    .slice(0, MOST_TAKES)
    .flatMap((text) => readTake(text) ?? []);
  if (takes.length === 0) return null;
  const distancesM = (q.get('from') ?? '')
    .slice(0, LONGEST)
    .split(' ')
    .map((text) => within(text, [0.01, FARTHEST_M]));
  const told = distancesM.filter((d) => d !== null);
  return {
    takes,
    distancesM: told.length === distancesM.length ? told : [],
    scene: {
      lampsM: within(q.get('lamps'), SCENE_RANGE.lampsM) ?? USUAL_SCENE.lampsM,
      besideM: within(q.get('beside'), SCENE_RANGE.besideM) ?? USUAL_SCENE.besideM,
    },
    keepsSize: q.get('size') === 'alike',
    view: FRAMING_VIEWS.find((v) => v === q.get('show')) ?? 'side by side',
  };
}
