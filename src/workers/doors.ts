/** Every worker of the program and what it is asked. The addresses are written out for the bundler. */
import type { CameraDoor } from './camera.worker';
import type { ChooseDoor } from './choose.worker';
import type { CorrectionDoor } from './correction.worker';
import { openDoor } from './door';
import type { LensfunDoor } from './lensfun.worker';
import type { MeasureDoor } from './measure.worker';
import type { PaperDoor } from './paper.worker';
import type { SweepDoor } from './sweep.worker';
import type { WaysDoor } from './ways.worker';

const MODULE = { type: 'module' } as const;

export const openCamera = () =>
  openDoor<CameraDoor>(() => new Worker(new URL('./camera.worker.ts', import.meta.url), MODULE));

export const openChoose = () =>
  openDoor<ChooseDoor>(() => new Worker(new URL('./choose.worker.ts', import.meta.url), MODULE));

export const openCorrection = () =>
  openDoor<CorrectionDoor>(
    () => new Worker(new URL('./correction.worker.ts', import.meta.url), MODULE),
  );

export const openLensfun = () =>
  openDoor<LensfunDoor>(() => new Worker(new URL('./lensfun.worker.ts', import.meta.url), MODULE));

export const openMeasure = () =>
  openDoor<MeasureDoor>(() => new Worker(new URL('./measure.worker.ts', import.meta.url), MODULE));

export const openPaper = () =>
  openDoor<PaperDoor>(() => new Worker(new URL('./paper.worker.ts', import.meta.url), MODULE));

export const openSweep = () =>
  openDoor<SweepDoor>(() => new Worker(new URL('./sweep.worker.ts', import.meta.url), MODULE));

export const openWays = () =>
  openDoor<WaysDoor>(() => new Worker(new URL('./ways.worker.ts', import.meta.url), MODULE));
