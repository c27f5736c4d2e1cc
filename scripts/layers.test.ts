import { createRequire } from 'node:module';
import { describe, expect, it } from 'vitest';

interface Place {
  path?: string;
  pathNot?: string;
}
interface Rule {
  name: string;
  from: Place;
  to: Place & { circular?: boolean; couldNotResolve?: boolean };
}

const { forbidden } = createRequire(import.meta.url)('../.dependency-cruiser.cjs') as {
  forbidden: Rule[];
};

const isAt = (file: string, { path, pathNot }: Place): boolean =>
  (path === undefined || new RegExp(path).test(file)) &&
  (pathNot === undefined || !new RegExp(pathNot).test(file));

/** Names of the rules that an import from one file of another breaks. */
const broken = (from: string, to: string): string[] =>
  forbidden
    .filter((r) => !r.to.circular && !r.to.couldNotResolve && !r.name.startsWith('rooms-do-not'))
    .filter((r) => isAt(from, r.from) && isAt(to, r.to))
    .map((r) => r.name);

const CORE = 'src/core';

describe('the layer rules', () => {
  it.each([
    ['optics/crop.ts', 'measure/measureFrame.ts'],
    ['kit/ladder.ts', 'measure/toSample.ts'],
    ['frame/coverage.ts', 'measure/light/tone.ts'],
    ['bench-camera/expose.ts', 'measure/fit/haloFit.ts'],
    ['bench-camera/expose.ts', 'halo/rims.ts'],
    ['rig/train.ts', 'bench-camera/practice.ts'],
    ['rig/train.ts', 'rig/report/evaluate.ts'],
    ['rig/report/evaluate.ts', 'rig/search/waysOut.ts'],
    ['kit/records/lens.ts', 'kit/checks/validate.ts'],
    ['measure/file/decode.ts', 'measure/light/tone.ts'],
    ['measure/measureGrid.ts', 'rig/rig.ts'],
    ['maths/median.ts', 'optics/stops.ts'],
    ['demo/tideMill.ts', 'rig/rig.ts'],
    ['exchange/csv.ts', 'demo/tideMill.ts'],
  ])('a wrong arrow from %s to %s breaks one', (from, to) => {
    expect(broken(`${CORE}/${from}`, `${CORE}/${to}`)).not.toEqual([]);
  });

  it.each([
    ['src/core/halo/rims.ts', 'src/ui/stage/Stage.tsx'],
    ['src/ui/stage/Stage.tsx', 'src/store/db.ts'],
    ['src/store/db.ts', 'src/shell/tell.ts'],
    ['src/shell/tell.ts', 'src/rooms/kit/useKit.ts'],
    ['src/gear/options.ts', 'src/rooms/bench/useBench.ts'],
    ['src/workers/door.ts', 'src/store/db.ts'],
    ['src/rooms/kit/useKit.ts', 'src/node/picture.ts'],
    ['app/bench/page.tsx', 'src/core/rig/rig.ts'],
    ['src/somewhere/new.ts', 'src/core/rig/rig.ts'],
    ['src/core/halo/rims.ts', 'tests/support/demo.ts'],
  ])('so does one from %s to %s', (from, to) => {
    expect(broken(from, to)).not.toEqual([]);
  });

  it.each([
    ['src/core/rig/train.ts', 'src/core/halo/rims.ts'],
    ['src/core/measure/measureGrid.ts', 'src/core/measure/fit/haloFit.ts'],
    ['src/core/bench-camera/expose.ts', 'src/core/measure/file/pixels.ts'],
    ['src/rooms/bench/RigTools.tsx', 'src/gear/options.ts'],
    ['src/core/rig/train.test.ts', 'tests/support/demo.ts'],
    ['app/bench/page.tsx', 'src/rooms/bench/BenchRoom.tsx'],
  ])('one that runs downward, from %s to %s, breaks none', (from, to) => {
    expect(broken(from, to)).toEqual([]);
  });
});
