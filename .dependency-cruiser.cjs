/*
 * The house, from the ground up. A folder may use those named beside it and nothing else of ours; whatever
 * it names stands above it in this list, so that arrows run downward only. See CONTRIBUTING.md.
 */
const KIT = [
  'core/kit/records',
  'core/kit/fields',
  'core/kit/checks',
  'core/kit',
  'core/kit/starter',
];
const GROUND = ['core/maths', 'core/optics', 'core/words'];
const RIG = ['core/rig', 'core/rig/report', 'core/rig/readings', 'core/rig/search'];
const MEASURE = ['core/measure/file', 'core/measure/light', 'core/measure/fit', 'core/measure'];
const CORE = [
  ...GROUND,
  ...KIT,
  'core/halo',
  'core/frame',
  ...RIG,
  'core/sweep',
  'core/choose',
  'core/converters',
  'core/framing',
  'core/guides',
  'core/card',
  ...MEASURE,
  'core/bench-camera',
  'core/correction',
  'core/exchange',
  'core/demo',
];

const HOUSE = [
  ['core/maths', []],
  ['core/optics', ['core/maths']],
  ['core/words', ['core/maths', 'core/optics']],

  ['core/kit/records', GROUND],
  ['core/kit/fields', [...GROUND, 'core/kit/records']],
  ['core/kit/checks', [...GROUND, 'core/kit/records', 'core/kit/fields']],
  ['core/kit', [...GROUND, 'core/kit/records', 'core/kit/fields', 'core/kit/checks']],
  ['core/kit/starter', [...GROUND, 'core/kit/records', 'core/kit/fields', 'core/kit']],

  ['core/halo', [...GROUND, ...KIT]],
  ['core/frame', [...GROUND, ...KIT, 'core/halo']],

  ['core/rig', [...GROUND, ...KIT, 'core/halo', 'core/frame']],
  ['core/rig/report', [...GROUND, ...KIT, 'core/halo', 'core/frame', 'core/rig']],
  [
    'core/rig/readings',
    [...GROUND, ...KIT, 'core/halo', 'core/frame', 'core/rig', 'core/rig/report'],
  ],
  [
    'core/rig/search',
    [...GROUND, ...KIT, 'core/halo', 'core/frame', 'core/rig', 'core/rig/report'],
  ],
  ['core/sweep', [...GROUND, ...KIT, 'core/halo', 'core/frame', ...RIG]],
  ['core/choose', [...GROUND, ...KIT, 'core/halo', 'core/frame', ...RIG, 'core/sweep']],

  ['core/converters', [...GROUND, ...KIT, 'core/halo', 'core/frame', ...RIG, 'core/sweep']],
  ['core/framing', [...GROUND, ...KIT, 'core/halo', 'core/frame', ...RIG]],
  ['core/guides', [...GROUND, ...KIT, 'core/halo', 'core/frame', ...RIG]],
  ['core/card', [...GROUND, ...KIT, 'core/halo', 'core/frame', ...RIG, 'core/sweep']],

  // Measuring knows no rig and not the camera it is tried on.
  ['core/measure/file', GROUND],
  ['core/measure/light', [...GROUND, 'core/measure/file']],
  ['core/measure/fit', [...GROUND, 'core/halo', 'core/measure/file', 'core/measure/light']],
  [
    'core/measure',
    [...GROUND, ...KIT, 'core/halo', 'core/measure/file', 'core/measure/light', 'core/measure/fit'],
  ],
  // The simulated camera shares no formula with the fit or the halo: it can try them.
  ['core/bench-camera', [...GROUND, ...KIT, 'core/measure/file']],
  ['core/correction', [...GROUND, ...KIT, 'core/halo', 'core/frame', ...RIG, ...MEASURE]],

  [
    'core/exchange',
    [
      ...GROUND,
      ...KIT,
      'core/halo',
      'core/frame',
      ...RIG,
      'core/sweep',
      'core/framing',
      'core/guides',
      'core/card',
    ],
  ],
  // The demo is data.
  ['core/demo', [...GROUND, ...KIT]],

  // What only Node can do stays out of the browser.
  ['node', CORE],
  // Doors to the core for heavy work.
  ['workers', CORE],
  // The service worker stands for itself.
  ['offline', []],
  ['store', [...CORE, 'workers']],
  ['ui', CORE],
  ['gear', [...CORE, 'store', 'ui']],
  ['shell', [...CORE, 'workers', 'offline', 'store', 'ui', 'gear']],
  ['rooms', [...CORE, 'workers', 'store', 'ui', 'gear', 'shell']],
  ['cli', [...CORE, 'node']],
  ['api', [...CORE, 'node']],
];

const PATHS = new Map(
  HOUSE.map(([name]) => {
    // A folder with others of the list inside it stands for its own files alone.
    const hasInner = HOUSE.some(([other]) => other.startsWith(`${name}/`));
    return [name, hasInner ? `^src/${name}/[^/]+$` : `^src/${name}/`];
  }),
);
const OURS = '^(src|app|tests|scripts)/';

const rules = HOUSE.map(([name, mayUse], i) => {
  const below = HOUSE.slice(0, i).map(([lower]) => lower);
  for (const used of mayUse)
    if (!below.includes(used)) throw new Error(`${name} may not use ${used}: it is not below it`);
  return {
    name: `${name.replaceAll('/', '-')}-uses-what-is-below`,
    severity: 'error',
    comment: `src/${name} may use ${mayUse.join(', ') || 'nothing else of ours'}`,
    // Tests may reach for the demo and for the tests' own helpers.
    from: { path: PATHS.get(name), pathNot: '\\.test\\.tsx?$' },
    to: { path: OURS, pathNot: [name, ...mayUse].map((used) => PATHS.get(used)).join('|') },
  };
});

const INTERFACE =
  '^(react|react-dom|next|dexie|dexie-react-hooks|styled-components|recharts|comlink|zustand|react-aria-components|lucide-react)$';

module.exports = {
  forbidden: [
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    { name: 'no-unresolved', severity: 'error', from: {}, to: { couldNotResolve: true } },
    ...rules,
    {
      name: 'every-file-has-its-place',
      severity: 'error',
      comment: 'a folder of src that is not in the list above',
      from: { path: '^src/', pathNot: [...PATHS.values()].join('|') },
      to: {},
    },
    {
      name: 'core-has-no-interface',
      severity: 'error',
      from: { path: '^src/core/' },
      to: { path: `node_modules/(${INTERFACE.slice(2, -2)})/` },
    },
    {
      name: 'rooms-do-not-reach-into-rooms',
      severity: 'error',
      from: { path: '^src/rooms/([^/]+)/' },
      to: { path: '^src/rooms/([^/]+)/', pathNot: '^src/rooms/$1/' },
    },
    {
      name: 'routes-hold-no-logic',
      severity: 'error',
      comment: 'app opens rooms, answers by api, and dresses the page',
      from: { path: '^app/' },
      to: { path: '^src/', pathNot: '^src/(rooms|shell|ui|api)/|^src/core/kit/records/' },
    },
  ],
  options: {
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '\\.next/' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
    },
  },
};
