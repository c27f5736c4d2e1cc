/** A thin door to reading the Lensfun database, so that thousands of entries freeze no screen. */
import { expose } from 'comlink';
import { newId } from '@/core/kit';
import {
  readLensfun,
  type LensfunCamera,
  type LensfunLens,
  bodyRecord,
  lensRecord,
  ownName,
} from '@/core/exchange/lensfun';
import type { Body, Lens, Marking, Mount } from '@/core/kit/records';
import type { Problem } from '@/core/words';
import { paced } from './paced';
import { textOf } from './readFile';

/** One line of what can be picked. */
export interface LensfunEntry {
  key: string;
  kind: 'lens' | 'camera';
  maker: string;
  /** What it is called, its maker's name left out. */
  name: string;
  mount: string;
  cropFactor: number;
  /** Vignetting calibrations it has. */
  calibrations: number;
}

export interface LensfunReading {
  entries: LensfunEntry[];
  problems: Problem[];
  mounts: number;
  /** How long the worker took, ms. */
  tookMs: number;
}

export interface LensfunTaken {
  lenses: Lens[];
  bodies: Body[];
  /** Names of lenses that do not say their focal length or aperture. */
  lacking: string[];
  tookMs: number;
}

function lensfunDoor() {
  const lenses = new Map<string, LensfunLens>();
  const cameras = new Map<string, LensfunCamera>();
  return {
    /** Reads files one by one, telling how many are read; those that cannot be read are told, the others stand. */
    async read(files: readonly File[], hear: (read: number) => void): Promise<LensfunReading> {
      const began = performance.now();
      lenses.clear();
      cameras.clear();
      const problems: Problem[] = [];
      const entries: LensfunEntry[] = [];
      let mounts = 0;
      for (const [i, file] of files.entries()) {
        hear(i);
        const text = await textOf(file);
        const read = text.ok ? readLensfun(text.value, file.name) : text;
        if (!read.ok) {
          problems.push(...read.problems);
          continue;
        }
        mounts += read.value.mounts.length;
        problems.push(...read.value.leftOut);
        for (const lens of read.value.lenses) {
          const key = `lens ${lenses.size}`;
          lenses.set(key, lens);
          entries.push({
            key,
            kind: 'lens',
            maker: lens.maker,
            name: ownName(lens.maker, lens.model),
            mount: lens.mounts[0] ?? '',
            cropFactor: lens.cropFactor,
            calibrations: lens.vignetting.length,
          });
        }
        for (const camera of read.value.cameras) {
          const key = `camera ${cameras.size}`;
          cameras.set(key, camera);
          const { maker, model, mount, cropFactor } = camera;
          const name = ownName(maker, model);
          entries.push({ key, kind: 'camera', maker, name, mount, cropFactor, calibrations: 0 });
        }
      }
      return { entries, problems, mounts, tookMs: performance.now() - began };
    },
    /** The picked entries as records of the kit; tells from time to time how many are. */
    take(
      keys: readonly string[],
      mounts: readonly Mount[],
      markings: readonly Marking[],
      hear: (taken: number) => void,
    ): LensfunTaken {
      const tell = paced(hear);
      const began = performance.now();
      const taken: LensfunTaken = { lenses: [], bodies: [], lacking: [], tookMs: 0 };
      for (const [i, key] of keys.entries()) {
        tell(i);
        const id = newId();
        const [lens, camera] = [lenses.get(key), cameras.get(key)];
        if (lens) {
          const record = lensRecord(lens, { mounts, markings }, id);
          if (record) taken.lenses.push(record);
          else taken.lacking.push(lens.model);
        } else if (camera) taken.bodies.push(bodyRecord(camera, mounts, id));
      }
      taken.tookMs = performance.now() - began;
      return taken;
    },
  };
}

export type LensfunDoor = ReturnType<typeof lensfunDoor>;

expose(lensfunDoor());
