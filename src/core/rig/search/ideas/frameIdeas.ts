/** Ways out by another frame: mode, aspect, crop, a sensor that keeps still, scale-up. */
import { ASPECTS } from '../../../frame';
import type { RigSettings } from '../../../kit/records';
import { scaleUpWords } from '../../../words';
import { deliveredOf, digitalZoomsFor, turned, type Rig } from '../../../rig';
import { scaleUpOf } from '../../judged';
import { towards } from '../../../maths';
import type { Idea, WayKind } from './idea';

const setting = (rig: Rig, kind: WayKind, words: string, settings: Partial<RigSettings>): Idea => ({
  kind,
  words,
  limit: null,
  change: { settings },
  rig: turned(rig, settings),
});

/** Whether a setting makes the delivered frame another one. */
function changesFrame(rig: Rig, settings: Partial<RigSettings>): boolean {
  const [before, after] = [deliveredOf(rig), deliveredOf(turned(rig, settings))];
  return (
    Math.abs(before.widthMm - after.widthMm) > 0.01 ||
    Math.abs(before.heightMm - after.heightMm) > 0.01
  );
}

/** Other modes, aspects and crops, and keeping the sensor still. */
export function frameIdeas(rig: Rig): Idea[] {
  const { settings, body, mode } = rig;
  const ideas: Idea[] = [];
  for (const other of body.modes) {
    if (other.id === mode.id || other.use !== mode.use) continue;
    const moved = turned({ ...rig, mode: other }, {});
    ideas.push({
      kind: 'mode',
      words: `Record in ${other.name}`,
      limit: null,
      change: { settings: {}, modeId: other.id },
      rig: moved,
    });
  }
  for (const { name, aspect } of ASPECTS) {
    if (aspect !== null && changesFrame(rig, { aspect })) {
      ideas.push(setting(rig, 'aspect', `Deliver ${name}`, { aspect }));
    }
  }
  for (const zoom of digitalZoomsFor(body, mode, rig)) {
    if (zoom > settings.digitalZoom)
      ideas.push(setting(rig, 'crop', `Digital zoom ×${zoom}`, { digitalZoom: zoom }));
  }
  for (const crop of mode.crops) {
    if (crop.id !== settings.cropId)
      ideas.push(setting(rig, 'crop', `Switch on ${crop.name} stabilisation`, { cropId: crop.id }));
  }
  if (settings.stabiliser && body.sensorTravel) {
    ideas.push(
      setting(rig, 'stabiliser off', 'Switch the sensor stabiliser off', { stabiliser: false }),
    );
  }
  if (settings.shiftXMm !== 0 || settings.shiftYMm !== 0) {
    ideas.push(setting(rig, 'centre', 'Shift back to the middle', { shiftXMm: 0, shiftYMm: 0 }));
  }
  return ideas;
}

/** Largest scale-up still offered: beyond it the picture is another one. */
const MOST_SCALE_UP = 2;

/** The least scale-up in post that clears the corners, as the readings say it; null where none up to twice does. */
export function scaleIdea(rig: Rig): Idea | null {
  const good = scaleUpOf(rig);
  if (good === null || good > MOST_SCALE_UP) return null;
  const scale = rig.settings.postScale * towards(good, 1, 3);
  const more = rig.settings.postScale === 1 ? '' : ' more';
  return {
    kind: 'scale up',
    words: `Scale up ${scaleUpWords(good)}${more} in post`,
    limit: good * rig.settings.postScale,
    change: { settings: { postScale: scale } },
    rig: turned(rig, { postScale: scale }),
  };
}
