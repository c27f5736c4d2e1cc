/** The frames of a session: what was given, what became of each, and the entry it would make in the log. */
import { newId } from '@/core/kit';
import { lensAt, predictHalo, haloRadii } from '@/core/halo';
import type { Measurement } from '@/core/kit/records';
import { cameraDoubts, entryFigures, shotFor, type Shot } from '@/core/measure';
import { situationOf, turned } from '@/core/rig';
import type { FrameAnswer } from '@/workers/measure.worker';
import type { Session } from './session';
import { measurementOf } from '@/core/kit/records';
import { isAreaTold } from '@/core/kit/starter';

export interface Frame {
  id: string;
  file: File;
  state: 'waiting' | 'measuring' | 'done' | 'unread';
  /** Why it cannot be read. */
  sentence: string;
  answer: FrameAnswer | null;
  /** The shot it was matched with by hand; undefined while its own settings decide. */
  shotId?: string | null;
  /** Once accepted: the log's entry. */
  measurementId: string | null;
  /** Whether somebody said that the camera is right where the file speaks against it. */
  isCameraSure: boolean;
  /** What was expected of its setting before it was kept, radius in mm; null while it is not kept. */
  expectedHalfLightMm: number | null;
}

export const newFrame = (file: File): Frame => ({
  id: newId(),
  file,
  state: 'waiting',
  sentence: '',
  answer: null,
  measurementId: null,
  isCameraSure: false,
  expectedHalfLightMm: null,
});

/** What of a frame's file speaks against the session's camera, and nobody said is right; a sentence each. */
export function doubtsOf({ answer, isCameraSure }: Frame, { body, mode }: Session): string[] {
  if (!answer || answer.simulated || isCameraSure) return [];
  return cameraDoubts(answer.camera, answer, mode, {
    areaTold: isAreaTold(body, mode.id),
    isWhole: !answer.preview,
  });
}

/** The shot a frame is: matched by hand, else by its own settings. */
export function shotOf(frame: Frame, { shots }: Session): Shot | null {
  if (frame.shotId !== undefined) return shots.find((s) => s.id === frame.shotId) ?? null;
  return frame.answer ? shotFor(shots, frame.answer.settings) : null;
}

/** How a frame was set: as its shot says, else as its file says; null where neither tells. */
export function settingOf(frame: Frame, session: Session) {
  const shot = shotOf(frame, session);
  if (shot) return { focalMm: shot.focalMm, fNumber: shot.fNumber, focusM: shot.focusM };
  const told = frame.answer?.settings;
  if (!told?.focalMm || !told.fNumber) return null;
  return { focalMm: told.focalMm, fNumber: told.fNumber, focusM: null };
}

/** What lens or rig is expected to do at a frame's setting: half-light radius on the sensor, mm. */
export function predictedHalfLight(
  { lens, rig }: Session,
  setting: NonNullable<ReturnType<typeof settingOf>>,
): number {
  return haloRadii(
    rig ? situationOf(turned(rig, setting)).halo : predictHalo(lensAt(lens, setting)),
  ).half;
}

/** A measured frame as an entry of the log; null where there is nothing to enter. */
export function entryOf(frame: Frame, session: Session, now: string): Measurement | null {
  const { answer } = frame;
  const setting = settingOf(frame, session);
  const figures = answer && entryFigures(answer.measure);
  if (!figures || !setting) return null;
  return measurementOf({
    id: newId(),
    name: frame.file.name.slice(0, 200),
    bodyId: session.body.id,
    modeId: session.mode.id,
    lensId: session.lens.id,
    partIds: session.parts.map((p) => p.id),
    takenAt: answer.settings.takenAt ?? now,
    ...setting,
    ...figures,
    sensor: { widthMm: session.mode.widthMm, heightMm: session.mode.heightMm },
    tone: answer.tone,
    predictedHalfLightMm: predictedHalfLight(session, setting),
  });
}

/** Frames of the same setting as `frame` that tell something, it included, aperture apart. */
export function ofSameSetting(frame: Frame, frames: readonly Frame[], session: Session): Frame[] {
  const setting = settingOf(frame, session);
  if (!setting) return [];
  return frames.filter((other) => {
    const there = settingOf(other, session);
    return (
      there !== null &&
      there.focalMm === setting.focalMm &&
      there.focusM === setting.focusM &&
      other.answer !== null &&
      other.answer.grid !== null &&
      other.answer.measure.status !== 'refused'
    );
  });
}

/** Whether a frame stands in the log; undo may have taken it out again. */
export const isLogged = (frame: Frame, logged: ReadonlySet<string>): boolean =>
  frame.measurementId !== null && logged.has(frame.measurementId);

/** Frames of one setting whose centres lie farther apart than this, mm, were not taken on a still sensor. */
const STILL_MM = 0.2;

/** Whether the halo moved between frames of one setting. */
export function moved(frames: readonly Frame[]): boolean {
  const centres = frames.flatMap((f) =>
    f.answer?.measure.centreMm ? [f.answer.measure.centreMm] : [],
  );
  return centres.some(([x, y]) =>
    centres.some(([x2, y2]) => Math.hypot(x - x2, y - y2) > STILL_MM),
  );
}
