/** What the contacts of a rig carry from lens to body, and what that leaves of focus drive and digital zoom. */
import {
  fullName,
  isFront,
  isTold,
  type Body,
  type Electronics,
  type Lens,
  type Mode,
  type Part,
} from '../kit/records';

/** What carries: a lens, and the parts behind it. */
interface Carrying {
  lens: Lens;
  parts: readonly Part[];
}

const weakest = (a: Electronics, b: Electronics): Electronics => ({
  focus: a.focus && b.focus,
  aperture: a.aperture && b.aperture,
  metadata: a.metadata && b.metadata,
  stabiliser: a.stabiliser && b.stabiliser,
});

const carriesLess = (part: Part, lens: Electronics): boolean =>
  (Object.keys(lens) as (keyof Electronics)[]).some((k) => lens[k] && !part.electronics[k]);

/** What the contacts carry from lens to body: the weakest link for each of four things. */
export const carriedBy = ({ lens, parts }: Carrying): Electronics =>
  parts
    .filter((p) => !isFront(p))
    .reduce((sum, p) => weakest(sum, p.electronics), lens.electronics);

/** Parts that carry less than the lens offers, by name. */
export const lostAt = ({ lens, parts }: Carrying): string[] =>
  parts.filter((p) => !isFront(p) && carriesLess(p, lens.electronics)).map(fullName);

/** Whether the body gives its digital zoom to this lens; null where nobody told what one of them needs to know. */
export function givesDigitalZoom(
  { digitalZoomWith }: Pick<Body, 'digitalZoomWith'>,
  carrying: Carrying,
): boolean | null {
  if (digitalZoomWith === 'any lens') return true;
  if (!isTold(carrying.lens, 'electronics')) return null;
  if (carriedBy(carrying).metadata) return true;
  return digitalZoomWith === 'lenses it knows' ? false : null;
}

/** The digital zooms there are for this lens: a body may refuse them to lenses it does not know. */
export const digitalZoomsFor = (
  body: Body,
  { digitalZooms }: Pick<Mode, 'digitalZooms'>,
  carrying: Carrying,
): readonly number[] => (givesDigitalZoom(body, carrying) === false ? NO_ZOOM : digitalZooms);

const NO_ZOOM: readonly number[] = [1];

/** Whether anything drives the focus, and if not why. */
export interface FocusDrive {
  state: 'drives' | 'by hand' | 'not known';
  /** Without its full stop; empty where the drive is as good as the lens's own. */
  why: string;
}

/** Whether the drive reaches the lens at all. */
function throughContacts(carrying: Carrying): FocusDrive | null {
  const { lens } = carrying;
  if (!isTold(lens, 'electronics'))
    return { state: 'not known', why: `Whether ${fullName(lens)} has a focus drive is not known` };
  if (carriedBy(carrying).focus) return null;
  return {
    state: 'by hand',
    why: lens.electronics.focus
      ? 'a part between carries no focus drive'
      : `${fullName(lens)} has no focus drive`,
  };
}

/** What the body's digital zoom leaves of the drive where it is in use; null where it takes nothing. */
export function driveInZoom(
  body: Pick<Body, 'name' | 'maker' | 'digitalZoomFocus'>,
): FocusDrive | null {
  if (body.digitalZoomFocus === 'works') return null;
  return body.digitalZoomFocus === 'lost'
    ? { state: 'by hand', why: `${fullName(body)} has no autofocus in its digital zoom` }
    : {
        state: 'not known',
        why: `Whether ${fullName(body)} focuses in its digital zoom is not known`,
      };
}

/** What drives the focus of a lens behind its parts, on a body in a mode: as the owner's records tell it. */
export function focusDriveOf(
  carrying: Carrying & { body: Body; mode: Pick<Mode, 'use'> },
  digitalZoom: number,
): FocusDrive {
  const lost = throughContacts(carrying);
  if (lost) return lost;
  const { parts, body, mode } = carrying;
  const between = parts.filter((p) => !isFront(p));
  const single = between.find((p) => p.autofocus === 'single shots');
  if (single && mode.use === 'video')
    return { state: 'by hand', why: `${fullName(single)} focuses for single shots alone` };
  const zoomed = digitalZoom === 1 ? null : driveInZoom(body);
  if (zoomed) return zoomed;
  if (single) return { state: 'drives', why: `${fullName(single)} focuses for single shots alone` };
  const slower = between.find((p) => p.autofocus === 'slower');
  return {
    state: 'drives',
    why: slower ? `Through ${fullName(slower)} it is slower and less sure, as you recorded` : '',
  };
}
