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
  // To the other folder's face, so that nothing but the direction is wrong.
  it.each([
    ['optics/crop.ts', 'measure'],
    ['kit/ladder.ts', 'measure'],
    ['frame/coverage.ts', 'measure/light'],
    ['bench-camera/expose.ts', 'measure/fit'],
    ['bench-camera/expose.ts', 'halo'],
    ['rig/train/light.ts', 'bench-camera'],
    ['rig/train/light.ts', 'rig'],
    ['rig/situation.ts', 'rig/report'],
    ['rig/report/evaluate.ts', 'rig/search'],
    ['kit/records/lens.ts', 'kit/checks'],
    ['measure/file/decode.ts', 'measure/light'],
    ['measure/measureGrid.ts', 'rig'],
    ['maths/median.ts', 'optics'],
    ['demo/tideMill.ts', 'rig'],
    ['card/rigCard.ts', 'card/paper'],
    ['exchange/json/rigJson.ts', 'exchange/links'],
    ['exchange/csv/csv.ts', 'demo'],
  ])('a wrong arrow from %s to %s breaks one', (from, to) => {
    expect(broken(`${CORE}/${from}`, `${CORE}/${to}/index.ts`)).not.toEqual([]);
  });

  it.each([
    ['src/core/halo/rims.ts', 'src/ui/stage/Stage.tsx'],
    ['src/ui/stage/Stage.tsx', 'src/store/database/db.ts'],
    ['src/store/database/db.ts', 'src/shell/tell.ts'],
    ['src/shell/tell.ts', 'src/rooms/kit/useKit.ts'],
    ['src/gear/options.ts', 'src/rooms/bench/rigs/RigTools.tsx'],
    ['src/workers/door.ts', 'src/store/database/db.ts'],
    ['src/rooms/kit/useKit.ts', 'src/node/picture.ts'],
    ['app/bench/page.tsx', 'src/core/rig/index.ts'],
    ['src/somewhere/new.ts', 'src/core/rig/index.ts'],
    ['src/core/halo/rims.ts', 'tests/support/demo.ts'],
  ])('so does one from %s to %s', (from, to) => {
    expect(broken(from, to)).not.toEqual([]);
  });

  it.each([
    ['src/core/rig/situation.ts', 'src/core/halo/rims.ts'],
    ['src/core/rig/situation.ts', 'src/core/rig/train/rims.ts'],
    ['src/rooms/bench/BenchRoom.tsx', 'src/core/rig/search/ideas/ringIdeas.ts'],
    ['src/core/rig/rig.test.ts', 'src/core/kit/records/lens.ts'],
    ['src/rooms/card/OpenCard.tsx', 'src/core/card/paper/pdf.ts'],
  ])('and one past the face of a folder, from %s to %s', (from, to) => {
    expect(broken(from, to)).not.toEqual([]);
  });

  it.each([
    ['src/core/rig/situation.ts', 'src/core/halo/index.ts'],
    ['src/core/rig/situation.ts', 'src/core/rig/train/index.ts'],
    ['src/core/rig/search/waysOut.ts', 'src/core/rig/search/ideas/idea.ts'],
    ['src/core/measure/measureGrid.ts', 'src/core/measure/fit/index.ts'],
    ['src/core/bench-camera/expose.ts', 'src/core/measure/file/index.ts'],
    ['src/store/database/db.ts', 'src/core/kit/checks/generated/shape.ts'],
    ['src/rooms/bench/rigs/RigTools.tsx', 'src/gear/options.ts'],
    ['src/core/rig/train/train.test.ts', 'tests/support/demo.ts'],
    ['app/bench/page.tsx', 'src/rooms/bench/BenchRoom.tsx'],
  ])('one that runs downward, from %s to %s, breaks none', (from, to) => {
    expect(broken(from, to)).toEqual([]);
  });
});
