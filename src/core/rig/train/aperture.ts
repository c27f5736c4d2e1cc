/** What works the aperture of a lens behind a train. */
import { isTold, type Lens, isFront, type Part } from '../../kit/records';

/** What works the aperture: the body, a ring of its own, nothing, or nobody told. */
export type ApertureControl = 'body' | 'own ring' | 'nothing' | 'not known';

/** An aperture without a ring of its own is lost with the contacts that work it. */
export function apertureControl(lens: Lens, parts: readonly Part[]): ApertureControl {
  if (lens.apertureRing === 'own ring') return 'own ring';
  if (!isTold(lens, 'electronics')) return 'not known';
  // A lens without contacts is worked by hand.
  if (!lens.electronics.aperture) return 'own ring';
  if (parts.every((p) => isFront(p) || p.electronics.aperture)) return 'body';
  return lens.apertureRing === 'none' ? 'nothing' : 'not known';
}
